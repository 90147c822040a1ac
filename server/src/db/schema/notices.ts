import { isNotNull, sql } from 'drizzle-orm';
import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { UNREAD } from '../conditions.ts';
import { device } from './accounts.ts';
import { json, shared } from './columns.ts';

// What people hear of, and how it reaches them.

export const notice = sqliteTable(
  'notice',
  {
    ...shared(),
    personId: text().notNull(),
    itemId: text(),
    kind: text().notNull(),
    byId: text(),
    at: text().notNull(),
    params: json(),
    readAt: text(),
    withdrawnAt: text(),
  },
  (t) => [
    index('notice_seq_ix').on(t.houseId, t.seq),
    index('notice_person_ix').on(t.personId),
    index('notice_unread_ix').on(t.personId, t.seq).where(sql.raw(UNREAD)),
  ],
);

export const activity = sqliteTable(
  'activity',
  {
    ...shared(),
    itemId: text(),
    listId: text(),
    actorId: text(),
    kind: text().notNull(),
    params: json(),
    at: text().notNull(),
    arrivedAt: text().notNull(),
  },
  (t) => [
    index('activity_seq_ix').on(t.houseId, t.seq),
    index('activity_item_ix').on(t.itemId).where(isNotNull(t.itemId)),
    index('activity_list_ix').on(t.listId).where(isNotNull(t.listId)),
  ],
);

/** A browser that takes device notifications (Push API). It goes with its sign-in. */
export const pushSubscription = sqliteTable(
  'pushSubscription',
  {
    id: text().primaryKey(),
    deviceId: text()
      .notNull()
      .references(() => device.id, { onDelete: 'cascade' }),
    accountId: text().notNull(),
    endpoint: text().notNull().unique(),
    p256dh: text().notNull(),
    auth: text().notNull(),
    createdAt: text().notNull(),
  },
  (t) => [index('push_account_ix').on(t.accountId)],
);

/** A notice on its way to one device or address: written with the notice itself, gone through until it is out. */
export const delivery = sqliteTable(
  'delivery',
  {
    /** Follows from the notice and where it goes: the same one never leaves twice. */
    id: text().primaryKey(),
    houseId: text().notNull(),
    noticeId: text().notNull(),
    personId: text().notNull(),
    channel: text().notNull(),
    /** The subscription of a device; empty for mail. */
    target: text().notNull(),
    state: text().notNull(),
    attempts: integer().notNull(),
    /** Domain time: not before. */
    nextAt: text().notNull(),
    firstTriedAt: text(),
    /** Why it did not go out the last time. */
    why: text(),
    reportedAt: text(),
    settledAt: text(),
  },
  (t) => [index('delivery_due_ix').on(t.state, t.nextAt)],
);

/** Somebody without an account who wants no more mail from this house. */
export const mailStop = sqliteTable('mailStop', { houseId: text().notNull(), personId: text().notNull(), at: text().notNull() }, (t) => [
  primaryKey({ columns: [t.houseId, t.personId] }),
]);
