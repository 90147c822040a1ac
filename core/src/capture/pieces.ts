import { trimmedOf } from './folding.ts';
import type { Question, Span } from './span.ts';

export interface ReadLine {
  /** What is left when the chosen stretches are taken out. */
  title: string;
  spans: Span[];
  questions: Question[];
}

/** The line in its stretches, as typed: joined they are the line again. */
export function piecesOf(typed: string, spans: readonly Span[]): { text: string; span: Span | null }[] {
  const pieces: { text: string; span: Span | null }[] = [];
  let at = 0;
  for (const one of spans) {
    if (one.from > at) pieces.push({ text: typed.slice(at, one.from), span: null });
    pieces.push({ text: typed.slice(one.from, one.to), span: one });
    at = one.to;
  }
  if (at < typed.length) pieces.push({ text: typed.slice(at), span: null });
  return pieces;
}

const isBetween = (character: string): boolean => /[\s,;:–-]/.test(character);

/** "Remind me to … tomorrow at 9": the moment is the reminder's. */
export const REMIND_TO = /^\s*(?:please\s+)?remind\s+(?:me|us)\s+(?:to|about|that)\s+/iu;

/** The pieces that are not chosen, tidied: no double spaces, no commas left hanging, a capital where an "ask … to" was taken off. */
export function titleOf(typed: string, spans: readonly Span[]): string {
  const pieces = piecesOf(typed, spans)
    .map(({ text, span }) => (span?.chosen ? ' ' : text))
    .join('')
    .replace(/[\s\0]+/g, ' ')
    .replace(/ ([,;:.])(?=\s|$)/g, '$1')
    .replace(/([,;])(?: ?[,;])+/g, '$1')
    .replace(/\(\s?\)/g, '');
  const isReminder = spans.some(({ kind, chosen }) => chosen && (kind === 'alarm' || kind === 'place-reminder'));
  const trimmed = trimmedOf(pieces, isBetween).trim();
  const left = isReminder ? trimmed.replace(REMIND_TO, '') : trimmed;
  const first = spans[0];
  const tookStart =
    first !== undefined &&
    first.chosen &&
    typed.slice(0, first.from).trim() === '' &&
    /^(?:person|everyone)$/.test(first.kind) &&
    /^[^@:]*\s$|^\s*each\s+of\s/i.test(first.text);
  return tookStart ? left.charAt(0).toUpperCase() + left.slice(1) : left;
}
