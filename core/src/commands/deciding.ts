import { parse, v5 } from 'uuid';
import { INDEXES, lookupValues, type IndexOf, type Noun, type Row } from '../model/nouns.ts';
import type { House } from '../model/house.ts';
import { isHere, type Person } from '../model/person.ts';
import type { EntryKind } from '../model/entry-kinds.ts';
import type { NoticeKind } from '../model/notice-schema.ts';
import type { Params } from '../model/params-schema.ts';
import { noticeId } from '../model/notice-id.ts';
import { stampOf } from '../model/row.ts';
import { applyChange, type Change } from '../reader/change.ts';
import type { Reader, RecordedCommand } from '../reader/reader.ts';
import { zoneMinutes } from '../time/zone-minutes.ts';
import { NotHeld, refuse } from './reasons.ts';

/** An account; or somebody without one, by their personal link. */
export interface Actor {
  id: string;
  name: string;
  personId?: string;
}

/** What a command is decided with beside what it says: nothing here is looked up by the core itself. */
export interface Context {
  commandId: string;
  houseId: string;
  /** The domain clock, UTC instant. */
  now: string;
  /** When the tap was made, by the device's clock and its last known offset to the server. */
  at: string;
  /** The last sequence number the device had applied. */
  seen: number;
  /** Who acts: an account, or null for the system. */
  account: Actor | null;
  /** A part of a longer command, done by the server ahead of the rest of it: see `slicesOf`. */
  slice?: boolean;
  /** So many slices of it have been done ahead: what is left is its own, the last. */
  ahead?: number;
  /** Whether opening hours can be read; where nothing is given they are not looked at. */
  readsHours?: (hours: string) => boolean;
}

/** Something the one who acts should know though the command is accepted. */
export interface Note {
  code:
    | 'already-done'
    | 'was-removed'
    | 'left-alone'
    | 'taken-back'
    | 'due-past'
    | 'plan-after-due'
    | 'each-is-kept'
    | 'removed-meanwhile'
    | 'merged-beside'
    | 'nudge-waits'
    | 'alarm-past'
    | 'alarm-needs-date'
    | 'someone-there'
    | 'cannot-see'
    | 'steps-stay';
  params: Params;
}

type Fields<N extends Noun> = Partial<Omit<Row<N>, 'seq' | 'stamps' | 'id' | 'houseId'>>;

/**
 * A command being decided: reads through to the reader, sees its own writes, and gathers changes.
 * Ids made here are uuidv5(commandId, n), so that both sides of the wire make the same ones.
 */
export class Deciding {
  readonly notes: Note[] = [];
  /** Whom this command has told of which item. */
  private readonly notified = new Set<string>();
  private readonly written = new Map<string, { noun: Noun; row: Row; made: boolean; fields: Record<string, unknown> }>();
  /** The same by noun: what is looked up again and again. */
  private readonly rowsOf = new Map<Noun, Map<string, Row>>();
  /** By indexed field and value, the ids of those rows. */
  private readonly lookups = new Map<string, Map<string, Set<string>>>();
  private readonly remembered = new Map<string, unknown>();
  private made = 0;
  /** The command's id as the namespace of those made of it. */
  private space: Uint8Array | undefined;
  private person: Person | null | undefined;

  constructor(
    private readonly reader: Reader,
    readonly context: Context,
    /** Rows it may write; the one that is too many refuses it, so that nobody waits for the rest to be worked out. */
    private readonly most = Infinity,
  ) {}

  get now(): string {
    return this.context.now;
  }

  /** The acting person, or null: the system, or an account that is not in this house. */
  get actorOrNull(): Person | null {
    const { account } = this.context;
    if (this.person === undefined && account?.personId) {
      const linked = this.find('person', account.personId);
      this.person = linked && isHere(linked) && linked.accountId === null ? linked : null;
    }
    if (this.person === undefined) this.person = account ? (this.by('person', 'accountId', account.id).find(isHere) ?? null) : null;
    return this.person;
  }

  get actor(): Person {
    return this.actorOrNull ?? refuse('not-a-member');
  }

  /** Worked out once for this command, as things stood when it was first asked for. */
  once<T>(name: string, work: () => T): T {
    if (!this.remembered.has(name)) this.remembered.set(name, work());
    return this.remembered.get(name) as T;
  }

