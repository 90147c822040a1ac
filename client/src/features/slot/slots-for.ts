import type { Reader, Slot } from '@kotiva/core';

/** The time somebody has booked for an item, the earliest first. */
export const slotsFor = (itemId: string, personId: string, rows: Reader): Slot[] =>
  rows
    .by('slot', 'personId', personId)
    .filter((slot) => slot.removedAt === null && slot.itemIds.includes(itemId))
    .sort((a, b) => (a.start < b.start ? -1 : 1));
