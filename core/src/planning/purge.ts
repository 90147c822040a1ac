import type { Item } from '../model/item.ts';
import { YES } from '../model/nouns.ts';
import { epochOf, instantOf } from '../time/clock.ts';
import { earliestFirst } from '../time/earliest-first.ts';

/** So long what was removed can be brought back. */
export const KEPT_DAYS = 30;

/** When a removed item is gone for good, or null: it is not removed, or gone already. */
export const purgedOn = ({ removedAt, purgedAt, missedAt }: Pick<Item, 'removedAt' | 'purgedAt' | 'missedAt'>): string | null =>
  // one of a chore that was missed is history
  removedAt === null || purgedAt !== null || missedAt !== null ? null : instantOf(epochOf(removedAt) + KEPT_DAYS * 86_400_000);

/** The items to go, the next first. */
export function purgesAhead(rows: { by(noun: 'item', index: 'removed', value: string): Item[] }): { itemId: string; at: string }[] {
  const found = rows.by('item', 'removed', YES).flatMap((item) => {
    const at = purgedOn(item);
    return at === null ? [] : [{ itemId: item.id, at }];
  });
  return earliestFirst(found, ({ itemId }) => itemId);
}
