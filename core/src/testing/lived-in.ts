import { v5 } from 'uuid';
import { partId } from '../commands/parts.ts';
import { shareId } from '../model/list.ts';
import { NOUNS, type Noun, type Row } from '../model/nouns.ts';
import { occurrenceItemId } from '../model/series.ts';
import { epochOf, instantOf } from '../time/clock.ts';
import { World } from './world.ts';

/** How a house has been lived in. */
export interface Life {
  /** Sets two houses apart: their rows share no id, their people no account. */
  name: string;
  /** Things done over the years, each with its parts, its history and now and then a remark. */
  done: number;
  /** And those that are open still. */
  open: number;
  years: number;
  /** Rules that go on making items. */
  chores: number;
}

/** Rows of what is there once, and of an item each with all that belongs to it. */
interface Happened {
  base: readonly RowOf[];
  finished: readonly (readonly RowOf[])[];
  unfinished: readonly (readonly RowOf[])[];
}

export type RowOf = readonly [noun: Noun, row: Row];

const PEOPLE = ['Leila', 'Noor', 'Tapio', 'Petri', 'Oona'];
const LISTS = ['Boathouse', 'Rooms', 'Kitchen', 'Sauna', 'Garden', 'Office', 'Shore', 'Cellar'];
/** What belongs to an item and is copied with it. */
const OF_ITEM = ['part', 'activity', 'comment', 'notice'] as const;
const DAY_MS = 86_400_000;
const YEAR_MS = 365.25 * DAY_MS;
/** What is open came up in so many days. */
const OPEN_MS = 60 * DAY_MS;

/**
 * A house that has been lived in for years. What happens to an item is done once through commands, in each of the ways there are here,
 * and then copied to its day, so that eight years take seconds.
 */
export class LivedIn {
  readonly houseId: string;
  private readonly world = new World();
  /** New ids for old ones, of what is there once. */
  private readonly settled = new Map<string, string>();
  private happened: Happened | null = null;
  private seq = 0;

  constructor(private readonly life: Life) {
    this.houseId = this.renamed(this.world.houseId, '');
  }

  /** Somebody's account: Aino is the manager, Leila, Noor, Tapio, Petri and Oona are members. */
  account(name: string): { id: string; name: string } {
    const { accountId } = this.world.rows.all('person').find((person) => person.name === name)!;
    return { id: this.renamed(accountId!, ''), name };
  }

  /** The house's sequence number, once all its rows were asked for. */
  get lastSeq(): number {
    return this.seq;
  }

  /** In the order they were written; the same whenever they are asked for. */
  *rows(): Generator<RowOf> {
    const { done, open, years } = this.life;
    this.happened ??= this.happen();
    const { base, finished, unfinished } = this.happened;
    this.seq = 0;
    yield* this.copies(base, '', 0);
    for (let nth = 0; nth < done; nth++) yield* this.copies(finished[nth % finished.length]!, `done ${nth}`, -OPEN_MS - (1 - nth / done) * years * YEAR_MS);
    for (let nth = 0; nth < open; nth++) yield* this.copies(unfinished[nth % unfinished.length]!, `open ${nth}`, -(1 - nth / open) * OPEN_MS);
  }

  /** What is there once, and what happens again and again. */
  private happen(): Happened {
    const lists = this.settle();
    for (let nth = 0; nth < this.life.chores; nth++) this.makeChore(nth, lists);
    const base = this.everything();
    const finished = lists.flatMap((list) => [this.done(list), this.doneByAll(list), this.doneWithSteps(list)]);
    const unfinished = lists.flatMap((list) => [this.handedOver(list), this.own(list)]);
    return { base, finished: finished.map((item) => this.cluster(item)), unfinished: unfinished.map((item) => this.cluster(item)) };
  }

  private settle(): string[] {
    for (const name of PEOPLE) this.world.join(name);
    return LISTS.map((name, nth) =>
      this.world.list(
        'Aino',
        name,
        PEOPLE.slice(nth % 2).map((who) => [who, 'edit']),
      ),
    );
  }

  private makeChore(nth: number, lists: readonly string[]): void {
    const rrule = ['FREQ=WEEKLY', 'FREQ=MONTHLY', 'FREQ=DAILY;INTERVAL=3'][nth % 3]!;
    const persons = [this.world.person('Leila'), this.world.person('Noor')];
    const turn = nth % 2 === 0 ? 'turns' : 'fixed';
    this.world.must('Aino', 'chore.make', { title: `Chore ${nth}`, list: lists[nth % lists.length], rrule, dtstart: '2026-11-24', turn, persons });
  }

  private add(list: string, title: string, persons: readonly string[], more: object = {}): string {
    this.world.later(1);
    return this.world.item('Aino', `${title} ${list.slice(0, 4)}`, { list, persons: persons.map((name) => this.world.person(name)), ...more });
  }

