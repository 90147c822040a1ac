import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { flag, json, shared } from './columns.ts';

// Where things stand: lists and what they are looked at and found by.

export const bundle = sqliteTable(
  'bundle',
  {
    ...shared(),
    ownerId: text().notNull(),
    name: text().notNull(),
    purpose: text().notNull().default(''),
    colour: text().notNull().default('graphite'),
    icon: text().notNull().default('package'),
    position: text().notNull(),
    removedAt: text(),
  },
  (t) => [index('bundle_seq_ix').on(t.houseId, t.seq)],
);

export const list = sqliteTable(
  'list',
  {
    ...shared(),
    ownerId: text().notNull(),
    bundleId: text().references(() => bundle.id),
    name: text().notNull(),
    purpose: text().notNull(),
    colour: text().notNull(),
    icon: text().notNull(),
    kind: text().notNull(),
    stages: json().default([]),
    position: text().notNull(),
    filedAt: text(),
    clearedAt: text(),
    removedAt: text(),
  },
  (t) => [index('list_seq_ix').on(t.houseId, t.seq), index('list_bundle_ix').on(t.bundleId)],
);

export const section = sqliteTable(
  'section',
  {
    ...shared(),
    listId: text()
      .notNull()
      .references(() => list.id),
    name: text().notNull(),
    position: text().notNull(),
    removedAt: text(),
  },
  (t) => [index('section_seq_ix').on(t.houseId, t.seq), index('section_list_ix').on(t.listId)],
);

export const share = sqliteTable(
  'share',
  {
    ...shared(),
    listId: text()
      .notNull()
      .references(() => list.id),
    personId: text().notNull(),
    access: text(),
  },
  (t) => [index('share_seq_ix').on(t.houseId, t.seq), index('share_list_ix').on(t.listId)],
);

export const listWatch = sqliteTable(
  'listWatch',
  { ...shared(), listId: text().notNull(), personId: text().notNull(), on: flag(), topics: json(), byId: text() },
  (t) => [index('list_watch_seq_ix').on(t.houseId, t.seq), index('list_watch_list_ix').on(t.listId)],
);

export const tag = sqliteTable(
  'tag',
  { ...shared(), makerId: text().notNull(), name: text().notNull(), colour: text().notNull(), parentId: text(), removedAt: text() },
  (t) => [index('tag_seq_ix').on(t.houseId, t.seq)],
);

export const situation = sqliteTable('situation', { ...shared(), name: text().notNull(), kind: text().notNull(), removedAt: text() }, (t) => [
  index('situation_seq_ix').on(t.houseId, t.seq),
]);

export const savedView = sqliteTable(
  'savedView',
  {
    ...shared(),
    ownerId: text().notNull(),
    name: text().notNull(),
    filter: json(),
    isShared: integer({ mode: 'boolean' }).notNull(),
    group: text().notNull(),
    sort: text().notNull(),
    layout: text().notNull().default('rows'),
    boardBy: text().notNull().default('person'),
    position: text().notNull(),
    removedAt: text(),
  },
  (t) => [index('saved_view_seq_ix').on(t.houseId, t.seq)],
);
