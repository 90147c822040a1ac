import { recordOf, applyChange, type Change, type IndexOf, type Noun, type Reader, type RecordedCommand, type Row, type Writer } from '@kotiva/core';
import type { HouseStorage, HouseWriter } from './house-storage.ts';
import { CACHED, RowCache } from './row-cache.ts';

/**
 * The rows of a whole house as they are kept: what `decide` reads through on the server, and where its changes are written.
 * One instance a house is its only writer, so what it has read once it need not read again.
 */
export class HouseRows implements Reader {
  private readonly cache = new RowCache();

  constructor(
    private readonly storage: HouseStorage,
    private readonly houseId: string,
  ) {}

  readonly whole = true;

  find<N extends Noun>(noun: N, id: string): Row<N> | undefined {
    const known = this.cache.get(noun, id);
    if (known) return known;
    if (this.cache.isComplete(noun)) return undefined;
    const row = this.storage.find(this.houseId, noun, id);
    if (row !== undefined && CACHED.includes(noun)) this.cache.put(noun, row);
    return row;
  }

  by<N extends Noun>(noun: N, field: IndexOf<N>, value: string): Row<N>[] {
    const known = this.cache.by(noun, field, value);
    if (known) return known;
    const rows = this.storage.by(this.houseId, noun, field, value);
    if (CACHED.includes(noun)) this.cache.keepLookup(noun, field, value, rows);
    return rows;
  }

  all<N extends Noun>(noun: N): Row<N>[] {
    if (this.cache.isComplete(noun)) return this.cache.all(noun);
    const rows = this.storage.all(this.houseId, noun);
    if (CACHED.includes(noun)) this.cache.keepAll(noun, rows);
    return rows;
  }

  /** Rows by id, in their order without those that are absent: asked for together, since asking costs more than reading. */
  many<N extends Noun>(noun: N, ids: readonly string[]): Row<N>[] {
    const missing = this.cache.isComplete(noun) ? [] : ids.filter((id) => this.cache.get(noun, id) === undefined);
    const read = new Map(this.readIn(noun, 'id', missing).map((row) => [row.id, row]));
    if (CACHED.includes(noun)) for (const row of read.values()) this.cache.put(noun, row);
    return ids.flatMap((id) => this.cache.get(noun, id) ?? read.get(id) ?? []);
  }

  /** Makes lookups by a field ready for several values at once. */
  lookUp<N extends Noun>(noun: N, field: IndexOf<N> & keyof Row<N>, values: readonly string[]): void {
    if (!CACHED.includes(noun)) return;
    const unknown = values.filter((value) => this.cache.by(noun, field, value) === undefined);
    const found = new Map(unknown.map((value) => [value, [] as Row<N>[]]));
    for (const row of this.readIn(noun, String(field), unknown)) found.get(row[field] as string)!.push(row);
    for (const [value, rows] of found) this.cache.keepLookup(noun, field, value, rows);
  }

  private readIn<N extends Noun>(noun: N, field: string, values: readonly string[]): Row<N>[] {
    return values.length === 0 ? [] : this.storage.among(this.houseId, noun, field, values);
  }

  /** Reads all of a noun a piece at a time; what is written in between is held anyway. If all is forgotten meanwhile, it is left at that. */
  *loading(noun: Noun): Generator<void> {
    if (this.cache.isComplete(noun) || !CACHED.includes(noun)) return;
    const { forgotten } = this.cache;
    for (const rows of this.storage.pages(this.houseId, noun)) {
      this.cache.keepSome(noun, rows as never);
      yield;
      if (this.cache.forgotten !== forgotten) return;
    }
    this.cache.isWhole(noun);
  }

  /** Rows held in memory. */
  get held(): number {
    return this.cache.size;
  }

  /** What is held in memory is read anew. Never in the middle of something: what is known to be whole would have holes. */
  forget(): void {
    this.cache.forget();
  }

  command(id: string): RecordedCommand | undefined {
    return this.storage.command(this.houseId, id);
  }

  /** Writes what a command decided. Returns the record that undoing it needs, and the rows as they are now. */
  write(changes: readonly Change[], by: Writer, writer: HouseWriter): { record: RecordedCommand; rows: { noun: Noun; row: Row }[] } {
    const rows: { noun: Noun; row: Row }[] = [];
    const recorded = changes.map((change) => {
      const [before, row] = this.writeRow(change, by, writer);
      rows.push({ noun: change.noun, row });
      return recordOf(change, before);
    });
    return { record: { id: by.commandId, name: by.name, actorId: by.actorId, payload: by.payload, changes: recorded }, rows };
  }

  private writeRow(change: Change, by: Writer, writer: HouseWriter): [before: Row | undefined, now: Row] {
    const before = change.made ? undefined : this.find(change.noun, change.id);
    const row = applyChange(before, change, by);
    if (before) writer.update(change.noun, row, [...Object.keys(change.fields), 'seq', 'stamps']);
    else writer.insert(change.noun, row);
    if (CACHED.includes(change.noun)) this.cache.put(change.noun, row);
    return [before, row];
  }
}
