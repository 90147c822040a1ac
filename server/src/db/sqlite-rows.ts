import { recordOf, applyChange, type Change, type IndexOf, type Noun, type Reader, type RecordedCommand, type Row, type Writer } from '@kotiva/core';
import { conditionOf } from './lookups.ts';
import type { Raw } from './open.ts';
import { CACHED, RowCache } from './row-cache.ts';
import { AS_JSON, fieldsOf, fromDriver, ofEachNoun, toDriver, type Json } from './row-json.ts';
import { rowPages } from './row-pages.ts';
import { prepared } from './statements.ts';

interface Statement {
  get(...values: unknown[]): unknown;
  all(...values: unknown[]): unknown[];
  run(...values: unknown[]): unknown;
}

/** Put together once: a row is written thousands of times. */
const INSERTS = ofEachNoun(
  (noun) => `INSERT INTO "${noun}" (${fieldsOf[noun].map((field) => `"${field}"`).join(', ')}) VALUES (${fieldsOf[noun].map(() => '?').join(', ')})`,
);

/**
 * The rows of a whole house in SQLite: what `decide` reads through on the server, and where its changes are written.
 * One instance a house is its only writer, so what it has read once it need not read again.
 */
export class SqliteRows implements Reader {
  private readonly cache = new RowCache();

  constructor(
    private readonly raw: Raw,
    private readonly houseId: string,
  ) {}

  readonly whole = true;

  find<N extends Noun>(noun: N, id: string): Row<N> | undefined {
    const known = this.cache.get(noun, id);
    if (known) return known;
    if (this.cache.isComplete(noun)) return undefined;
    const values = this.prepared(`SELECT ${AS_JSON[noun]} FROM "${noun}" WHERE id = ? AND "houseId" = ?`).get(id, this.houseId) as Json | undefined;
    if (!values) return undefined;
    const row = fromDriver(noun, values) as Row<N>;
    if (CACHED.includes(noun)) this.cache.put(noun, row);
    return row;
  }

  by<N extends Noun>(noun: N, field: IndexOf<N>, value: string): Row<N>[] {
    const condition = conditionOf(noun, String(field), value);
    if (!condition) return [];
    const known = this.cache.by(noun, field, value);
    if (known) return known;
    const { where, values } = condition;
    const rows = this.read(noun, this.prepared(`SELECT ${AS_JSON[noun]} FROM "${noun}" WHERE ${where} AND "houseId" = ?`).all(...values, this.houseId));
    if (CACHED.includes(noun)) this.cache.keepLookup(noun, field, value, rows);
    return rows;
  }

  all<N extends Noun>(noun: N): Row<N>[] {
    if (this.cache.isComplete(noun)) return this.cache.all(noun);
    const rows = this.read(noun, this.prepared(`SELECT ${AS_JSON[noun]} FROM "${noun}" WHERE "houseId" = ?`).all(this.houseId));
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

  /** By those ids or values, whichever house they are of: the plus keeps SQLite from walking over all of the house instead. */
  private readIn<N extends Noun>(noun: N, field: string, values: readonly string[]): Row<N>[] {
    if (values.length === 0) return [];
    return this.read(
      noun,
      this.prepared(`SELECT ${AS_JSON[noun]} FROM "${noun}" WHERE "${field}" IN (SELECT value FROM json_each(?)) AND +"houseId" = ?`).all(
        JSON.stringify(values),
        this.houseId,
      ),
    );
  }

  /** Reads all of a noun a piece at a time; what is written in between is held anyway. If all is forgotten meanwhile, it is left at that. */
  *loading(noun: Noun): Generator<void> {
    if (this.cache.isComplete(noun) || !CACHED.includes(noun)) return;
    const { forgotten } = this.cache;
    for (const rows of rowPages(this.raw, noun, this.houseId)) {
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
    const values = this.prepared('SELECT id, name, payload, "actorId", changes FROM command WHERE id = ? AND "houseId" = ? AND seq IS NOT NULL').get(
      id,
      this.houseId,
    ) as { id: string; name: string; payload: string; actorId: string | null; changes: string } | undefined;
    if (!values) return undefined;
    return { id: values.id, name: values.name, actorId: values.actorId, payload: JSON.parse(values.payload), changes: JSON.parse(values.changes) };
  }

  /** Writes what a command decided. Returns the record that undoing it needs. */
  apply(changes: readonly Change[], writer: Writer): RecordedCommand {
    return this.write(changes, writer).record;
  }

  /** The same, with the rows as they are now. */
  write(changes: readonly Change[], writer: Writer): { record: RecordedCommand; rows: { noun: Noun; row: Row }[] } {
    const rows: { noun: Noun; row: Row }[] = [];
    const recorded = changes.map((change) => {
      const [before, row] = this.writeRow(change, writer);
      rows.push({ noun: change.noun, row });
      return recordOf(change, before);
    });
    return { record: { id: writer.commandId, name: writer.name, actorId: writer.actorId, payload: writer.payload, changes: recorded }, rows };
  }

  private writeRow(change: Change, writer: Writer): [before: Row | undefined, now: Row] {
    const before = change.made ? undefined : this.find(change.noun, change.id);
    const row = applyChange(before, change, writer);
    if (before) {
      const fields = [...Object.keys(change.fields), 'seq', 'stamps'];
      const names = fields.map((field) => `"${field}" = ?`).join(', ');
      this.prepared(`UPDATE "${change.noun}" SET ${names} WHERE id = ?`).run(...toDriver(change.noun, row, fields), change.id);
    } else insertRow(this.raw, change.noun, row);
    if (CACHED.includes(change.noun)) this.cache.put(change.noun, row);
    return [before, row];
  }

  private read<N extends Noun>(noun: N, values: unknown[]): Row<N>[] {
    return values.map((one) => fromDriver(noun, one as Json) as Row<N>);
  }

  private prepared(sql: string): Statement {
    return prepared(this.raw, sql) as unknown as Statement;
  }
}

/** Writes a row nobody decided on: what is filled for a test or a measurement. */
export function insertRow(raw: Raw, noun: Noun, row: Row): void {
  const statement = prepared(raw, INSERTS[noun]) as unknown as Statement;
  statement.run(...toDriver(noun, row, fieldsOf[noun]));
}
