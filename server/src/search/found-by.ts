import { findItems, termsOf, withBelow, type Item, type Person, type Term, type Noun, type Rows } from '@kotiva/core';
import type { Raw } from '../db/open.ts';
import type { HouseRows } from '../houses/house-rows.ts';
import { SeenRows } from '../sync/seen-rows.ts';
import { wordOfHouse } from './search-index.ts';

/** Documents asked for at a time. */
const PAGE = 500;
/** Documents looked at for one word where words lie in several rows of an item. */
const MOST_DOCS = 100_000;
/** Clusters read through for whether their reader may see enough of them. */
const MOST_TRIED = 20_000;

const everywhere = '{title notes said}';
const inTitles = '{title}';

/**
 * Items of theirs in which every word occurs, the newest first: those that have all words in one row, in a title before anywhere else,
 * then those that have them in several. What is found is looked at once more as their device would look at it, with what they may read:
 * what they may not neither matches nor counts.
 */
export function* foundBy(typed: string, rows: HouseRows, person: Person, raw: Raw, most: number): Generator<void, string[]> {
  const terms = termsOf(typed);
  if (terms.length === 0) return [];
  const house = wordOfHouse(person.houseId);
  const seen = new SeenRows(rows, person);
  const found: string[] = [];
  const tried = new Set<string>();
  function* trying(tops: Iterable<string>): Generator<void, boolean> {
    for (const top of tops) {
      if (tried.has(top)) continue;
      tried.add(top);
      for (const { id } of findItems(typed, rowsOfCluster(top, rows, seen))) if (found.length < most) found.push(id);
      if (found.length >= most || tried.size >= MOST_TRIED) return true;
      yield;
    }
    return false;
  }
  for (const columns of [inTitles, everywhere])
    for (const tops of pagesOf(matchOf(house, columns, terms), raw)) {
      if (yield* trying(tops)) return found;
      yield;
    }
  if (terms.length > 1) yield* trying(yield* inSeveralRows(terms, house, raw));
  return found;
}

/** Clusters in which each word is somewhere, in whichever row. */
function* inSeveralRows(terms: readonly Term[], house: string, raw: Raw): Generator<void, string[]> {
  let common: string[] | null = null;
  for (const term of terms) {
    const among: Set<string> | null = common && new Set(common);
    const has = new Set<string>();
    let docs = 0;
    for (const tops of pagesOf(matchOf(house, everywhere, [term]), raw)) {
      for (const top of tops) if (!among || among.has(top)) has.add(top);
      docs += tops.length;
      if (docs >= MOST_DOCS) break;
      yield;
    }
    common = [...has];
    if (common.length === 0) break;
  }
  return common ?? [];
}

/** What matches, a page at a time, the last written first: the item at the top of each. */
function* pagesOf(match: string, raw: Raw): Generator<string[]> {
  const page = raw.prepare(
    `SELECT id, "topId" AS top FROM "searchText" JOIN "searchDoc" ON id = "searchText".rowid
     WHERE "searchText" MATCH ? AND "searchText".rowid < ? ORDER BY "searchText".rowid DESC LIMIT ${PAGE}`,
  );
  for (let before = Number.MAX_SAFE_INTEGER; ;) {
    const some = page.all(match, before) as { id: number; top: string }[];
    if (some.length > 0) yield some.map(({ top }) => top);
    if (some.length < PAGE) return;
    before = some.at(-1)!.id;
  }
}

/** Words are letters and figures only, so nothing in them is a sign of the query's own. */
function matchOf(house: string, columns: string, terms: readonly Term[]): string {
  const each = terms.map(({ forms, isBeginning }) => `(${columns} : (${forms.map((form) => `"${form}"${isBeginning ? ' *' : ''}`).join(' OR ')}))`);
  return [`(house : "${house}")`, ...each].join(' AND ');
}

/** What somebody may read of an item, its steps, what was said and its files. */
function rowsOfCluster(topId: string, rows: HouseRows, seen: SeenRows): Pick<Rows, 'all'> {
  const ids = new Set<string>();
  withBelow(topId, rows, ids);
  const items = [...ids].map((id) => seen.find('item', id)).filter((item): item is Item => item !== undefined && item.purgedAt === null);
  const all = (noun: Noun) => (noun === 'item' ? items : items.flatMap(({ id }) => seen.by(noun as 'comment' | 'attachment', 'itemId', id)));
  return { all: all as Rows['all'] };
}
