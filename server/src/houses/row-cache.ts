import { INDEXES, lookupValues, NOUNS, type IndexOf, type Noun, type Row } from '@kotiva/core';

type Ids = Map<string, Set<string>>;

/**
 * Rows of one house as they were last read or written, and the lookups made of them. It only ever holds what the database holds:
 * whoever writes tells it (`put`), and after a transaction that was rolled back it forgets everything.
 */
export class RowCache {
  private rows = new Map<Noun, Map<string, Row>>();
  private lookups = new Map<string, Ids>();
  private complete = new Set<Noun>();
  /** Lookups of every value there is: what is not in them does not exist. */
  private wholeLookups = new Set<string>();
  private count = 0;
  /** So often everything was forgotten: whoever reads piece by piece knows by it that the pieces before are gone. */
  forgotten = 0;

  get size(): number {
    return this.count;
  }

  get<N extends Noun>(noun: N, id: string): Row<N> | undefined {
    return this.rows.get(noun)?.get(id) as Row<N> | undefined;
  }

  /** Whether every row of a noun is held, so that what is not here does not exist. */
  isComplete(noun: Noun): boolean {
    return this.complete.has(noun);
  }

  all<N extends Noun>(noun: N): Row<N>[] {
    return [...(this.rows.get(noun)?.values() ?? [])] as Row<N>[];
  }

  /** The rows of a lookup made before, or that can be made of what is held; undefined if not. */
  by<N extends Noun>(noun: N, field: IndexOf<N>, value: string): Row<N>[] | undefined {
    const name = lookupName(noun, String(field));
    if (this.complete.has(noun) && !this.wholeLookups.has(name)) this.lookUpAll(noun, String(field), name);
    const ids = this.lookups.get(name)?.get(value);
    if (ids === undefined) return this.wholeLookups.has(name) ? [] : undefined;
    return [...ids].map((id) => this.get(noun, id)!);
  }

  put(noun: Noun, row: Row): void {
    const rows = this.rows.get(noun) ?? new Map<string, Row>();
    this.rows.set(noun, rows);
    const old = rows.get(row.id);
    if (!old) this.count += 1;
    rows.set(row.id, row);
    for (const field of INDEXES[noun] as readonly string[]) this.follow(noun, field, old, row);
  }

  keepLookup<N extends Noun>(noun: N, field: IndexOf<N>, value: string, rows: readonly Row<N>[]): void {
    for (const row of rows) this.put(noun, row);
    const name = lookupName(noun, String(field));
    const lookup: Ids = this.lookups.get(name) ?? new Map<string, Set<string>>();
    this.lookups.set(name, lookup);
    lookup.set(value, new Set(rows.map((row) => row.id)));
  }

  keepAll<N extends Noun>(noun: N, rows: readonly Row<N>[]): void {
    for (const row of rows) this.put(noun, row);
    this.complete.add(noun);
  }

  /** Some of a noun, of which more is still to be read. */
  keepSome<N extends Noun>(noun: N, rows: readonly Row<N>[]): void {
    for (const row of rows) if (this.get(noun, row.id) === undefined) this.put(noun, row);
  }

  isWhole(noun: Noun): void {
    this.complete.add(noun);
  }

  forget(): void {
    this.rows.clear();
    this.lookups.clear();
    this.wholeLookups.clear();
    this.complete.clear();
    this.count = 0;
    this.forgotten += 1;
  }

  private lookUpAll(noun: Noun, field: string, name: string): void {
    const lookup: Ids = new Map();
    for (const row of this.rows.get(noun)?.values() ?? []) for (const value of lookupValues(noun, field, row)) enter(lookup, value, row.id);
    this.lookups.set(name, lookup);
    this.wholeLookups.add(name);
  }

  /** A row that was written leaves the lookups of its old value and enters those of its new one, where they were made. */
  private follow(noun: Noun, field: string, old: Row | undefined, row: Row): void {
    const lookup = this.lookups.get(lookupName(noun, field));
    if (!lookup) return;
    const now = lookupValues(noun, field, row);
    for (const value of old ? lookupValues(noun, field, old) : []) if (!now.includes(value)) lookup.get(value)?.delete(row.id);
    const isWhole = this.wholeLookups.has(lookupName(noun, field));
    for (const value of now) {
      if (isWhole) enter(lookup, value, row.id);
      else lookup.get(value)?.add(row.id);
    }
  }
}

function enter(lookup: Ids, value: string, id: string): void {
  const ids = lookup.get(value);
  if (ids) ids.add(id);
  else lookup.set(value, new Set([id]));
}

const lookupName = (noun: Noun, field: string): string => `${noun}.${field}`;

export const CACHED: readonly Noun[] = NOUNS.filter((noun) => noun !== 'activity');
