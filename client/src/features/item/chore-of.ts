import type { Item, Reader, Series } from '@kotiva/core';

/** The chore an item is an occurrence of, where it is seen from here. */
export function choreOf(item: Item, rows: Reader): Series | null {
  return (item.seriesId === null ? null : rows.find('series', item.seriesId)) ?? null;
}
