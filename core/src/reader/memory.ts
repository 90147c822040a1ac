import { INDEXES, NOUNS, type IndexOf, type Noun, type Row } from '../model/nouns.ts';
import { applyChange, recordOf, type Change, type Writer } from './change.ts';
import type { Held, Reader, RecordedCommand } from './reader.ts';

export type RowMap<N extends Noun = Noun> = Map<string, Row<N>>;

/**
 * Rows in memory, indexed. With `missing: 'not-held'` it stands for a device, with `'absent'` for a whole house.
 * `over` copies cheaply: a pending command is decided on the copy while the confirmed rows stay as they are.
 */
export class MemoryRows implements Reader {
  private rows = new Map<Noun, RowMap>();
  private indexes = new Map<Noun, Map<string, Map<string, Set<string>>>>();
  private commands = new Map<string, RecordedCommand>();

  constructor(private readonly missing: 'absent' | 'not-held') {
    for (const noun of NOUNS) this.rows.set(noun, new Map());
  }

  static from(missing: 'absent' | 'not-held', rows: Iterable<readonly [Noun, Row]>): MemoryRows {
    const made = new MemoryRows(missing);
    for (const [noun, row] of rows) made.put(noun, row);
    return made;
  }

  get<N extends Noun>(noun: N, id: string): Held<N> {
    return this.map(noun).get(id) ?? this.missing;
  }

  by<N extends Noun>(noun: N, field: IndexOf<N>, value: string): Row<N>[] {
    const ids = this.index(noun, field).get(value);
    if (!ids) return [];
    const map = this.map(noun);
    const found: Row<N>[] = [];
    for (const id of ids) found.push(map.get(id)!);
    return found;
  }

  all<N extends Noun>(noun: N): Row<N>[] {
    return [...this.map(noun).values()];
  }

  command(id: string): RecordedCommand | 'absent' | 'not-held' {
    return this.commands.get(id) ?? this.missing;
  }

  put(noun: Noun, row: Row): void {
    const map = this.map(noun);
    const old = map.get(row.id);
    if (old) this.unindex(noun, old);
    map.set(row.id, row);
    for (const field of INDEXES[noun] as readonly string[]) this.enter(this.index(noun, field as never), fieldOf(row, field), row.id);
  }

  evict(noun: Noun, id: string): void {
    const old = this.map(noun).get(id);
    if (!old) return;
    this.unindex(noun, old);
    this.map(noun).delete(id);
  }

  /** Applies what a command decided and keeps the record that undoing it needs. */
  apply(changes: readonly Change[], writer: Writer): void {
    const record = changes.map((change) => recordOf(change, this.map(change.noun).get(change.id)));
    for (const change of changes) this.put(change.noun, applyChange(this.map(change.noun).get(change.id), change, writer));
    this.remember({ id: writer.commandId, name: writer.name, actorId: writer.actorId, payload: writer.payload, changes: record });
  }

  remember(command: RecordedCommand): void {
    this.commands.set(command.id, command);
  }

  /** A copy to decide on: rows are shared, the maps are not. */
  over(): MemoryRows {
    const copy = new MemoryRows(this.missing);
    for (const noun of NOUNS) copy.rows.set(noun, new Map(this.map(noun)));
    copy.commands = new Map(this.commands);
    return copy;
  }

  map<N extends Noun>(noun: N): RowMap<N> {
    return this.rows.get(noun) as unknown as RowMap<N>;
  }

  private index<N extends Noun>(noun: N, field: IndexOf<N>): Map<string, Set<string>> {
    const ofNoun = this.indexes.get(noun) ?? new Map<string, Map<string, Set<string>>>();
    const known = ofNoun.get(String(field));
    if (known) return known;
    const made = new Map<string, Set<string>>();
    for (const row of this.map(noun).values()) this.enter(made, fieldOf(row, String(field)), row.id);
    this.indexes.set(noun, ofNoun.set(String(field), made));
    return made;
  }

  private enter(index: Map<string, Set<string>>, value: unknown, id: string): void {
    if (typeof value !== 'string') return;
    const ids = index.get(value);
    if (ids) ids.add(id);
    else index.set(value, new Set([id]));
  }

  private unindex(noun: Noun, row: Row): void {
    for (const field of INDEXES[noun] as readonly string[]) {
      const value = fieldOf(row, field);
      if (typeof value === 'string')
        this.index(noun, field as never)
          .get(value)
          ?.delete(row.id);
    }
  }
}

function fieldOf(row: Row, field: string): unknown {
  return (row as unknown as Record<string, unknown>)[field];
}
