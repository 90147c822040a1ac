import {
  INDEXES,
  NOUNS,
  recordOf,
  applyChange,
  type Change,
  type Held,
  type IndexOf,
  type Noun,
  type Reader,
  type RecordedCommand,
  type Row,
  type Writer,
} from '@kotiva/core';
import { getTableColumns, type Column } from 'drizzle-orm';
import type { Raw } from './open.ts';
import { CACHED, RowCache } from './row-cache.ts';
import { nounTables } from './schema.ts';

interface Statement {
  get(...values: unknown[]): unknown;
  all(...values: unknown[]): unknown[];
  run(...values: unknown[]): unknown;
}
type Values = Record<string, unknown>;

const columnsOf = Object.fromEntries(NOUNS.map((noun) => [noun, getTableColumns(nounTables[noun])])) as unknown as Record<Noun, Record<string, Column>>;

/**
 * The rows of a whole house in SQLite: what `decide` reads through on the server, and where its changes are written.
 * One instance a house is its only writer, so what it has read once it need not read again.
 */
export class SqliteRows implements Reader {
  private readonly statements = new Map<string, Statement>();
  private readonly cache = new RowCache();

  constructor(
    private readonly raw: Raw,
    private readonly houseId: string,
  ) {}

  get<N extends Noun>(noun: N, id: string): Held<N> {
    const known = this.cache.get(noun, id);
    if (known) return known;
    if (this.cache.isComplete(noun)) return 'absent';
    const values = this.prepared(`SELECT * FROM "${noun}" WHERE id = ? AND "houseId" = ?`).get(id, this.houseId) as Values | undefined;
    if (!values) return 'absent';
    const row = fromDriver(noun, values) as Row<N>;
    if (CACHED.includes(noun)) this.cache.put(noun, row);
    return row;
  }

  by<N extends Noun>(noun: N, field: IndexOf<N>, value: string): Row<N>[] {
    if (!(INDEXES[noun] as readonly string[]).includes(String(field))) throw new Error(`${noun} is not looked up by ${String(field)}`);
    const known = this.cache.by(noun, field, value);
    if (known) return known;
    const rows = this.read(noun, this.prepared(`SELECT * FROM "${noun}" WHERE "${String(field)}" = ? AND "houseId" = ?`).all(value, this.houseId));
    if (CACHED.includes(noun)) this.cache.keepLookup(noun, field, value, rows);
    return rows;
  }

  all<N extends Noun>(noun: N): Row<N>[] {
    if (this.cache.isComplete(noun)) return this.cache.all(noun);
    const rows = this.read(noun, this.prepared(`SELECT * FROM "${noun}" WHERE "houseId" = ?`).all(this.houseId));
    if (CACHED.includes(noun)) this.cache.keepAll(noun, rows);
    return rows;
  }

  /** After a transaction that was rolled back: what was written in it is not there. */
  forget(): void {
    this.cache.forget();
  }

  command(id: string): RecordedCommand | 'absent' {
    const values = this.prepared('SELECT id, name, payload, "actorId", changes FROM command WHERE id = ? AND "houseId" = ? AND seq IS NOT NULL').get(
      id,
      this.houseId,
    ) as { id: string; name: string; payload: string; actorId: string | null; changes: string } | undefined;
    if (!values) return 'absent';
    return { id: values.id, name: values.name, actorId: values.actorId, payload: JSON.parse(values.payload), changes: JSON.parse(values.changes) };
  }

  /** Writes what a command decided. Returns the record that undoing it needs. */
  apply(changes: readonly Change[], writer: Writer): RecordedCommand {
    const recorded = changes.map((change) => this.write(change, writer));
    return { id: writer.commandId, name: writer.name, actorId: writer.actorId, payload: writer.payload, changes: recorded };
  }

  private write(change: Change, writer: Writer) {
    const held = change.made ? 'absent' : this.get(change.noun, change.id);
    const before = typeof held === 'string' ? undefined : held;
    const row = applyChange(before, change, writer);
    const after = toDriver(change.noun, row);
    const fields = before ? [...Object.keys(change.fields), 'seq', 'stamps'] : Object.keys(after);
    const names = fields.map((field) => `"${field}"`);
    const values = fields.map((field) => after[field]);
    if (before) this.prepared(`UPDATE "${change.noun}" SET ${names.map((name) => `${name} = ?`).join(', ')} WHERE id = ?`).run(...values, change.id);
    else this.prepared(`INSERT INTO "${change.noun}" (${names.join(', ')}) VALUES (${names.map(() => '?').join(', ')})`).run(...values);
    if (CACHED.includes(change.noun)) this.cache.put(change.noun, row);
    return recordOf(change, before);
  }

  private read<N extends Noun>(noun: N, values: unknown[]): Row<N>[] {
    return values.map((row) => fromDriver(noun, row as Values) as Row<N>);
  }

  private prepared(sql: string): Statement {
    const known = this.statements.get(sql);
    if (known) return known;
    const made = this.raw.prepare(sql) as unknown as Statement;
    this.statements.set(sql, made);
    return made;
  }
}

export function fromDriver(noun: Noun, values: Values): Row {
  const row: Values = {};
  for (const [field, column] of Object.entries(columnsOf[noun])) {
    const value = values[field];
    row[field] = value === null || value === undefined ? null : column.mapFromDriverValue(value as never);
  }
  return row as unknown as Row;
}

function toDriver(noun: Noun, row: Row): Values {
  const values: Values = {};
  for (const [field, column] of Object.entries(columnsOf[noun])) {
    const value = (row as unknown as Values)[field];
    values[field] = value === null || value === undefined ? null : column.mapToDriverValue(value as never);
  }
  return values;
}
