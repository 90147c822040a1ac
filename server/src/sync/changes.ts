import { CLUSTERED, type Noun, type Person, type Row } from '@kotiva/core';
import type { HouseRows } from '../houses/house-rows.ts';
import { RESET, type ChangedKey, type HouseStorage } from '../houses/house-storage.ts';
import type { Commit } from './apply.ts';
import { Beginnings } from './beginning.ts';
import { Visibility } from './visibility.ts';

/** One page of what changed for a person: rows to put, rows to evict, and the cursor it brings them to. */
export interface ChangePage {
  seq: number;
  more: boolean;
  /** Items none of whose rows was written since this, and with which nobody has to do any more, a device need not hold. */
  from: number;
  /** What the device held before goes: everything begins anew with this page. */
  reset?: true;
  put: { noun: Noun; row: Row }[];
  evict: { noun: Noun; id: string }[];
}

export const PAGE_ROWS = 500;
/** Which page is asked for. */
export interface Asked {
  since: number;
  /** Where the house stands. */
  until: number;
  /** The window's beginning; see `Window`. 0: there is none. */
  from: number;
  now: string;
  /** The device has nothing of what came before, and is given what it is to hold. */
  begins?: boolean;
  limit?: number;
}

/** A device that begins has more to fetch: pages as long as nobody should have to wait for another, and several of them in one answer. */
export const FIRST_PAGE_ROWS = 1_000;
export const FIRST_PAGES = 4;

/** What a person's devices are missing: rows changed since, and rows that came into or went out of their sight since. */
export class ChangeFeed {
  private readonly beginnings;

  constructor(private readonly storage: HouseStorage) {
    this.beginnings = new Beginnings(storage);
  }

  /**
   * Changes after `since` up to `until`, at most about `limit` rows but never part of a commit. Where the person was told to begin anew
   * after `since`, or the device was away for longer than the window is, from the beginning.
   */
  page(rows: HouseRows, person: Person, asked: Asked): ChangePage {
    const { since, from, begins = false } = asked;
    const reset = since > 0 && !begins && (since < from || this.storage.isReset(person.houseId, person.id, since));
    const { keys, seq, more } =
      begins || reset || since === 0 ? this.keysOfBeginning(person, reset ? { ...asked, since: 0 } : asked) : this.keysBetween(person, asked);
    const found = rowsOf(keys, rows);
    return { seq, more, from, ...(reset ? { reset } : {}), ...shown(keys, rows, person, (noun, id) => found.get(`${noun}:${id}`)) };
  }

  /** What a commit is to a person whose device has everything before it: what `page` gives for it, without asking the database. */
  ofCommit(rows: HouseRows, person: Person, { since, seq, from, written, sighted }: Commit): ChangePage {
    const own = sighted.filter(({ personId }) => personId === person.id);
    // everything begins anew, and is fetched
    if (own.some(({ noun }) => noun === RESET)) return { seq: since, more: true, from, reset: true, put: [], evict: [] };
    const keys: ChangedKey[] = [
      ...written.map(({ noun, row }) => ({ noun, id: row.id, seq, sighted: 0 as const })),
      ...own.map(({ noun, rowId }) => ({ noun: noun as Noun, id: rowId, seq, sighted: 1 as const })),
    ];
    // of a row written twice the last
    const now = new Map(written.map(({ noun, row }) => [`${noun}:${row.id}`, row]));
    return { seq, more: false, from, ...shown(keys, rows, person, (noun, id) => now.get(`${noun}:${id}`) ?? rows.find(noun, id)) };
  }

  /** Of what the house holds now, not of all it ever held; what was written since the first page was asked for comes after. */
  private keysOfBeginning(person: Person, asked: Asked): Keys {
    const { since, until, from, now, limit = PAGE_ROWS } = asked;
    if (from === 0) return this.keysBetween(person, asked);
    const beginning = this.beginnings.of(person.houseId, from, until, now);
    if (since >= beginning.until) return this.keysBetween(person, asked);
    const own = beginning.keysOf(person.id);
    const at = firstAfter(own, since);
    const keys = own.slice(at, at + limit + 1);
    if (keys.length <= limit) return { keys, seq: beginning.until, more: beginning.until < until };
    return cutAtCommit(keys, limit, (cut) => own.slice(at, firstAfter(own, cut)));
  }

