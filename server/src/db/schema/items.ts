import { isNotNull, sql } from 'drizzle-orm';
import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { CAN_BE_BROUGHT_BACK, IN_HAND, NOT_ENDED, NUDGED, OWN_PILE, TAGGED } from '../conditions.ts';
import { series } from './chores.ts';
import { flag, json, shared, nature } from './columns.ts';
import { list } from './lists.ts';

// What is to be done, by whom, and what hangs on it.

export const item = sqliteTable(
  'item',
  {
    ...shared(),
    listId: text().references(() => list.id),
    sectionId: text(),
    parentId: text(),
    makerId: text().notNull(),
    title: text().notNull(),
    ...nature(),
    due: text(),
    start: text(),
    seriesId: text().references(() => series.id),
    recurrenceId: text(),
    turn: text({ mode: 'json' }),
    missedAt: text(),
    position: text().notNull(),
    stageId: text(),
    noteId: text(),
    createdAt: text().notNull(),
    removedAt: text(),
    purgedAt: text(),
  },
  (t) => [
    index('item_seq_ix').on(t.houseId, t.seq),
    index('item_list_ix').on(t.listId, t.seq),
    index('item_parent_ix').on(t.parentId),
    index('item_series_ix').on(t.seriesId, t.seq),
    index('item_pile_ix').on(t.houseId, t.makerId).where(sql.raw(OWN_PILE)),
    index('item_removed_ix').on(t.houseId).where(sql.raw(CAN_BE_BROUGHT_BACK)),
    index('item_tagged_ix').on(t.houseId).where(sql.raw(TAGGED)),
  ],
);

export const part = sqliteTable(
  'part',
  {
    ...shared(),
    itemId: text()
      .notNull()
      .references(() => item.id),
    personId: text(),
    standing: text().notNull(),
    percent: real().notNull(),
    seenAt: text(),
    completedAt: text(),
    arrivedAt: text(),
    completedBy: text(),
    stood: text({ mode: 'json' }),
    answer: text(),
    tiedAt: text(),
    message: text().notNull(),
    under: text(),
    giverId: text(),
    originId: text(),
    givenAt: text(),
    passedTo: text(),
    excusedAt: text(),
    takenBackAt: text(),
    lastSignAt: text(),
    nudgedAt: text(),
    nudgedByHandAt: text(),
    unanswered: integer().notNull(),
    putAwayAt: text(),
    plan: text(),
    planGiverId: text(),
    shelvedAt: text(),
    pulledInto: text(),
    takenOff: text(),
    askAgain: text(),
    ownOrder: text(),
  },
  (t) => [
    index('part_seq_ix').on(t.houseId, t.seq),
    index('part_item_ix').on(t.itemId),
    // what is open is found without walking over everything that was ever done
    index('part_person_ix').on(t.personId),
    index('part_open_ix').on(t.houseId).where(sql.raw(IN_HAND)),
    index('part_nudged_ix').on(t.houseId).where(sql.raw(NUDGED)),
    index('part_completed_ix').on(t.houseId, t.completedAt).where(isNotNull(t.completedAt)),
  ],
);

export const wait = sqliteTable(
  'wait',
  {
    ...shared(),
    itemId: text()
      .notNull()
      .references(() => item.id),
    makerId: text().notNull(),
    personId: text(),
    onItemId: text(),
    words: text().notNull(),
    askOn: text(),
    toldOn: text(),
    since: text().notNull(),
    endedAt: text(),
    isFollowed: flag().default(false),
  },
  (t) => [
    index('wait_seq_ix').on(t.houseId, t.seq),
    index('wait_item_ix').on(t.itemId),
    index('wait_on_ix').on(t.onItemId),
    index('wait_open_ix').on(t.houseId).where(sql.raw(NOT_ENDED)),
  ],
);

export const alarm = sqliteTable(
  'alarm',
  {
    ...shared(),
    itemId: text()
      .notNull()
      .references(() => item.id),
    personId: text().notNull(),
    makerId: text().notNull(),
    trigger: json(),
    armedAt: text().notNull(),
    rungFor: text(),
    rungById: text(),
    snoozedUntil: text(),
    removedAt: text(),
  },
  (t) => [index('alarm_seq_ix').on(t.houseId, t.seq), index('alarm_item_ix').on(t.itemId)],
);

export const watch = sqliteTable(
  'watch',
  {
    ...shared(),
    itemId: text().notNull(),
    personId: text().notNull(),
    on: flag(),
    each: flag().default(false),
    topics: json().default(['done', 'answers', 'changes', 'said']),
    byId: text(),
  },
  (t) => [index('watch_seq_ix').on(t.houseId, t.seq), index('watch_item_ix').on(t.itemId)],
);

export const pin = sqliteTable('pin', { ...shared(), personId: text().notNull(), itemId: text().notNull(), at: text().notNull(), endedAt: text() }, (t) => [
  index('pin_seq_ix').on(t.houseId, t.seq),
  index('pin_person_ix').on(t.personId),
]);

export const slot = sqliteTable(
  'slot',
  { ...shared(), personId: text().notNull(), itemIds: json(), start: text().notNull(), minutes: integer().notNull(), removedAt: text() },
  (t) => [index('slot_seq_ix').on(t.houseId, t.seq), index('slot_person_ix').on(t.personId)],
);

export const ownField = sqliteTable(
  'ownField',
  {
    ...shared(),
    listId: text(),
    name: text().notNull(),
    kind: text().notNull(),
    unit: text().notNull(),
    options: json(),
    position: text().notNull(),
    createdAt: text().notNull(),
    removedAt: text(),
  },
  (t) => [index('ownField_seq_ix').on(t.houseId, t.seq), index('ownField_list_ix').on(t.listId)],
);

export const fieldValue = sqliteTable(
  'fieldValue',
  { ...shared(), itemId: text().notNull(), fieldId: text().notNull(), kind: text().notNull(), value: text({ mode: 'json' }), isCleared: flag() },
  (t) => [index('fieldValue_seq_ix').on(t.houseId, t.seq), index('fieldValue_item_ix').on(t.itemId), index('fieldValue_field_ix').on(t.fieldId)],
);
