import { isDone, countingParts } from '../followup/standing.ts';
import type { DayParts, House } from '../model/house.ts';
import type { Item } from '../model/item.ts';
import type { Part } from '../model/part.ts';
import type { Slot } from '../model/slot.ts';
import type { ChoreHouse } from '../recurrence/chores.ts';
import { choresAhead, type Ahead } from '../recurrence/whose-turn.ts';
import type { Rows } from '../reader/finding.ts';
import { dayPartOf, type DayPart } from './agenda.ts';
import { itemsBetween } from './in-play.ts';
import { minutesFor, whose } from './day-sheet.ts';
import { bookedFrom } from './load.ts';
import { isKeptAway, Today } from './whereabouts.ts';

/** What stands on a day: a deadline, a plan of one's own, time one booked, or an occurrence of a chore that is not an item yet. */
export type CalendarEntry = { date: string; time: string | null; personIds: string[]; minutes: number } & (
  | {
      kind: 'due' | 'plan';
      item: Item;
      done: boolean;
      late: boolean;
      /** One means to do it on another day, or booked time for it: its minutes count there. */ elsewhere: boolean;
    }
  | { kind: 'slot'; slot: Slot; items: Item[]; done: boolean }
  | { kind: 'ahead'; ahead: Ahead }
);

export interface CalendarView {
  /** Who looks: plans are their own. */
  meId: string;
  /** Calendar dates, both included. */
  from: string;
  to: string;
  /** Whose days; null: everyone's, as far as they are seen. */
  personId: string | null;
  /** UTC instant. */
  now: string;
  house: Pick<House, 'dayParts'> & ChoreHouse;
}

/** The entries of each day of a span, by hour, what has none after it; what is done is at the end. Days without any are left out. */
export function calendarOf(view: CalendarView, rows: Rows): Map<string, CalendarEntry[]> {
  const days = new Map<string, CalendarEntry[]>();
  const add = (entry: CalendarEntry) => {
    if (view.personId !== null && !entry.personIds.includes(view.personId)) return;
    const day = days.get(entry.date);
    if (day) day.push(entry);
    else days.set(entry.date, [entry]);
  };
  const today = new Today({ personId: view.meId, now: view.now, house: view.house });
  const stoodFor = bookedBy(view.meId, today.date, rows);
  for (const item of itemsBetween(view.from, view.to, rows)) for (const entry of itemEntries(item, view, today, stoodFor, rows)) add(entry);
  for (const slot of rows.by('slot', 'personId', view.meId)) for (const entry of slotEntries(slot, view, rows)) add(entry);
  if (view.to >= today.date) for (const ahead of choresAhead(view.to, rows, view.house)) if (isWithin(ahead.occurrence.at, view)) add(entryOf(ahead));
  for (const entries of days.values()) entries.sort(compareEntries);
  return days;
}

/** What somebody booked time for from a day on. */
export const bookedBy = (personId: string, date: string, rows: Rows): Set<string> =>
  new Set(bookedFrom(date, rows).flatMap(({ slot, items }) => (slot.personId === personId ? items.map(({ id }) => id) : [])));

export const isWithin = (moment: string | null, { from, to }: Pick<CalendarView, 'from' | 'to'>): moment is string =>
  moment !== null && moment.slice(0, 10) >= from && moment.slice(0, 10) <= to;