  private keysBetween(person: Person, { since, until, limit = PAGE_ROWS }: Asked): Keys {
    const read = (to: number, most: number) => this.storage.changedKeys({ houseId: person.houseId, personId: person.id, since, until: to, limit: most });
    const found = read(until, limit + 1);
    if (found.length <= limit) return { keys: found, seq: until, more: false };
    return cutAtCommit(found, limit, (cut) => read(cut, Number.MAX_SAFE_INTEGER));
  }
}

/** Two pages as one, the second right after the first: of a row that is in both, what the second says. */
export function joined(first: ChangePage, second: ChangePage): ChangePage {
  const later = new Set([...second.put.map(({ noun, row }) => `${noun}:${row.id}`), ...second.evict.map(({ noun, id }) => `${noun}:${id}`)]);
  return {
    ...first,
    ...second,
    put: [...first.put.filter(({ noun, row }) => !later.has(`${noun}:${row.id}`)), ...second.put],
    evict: [...first.evict.filter(({ noun, id }) => !later.has(`${noun}:${id}`)), ...second.evict],
  };
}

interface Keys {
  keys: ChangedKey[];
  seq: number;
  more: boolean;
}

/** Ends a page at a commit: the one before the row that did not fit, or the first commit whole. */
function cutAtCommit(found: ChangedKey[], limit: number, upTo: (seq: number) => ChangedKey[]): Keys {
  const cut = found[limit]!.seq;
  const whole = found.filter(({ seq }) => seq < cut);
  return whole.length > 0 ? { keys: whole, seq: cut - 1, more: true } : { keys: upTo(cut), seq: cut, more: true };
}

/** Where the first after a number stands among what is in order. */
function firstAfter(keys: readonly { seq: number }[], seq: number): number {
  let [low, high] = [0, keys.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (keys[middle]!.seq <= seq) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** The rows of a page, and what says who sees them, asked for a noun at a time. */
function rowsOf(keys: readonly ChangedKey[], rows: HouseRows): Map<string, Row> {
  const byNoun = new Map<Noun, string[]>();
  for (const { noun, id } of unique(keys).values()) {
    const ids = byNoun.get(noun);
    if (ids) ids.push(id);
    else byNoun.set(noun, [id]);
  }
  const found = new Map<string, Row>();
  const read = (noun: Noun) => {
    for (const row of rows.many(noun, byNoun.get(noun) ?? [])) found.set(`${noun}:${row.id}`, row);
  };
  for (const noun of byNoun.keys()) if (noun !== 'part') read(noun);
  const itemIds = new Set<string>(byNoun.get('item'));
  for (const noun of CLUSTERED)
    for (const id of byNoun.get(noun) ?? []) itemIds.add((found.get(`${noun}:${id}`) as { itemId?: string | null } | undefined)?.itemId ?? '');
  const items = [...itemIds];
  rows.many('item', items);
  // those of the page are among them, most of them
  rows.lookUp('part', 'itemId', items);
  read('part');
  return found;
}

/** Of some rows those this person sees, as they may read them; what came out of their sight goes. */
function shown(
  keys: readonly ChangedKey[],
  rows: HouseRows,
  person: Person,
  rowOf: (noun: Noun, id: string) => Row | undefined,
): Pick<ChangePage, 'put' | 'evict'> {
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

function unique(keys: readonly ChangedKey[]): Map<string, ChangedKey> {
  const map = new Map<string, ChangedKey>();
  for (const key of keys) {
    const name = `${key.noun}:${key.id}`;
    const known = map.get(name);
    map.set(name, known ? { ...key, sighted: known.sighted === 1 ? 1 : key.sighted } : key);
  }
  return map;
}
