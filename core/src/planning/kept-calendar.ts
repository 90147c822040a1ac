import { KeptChores } from '../recurrence/kept-chores.ts';
import type { Ahead } from '../recurrence/whose-turn.ts';
import { Follows } from '../reader/follows.ts';
import type { Rows } from '../reader/finding.ts';
import type { ChangedRow } from '../reader/tracked.ts';
import { bookedBy, compareEntries, entryOf, isWithin, itemEntries, slotEntries, type CalendarEntry, type CalendarView } from './calendar.ts';
import { itemsBetween, itemsTouchedBy } from './in-play.ts';
import { Today } from './whereabouts.ts';

/** Where so many are concerned at once it is quicker to begin from nothing. */
const MOST_AT_ONCE = 200;
/** What is followed beside items by their ids. */
const BOOKED = 'booked';
const SLOTS = 'slots';

/**
 * The days of a span, kept: after a change only what the change concerns is worked out anew, and only the days it stands on are put in order
 * again. It equals `calendarOf` of the same view and rows, whatever was changed on the way. A day that is as it was stays the same object.
 */
export class KeptCalendar {
  private readonly follows: Follows;
  private readonly today: Today;
  private readonly chores: KeptChores | null;
  private booked: ReadonlySet<string>;
  /** By item; the slots together. */
  private readonly entries = new Map<string, readonly CalendarEntry[]>();
  private ahead = new Map<Ahead, CalendarEntry>();
  private shown: ReadonlyMap<string, CalendarEntry[]> = new Map();

  constructor(
    private readonly view: CalendarView,
    rows: Rows,
  ) {
    this.follows = new Follows(rows);
    this.today = new Today({ personId: view.meId, now: view.now, house: view.house });
    this.booked = this.readBooked();
    for (const { id } of itemsBetween(view.from, view.to, rows)) this.entries.set(id, this.ofItem(id));
    this.entries.set(SLOTS, this.ofSlots());
    this.chores = view.to >= this.today.date ? new KeptChores(view.to, rows, view.house) : null;
    this.takeChores();
    this.show(new Set(), [...this.entries.values(), [...this.ahead.values()]].flat());
  }

  /** By date; days without any are left out. The same object for as long as it says the same. */
  get days(): ReadonlyMap<string, CalendarEntry[]> {
    return this.shown;
  }

  /** Takes what changed in the rows. False: so much that it has to be made anew. */
  take(changes: readonly ChangedRow[]): boolean {
    const concerned = this.concernedBy(changes);
    if (concerned.size > MOST_AT_ONCE) return false;
    const gone = new Set<CalendarEntry>();
    const come: CalendarEntry[] = [];
    for (const id of concerned) this.replace(id, gone, come);
    if (this.chores?.take(changes)) {
      const before = this.ahead;
      this.takeChores();
      for (const [ahead, entry] of before) if (!this.ahead.has(ahead)) gone.add(entry);
      for (const [ahead, entry] of this.ahead) if (!before.has(ahead)) come.push(entry);
    }
    this.show(gone, come);
    return true;
  }

  /** Ids of items, also of those that come into the span by it, which nobody looked up yet; and the slots. */
  private concernedBy(changes: readonly ChangedRow[]): Set<string> {
    const concerned = this.follows.concernedBy(changes);
    for (const id of itemsTouchedBy(changes)) concerned.add(id);
    if (concerned.delete(BOOKED)) {
      const before = this.booked;
      this.booked = this.readBooked();
      for (const id of before) if (!this.booked.has(id)) concerned.add(id);
      for (const id of this.booked) if (!before.has(id)) concerned.add(id);
    }
    return concerned;
  }

  private readonly readBooked = (): ReadonlySet<string> => this.follows.as(BOOKED, (rows) => bookedBy(this.view.meId, this.today.date, rows));

  private ofItem(id: string): readonly CalendarEntry[] {
    return this.follows.as(id, (rows) => {
      const item = rows.find('item', id);
      if (item === undefined || item.removedAt !== null) return [];
      return [...itemEntries(item, this.view, this.today, this.booked, rows)].filter(this.isAsked);
    });
  }

  private ofSlots(): readonly CalendarEntry[] {
    const { view } = this;
    return this.follows.as(SLOTS, (rows) => rows.by('slot', 'personId', view.meId).flatMap((slot) => [...slotEntries(slot, view, rows)].filter(this.isAsked)));
  }

  private takeChores(): void {
    const before = this.ahead;
    this.ahead = new Map();
    for (const one of this.chores?.ahead ?? []) {
      if (!isWithin(one.occurrence.at, this.view)) continue;
      const entry = before.get(one) ?? entryOf(one);
      if (this.isAsked(entry)) this.ahead.set(one, entry);
    }
  }

  private readonly isAsked = ({ personIds }: CalendarEntry): boolean => this.view.personId === null || personIds.includes(this.view.personId);

  private replace(id: string, gone: Set<CalendarEntry>, come: CalendarEntry[]): void {
    const was = this.entries.get(id) ?? [];
    const made = (id === SLOTS ? this.ofSlots() : this.ofItem(id)).map((entry) => was.find((one) => isSame(one, entry)) ?? entry);
    if (made.length > 0 || id === SLOTS) this.entries.set(id, made);
    else this.entries.delete(id);
    for (const entry of was) if (!made.includes(entry)) gone.add(entry);
    for (const entry of made) if (!was.includes(entry)) come.push(entry);
  }

  /** Puts the days in order on which something came or went; the others stay. */
  private show(gone: ReadonlySet<CalendarEntry>, come: readonly CalendarEntry[]): void {
    if (gone.size === 0 && come.length === 0) return;
    const days = new Map(this.shown);
    for (const date of new Set([...gone].map((entry) => entry.date)))
      days.set(
        date,
        (days.get(date) ?? []).filter((entry) => !gone.has(entry)),
      );
    for (const [date, entries] of byDate(come)) days.set(date, [...(days.get(date) ?? []), ...entries].sort(compareEntries));
    for (const [date, entries] of days) if (entries.length === 0) days.delete(date);
    this.shown = days;
  }
}

function byDate(entries: readonly CalendarEntry[]): Map<string, CalendarEntry[]> {
  const dates = new Map<string, CalendarEntry[]>();
  for (const entry of entries) dates.set(entry.date, [...(dates.get(entry.date) ?? []), entry]);
  return dates;
}

/** Says the same of the same. */
function isSame(a: CalendarEntry, b: CalendarEntry): boolean {
  const [one, other] = [a, b] as unknown as [Record<string, unknown>, Record<string, unknown>];
  const keys = Object.keys(one);
  return keys.length === Object.keys(other).length && keys.every((key) => isSameValue(one[key], other[key]));
}

const isSameValue = (a: unknown, b: unknown): boolean =>
  a === b || (Array.isArray(a) && Array.isArray(b) && a.length === b.length && a.every((value, nth) => value === b[nth]));
