import { byAdded, isPlain } from '../model/attachment.ts';
import type { Attachment } from '../model/attachment-schema.ts';
import type { Series } from '../model/series.ts';
import type { Deciding } from './deciding.ts';

/** The same file with several items: with copies, and with those of a chore that are to come. */

/** What is simply with an item goes along where it is copied: the same bytes, kept once. */
export function copyAttachments(fromId: string, toId: string, d: Deciding, authorId = d.actor.id): void {
  for (const file of d.by('attachment', 'itemId', fromId).sort(byAdded))
    if (file.removedAt === null && file.arrivedAt !== null && isPlain(file)) insertCopy(file, toId, d.newId(), authorId, d);
}

/** The same bytes with another item. */
export function insertCopy(file: Attachment, itemId: string, id: string, authorId: string, d: Deciding): void {
  const { name, url, size, mediaType, sha256, width, height, arrivedAt } = file;
  d.insert('attachment', id, {
    name,
    url,
    size,
    mediaType,
    sha256,
    width,
    height,
    arrivedAt,
    itemId,
    partId: null,
    commentId: null,
    authorId,
    at: d.now,
    removedAt: null,
  });
}

/** The chores a file of this item goes along with: the one it is of, and what went on from it. */
export function choresWith(fileId: string, itemId: string, d: Deciding): Series[] {
  if ((d.find('item', itemId)?.seriesId ?? null) === null) return [];
  // a row from before there were any has none
  return d.all('series').filter(({ fileIds }) => (fileIds ?? []).includes(fileId));
}
