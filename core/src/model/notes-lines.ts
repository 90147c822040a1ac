import { TITLE_MAX } from './row.ts';

/** Steps lie so deep below each other, at most: an item may itself be a step. */
const MOST_LEVELS = 10;

/** A step as a line says it: what it is, whether it is done, what stands with it, and the steps under it. */
export interface LineStep {
  title: string;
  done: boolean;
  notes: string;
  steps: LineStep[];
}

/** A line that can be a step, by its place in the text; blank lines and the bars of a table are none. */
export interface NoteLine {
  /** From 0. */
  at: number;
  /** Without the sign that makes it a line of a list. */
  words: string;
  /** Spaces before it; a tab counts for four. */
  indent: number;
  done: boolean;
  /** `item`: of a list. `more`: below one, further in and without a sign, so it belongs to that one. `heading`: over others. */
  kind: 'item' | 'text' | 'more' | 'heading';
}

const SIGN = /^(?:[-*+]|\d{1,9}[.)])\s/;
const BOX = /^\[[ xX]\]\s/;
const HEADING = /^#{1,6}\s/;

/** The parts of a line: how far in it is, the sign of a list, its box, and what it says. */
function partsOf(line: string): { indent: number; sign: boolean; box: string; words: string } {
  const text = line.trimStart();
  const indent = line.slice(0, line.length - text.length).replaceAll('\t', '    ').length;
  const sign = SIGN.exec(text)?.[0] ?? '';
  const said = text.slice(sign.length).trimStart();
  const box = sign === '' ? '' : (BOX.exec(said)?.[0] ?? '');
  return { indent, sign: sign !== '', box, words: said.slice(box.length).trim() };
}

/** The lines of a text that say something. */
export function noteLines(text: string): NoteLine[] {
  const lines: NoteLine[] = [];
  let below: number | null = null;
  for (const [at, line] of text.split(/\r?\n/).entries()) {
    const { indent, sign, box, words } = partsOf(line);
    if (/^[-|:\s]*$/.test(words)) continue;
    const heading = !sign && HEADING.test(words);
    const isMore = !sign && !heading && below !== null && indent > below;
    if (sign) below = indent;
    else if (!isMore) below = null;
    const kind = heading ? 'heading' : sign ? 'item' : isMore ? 'more' : 'text';
    lines.push({ at, words: heading ? words.replace(/^#+\s/, '').trim() : words, indent, done: /x/i.test(box), kind });
  }
  return lines;
}

/** The steps these lines of a text make: what is further in lies under what stands above it. */
export function stepsOfLines(lines: readonly NoteLine[]): LineStep[] {
  const top: LineStep[] = [];
  const open: { step: LineStep; indent: number }[] = [];
  for (const { words, indent, done, kind } of lines) {
    const last = open.at(-1);
    if (kind === 'more' && last) {
      last.step.notes = last.step.notes === '' ? words : `${last.step.notes}\n${words}`;
      continue;
    }
    // what is further in than that stands beside the deepest
    while (open.length > 0 && (open.at(-1)!.indent >= indent || open.length >= MOST_LEVELS)) open.pop();
    const step: LineStep = { ...cut(words), done, steps: [] };
    (open.at(-1)?.step.steps ?? top).push(step);
    open.push({ step, indent });
  }
  return top;
}

/** A line may be longer than what a thing is called: the rest of it stands with it. */
function cut(words: string): Pick<LineStep, 'title' | 'notes'> {
  if (words.length <= TITLE_MAX) return { title: words, notes: '' };
  const space = words.lastIndexOf(' ', TITLE_MAX - 1);
  const at = space > 0 ? space : TITLE_MAX;
  return { title: words.slice(0, at), notes: words.slice(at).trim() };
}

/** Steps as lines: each with its box, what lies under it two spaces further in, what stands with it below it. */
export function linesOfSteps(steps: readonly LineStep[], depth = 0): string[] {
  const space = '  '.repeat(depth);
  return steps.flatMap(({ title, done, notes, steps: below }) => [
    `${space}- [${done ? 'x' : ' '}] ${title}`,
    ...notes.split(/\r?\n/).flatMap((line) => (line.trim() === '' ? [] : [`${space}  ${line.trim()}`])),
    ...linesOfSteps(below, depth + 1),
  ]);
}

/** A text without some of its lines; where two blank ones meet, one goes. */
export function withoutLines(text: string, gone: ReadonlySet<number>): string {
  const kept = text.split(/\r?\n/).filter((_, at) => !gone.has(at));
  return kept
    .filter((line, at) => line.trim() !== '' || (at > 0 && kept[at - 1]!.trim() !== ''))
    .join('\n')
    .trimEnd();
}
