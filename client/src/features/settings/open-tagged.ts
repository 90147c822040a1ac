import { isDone, type Reader } from '@kotiva/core';

/** How many open items carry a tag. What is done may lie further back than this device holds. */
export const openTagged = (tagId: string, rows: Reader): number =>
  rows.by('item', 'tag', tagId).filter((item) => !item.removedAt && !isDone(item, rows.by('part', 'itemId', item.id))).length;