  newId(): string {
    this.space ??= parse(this.context.commandId);
    return v5(String(this.made++), this.space);
  }

  /** The row, or a refusal: it is not there. Where rows are only partly held: no answer. */
  need<N extends Noun>(noun: N, id: string): Row<N> {
    const held = this.find(noun, id);
    if (held) return held;
    if (!this.whole) throw new NotHeld(`${noun} ${id}`);
    return refuse('gone', { noun });
  }

  /** The row if it can be seen from here, with what this command has written: rules read through it as through any rows. */
  find<N extends Noun>(noun: N, id: string): Row<N> | undefined {
    return this.own(noun, id) ?? this.reader.find(noun, id);
  }

  by<N extends Noun>(noun: N, field: IndexOf<N>, value: string): Row<N>[] {
    return this.merged(noun, this.reader.by(noun, field, value), this.writtenBy(noun, String(field), value));
  }

  /** What many lookups are about to ask for. */
  willAsk<N extends Noun>(noun: N, field: IndexOf<N>, values: readonly string[]): void {
    this.reader.lookUp?.(noun, field, values);
  }

  all<N extends Noun>(noun: N): Row<N>[] {
    return this.merged(noun, this.reader.all(noun), (this.rowsOf.get(noun)?.values() ?? []) as Iterable<Row<N>>);
  }

  /** Whether the whole house is held here: then what is not found is not there. */
  get whole(): boolean {
    return this.reader.whole;
  }

  command(id: string): RecordedCommand {
    const held = this.reader.command(id);
    if (held) return held;
    if (!this.whole) throw new NotHeld(`command ${id}`);
    return refuse('nothing-to-undo');
  }

  insert<N extends Noun>(noun: N, id: string, fields: Omit<Row<N>, 'seq' | 'stamps' | 'id' | 'houseId'>): Row<N> {
    const all = { ...this.withRealTimes(noun, fields), id, houseId: this.context.houseId };
    const row = applyChange(undefined, { noun, id, made: true, fields: all } as Change, this.writer) as Row<N>;
    this.write(noun, row, true, all);
    return row;
  }

  set<N extends Noun>(noun: N, id: string, fields: Fields<N>): Row<N> {
    const before = this.need(noun, id);
    const differing = Object.fromEntries(
      Object.entries(this.withRealTimes(noun, fields)).filter(
        ([field, value]) => value !== undefined && !same(value, (before as unknown as Record<string, unknown>)[field]),
      ),
    );
    if (Object.keys(differing).length === 0) return before;
    const row = applyChange(before, { noun, id, made: false, fields: differing } as Change, this.writer) as Row<N>;
    const earlier = this.written.get(key(noun, id));
    this.write(noun, row, earlier?.made ?? false, { ...earlier?.fields, ...differing });
    return row;
  }

  /** Refuses if somebody else wrote the field after the acting device last looked: it is never overwritten blindly. */
  refuseIfChanged<N extends Noun>(noun: N, id: string, field: keyof Row<N> & string): void {
    const row = this.need(noun, id);
    const stamp = stampOf(row, field);
    if (!stamp || stamp.s <= this.context.seen || stamp.p === this.actorOrNull?.id) return;
    const value = row[field] as unknown as string | null;
    refuse('changed-since', { by: this.find('person', stamp.p ?? '')?.name ?? '', field, value, title: (row as { title?: string }).title ?? '' }, field);
  }

  /** Writes the history: a code and its parameters, worded when read. */
  enter(kind: EntryKind, about: { itemId?: string | null; listId?: string | null }, params: Params = {}, at = this.now): void {
    this.insert('activity', this.newId(), {
      itemId: about.itemId ?? null,
      listId: about.listId ?? null,
      actorId: this.actorOrNull?.id ?? null,
      kind,
      params,
      at,
      arrivedAt: this.now,
    });
  }

  /** One notice per person and event, none about one's own doing, none to who can't be reached or has left. */
  notify(personId: string | null, kind: NoticeKind, itemId: string | null, params: Params = {}): void {
    if (personId !== this.actorOrNull?.id) this.notifyAnyone(personId, kind, itemId, params);
  }

