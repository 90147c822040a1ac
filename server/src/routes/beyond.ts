import { chainOf, findItems, type Filter, type Item, type Noun, type Person, type Row } from '@kotiva/core';
import { MOST_MET, judging } from '@kotiva/core/filtering';
import { Hono } from 'hono';
import * as z from 'zod';
import type { Env, Services } from '../context.ts';
import type { Raw } from '../db/open.ts';
import { rowPages } from '../db/row-pages.ts';
import type { HouseRows } from '../houses/house-rows.ts';
import { itemWhere, type ItemWhere } from '../filter/item-where.ts';
import { Problem } from '../problem.ts';
import { foundBy } from '../search/found-by.ts';
import type { SearchIndex } from '../search/search-index.ts';
import { inSlices } from '../slices.ts';
import { rowsOfClusters } from '../sync/visibility-scope.ts';
import { SeenRows } from '../sync/seen-rows.ts';
import { Visibility } from '../sync/visibility.ts';
import { filterOf, MOST_FILTER_LETTERS } from './filter-of.ts';
import { memberOf } from './house.ts';
import { signedIn } from './session.ts';

/** Items looked at, each with its cluster; and rows, of which the last cluster may have more. */
const MOST_ITEMS = 400;
const MOST_ROWS = 12_000;
/** Things found by their words. */
const MOST_FOUND = 200;

const seq = z.string().regex(/^\d{1,15}$/);
const Query = z.union([
  z.strictObject({ item: z.uuid() }),
  z.strictObject({ series: z.uuid() }),
  z.strictObject({ list: z.uuid(), before: seq }),
  z.strictObject({ month: z.string().regex(/^\d{4}-(0[1-9]|1[0-2])$/) }),
  z.strictObject({ person: z.uuid() }),
  z.strictObject({ note: z.uuid() }),
  z.strictObject({ words: z.string().trim().min(1).max(200) }),
  z.strictObject({ filter: z.string().max(MOST_FILTER_LETTERS) }),
]);
type Query = z.infer<typeof Query>;

/** What somebody looks at beyond what their device holds: whole clusters, each row as they may read it. */
export function beyondRoutes(services: Services): Hono<Env> {
  const { storage, ledger } = services;
  const app = new Hono<Env>();

  app.get('/houses/:house/beyond', signedIn(services), async (c) => {
    const person = memberOf(c, services);
    const parsed = Query.safeParse(c.req.query());
    if (!parsed.success) throw new Problem(422, 'malformed', 'Say what to look at: an item, a chore, a list, a month, a person, a note, words or a filter.');
    const { houseId } = person;
    // where the house stands before anything is read: what is written meanwhile comes as a change
    const at = ledger.seq(houseId);
    const put = await inSlices(rowsFor(parsed.data, ledger.rows(houseId), person, { raw: storage.raw, search: services.search, now: services.clock.now() }));
    return c.json({ seq: at, more: false, from: ledger.from(houseId), put, evict: [] });
  });

  return app;
}

interface Asked {
  raw: Raw;
  search: SearchIndex;
  /** UTC instant. */
  now: string;
}

function* rowsFor(query: Query, rows: HouseRows, person: Person, asked: Asked): Generator<void, { noun: Noun; row: Row }[]> {
  const { raw } = asked;
  const itemIds =
    'words' in query
      ? yield* byWords(query.words, rows, person, asked)
      : 'filter' in query
        ? yield* meeting(filterOf(query.filter), rows, person, asked)
        : 'series' in query
          ? ofChore(query.series, rows, raw)
          : idsOf(query, person.houseId, raw);
  const sight = new Visibility(rows, person);
  const put = new Map<string, { noun: Noun; row: Row }>();
  for (const itemId of itemIds) {
    for (const [noun, row] of rowsOfClusters([itemId], rows)) if (sight.sees(noun, row)) put.set(`${noun}:${row.id}`, { noun, row: sight.shown(noun, row) });
    if (put.size > MOST_ROWS) break;
    yield;
  }
  return [...put.values()];
}

