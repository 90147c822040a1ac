import type { Wanted } from './wanted-schema.ts';

export type { Wanted } from './wanted-schema.ts';

/** What was answered, as it is kept: a number as JavaScript writes it. */
export const MOST_ANSWER = 200;

/**
 * An answer as it is kept, or null where it is none: a number may be written with a comma, and with spaces or thin spaces between its
 * thousands. A number lies between −10¹² and 10¹².
 */
export function answerOf({ kind }: Pick<Wanted, 'kind'>, typed: string): string | null {
  const text = typed.trim().slice(0, MOST_ANSWER);
  if (text === '') return null;
  if (kind !== 'number') return text;
  const plain = text
    .replace(/[\s\u00a0\u202f]/g, '')
    .replace(',', '.')
    .replace('\u2212', '-');
  if (!/^[+-]?\d{1,12}(?:\.\d{1,6})?$/.test(plain)) return null;
  return String(Number(plain));
}