  /** The same, also about one's own doing: one came to a place, and asked to be told there. */
  notifyAnyone(personId: string | null, kind: NoticeKind, itemId: string | null, params: Params = {}): void {
    const person = personId ? this.find('person', personId) : undefined;
    if (!person || !isHere(person) || !(person.accountId || person.email)) return;
    const id = noticeId(kind, itemId, person.id, this.context.commandId);
    if (this.written.has(key('notice', id))) return;
    this.notified.add(`${person.id} ${itemId}`);
    this.insert('notice', id, { personId: person.id, itemId, kind, byId: this.actorOrNull?.id ?? null, at: this.now, params, readAt: null, withdrawnAt: null });
  }

  /** Somebody has been told of that item by this command already. */
  hasNotified(personId: string, itemId: string): boolean {
    return this.notified.has(`${personId} ${itemId}`);
  }

  /** The house all this is in. */
  get house(): House {
    return this.need('house', this.context.houseId);
  }

  note(code: Note['code'], params: Params = {}): void {
    this.notes.push({ code, params });
  }

  changes(): Change[] {
    return [...this.written].map(([, { noun, row, made, fields }]) => ({ noun, id: row.id, made, fields }) as Change);
  }

  /** A time that doesn't exist, since the clocks pass over it, is kept as the one its reminders go by. */
  private withRealTimes(noun: Noun, fields: object): Record<string, unknown> {
    const all = fields as Record<string, unknown>;
    const timed = (TIMES[noun] ?? []).filter((field) => typeof all[field] === 'string' && all[field].length > 10);
    if (timed.length === 0) return all;
    const zone = zoneMinutes(this.house.zone);
    return { ...all, ...Object.fromEntries(timed.map((field) => [field, zone.real(all[field] as string)])) };
  }

  private get writer() {
    const { commandId } = this.context;
    return { commandId, name: '', actorId: this.person?.id ?? null, payload: null, seq: Number.MAX_SAFE_INTEGER };
  }

  private write(noun: Noun, row: Row, made: boolean, fields: Record<string, unknown>): void {
    this.written.set(key(noun, row.id), { noun, row, made, fields });
    if (this.written.size > this.most) refuse('too-many', { max: this.most });
    const rows = this.rowsOf.get(noun);
    this.lookUp(noun, rows?.get(row.id), row);
    if (rows) rows.set(row.id, row);
    else this.rowsOf.set(noun, new Map([[row.id, row]]));
  }

  private own<N extends Noun>(noun: N, id: string): Row<N> | undefined {
    return this.rowsOf.get(noun)?.get(id) as Row<N> | undefined;
  }

  /** What a lookup gives, with what this command has written in the place of what it wrote over. */
  private merged<N extends Noun>(noun: N, base: Row<N>[], mine: Iterable<Row<N>>): Row<N>[] {
    const written = this.rowsOf.get(noun);
    if (!written) return base;
    const rows = base.filter((row) => !written.has(row.id));
    for (const row of mine) rows.push(row);
    return rows;
  }

  /** The rows this command has written whose field has that value: they are looked up as often as others. */
  private *writtenBy<N extends Noun>(noun: N, field: string, value: string): Generator<Row<N>> {
    for (const id of this.lookups.get(`${noun}.${field}`)?.get(value) ?? []) yield this.own(noun, id)!;
  }

  private lookUp(noun: Noun, before: Row | undefined, row: Row): void {
    for (const field of INDEXES[noun] as readonly string[]) {
      const name = `${noun}.${field}`;
      const [was, is] = [before, row].map((one) => (one ? lookupValues(noun, field, one) : [])) as [readonly string[], readonly string[]];
      const ids = this.lookups.get(name) ?? new Map<string, Set<string>>();
      this.lookups.set(name, ids);
      for (const value of was) if (!is.includes(value)) ids.get(value)?.delete(row.id);
      for (const value of is) ids.set(value, (ids.get(value) ?? new Set<string>()).add(row.id));
    }
  }
}

/** Wall-clock moments of the house's zone. */
const TIMES: Partial<Record<Noun, readonly string[]>> = { item: ['due', 'start'], part: ['plan'], slot: ['start'] };

const key = (noun: Noun, id: string) => `${noun}:${id}`;

function same(a: unknown, b: unknown): boolean {
  return a === b || (typeof a === 'object' && a !== null && JSON.stringify(a) === JSON.stringify(b));
}
