import { integer, text } from 'drizzle-orm/sqlite-core';

// What columns of several tables have in common.

export const flag = () => integer({ mode: 'boolean' }).notNull();

export const json = () => text({ mode: 'json' }).notNull();

/** What every shared row carries: its house, the sequence number that last changed it, and who wrote which field last. */
export const shared = () => ({
  id: text().primaryKey(),
  houseId: text().notNull(),
  seq: integer().notNull(),
  stamps: json(),
});

/** What an item, a chore and an item of a template say alike of what is to be done. */
export const nature = () => ({
  notes: text().notNull(),
  importance: integer().notNull(),
  effort: integer(),
  energy: text(),
  dayPart: text(),
  tagIds: json(),
  situationIds: json(),
  wanted: text({ mode: 'json' }),
  placeId: text(),
  policy: text().notNull(),
  confirm: flag(),
  pace: text(),
});
