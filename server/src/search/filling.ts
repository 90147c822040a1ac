import type { Row } from '@kotiva/core';
import type { Services } from '../context.ts';
import type { Raw } from '../db/open.ts';
import { rowPages } from '../db/row-pages.ts';
import type { HouseRows } from '../houses/house-rows.ts';
import { inSlices } from '../slices.ts';
import { SEARCHED_NOUNS, type Searched, type SearchIndex } from './search-index.ts';

/** Rows taken in at a time, each time in a transaction of its own. */
const AT_ONCE = 100;

/** Fills the index beside everything else, as far as there is anything to fill. Returns how to leave it for the next start. */
export function fillSearch({ storage, search, ledger }: Pick<Services, 'storage' | 'search' | 'ledger'>): () => void {
  let isLeft = false;
  function* untilLeft(): Generator<void> {
    const steps = fillingSearch(storage.raw, search, (houseId) => ledger.rows(houseId));
    while (!isLeft && !steps.next().done) yield;
  }
  // until it is filled words are looked for by reading, so nobody waits for it
  inSlices(untilLeft()).catch((error: unknown) => console.error(error));
  return () => {
    isLeft = true;
  };
}

/**
 * Takes into the index what houses held before there was one, a piece at a time: it may be broken off at any moment, and finds what it
 * has already when it begins again.
 * What a command writes meanwhile is in the index already, and is left as it is.
 */
export function* fillingSearch(raw: Raw, index: SearchIndex, rowsOf: (houseId: string) => HouseRows): Generator<void> {
  const open = raw.prepare('SELECT id FROM house WHERE id NOT IN (SELECT "houseId" FROM "searchHouse") LIMIT 1');
  for (let house = open.get(); house; house = open.get()) yield* fillingHouse((house as { id: string }).id, raw, index, rowsOf);
}

function* fillingHouse(houseId: string, raw: Raw, index: SearchIndex, rowsOf: (houseId: string) => HouseRows): Generator<void> {
  const keep = raw.transaction((noun: Searched, rows: readonly Row[]) => {
    const house = rowsOf(houseId);
    for (const row of rows) {
      if (index.holds(row.id)) continue;
      index.keep(noun, row, house);
    }
  });
  for (const noun of SEARCHED_NOUNS)
    for (const rows of rowPages(raw, noun, houseId, { size: AT_ONCE })) {
      keep(noun, rows);
      yield;
    }
  index.isWhole(houseId);
}