export function* itemEntries(item: Item, view: CalendarView, today: Today, booked: ReadonlySet<string>, rows: Rows): Generator<CalendarEntry> {
  const parts = rows.by('part', 'itemId', item.id);
  const plans = parts.filter(({ plan, takenBackAt, passedTo }) => takenBackAt === null && passedTo === null && isWithin(plan, view));
  if (!isWithin(item.due, view) && plans.length === 0) return;
  if (isHidden(item, parts, rows)) return;
  const done = isDone(item, parts);
  const about = { item, done, minutes: minutesFor(item), late: !done && today.isLate(item) };
  const ofMine = parts.find(({ personId, takenBackAt }) => personId === view.meId && takenBackAt === null)?.plan ?? null;
  // on one day it stands once
  const planned = ofMine !== null && ofMine.slice(0, 10) !== item.due?.slice(0, 10);
  // time booked for it stands for its minutes, where nobody else has it too
  const isBooked = booked.has(item.id) && countingParts(parts).every(({ personId }) => personId === null || personId === view.meId);
  const elsewhere = planned || isBooked;
  if (isWithin(item.due, view)) yield { kind: 'due', ...at(item.due), personIds: whose(item, parts, rows), ...about, elsewhere };
  for (const { personId, plan, planGiverId } of plans) {
    // of the others’ days only those that came with the handover are seen
    if (personId !== view.meId && !planGiverId) continue;
    if (personId !== null && plan!.slice(0, 10) !== item.due?.slice(0, 10))
      yield { kind: 'plan', ...at(plan!), personIds: [personId], ...about, elsewhere: isBooked };
  }
}

export function* slotEntries(slot: Slot, view: CalendarView, rows: Rows): Generator<CalendarEntry> {
  if (slot.removedAt !== null || !isWithin(slot.start, view)) return;
  const items = slot.itemIds.flatMap((id) => {
    const item = rows.find('item', id);
    return item === undefined || item.removedAt !== null ? [] : [item];
  });
  const done = items.every((item) => isDone(item, rows.by('part', 'itemId', item.id)));
  if (items.length > 0) yield { kind: 'slot', ...at(slot.start), personIds: [slot.personId], minutes: slot.minutes, slot, items, done };
}

function isHidden(item: Item, parts: readonly Part[], rows: Rows): boolean {
  const counting = countingParts(parts)[0];
  return counting === undefined || isKeptAway(item, counting, rows);
}

const at = (moment: string): { date: string; time: string | null } => ({ date: moment.slice(0, 10), time: moment.length > 10 ? moment.slice(11, 16) : null });

export const entryOf = (ahead: Ahead): CalendarEntry => ({
  kind: 'ahead',
  ...at(ahead.occurrence.at),
  personIds: ahead.assigned.personIds,
  minutes: minutesFor(ahead.series),
  ahead,
});

export const isEntryDone = (entry: CalendarEntry): boolean => entry.kind !== 'ahead' && entry.done;
export const titleOfEntry = (entry: CalendarEntry): string =>
  entry.kind === 'ahead' ? entry.ahead.series.title : entry.kind === 'slot' ? entry.items[0]!.title : entry.item.title;

/** The part of the day it stands in: by its hour, else as it says itself. */
export function partOfEntry(entry: CalendarEntry, dayParts: DayParts): DayPart {
  if (entry.time !== null) return dayPartOf(entry.time, dayParts);
  return (entry.kind === 'ahead' ? entry.ahead.series.dayPart : entry.kind === 'slot' ? null : entry.item.dayPart) ?? 'any';
}

/** The order of a day. */
export function compareEntries(a: CalendarEntry, b: CalendarEntry): number {
  const done = Number(isEntryDone(a)) - Number(isEntryDone(b));
  if (done !== 0) return done;
  const [one, other] = [a.time ?? '99', b.time ?? '99'];
  if (one !== other) return one < other ? -1 : 1;
  const [title, otherTitle] = [titleOfEntry(a), titleOfEntry(b)];
  if (title !== otherTitle) return title < otherTitle ? -1 : 1;
  const [id, otherId] = [idOfEntry(a), idOfEntry(b)];
  return id < otherId ? -1 : id > otherId ? 1 : 0;
}

/** Of all entries of a day each has another. */
function idOfEntry(entry: CalendarEntry): string {
  if (entry.kind === 'ahead') return `${entry.ahead.series.id} ${entry.ahead.occurrence.recurrenceId}`;
  return entry.kind === 'slot' ? entry.slot.id : `${entry.item.id} ${entry.kind} ${entry.personIds.join()}`;
}

/** Minutes of a day's open entries. What one means to do on another day counts there, and booked time in the place of what it is for. */
export const minutesOn = (entries: readonly CalendarEntry[]): number =>
  entries.reduce((sum, entry) => (isEntryDone(entry) || ('elsewhere' in entry && entry.elsewhere) ? sum : sum + entry.minutes), 0);
