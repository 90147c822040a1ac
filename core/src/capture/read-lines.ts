import { DEEPEST } from '../reader/tree.ts';

/** One of several pasted lines, with what stands under it. */
export interface PastedLine {
  text: string;
  ticked: boolean;
  steps: PastedLine[];
}

const BOX = /^(?:[-*•–]\s*)?(?:\[( |x|X|✓)?\]|([☐☑☒✓✔]))\s*/u;
const BULLET = /^(?:[-*•–▪◦‣]|\d{1,3}[.)]|[a-z][.)])(?:\s+|$)/u;

/**
 * Several lines as they come out of a message or a document: boxes, bullets and numbers are stripped, what is indented is a step of
 * the line above, a ticked box stays ticked, empty lines are nothing.
 */
export function readLines(pasted: string): PastedLine[] {
  const top: PastedLine[] = [];
  const path: { indent: number; line: PastedLine }[] = [];
  for (const raw of pasted.split(/\r\n?|\n/)) {
    if (raw.trim() === '') continue;
    const indent = widthOf(/^\s*/.exec(raw)![0]);
    const line = stripped(raw.trim());
    if (line.text === '') continue;
    // what is indented further than steps may lie stands beside the deepest
    while (path.length > 0 && (path.at(-1)!.indent >= indent || path.length > DEEPEST)) path.pop();
    (path.at(-1)?.line.steps ?? top).push(line);
    path.push({ indent, line });
  }
  return top;
}

function stripped(text: string): PastedLine {
  const box = BOX.exec(text);
  if (box) return { text: text.slice(box[0].length).trim(), ticked: /[xX✓]/.test(box[1] ?? '') || /[☑☒✓✔]/u.test(box[2] ?? ''), steps: [] };
  return { text: text.replace(BULLET, '').trim(), ticked: false, steps: [] };
}

const widthOf = (indent: string): number => [...indent].reduce((sum, one) => sum + (one === '\t' ? 4 : 1), 0);

/** How many items and steps there are in all. */
export const countOf = (lines: readonly PastedLine[]): number => lines.reduce((sum, line) => sum + 1 + countOf(line.steps), 0);
