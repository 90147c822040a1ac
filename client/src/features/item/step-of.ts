import { partId, type Item, type Reader } from '@kotiva/core';

/** What a step is a step of, as its holder was told who can't see that; null: it is none, or one sees it. */
export function underOf(item: Item, personId: string, rows: Reader): string | null {
  if (item.parentId === null || rows.find('item', item.parentId) !== undefined) return null;
  const part = rows.find('part', partId(item.id, personId));
  return part?.under ?? null;
}
