import { setting } from '../../server/src/db/schema.ts';
import type { Storage } from '../../server/src/db/open.ts';
import Database from 'libsql';
import { existsSync } from 'node:fs';

const KEY = 'demo';

/** What a database file is to the demo. `own`: somebody's real data, which the demo neither opens to everyone nor throws away. */
export type DemoState = 'empty' | 'filled' | 'cut-off' | 'own';

/** Reads the state of a file without changing it. */
export function demoStateOf(file: string): DemoState {
  if (!existsSync(file)) return 'empty';
  const raw = new Database(file, { readonly: true });
  try {
    const tables = new Set(
      raw
        .prepare("SELECT name FROM sqlite_master WHERE type = 'table'")
        .all()
        .map((row) => (row as { name: string }).name),
    );
    if (!tables.has('account') || !tables.has('setting')) return 'empty';
    const mark = raw.prepare('SELECT value FROM setting WHERE key = ?').get(KEY) as { value: string } | undefined;
    if (mark) return mark.value === 'filled' ? 'filled' : 'cut-off';
    return raw.prepare('SELECT 1 FROM account LIMIT 1').get() ? 'own' : 'empty';
  } finally {
    raw.close();
  }
}

/** Marks the database as the demo's before anything is put into it, and as complete after. */
export function markDemo({ db }: Storage, value: 'filling' | 'filled'): void {
  db.insert(setting).values({ key: KEY, value }).onConflictDoUpdate({ target: setting.key, set: { value } }).run();
}