/** The occurrences of a chore and of those it goes on from. */
function ofChore(seriesId: string, rows: HouseRows, raw: Raw): string[] {
  const series = rows.find('series', seriesId);
  if (series === undefined) return [];
  return chainOf(series, rows)
    .reverse()
    .flatMap(({ id, houseId }) => idsOf({ series: id }, houseId, raw))
    .slice(0, MOST_ITEMS);
}

/** The items, the last written first. */
function idsOf(query: Exclude<Query, { words: string } | { filter: string }>, houseId: string, raw: Raw): string[] {
  const ask = (sql: string, ...values: unknown[]) => (raw.prepare(`${sql} LIMIT ${MOST_ITEMS}`).all(...values) as { id: string }[]).map(({ id }) => id);
  const items = (where: string, ...values: unknown[]) =>
    ask(`SELECT id FROM item WHERE ${where} AND "houseId" = ? AND "purgedAt" IS NULL ORDER BY seq DESC`, ...values, houseId);
  if ('item' in query) return items('id = ?', query.item);
  if ('series' in query) return items('"seriesId" = ?', query.series);
  if ('list' in query) return items('"listId" = ? AND "parentId" IS NULL AND seq < ?', query.list, Number(query.before));
  if ('note' in query) return items('"noteId" = ?', query.note);
  if ('person' in query)
    return ask(
      'SELECT DISTINCT "itemId" AS id FROM part WHERE "personId" = ? AND "giverId" IS NOT NULL AND "houseId" = ? ORDER BY seq DESC',
      query.person,
      houseId,
    );
  const [from, to] = [query.month, `${query.month}~`];
  return ask(
    `SELECT id FROM item WHERE due >= ? AND due < ? AND "houseId" = ? AND "purgedAt" IS NULL
     UNION SELECT "itemId" FROM part WHERE plan >= ? AND plan < ? AND "houseId" = ?
     UNION SELECT "itemId" FROM part WHERE "completedAt" >= ? AND "completedAt" < ? AND "houseId" = ?`,
    ...[from, to, houseId, from, to, houseId, from, to, houseId],
  );
}

/** Items of theirs in which every word occurs: by the index, or read through while that is still being made. */
function byWords(words: string, rows: HouseRows, person: Person, { raw, search }: Asked): Generator<void, string[]> {
  if (search.isFilled(person.houseId)) return foundBy(words, rows, person, raw, MOST_FOUND);
  const seen = new SeenRows(rows, person);
  return reading(person.houseId, raw, MOST_FOUND, (items) =>
    findItems(words, { all: (noun) => (noun === 'item' ? items.filter(({ id }) => seen.find('item', id) !== undefined) : []) as never }),
  );
}

/** Items of theirs that meet a filter, by the same rule as on their device, and by what they may read. */
function meeting(filter: Filter, rows: HouseRows, person: Person, { raw, now }: Pick<Asked, 'raw' | 'now'>): Generator<void, string[]> {
  const seen = new SeenRows(rows, person);
  const [house] = seen.all('house');
  const view = { personId: person.id, now, house: house! };
  const judge = judging(filter, view, seen);
  const isMet = (item: Item) => judge(item) !== null && seen.find('item', item.id) !== undefined;
  return reading(person.houseId, raw, MOST_MET, (items) => items.filter(isMet), itemWhere(filter, view, seen));
}

/** Reads a house through, a piece at a time, the newest first, until enough are found. */
function* reading(houseId: string, raw: Raw, most: number, find: (items: readonly Item[]) => Item[], where?: ItemWhere): Generator<void, string[]> {
  const found: string[] = [];
  for (const items of rowPages(raw, 'item', houseId, { newestFirst: true, where })) {
    for (const { id } of find(items.filter(({ removedAt }) => removedAt === null))) if (found.length < most) found.push(id);
    if (found.length >= most) break;
    yield;
  }
  return found;
}
