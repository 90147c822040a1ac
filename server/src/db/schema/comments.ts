import { index, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { shared } from './columns.ts';

export const comment = sqliteTable(
  'comment',
  {
    ...shared(),
    itemId: text().notNull(),
    partId: text(),
    authorId: text().notNull(),
    text: text().notNull(),
    kind: text().notNull(),
    audience: text().notNull(),
    answersId: text(),
    mentions: text({ mode: 'json' }).notNull().default([]),
    at: text().notNull(),
    correctedAt: text(),
    removedAt: text(),
  },
  (t) => [index('comment_seq_ix').on(t.houseId, t.seq), index('comment_item_ix').on(t.itemId)],
);