  private done(list: string): string {
    const item = this.add(list, 'Change the filter', ['Leila'], { due: '2026-12-01' });
    this.world.later(300);
    this.world.must('Leila', 'comment.say', { item, text: 'The old one was black with soot.' });
    this.world.must('Leila', 'part.checkOff', { item, person: this.world.person('Leila') });
    this.world.must('Aino', 'part.putAway', { items: [item] });
    return item;
  }

  private doneByAll(list: string): string {
    const item = this.add(list, 'Sign the fire plan', ['Leila', 'Noor'], { policy: 'each' });
    for (const name of ['Leila', 'Noor']) this.world.must(name, 'part.checkOff', { item, person: this.world.person(name) });
    this.world.must('Aino', 'part.putAway', { items: [item] });
    return item;
  }

  private doneWithSteps(list: string): string {
    const item = this.add(list, 'Pack for the market', []);
    for (const title of ['Scales', 'Change']) {
      const step = this.world.item('Aino', `${title} ${list.slice(0, 4)}`, { parent: item });
      this.world.must('Aino', 'part.checkOff', { item: step, person: null });
    }
    this.world.must('Aino', 'part.checkOff', { item, person: null });
    return item;
  }

  private handedOver(list: string): string {
    return this.add(list, 'Mend the gate', ['Tapio'], { due: '2026-12-04' });
  }

  private own(list: string): string {
    return this.add(list, 'Think about the roof', []);
  }

  private everything(): RowOf[] {
    return NOUNS.flatMap((noun) => this.world.rows.all(noun).map((row): RowOf => [noun, row])).sort((a, b) => a[1].seq - b[1].seq);
  }

  /** An item, its steps, and every row that belongs to one of them. */
  private cluster(item: string): RowOf[] {
    const { rows } = this.world;
    const items = [item, ...rows.by('item', 'parentId', item).map(({ id }) => id)];
    const found = items.flatMap((id): RowOf[] => [
      ['item', this.world.row(id)],
      ...OF_ITEM.flatMap((noun) => rows.all(noun).flatMap((row): RowOf[] => ('itemId' in row && row.itemId === id ? [[noun, row]] : []))),
    ]);
    return found.sort((a, b) => a[1].seq - b[1].seq);
  }

  /** Rows as if they had been written by themselves, so many milliseconds later; what they name of the house is that of the house. */
  private *copies(found: readonly RowOf[], apart: string, later: number): Generator<RowOf> {
    const names = new Map(found.map(([noun, row]) => [row.id, this.idOf(noun, row, apart)]));
    if (apart === '') for (const [before, now] of names) this.settled.set(before, now);
    const commands = new Map<number, number>();
    for (const [, { seq, stamps }] of found) for (const at of [seq, ...Object.values(stamps).map(({ s }) => s)]) commands.set(at, 0);
    for (const at of [...commands.keys()].sort((a, b) => a - b)) commands.set(at, ++this.seq);
    const moved = (value: unknown, key: string): unknown => {
      if (typeof value === 'number') return key === 'seq' || key === 's' ? (commands.get(value) ?? value) : value;
      // the link of an invitation is nobody else's
      if (key === 'token') return v5(String(value), this.houseId).padEnd(40, 'x');
      if (typeof value === 'string') return this.movedText(value, names, later);
      if (Array.isArray(value)) return value.map((one) => moved(one, ''));
      if (value === null || typeof value !== 'object') return value;
      return Object.fromEntries(Object.entries(value).map(([field, of]) => [field, moved(of, field)]));
    };
    for (const [noun, row] of found) yield [noun, moved(row, '') as Row];
  }

  private movedText(value: string, names: ReadonlyMap<string, string>, later: number): string {
    if (UUID.test(value)) return names.get(value) ?? this.settled.get(value) ?? this.renamed(value, '');
    if (later === 0) return value;
    if (INSTANT.test(value)) return instantOf(epochOf(value) + Math.round(later));
    if (DATE.test(value)) return instantOf(epochOf(`${value}T00:00:00.000Z`) + Math.round(later / DAY_MS) * DAY_MS).slice(0, 10);
    return value;
  }

  /** What names itself after others goes on doing so. */
  private idOf(noun: Noun, row: Row, apart: string): string {
    const now = (id: string) => (apart === '' ? this.renamed(id, '') : (this.settled.get(id) ?? this.renamed(id, apart)));
    const fields = row as unknown as Record<string, string>;
    if (noun === 'part') return partId(this.idOf('item', this.world.row(fields.itemId!), apart), fields.personId ? now(fields.personId) : null);
    if (noun === 'share') return shareId(now(fields.listId!), now(fields.personId!));
    if (noun === 'item' && fields.seriesId) return occurrenceItemId(now(fields.seriesId), fields.recurrenceId!);
    return this.renamed(row.id, apart);
  }

  private renamed(id: string, apart: string): string {
    return v5(`${this.life.name} ${apart}`, id);
  }
}

const UUID = /^[\da-f]{8}(?:-[\da-f]{4}){3}-[\da-f]{12}$/;
const INSTANT = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z$/;
const DATE = /^\d{4}-\d\d-\d\d$/;
