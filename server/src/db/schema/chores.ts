import { index, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { flag, json, shared, nature } from './columns.ts';
import { list } from './lists.ts';

// What comes back by itself.

export const series = sqliteTable(
  'series',
  {
    ...shared(),
    listId: text().references(() => list.id),
    sectionId: text(),
    makerId: text().notNull(),
    title: text().notNull(),
    ...nature(),
    steps: json(),
    fileIds: json().default([]),
    templateId: text(),
    filling: text({ mode: 'json' }),
    alarms: json(),
    rrule: text(),
    afterDone: text(),
    dtstart: text().notNull(),
    offDay: text().notNull(),
    missed: text().notNull(),
    whenDone: flag(),
    turn: text().notNull(),
    personIds: json(),
    followsId: text(),
    endsBefore: text(),
    createdAt: text().notNull(),
  },
  (t) => [index('series_seq_ix').on(t.houseId, t.seq), index('series_list_ix').on(t.listId)],
);

export const override = sqliteTable(
  'override',
  {
    ...shared(),
    seriesId: text()
      .notNull()
      .references(() => series.id),
    recurrenceId: text().notNull(),
    at: text(),
    skipped: flag(),
    personId: text(),
    countsFor: text(),
  },
  (t) => [index('override_seq_ix').on(t.houseId, t.seq), index('override_series_ix').on(t.seriesId)],
);
