import { isNotNull } from 'drizzle-orm';
import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { flag, json, shared } from './columns.ts';

// What two people mean to talk about, and their notes of it.

export const matter = sqliteTable(
  'matter',
  {
    ...shared(),
    makerId: text().notNull(),
    personId: text().notNull(),
    itemId: text(),
    words: text().notNull(),
    shared: flag(),
    at: text().notNull(),
    settledAt: text(),
    noteId: text(),
    removedAt: text(),
  },
  (t) => [
    index('matter_seq_ix').on(t.houseId, t.seq),
    index('matter_person_ix').on(t.personId),
    index('matter_item_ix').on(t.itemId).where(isNotNull(t.itemId)),
  ],
);

export const talk = sqliteTable(
  'talk',
  { ...shared(), makerId: text().notNull(), personId: text().notNull(), weekday: integer().notNull(), time: text().notNull(), endedAt: text() },
  (t) => [index('talk_seq_ix').on(t.houseId, t.seq), index('talk_person_ix').on(t.personId)],
);

export const meetingNote = sqliteTable(
  'meetingNote',
  { ...shared(), makerId: text().notNull(), personIds: json(), date: text().notNull(), text: text().notNull(), shared: flag(), removedAt: text() },
  (t) => [index('meeting_note_seq_ix').on(t.houseId, t.seq)],
);
