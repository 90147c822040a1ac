import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { flag, shared } from './columns.ts';

// Attachments, and the bytes behind them.

export const attachment = sqliteTable(
  'attachment',
  {
    ...shared(),
    itemId: text().notNull(),
    commentId: text(),
    partId: text(),
    authorId: text().notNull(),
    name: text().notNull(),
    url: text(),
    size: integer(),
    mediaType: text(),
    sha256: text(),
    width: integer(),
    height: integer(),
    at: text().notNull(),
    arrivedAt: text(),
    removedAt: text(),
  },
  (t) => [index('attachment_seq_ix').on(t.houseId, t.seq), index('attachment_item_ix').on(t.itemId), index('attachment_sha_ix').on(t.sha256)],
);

/** The bytes behind attachments, by what is in them. `isReady`: of a picture every size has been made and the bytes as they came are gone. */
export const keptFile = sqliteTable(
  'kept_file',
  {
    sha256: text().primaryKey(),
    size: integer().notNull(),
    mediaType: text().notNull(),
    width: integer(),
    height: integer(),
    isReady: flag(),
    at: text().notNull(),
  },
  (t) => [index('kept_file_unready_ix').on(t.isReady)],
);

/** A file on its way, under the id of its attachment: the room it will take in its house is spoken for. */
export const upload = sqliteTable('upload', { id: text().primaryKey(), houseId: text().notNull(), size: integer().notNull(), at: text().notNull() }, (t) => [
  index('upload_house_ix').on(t.houseId),
]);
