import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';

// Accounts, and everything that lets somebody or something in.

export const account = sqliteTable('account', {
  id: text().primaryKey(),
  email: text().notNull().unique(),
  name: text().notNull(),
  passwordHash: text().notNull(),
  theme: text().notNull(),
  createdAt: text().notNull(),
});

/** A signed-in browser. The cookie's secret is kept as its SHA-256 only. */
export const device = sqliteTable(
  'device',
  {
    id: text().primaryKey(),
    secretHash: text().notNull().unique(),
    accountId: text()
      .notNull()
      .references(() => account.id),
    label: text().notNull(),
    createdAt: text().notNull(),
    lastSeenAt: text().notNull(),
  },
  (t) => [index('device_account_ix').on(t.accountId)],
);

/** A browser somebody has signed in on before: guesses made elsewhere do not slow it down. Kept as its SHA-256 only; it outlives signing out. */
export const knownDevice = sqliteTable('knownDevice', { accountId: text().notNull(), secretHash: text().notNull(), usedAt: text().notNull() }, (t) => [
  primaryKey({ columns: [t.accountId, t.secretHash] }),
]);

/** A key to add things as its person from elsewhere. Kept as its SHA-256 only. */
export const captureToken = sqliteTable(
  'captureToken',
  {
    id: text().primaryKey(),
    secretHash: text().notNull().unique(),
    accountId: text()
      .notNull()
      .references(() => account.id),
    houseId: text().notNull(),
    name: text().notNull(),
    createdAt: text().notNull(),
    lastUsedAt: text(),
  },
  (t) => [index('capture_token_account_ix').on(t.accountId)],
);

/** The links of people without an account that are or were good. */
export const outsideLink = sqliteTable(
  'outsideLink',
  { id: text().primaryKey(), houseId: text().notNull(), personId: text().notNull(), createdAt: text().notNull(), usedAt: text(), withdrawnAt: text() },
  (t) => [index('outside_link_person_ix').on(t.personId)],
);

/** Mail to a capture address that nobody vouches for: its owner takes it or throws it away. */
export const heldMail = sqliteTable(
  'heldMail',
  {
    /** Follows from the mail's own id: the same one is held once. */
    id: text().primaryKey(),
    houseId: text().notNull(),
    personId: text().notNull(),
    sender: text().notNull(),
    /** Where it came from: the network of the server that delivered it. */
    path: text().notNull(),
    title: text().notNull(),
    notes: text().notNull(),
    /** Of the files that came with it, those that are kept: bytes each. */
    files: text({ mode: 'json' }).$type<{ name: string; size: number }[]>().notNull().default([]),
    /** How many of them were too large, or too many. */
    filesLeft: integer().notNull().default(0),
    at: text().notNull(),
  },
  (t) => [index('held_mail_person_ix').on(t.personId, t.at)],
);

/** A sender and the way their mail came, that the owner of a capture address has taken before. */
export const mailPath = sqliteTable('mailPath', { personId: text().notNull(), sender: text().notNull(), path: text().notNull(), at: text().notNull() }, (t) => [
  primaryKey({ columns: [t.personId, t.sender, t.path] }),
]);
