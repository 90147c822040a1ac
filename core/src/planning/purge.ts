import type { Item } from '../model/item.ts';
import { epochOf, instantOf } from '../time/clock.ts';

/** So long what was removed can be brought back. */
export const KEPT_DAYS = 30;

/** When a removed item is gone for good, or null: it is not removed, or gone already. */
export const purgedOn = ({ removedAt, purgedAt, missedAt }: Pick<Item, 'removedAt' | 'purgedAt' | 'missedAt'>): string | null =>
  // one of a chore that was missed is history
  removedAt === null || purgedAt !== null || missedAt !== null ? null : instantOf(epochOf(removedAt) + KEPT_DAYS * 86_400_000);

/** The next item to go, or null. */
export function firstPurge(rows: { all(noun: 'item'): Item[] }): { itemId: string; at: string } | null {
  let first: { itemId: string; removedAt: string } | null = null;
  for (const { id, removedAt, purgedAt, missedAt } of rows.all('item')) {
    if (removedAt === null || purgedAt !== null || missedAt !== null) continue;
    if (first === null || removedAt < first.removedAt || (removedAt === first.removedAt && id < first.itemId)) first = { itemId: id, removedAt };
  }
  return first && { itemId: first.itemId, at: purgedOn({ removedAt: first.removedAt, purgedAt: null, missedAt: null })! };
}
