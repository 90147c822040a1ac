import { sql } from 'drizzle-orm';
import { index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { NOT_ENDED } from '../conditions.ts';
import { json, shared } from './columns.ts';

// The house and its people: who they are, how they like it, when they are there.

export const house = sqliteTable(
  'house',
  {
    ...shared(),
    name: text().notNull(),
    zone: text().notNull(),
    dayParts: json(),
    createdOn: text().notNull(),
    createdAt: text().notNull(),
    hintsListId: text(),
    pace: text().notNull().default('usual'),
    region: text(),
    holidays: text({ mode: 'json' }),
    daysOff: json().default(sql`'[]'`),
  },
  (t) => [index('house_seq_ix').on(t.houseId, t.seq)],
);

export const person = sqliteTable(
  'person',
  {
    ...shared(),
    accountId: text(),
    name: text().notNull(),
    mark: text().notNull(),
    colour: text().notNull(),
    pattern: text().notNull(),
    role: text().notNull(),
    /** Contact facts. */
    email: text(),
    phone: text(),
    contact: text().notNull().default(''),
    rest: text({ mode: 'json' })
      .notNull()
      .default(sql`'{"hours":{"from":"21:00","to":"07:00"},"daysOff":[]}'`),
    joinedAt: text().notNull(),
    endedAt: text(),
  },
  (t) => [index('person_seq_ix').on(t.houseId, t.seq), uniqueIndex('person_account_ix').on(t.accountId, t.houseId)],
);

export const invitation = sqliteTable(
  'invitation',
  {
    ...shared(),
    makerId: text().notNull(),
    role: text().notNull(),
    lists: json(),
    uses: text().notNull(),
    token: text().notNull(),
    madeAt: text().notNull(),
    expiresAt: text().notNull(),
    withdrawnAt: text(),
    joined: json(),
  },
  (t) => [index('invitation_seq_ix').on(t.houseId, t.seq), uniqueIndex('invitation_token_ix').on(t.token)],
);

export const guest = sqliteTable(
  'guest',
  { ...shared(), itemId: text().notNull(), personId: text().notNull(), byId: text().notNull(), since: text().notNull(), endedAt: text() },
  (t) => [index('guest_seq_ix').on(t.houseId, t.seq), index('guest_item_ix').on(t.itemId), index('guest_person_ix').on(t.personId)],
);

export const peopleGroup = sqliteTable(
  'peopleGroup',
  { ...shared(), name: text().notNull(), personIds: json(), createdAt: text().notNull(), removedAt: text() },
  (t) => [index('people_group_seq_ix').on(t.houseId, t.seq)],
);

export const capacity = sqliteTable('capacity', { ...shared(), personId: text().notNull(), minutes: json() }, (t) => [
  index('capacity_seq_ix').on(t.houseId, t.seq),
  index('capacity_person_ix').on(t.personId),
]);

export const timeAway = sqliteTable(
  'timeAway',
  { ...shared(), personId: text().notNull(), from: text().notNull(), to: text().notNull(), standInId: text(), removedAt: text() },
  (t) => [index('time_away_seq_ix').on(t.houseId, t.seq), index('time_away_person_ix').on(t.personId), index('time_away_stand_in_ix').on(t.standInId)],
);

export const preferences = sqliteTable(
  'preferences',
  { ...shared(), personId: text().notNull(), accent: text(), backdrop: text(), review: text({ mode: 'json' }) },
  (t) => [index('preferences_seq_ix').on(t.houseId, t.seq), index('preferences_person_ix').on(t.personId)],
);

export const noticeChoices = sqliteTable(
  'noticeChoices',
  { ...shared(), personId: text().notNull(), bell: text({ mode: 'json' }), push: json(), mail: json(), lastCall: text(), calledOn: text() },
  (t) => [index('notice_choices_seq_ix').on(t.houseId, t.seq), index('notice_choices_person_ix').on(t.personId)],
);

export const arrangement = sqliteTable(
  'arrangement',
  {
    ...shared(),
    personId: text().notNull(),
    view: text().notNull(),
    group: text().notNull(),
    sort: text().notNull(),
    detail: text().notNull(),
    cap: integer(),
    isOnToday: integer({ mode: 'boolean' }).notNull().default(false),
    isHidden: integer({ mode: 'boolean' }).notNull().default(false),
    pinLimit: integer().notNull().default(7),
    isDescending: integer({ mode: 'boolean' }).notNull().default(false),
    layout: text().notNull().default('rows'),
    phoneLayout: text().notNull().default('rows'),
    boardBy: text().notNull().default('person'),
    columns: text({ mode: 'json' }),
    titleWidth: integer().notNull().default(320),
  },
  (t) => [index('arrangement_seq_ix').on(t.houseId, t.seq), index('arrangement_person_ix').on(t.personId)],
);

export const stretch = sqliteTable(
  'stretch',
  { ...shared(), personId: text().notNull(), beganAt: text().notNull(), minutes: integer().notNull(), endedAt: text() },
  (t) => [
    index('stretch_seq_ix').on(t.houseId, t.seq),
    index('stretch_person_ix').on(t.personId),
    index('stretch_open_ix').on(t.houseId).where(sql.raw(NOT_ENDED)),
  ],
);
