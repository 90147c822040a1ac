import { NOUNS, type Noun, type Person, type Row } from '@kotiva/core';
import type { Raw } from '../db/open.ts';
import type { SqliteRows } from '../db/sqlite-rows.ts';
import type { Commit } from './apply.ts';
import { RESET } from './visibility-scope.ts';
import { Visibility } from './visibility.ts';

/** One page of what changed for a person: rows to put, rows to evict, and the cursor it brings them to. */
export interface ChangePage {
  seq: number;
  more: boolean;
  /** What the device held before goes: everything begins anew with this page. */
  reset?: true;
  put: { noun: Noun; row: Row }[];
  evict: { noun: Noun; id: string }[];
}

export const PAGE_ROWS = 500;
/** A device that begins has more to fetch: fewer pages, each of them as long as nobody should have to wait for another. */
export const FIRST_PAGE_ROWS = 1_000;

const KEYS_SQL = `${NOUNS.map(
  (noun) => `SELECT '${noun}' AS noun, id, seq, 0 AS sighted FROM "${noun}" WHERE "houseId" = :house AND seq > :since AND seq <= :until`,
).join(
  ' UNION ALL ',
)} UNION ALL SELECT noun, "rowId" AS id, seq, 1 AS sighted FROM sight WHERE "houseId" = :house AND "personId" = :person AND seq > :since AND seq <= :until AND noun <> '${RESET}' ORDER BY seq LIMIT :limit`;

/** Positional copies of the same parameters, in the order they stand in the statement. */
const KEYS_POSITIONAL = KEYS_SQL.replace(/:\w+/g, '?');
const KEYS_ORDER = KEYS_SQL.match(/:\w+/g)!.map((name) => name.slice(1));

interface Key {
  noun: Noun;
  id: string;
  seq: number;
  sighted: number;
}

/** What a person's devices are missing: rows changed since, and rows that came into or went out of their sight since. */
export class ChangeFeed {
  private readonly keys;
  private readonly resets;

  constructor(raw: Raw) {
    this.keys = raw.prepare(KEYS_POSITIONAL);
    this.resets = raw.prepare('SELECT seq FROM sight WHERE "houseId" = ? AND "personId" = ? AND seq > ? AND noun = ? LIMIT 1');
  }

  /**
   * Changes after `since` up to `until`, at most about `limit` rows but never part of a commit. Where the person was told to begin anew
   * after `since`, from the beginning; `isFresh`: the device is doing so already.
   */
  page(rows: SqliteRows, person: Person, since: number, until: number, limit = PAGE_ROWS, isFresh = false): ChangePage {
    const reset = since > 0 && !isFresh && this.resets.get(person.houseId, person.id, since, RESET) !== undefined;
    const { keys, seq, more } = this.keysBetween(person, reset ? 0 : since, until, limit);
    const found = rowsOf(keys, rows);
    return { seq, more, ...(reset ? { reset } : {}), ...shown(keys, rows, person, (noun, id) => found.get(`${noun}:${id}`)) };
  }

  /** What a commit is to a person whose device has everything before it: what `page` gives for it, without asking the database. */
  ofCommit(rows: SqliteRows, person: Person, { since, seq, written, sighted }: Commit): ChangePage {
    const own = sighted.filter(({ personId }) => personId === person.id);
    // everything begins anew, and is fetched
    if (own.some(({ noun }) => noun === RESET)) return { seq: since, more: true, reset: true, put: [], evict: [] };
    const keys = [
      ...written.map(({ noun, row }) => ({ noun, id: row.id, seq, sighted: 0 })),
      ...own.map(({ noun, rowId }) => ({ noun: noun as Noun, id: rowId, seq, sighted: 1 })),
    ];
    // of a row written twice the last
    const now = new Map(written.map(({ noun, row }) => [`${noun}:${row.id}`, row]));
    return { seq, more: false, ...shown(keys, rows, person, (noun, id) => now.get(`${noun}:${id}`) ?? heldOf(rows, noun, id)) };
  }

  private keysBetween(person: Person, since: number, until: number, limit: number): { keys: Key[]; seq: number; more: boolean } {
    const read = (to: number, most: number) => {
      const values: Record<string, unknown> = { house: person.houseId, person: person.id, since, until: to, limit: most };
      return this.keys.all(...KEYS_ORDER.map((name) => values[name])) as Key[];
    };
    const found = read(until, limit + 1);
    if (found.length <= limit) return { keys: found, seq: until, more: false };
    // end the page at a commit: the one before the row that did not fit, or the first commit whole
    const cut = found[limit]!.seq;
    const whole = found.filter(({ seq }) => seq < cut);
    if (whole.length > 0) return { keys: whole, seq: cut - 1, more: true };
    return { keys: read(cut, Number.MAX_SAFE_INTEGER), seq: cut, more: true };
  }
}

/** The rows of a page, and what says who sees them, asked for a noun at a time. */
function rowsOf(keys: readonly Key[], rows: SqliteRows): Map<string, Row> {
  const byNoun = new Map<Noun, string[]>();
  for (const { noun, id } of unique(keys).values()) {
    const ids = byNoun.get(noun);
    if (ids) ids.push(id);
    else byNoun.set(noun, [id]);
  }
  const found = new Map<string, Row>();
  for (const [noun, ids] of byNoun) for (const row of rows.many(noun, ids)) found.set(`${noun}:${row.id}`, row);
  const itemIds = new Set<string>();
  for (const row of found.values()) if ('itemId' in row && row.itemId !== null) itemIds.add(row.itemId);
  for (const id of byNoun.get('item') ?? []) itemIds.add(id);
  const items = [...itemIds];
  rows.many('item', items);
  rows.lookUp('part', 'itemId', items);
  return found;
}

const heldOf = (rows: SqliteRows, noun: Noun, id: string): Row | undefined => {
  const held = rows.get(noun, id);
  return typeof held === 'string' ? undefined : held;
};

/** Of some rows those this person sees, as they may read them; what came out of their sight goes. */
function shown(keys: readonly Key[], rows: SqliteRows, person: Person, rowOf: (noun: Noun, id: string) => Row | undefined): Pick<ChangePage, 'put' | 'evict'> {
  const sight = new Visibility(rows, person);
  const put: ChangePage['put'] = [];
  const evict: ChangePage['evict'] = [];
  for (const { noun, id, sighted } of unique(keys).values()) {
    const row = rowOf(noun, id);
    if (row && sight.sees(noun, row)) put.push({ noun, row: sight.shown(noun, row) });
    else if (sighted) evict.push({ noun, id });
  }
  return { put, evict };
}

function unique(keys: readonly Key[]): Map<string, Key> {
  const map = new Map<string, Key>();
  for (const key of keys) {
    const name = `${key.noun}:${key.id}`;
    const known = map.get(name);
    map.set(name, known ? { ...key, sighted: known.sighted | key.sighted } : key);
  }
  return map;
}
