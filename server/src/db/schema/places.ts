import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { json, shared } from './columns.ts';

// Places, who is there, and rounds through them.

export const place = sqliteTable(
  'place',
  {
    ...shared(),
    name: text().notNull(),
    makerId: text(),
    position: text({ mode: 'json' }),
    radius: integer().notNull().default(100),
    address: text().notNull().default(''),
    openingHours: text().notNull().default(''),
    seenBy: text({ mode: 'json' }),
    removedAt: text(),
  },
  (t) => [index('place_seq_ix').on(t.houseId, t.seq)],
);

export const visit = sqliteTable('visit', { ...shared(), personId: text().notNull(), placeId: text().notNull(), enteredAt: text(), leftAt: text() }, (t) => [
  index('visit_seq_ix').on(t.houseId, t.seq),
  index('visit_person_ix').on(t.personId),
  index('visit_place_ix').on(t.placeId),
]);

export const errandRound = sqliteTable(
  'errandRound',
  {
    ...shared(),
    makerId: text().notNull(),
    personId: text().notNull(),
    date: text().notNull(),
    means: text().notNull(),
    startId: text(),
    endId: text(),
    stops: json(),
    passed: json(),
    startedAt: text().notNull(),
    endedAt: text(),
  },
  (t) => [index('errand_round_seq_ix').on(t.houseId, t.seq), index('errand_round_person_ix').on(t.personId)],
);
