import type { Span } from './span.ts';

const TAKEN = '\u0000';

/** A line being read: what one recogniser has taken, the next ones no longer see. */
export class Line {
  private free: string;

  constructor(readonly typed: string) {
    this.free = typed;
  }

  /** Every match of a global pattern in what is still free, as it was when it was asked. */
  *matches(pattern: RegExp): Generator<RegExpExecArray> {
    for (const found of this.free.matchAll(new RegExp(pattern, pattern.flags.includes('g') ? pattern.flags : `${pattern.flags}g`)))
      yield found as RegExpExecArray;
  }

  /** Nobody else reads this stretch. */
  take(from: number, to: number): void {
    this.free = this.free.slice(0, from) + TAKEN.repeat(to - from) + this.free.slice(to);
  }

  /** What is still free, taken stretches blanked out: offsets are those of the typed line. */
  get rest(): string {
    return this.free;
  }

  text(from: number, to: number): string {
    return this.typed.slice(from, to);
  }

  /** Nothing but taken stretches and punctuation on at least one side: at the edge a bare date means something. */
  isAtEdge(from: number, to: number): boolean {
    const empty = (part: string) => !/[\p{L}\p{N}]/u.test(part);
    return empty(this.free.slice(0, from)) || empty(this.free.slice(to));
  }
}

/** Not in the middle of a word, before and behind. */
export const WORD = { before: '(?<![\\p{L}\\p{N}_@#/.-])', after: '(?![\\p{L}\\p{N}_])' };
const compiled = new Map<string, RegExp>();

/** The pattern of whole words, compiled once. */
export function pattern(source: string): RegExp {
  const known = compiled.get(source);
  if (known) return known;
  const made = new RegExp(`${WORD.before}(?:${source})${WORD.after}`, 'giu');
  if (compiled.size > 500) compiled.clear();
  compiled.set(source, made);
  return made;
}

export type Recogniser = (line: Line) => Span[];
