import { byAdded, isPicture, type Attachment, type MemoryRows } from '@kotiva/core';

/** What is with an item, a project or notes of a talk and was not taken away, oldest first. What came with a remark is with that. */
export const attachmentsOf = (rows: MemoryRows, itemId: string): Attachment[] =>
  rows
    .by('attachment', 'itemId', itemId)
    .filter(({ removedAt, commentId }) => removedAt === null && !commentId)
    .sort(byAdded);

/** The picture an item is known by on a row: the first that has come. */
export const firstPicture = (rows: MemoryRows, itemId: string): Attachment | null =>
  attachmentsOf(rows, itemId).find((one) => one.arrivedAt !== null && isPicture(one)) ?? null;
