import { INDEXES, lookupValues, NOUNS, type IndexOf, type Noun, type Row } from '../model/nouns.ts';
import { applyChange, recordOf, type Change, type Writer } from './change.ts';
import type { Reader, RecordedCommand } from './reader.ts';
import type { ChangedRow } from './tracked.ts';

type RowMap<N extends Noun = Noun> = Map<string, Row<N>>;
type Lookup = Map<string, Set<string>>;
type Stood = Pick<ChangedRow, 'noun' | 'id' | 'before'>;

/**
 * Rows in memory, indexed: all of a house, or what a device holds of it, which is what its person sees.
 * `over` lays another over it, which costs nothing: a pending command is decided there while the confirmed rows stay as they are.
 */
export class MemoryRows implements Reader {
  /** Its own: of what lies beneath, those that are other ones now. */
  private readonly rows = new Map<Noun, RowMap>();
  /** Of what lies beneath, those that are gone. */
  private readonly gone = new Map<Noun, Set<string>>();
  private readonly lookups = new Map<string, Lookup>();
  private readonly commands = new Map<string, RecordedCommand>();
  /** By noun and id, what stood there when it was last asked what changed; null: nobody asks. */
  private journal: Map<string, Stood> | null = null;

  constructor(
    private readonly holds: 'all' | 'seen',
    private readonly beneath: MemoryRows | null = null,
  ) {
    for (const noun of NOUNS) this.rows.set(noun, new Map());
  }

  static from(holds: 'all' | 'seen', rows: Iterable<readonly [Noun, Row]>): MemoryRows {
    const made = new MemoryRows(holds);
    for (const [noun, row] of rows) made.put(noun, row);
    return made;
  }

  get whole(): boolean {
    return this.holds === 'all';
  }

  find<N extends Noun>(noun: N, id: string): Row<N> | undefined {
    const own = this.own(noun).get(id);
    if (own) return own;
    return this.gone.get(noun)?.has(id) ? undefined : this.beneath?.find(noun, id);
  }

  by<N extends Noun>(noun: N, index: IndexOf<N>, value: string): Row<N>[] {
    const found = this.beneath === null ? [] : this.stillBeneath(noun, this.beneath.by(noun, index, value));
    const own = this.own(noun);
    if (own.size === 0) return found;
    for (const id of this.lookup(noun, String(index)).get(value) ?? []) found.push(own.get(id)!);
    return found;
  }

  all<N extends Noun>(noun: N): Row<N>[] {
    const own = this.own(noun);
    if (this.beneath === null) return [...own.values()];
    const found = this.stillBeneath(noun, this.beneath.all(noun));
    for (const row of own.values()) found.push(row);
    return found;
  }

  command(id: string): RecordedCommand | undefined {
    return this.commands.get(id) ?? this.beneath?.command(id);
  }

  put(noun: Noun, row: Row): void {
    const own = this.own(noun);
    const old = own.get(row.id);
    own.set(row.id, row);
    this.gone.get(noun)?.delete(row.id);
    this.follow(noun, row.id, old, row);
  }

  evict(noun: Noun, id: string): void {
    const old = this.own(noun).get(id);
    if (old) this.follow(noun, id, old, undefined);
    this.own(noun).delete(id);
    if (!this.beneath?.find(noun, id)) return;
    const gone = this.gone.get(noun) ?? new Set();
    this.gone.set(noun, gone.add(id));
  }

  /** Applies what a command decided and keeps the record that undoing it needs. */
  apply(changes: readonly Change[], writer: Writer): void {
    const record = changes.map((change) => recordOf(change, this.find(change.noun, change.id)));
    for (const change of changes) this.put(change.noun, applyChange(this.find(change.noun, change.id), change, writer));
    this.remember({ id: writer.commandId, name: writer.name, actorId: writer.actorId, payload: writer.payload, changes: record });
  }

  remember(command: RecordedCommand): void {
    this.commands.set(command.id, command);
  }

  /** Another over this one, to decide on: what is written there is not written here. */
  over(): MemoryRows {
    return new MemoryRows(this.holds, this);
  }

  /** What changed since this was last asked: each row once, as it stood then. The first time there is nothing to tell. */
  changed(): Stood[] {
    const changed = [...(this.journal?.values() ?? [])];
    this.journal = new Map();
    return changed;
  }

  /** Of what lies beneath, what is another row here, or gone. */
  overlaid(): { noun: Noun; id: string }[] {
    const overlaid: { noun: Noun; id: string }[] = [];
    for (const [noun, own] of this.rows) for (const id of own.keys()) overlaid.push({ noun, id });
    for (const [noun, gone] of this.gone) for (const id of gone) overlaid.push({ noun, id });
    return overlaid;
  }

  private own<N extends Noun>(noun: N): RowMap<N> {
    return this.rows.get(noun) as unknown as RowMap<N>;
  }

  private stillBeneath<N extends Noun>(noun: N, found: Row<N>[]): Row<N>[] {
    const own = this.own(noun);
    const gone = this.gone.get(noun);
    if (own.size === 0 && !gone?.size) return found;
    return found.filter(({ id }) => !own.has(id) && !gone?.has(id));
  }

  /** Made when it is first asked for, and kept as rows come and go. */
  private lookup(noun: Noun, index: string): Lookup {
    const name = `${noun}.${index}`;
    const known = this.lookups.get(name);
    if (known) return known;
    const made: Lookup = new Map();
    for (const row of this.own(noun).values()) this.move(made, row.id, [], lookupValues(noun, index, row));
    this.lookups.set(name, made);
    return made;
  }

  /** In the lookups that were asked for: any other is made when it is. */
  private follow(noun: Noun, id: string, old: Row | undefined, row: Row | undefined): void {
    const key = `${noun} ${id}`;
    if (this.journal && !this.journal.has(key)) this.journal.set(key, { noun, id, before: old });
    for (const index of INDEXES[noun] as readonly string[]) {
      const lookup = this.lookups.get(`${noun}.${index}`);
      if (lookup) this.move(lookup, id, old ? lookupValues(noun, index, old) : [], row ? lookupValues(noun, index, row) : []);
    }
  }

  private move(lookup: Lookup, id: string, from: readonly string[], to: readonly string[]): void {
    for (const value of from) {
      if (to.includes(value)) continue;
      const ids = lookup.get(value);
      ids?.delete(id);
      if (ids?.size === 0) lookup.delete(value);
    }
    for (const value of to) this.enter(lookup, id, value);
  }

  private enter(lookup: Lookup, id: string, value: string): void {
    const ids = lookup.get(value);
    if (ids) ids.add(id);
    else lookup.set(value, new Set([id]));
  }
}
