import { v5 } from 'uuid';
import type { Pin } from './pin-schema.ts';

export type { Pin } from './pin-schema.ts';

/** So many things stand on top at most, unless somebody chose another number: with more of them nothing stands out. */
export const USUAL_PIN_LIMIT = 7;

/** One for each person and item. */
export const pinId = (itemId: string, personId: string): string => v5(`pin:${itemId}`, personId);

/** What somebody keeps on top, the first kept first. */
export const pinnedBy = (personId: string, rows: { by(noun: 'pin', index: 'personId', value: string): readonly Pin[] }): string[] =>
  rows
    .by('pin', 'personId', personId)
    .filter(({ endedAt }) => endedAt === null)
    .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : 1))
    .map(({ itemId }) => itemId);
