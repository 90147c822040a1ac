import { sql } from 'drizzle-orm';
import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { json } from './columns.ts';

// Every command, and what the server keeps beside the rows because SQL has to find it.

/** The last sequence number of each house. */
export const sequence = sqliteTable('sequence', { houseId: text().primaryKey(), seq: integer().notNull() });

/** The first sequence number of each day (UTC) on which something happened in a house: where what devices hold begins. */
export const houseDay = sqliteTable('house_day', { houseId: text().notNull(), day: text().notNull(), seq: integer().notNull() }, (t) => [
  primaryKey({ columns: [t.houseId, t.day] }),
]);

/** The items somebody has still to do with: it follows from the rows, and is kept because SQL has to find what devices hold. */
export const living = sqliteTable('living', { houseId: text().notNull(), itemId: text().notNull() }, (t) => [primaryKey({ columns: [t.houseId, t.itemId] })]);

/** When something is due next in a house that stands at `seq`, as this `build` worked it out; null: never. What it is follows from the rows. */
export const houseDue = sqliteTable('house_due', { houseId: text().primaryKey(), seq: integer().notNull(), at: text(), build: text().notNull() });

/** Every command ever decided: answered a second time with its first outcome, and the ground of undo. */
export const command = sqliteTable(
  'command',
  {
    accountId: text().notNull(),
    id: text().notNull(),
    houseId: text().notNull(),
    name: text().notNull(),
    payload: json(),
    actorId: text(),
    seq: integer(),
    changes: json(),
    outcome: json(),
    at: text().notNull(),
  },
  // by id first: whether any account has used it is asked of every command
  (t) => [
    primaryKey({ columns: [t.id, t.accountId] }),
    index('command_visits_ix')
      .on(t.at)
      .where(sql`name IN ('visit.report', 'visit.forget')`),
    // refused: kept for a time only
    index('command_refused_ix')
      .on(t.at)
      .where(sql`seq IS NULL`),
  ],
);

/** Rows that came into or went out of a person's sight at a sequence number, without having changed themselves. */
export const sight = sqliteTable(
  'sight',
  { houseId: text().notNull(), personId: text().notNull(), seq: integer().notNull(), noun: text().notNull(), rowId: text().notNull() },
  (t) => [index('sight_ix').on(t.houseId, t.personId, t.seq)],
);
