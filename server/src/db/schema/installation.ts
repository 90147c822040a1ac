import { sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** Settings of the installation itself, such as the simulated clock. */
export const setting = sqliteTable('setting', { key: text().primaryKey(), value: text().notNull() });
