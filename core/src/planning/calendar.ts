import { isDone, countingParts } from '../followup/standing.ts';
import type { House } from '../model/house.ts';
import type { Item } from '../model/item.ts';
import type { Part } from '../model/part.ts';
import { partId } from '../commands/parts.ts';
import { choresAhead, type Ahead } from '../recurrence/whose-turn.ts';
import type { Reader } from '../reader/reader.ts';
import { minutesFor, whose } from './day-sheet.ts';
import { isKeptAway, Today } from './whereabouts.ts';

/** What stands on a day: a deadline, a plan of one's own, or an occurrence of a chore that is not an item yet. */
export type CalendarEntry = { date: string; time: string | null; personIds: string[]; minutes: number } & (
  { kind: 'due' | 'plan'; item: Item; done: boolean; late: boolean } | { kind: 'ahead'; ahead: Ahead }
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
  house: Pick<House, 'zone' | 'dayParts'>;
}

type Rows = Pick<Reader, 'get' | 'by' | 'all'>;

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
  for (const item of rows.all('item')) if (item.removedAt === null) for (const entry of entriesOf(item, view, today, rows)) add(entry);
  if (view.to >= today.date) for (const ahead of choresAhead(view.to, rows, view.house)) if (isWithin(ahead.occurrence.at, view)) add(entryOf(ahead));
  for (const entries of days.values()) entries.sort(compare);
  return days;
}

const isWithin = (moment: string | null, { from, to }: CalendarView): moment is string =>
  moment !== null && moment.slice(0, 10) >= from && moment.slice(0, 10) <= to;

function* entriesOf(item: Item, view: CalendarView, today: Today, rows: Rows): Generator<CalendarEntry> {
  const plan = planOf(item, view, rows);
  if (!isWithin(item.due, view) && !isWithin(plan, view)) return;
  const parts = rows.by('part', 'itemId', item.id);
  if (isHidden(item, parts, rows)) return;
  const done = isDone(item, parts);
  const about = { item, done, minutes: minutesFor(item), late: !done && today.isLate(item) };
  if (isWithin(item.due, view)) yield { kind: 'due', ...at(item.due), personIds: whose(item, parts, rows), ...about };
  // on one day it stands once
  if (isWithin(plan, view) && plan.slice(0, 10) !== item.due?.slice(0, 10)) yield { kind: 'plan', ...at(plan), personIds: [view.meId], ...about };
}

function planOf(item: Item, { meId }: CalendarView, rows: Rows): string | null {
  const part = rows.get('part', partId(item.id, meId));
  return typeof part === 'string' || part.takenBackAt !== null ? null : part.plan;
}

function isHidden(item: Item, parts: readonly Part[], rows: Rows): boolean {
  const counting = countingParts(parts)[0];
  return counting === undefined || isKeptAway(item, counting, rows as never);
}

const at = (moment: string): { date: string; time: string | null } => ({ date: moment.slice(0, 10), time: moment.length > 10 ? moment.slice(11, 16) : null });

const entryOf = (ahead: Ahead): CalendarEntry => ({
  kind: 'ahead',
  ...at(ahead.occurrence.at),
  personIds: ahead.assigned.personIds,
  minutes: minutesFor(ahead.series),
  ahead,
});

export const isEntryDone = (entry: CalendarEntry): boolean => entry.kind !== 'ahead' && entry.done;
export const titleOfEntry = (entry: CalendarEntry): string => (entry.kind === 'ahead' ? entry.ahead.series.title : entry.item.title);

function compare(a: CalendarEntry, b: CalendarEntry): number {
  const done = Number(isEntryDone(a)) - Number(isEntryDone(b));
  if (done !== 0) return done;
  const [one, other] = [a.time ?? '99', b.time ?? '99'];
  if (one !== other) return one < other ? -1 : 1;
  const [title, otherTitle] = [titleOfEntry(a), titleOfEntry(b)];
  return title < otherTitle ? -1 : title > otherTitle ? 1 : 0;
}

/** Minutes of a day's open entries. Something that stands with its deadline on one day and its plan on another counts on that of the plan. */
export function minutesOn(entries: readonly CalendarEntry[], planned: ReadonlySet<string>): number {
  return entries.reduce((sum, entry) => {
    if (isEntryDone(entry) || (entry.kind === 'due' && planned.has(entry.item.id))) return sum;
    return sum + entry.minutes;
  }, 0);
}
