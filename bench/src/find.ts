import { findItems, MemoryRows, type Comment, type Item, type Person } from '@kotiva/core';
import { LivedIn } from '@kotiva/core/testing/lived-in';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v5 } from 'uuid';
import { openStorage } from '../../server/src/db/open.ts';
import { insertRow, SqliteHouses } from '../../server/src/db/sqlite-houses.ts';
import { fillingSearch } from '../../server/src/search/filling.ts';
import { foundBy } from '../../server/src/search/found-by.ts';
import { SearchIndex, wordOfHouse } from '../../server/src/search/search-index.ts';
import { atOnce } from '../../server/src/slices.ts';
import { Ledger } from '../../server/src/sync/apply.ts';
import { percentile, report } from './report.ts';
import { ROOT } from './server.ts';

const NOW = '2026-11-24T12:00:00.000Z';
const MOST = 200;
/** Words as they lie in a language: a few everywhere, most seldom. */
const WORDS = 5_000;
const wordAt = (seed: number): string => `w${Math.floor((((seed * 2_654_435_761) % 4_294_967_296) / 4_294_967_296) ** 2 * WORDS).toString(36)}`;
const textOf = (seed: number, words: number): string => Array.from({ length: words }, (_, nth) => wordAt(seed * 31 + nth)).join(' ');
/** Often, seldom, a beginning of much, two words that lie in different rows. */
const LOOKED_FOR = ['w0', 'w3u ', 'w1', 'w1 w0 ', 'w3u wa '];

const timed = (task: () => unknown): number => {
  const from = performance.now();
  task();
  return performance.now() - from;
};

/** On a device of 10,000 items, letter by letter: the first time words are taken apart. */
export function find10k(): void {
  const rows = new MemoryRows('seen');
  const items = Array.from({ length: 10_000 }, (_, nth) => ({
    id: `i${nth}`,
    title: textOf(nth, 4),
    notes: textOf(nth + 1e6, 8),
    parentId: null,
    removedAt: null,
  }));
  for (const item of items) rows.put('item', item as unknown as Item);
  const first = timed(() => findItems('w0', rows));
  const plain = percentile(
    Array.from({ length: 15 }, () => timed(() => items.filter(({ title, notes }) => `${title} ${notes}`.toLowerCase().includes('w3u')))),
    0.5,
  );
  report('find_10k_first_ms', first, 'ms', plain);
  report('find_10k_ms', percentile(LOOKED_FOR.flatMap((words) => Array.from({ length: 5 }, () => timed(() => findItems(words, rows)))), 0.95), 'ms', plain); // prettier-ignore
}

/** On the server, 100,000 items of which a helper sees some, and 300,000 comments, beside asking SQLite alone. */
export function findServer(count = 100_000): void {
  const folder = mkdtempSync(join(tmpdir(), 'kotiva-find-'));
  const storage = openStorage(join(folder, 'kotiva.sqlite'), join(ROOT, 'server/drizzle'));
  const { raw } = storage;
  raw.pragma('synchronous = OFF');
  const house = new LivedIn({ name: 'found', done: count - 500, open: 500, years: 8, chores: 20 });
  raw.exec('BEGIN');
  let seed = 0;
  for (const [noun, row] of house.rows()) {
    if (noun !== 'item') {
      insertRow(raw, noun, row);
      continue;
    }
    const item = { ...(row as Item), title: textOf(++seed, 4), notes: textOf(seed + 1e7, 6) };
    insertRow(raw, noun, item);
    for (let nth = 0; nth < 3; nth++) {
      const said = { houseId: item.houseId, seq: item.seq, stamps: item.stamps, itemId: item.id, partId: null, authorId: item.makerId, kind: 'comment', audience: 'all', at: NOW, removedAt: null }; // prettier-ignore
      insertRow(raw, 'comment', { ...said, id: v5(`${nth}`, item.id), text: textOf(seed * 7 + nth, 8) } as Comment);
    }
  }
  raw.exec('COMMIT');
  const ledger = new Ledger(new SqliteHouses(raw), { now: () => NOW });
  report('find_fill_100k_s', timed(() => atOnce(fillingSearch(raw, new SearchIndex(raw), (id) => ledger.rows(id)))) / 1_000, 's', 1);
  const rows = ledger.rows(house.houseId);
  const bare = raw.prepare(`SELECT rowid FROM "searchText" WHERE "searchText" MATCH ? ORDER BY rank LIMIT ${MOST}`);
  const bareMs = LOOKED_FOR.map(
    (words) =>
    timed(() => bare.all(`house : "${wordOfHouse(house.houseId)}" AND ${words.trim().split(' ').map((word) => `{title notes said} : "${word}"`).join(' AND ')}`)), // prettier-ignore
  );
  for (const [who, name] of [
    ['manager', 'Aino'],
    ['helper', 'Leila'],
  ] as const) {
    // prettier-ignore
    const person = rows.all('person').find((one: Person) => one.name === name)!;
    atOnce(foundBy('w7', rows, person, raw, MOST));
    const times = LOOKED_FOR.map((words) => timed(() => atOnce(foundBy(words, rows, person, raw, MOST))));
    report(`find_server_100k_${who}_ms`, Math.max(...times), 'ms', Math.max(...bareMs));
  }
  storage.close();
  rmSync(folder, { recursive: true, force: true });
}
