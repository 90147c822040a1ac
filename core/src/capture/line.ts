const TAKEN = '\u0000';
/** Stands for a letter or figure no word of ours has. */
const OTHER = '\u0001';

/** A line being read: what one recogniser has taken, the next ones no longer see. */
export class TypedLine {
  private free: string;
  /** What is free, with its letters beyond ASCII made one; offsets are the same. */
  private plain: string | undefined;

  constructor(readonly typed: string) {
    this.free = typed;
  }

  /** Every match of a global pattern in what is still free, as it was when it was asked. */
  *matches(pattern: RegExp): Generator<RegExpExecArray> {
    for (const found of this.free.matchAll(new RegExp(pattern, pattern.flags.includes('g') ? pattern.flags : `${pattern.flags}g`)))
      yield found as RegExpExecArray;
  }

  /** Every match of words of ours in what is still free: not in the middle of a word, before and behind, in whatever alphabet it is. */
  words(source: string): Generator<RegExpExecArray> {
    this.plain ??= plainOf(this.free);
    return this.plain.matchAll(wholeWords(source)) as Generator<RegExpExecArray>;
  }

  /** Nobody else reads this stretch. */
  take(from: number, to: number): void {
    this.plain = undefined;
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

/**
 * Which letters and figures there are in all alphabets takes long to make ready for a pattern, and there are many patterns: so it is asked
 * once for the line, and the patterns know ASCII.
 */
const plainOf = (text: string): string => text.replace(/(?!\p{ASCII})[\p{L}\p{N}]/gu, (one) => OTHER.repeat(one.length));

const compiled = new Map<string, RegExp>();

/** The pattern of whole words, compiled once. */
function wholeWords(source: string): RegExp {
  const known = compiled.get(source);
  if (known) return known;
  const made = new RegExp(`(?<![\\w${OTHER}@#/.-])(?:${source})(?![\\w${OTHER}])(?!['’]s(?!\\w))`, 'gi');
  if (compiled.size > 500) compiled.clear();
  compiled.set(source, made);
  return made;
}
