import { byAdded, isPicture, type Attachment, type Reader } from '@kotiva/core';

/** What is with an item, a project or notes of a talk and was not taken away, oldest first. What came with a remark is with that. */
export const attachmentsOf = (rows: Reader, itemId: string): Attachment[] =>
  rows
    .by('attachment', 'itemId', itemId)
    .filter(({ removedAt, commentId }) => removedAt === null && !commentId)
    .sort(byAdded);

/** The picture an item is known by on a row: the first that has come. */
export const firstPicture = (rows: Reader, itemId: string): Attachment | null =>
  attachmentsOf(rows, itemId).find((one) => one.arrivedAt !== null && isPicture(one)) ?? null;
