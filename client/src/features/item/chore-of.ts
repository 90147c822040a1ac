import type { Item, MemoryRows, Series } from '@kotiva/core';

/** The chore an item is an occurrence of, where it is seen from here. */
export function choreOf(item: Item, rows: MemoryRows): Series | null {
  const held = item.seriesId === null ? null : rows.get('series', item.seriesId);
  return held === null || typeof held === 'string' ? null : held;
}
