import { index, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { flag, json, shared, nature } from './columns.ts';

// Larger undertakings, and what is made from a template.

export const project = sqliteTable(
  'project',
  {
    ...shared(),
    makerId: text().notNull(),
    name: text().notNull(),
    purpose: text().notNull(),
    colour: text().notNull(),
    icon: text().notNull(),
    answerableId: text(),
    begins: text(),
    ends: text(),
    parentId: text(),
    position: text().notNull(),
    createdAt: text().notNull(),
    finishedAt: text(),
    removedAt: text(),
  },
  (t) => [index('project_seq_ix').on(t.houseId, t.seq)],
);

export const membership = sqliteTable(
  'membership',
  { ...shared(), projectId: text().notNull(), listId: text(), itemId: text(), noteId: text(), byId: text().notNull(), endedAt: text() },
  (t) => [
    index('membership_seq_ix').on(t.houseId, t.seq),
    index('membership_project_ix').on(t.projectId),
    index('membership_list_ix').on(t.listId),
    index('membership_item_ix').on(t.itemId),
  ],
);

export const template = sqliteTable(
  'template',
  {
    ...shared(),
    ownerId: text().notNull(),
    isShared: flag(),
    kind: text().notNull(),
    name: text().notNull(),
    purpose: text().notNull(),
    colour: text().notNull(),
    icon: text().notNull(),
    listKind: text().notNull(),
    anchorName: text().notNull(),
    keptOn: text(),
    sections: json(),
    text: text().notNull().default(''),
    position: text().notNull(),
    createdAt: text().notNull(),
    removedAt: text(),
  },
  (t) => [index('template_seq_ix').on(t.houseId, t.seq)],
);

export const templateItem = sqliteTable(
  'templateItem',
  {
    ...shared(),
    templateId: text().notNull(),
    parentId: text(),
    sectionId: text(),
    title: text().notNull(),
    ...nature(),
    due: text({ mode: 'json' }),
    start: text({ mode: 'json' }),
    holders: json(),
    firstIds: json().default([]),
    position: text().notNull(),
    removedAt: text(),
  },
  (t) => [index('template_item_seq_ix').on(t.houseId, t.seq), index('template_item_template_ix').on(t.templateId)],
);
