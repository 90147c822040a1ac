import type { Comment, Item } from '@kotiva/core';
import type { Services } from '../context.ts';
import type { Raw } from '../db/open.ts';
import { AS_JSON, fromDriver, type SqliteRows } from '../db/sqlite-rows.ts';
import { inSlices } from '../slices.ts';
import type { SearchIndex } from './search-index.ts';

/** Rows taken in at a time, each time in a transaction of its own. */
const AT_ONCE = 100;

/** Fills the index beside everything else, as far as there is anything to fill. Returns how to leave it for the next start. */
export function fillSearch({ storage, search, ledger }: Pick<Services, 'storage' | 'search' | 'ledger'>): () => void {
  let isLeft = false;
  function* untilLeft(): Generator<void> {
    for (const _ of fillingSearch(storage.raw, search, (houseId) => ledger.rows(houseId))) {
      if (isLeft) return;
      yield;
    }
  }
  // until it is filled words are looked for by reading, so nobody waits for it
  inSlices(untilLeft()).catch((error: unknown) => console.error(error));
  return () => {
    isLeft = true;
  };
}

/**
 * Takes into the index what houses held before there was one, a piece at a time: it may be broken off at any moment, and goes on there.
 * What a command writes meanwhile is in the index already, and is left as it is.
 */
export function* fillingSearch(raw: Raw, index: SearchIndex, rowsOf: (houseId: string) => SqliteRows): Generator<void> {
  const open = raw.prepare('SELECT id FROM house WHERE id NOT IN (SELECT "houseId" FROM "searchHouse" WHERE "isFilled") LIMIT 1');
  for (let house = open.get(); house; house = open.get()) yield* fillingHouse((house as { id: string }).id, raw, index, rowsOf);
}

function* fillingHouse(houseId: string, raw: Raw, index: SearchIndex, rowsOf: (houseId: string) => SqliteRows): Generator<void> {
  raw.prepare('INSERT OR IGNORE INTO "searchHouse" ("houseId") VALUES (?)').run(houseId);
  for (const noun of ['item', 'comment'] as const) {
    const at = raw.prepare(`SELECT "${noun}" AS at FROM "searchHouse" WHERE "houseId" = ?`);
    const next = raw.prepare(`SELECT rowid AS at, ${AS_JSON[noun]} FROM "${noun}" WHERE "houseId" = ? AND rowid > ? ORDER BY rowid LIMIT ${AT_ONCE}`);
    const reached = raw.prepare(`UPDATE "searchHouse" SET "${noun}" = ? WHERE "houseId" = ?`);
    for (let more = true; more;) {
      const some = next.all(houseId, (at.get(houseId) as { at: number }).at) as { at: number; row: string }[];
      more = some.length === AT_ONCE;
      if (some.length === 0) break;
      raw.transaction(() => {
        const rows = rowsOf(houseId);
        for (const one of some) {
          const row = fromDriver(noun, one) as Item | Comment;
          if (index.holds(row.id)) continue;
          if (noun === 'item') index.keepItem(row as Item, rows);
          else index.keepComment(row as Comment, rows);
        }
        reached.run(some.at(-1)!.at, houseId);
      })();
      yield;
    }
  }
  raw.prepare('UPDATE "searchHouse" SET "isFilled" = true WHERE "houseId" = ?').run(houseId);
}
