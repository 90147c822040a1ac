import type { Rows } from '../reader/finding.ts';
import type { Item } from '../model/item.ts';

/** When somebody last did anything with an item, as far as it is known here; its making counts. */
export function lastTouched(item: Pick<Item, 'id' | 'createdAt'>, rows: Rows): string {
  let last = item.createdAt;
  for (const { actorId, arrivedAt } of rows.by('activity', 'itemId', item.id)) if (actorId !== null && arrivedAt > last) last = arrivedAt;
  return last;
}
