import { partId, type Item, type MemoryRows } from '@kotiva/core';

/** What a step is a step of, as its holder was told who can't see that; null: it is none, or one sees it. */
export function underOf(item: Item, personId: string, rows: MemoryRows): string | null {
  if (item.parentId === null || typeof rows.get('item', item.parentId) !== 'string') return null;
  const part = rows.get('part', partId(item.id, personId));
  return typeof part === 'string' ? null : (part.under ?? null);
}
