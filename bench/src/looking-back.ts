import type { Person } from '@kotiva/core';
import { LivedIn } from '@kotiva/core/testing/lived-in';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openStorage } from '../../server/src/db/open.ts';
import { insertRow, SqliteHouses } from '../../server/src/db/sqlite-houses.ts';
import { deedsFor } from '../../server/src/routes/looking-back.ts';
import { atOnce } from '../../server/src/slices.ts';
import { Ledger } from '../../server/src/sync/apply.ts';
import { report } from './report.ts';
import { ROOT } from './server.ts';

const NOW = '2026-11-24T12:00:00.000Z';
const YEAR = { from: '2025-11-25', to: '2026-11-24' };

const timed = (task: () => unknown): number => {
  const from = performance.now();
  task();
  return performance.now() - from;
};

/** A year in which 20,000 things were done, looked back over on the server: the first time, and again; beside only reading its rows. */
export function lookBack20k(): void {
  const folder = mkdtempSync(join(tmpdir(), 'kotiva-back-'));
  const storage = openStorage(join(folder, 'kotiva.sqlite'), join(ROOT, 'server/drizzle'));
  const { raw } = storage;
  raw.pragma('synchronous = OFF');
  const house = new LivedIn({ name: 'back', done: 20_000, open: 500, years: 1, chores: 20 });
  raw.exec('BEGIN');
  for (const [noun, row] of house.rows()) insertRow(raw, noun, row);
  raw.exec('COMMIT');
  const bare = timed(() =>
    raw.prepare('SELECT * FROM part JOIN item ON item.id = part."itemId" WHERE part."houseId" = ? AND part."completedAt" >= ?').all(house.houseId, YEAR.from),
  );
  for (const [who, name] of [
    ['manager', 'Aino'],
    ['helper', 'Leila'],
  ] as const) {
    // prettier-ignore
    const rows = new Ledger(new SqliteHouses(raw), { now: () => NOW }).rows(house.houseId);
    const person = rows.all('person').find((one: Person) => one.name === name)!;
    let found = 0;
    const back = () => void (found = atOnce(deedsFor(YEAR, undefined, person, { rows, raw, now: NOW })).length);
    report(`back_year_20k_${who}_first_ms`, timed(back), 'ms', bare);
    report(`back_year_20k_${who}_ms`, timed(back), 'ms', bare);
    console.error(`${who}: ${found} things`);
  }
  storage.close();
  rmSync(folder, { recursive: true, force: true });
}
