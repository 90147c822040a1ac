import type { Rows } from '../reader/finding.ts';
import { byPosition } from '../model/position.ts';
import type { DayParts } from '../model/house.ts';
import type { Item } from '../model/item.ts';
import type { Part } from '../model/part.ts';
import { calendarDateOf } from '../time/clock.ts';
import { itemsInPlay } from './in-play.ts';
import type { PlanView } from './rows.ts';
import { doneAt, isKeptAway, isToSort, nextDay, partFor, Today, whereaboutsOf, type Whereabouts } from './whereabouts.ts';

export const DAY_PARTS = ['morning', 'day', 'evening', 'any'] as const;
export type DayPart = (typeof DAY_PARTS)[number];

/** One thing that is somebody's, and where it shows. */
export interface AgendaEntry {
  item: Item;
  part: Part;
  where: Whereabouts;
  /** Nobody has decided about it yet: a mark beside where it shows. */
  toSort: boolean;
  late: boolean;
  /** Its plan has passed, its deadline has not. */
  carriedOver: boolean;
  /** The day that brings it up, or null. */
  day: string | null;
  dayPart: DayPart;
}

/** Everything that is a person's, steps within their item left out, in the order of the day. Done: of today only. */
export function agendaOf(view: PlanView, rows: Rows): AgendaEntry[] {
  const today = new Today(view);
  const found: Sortable[] = [];
  for (const item of itemsInPlay(today.date, rows)) {
    const entry = placeFor(item, rows.by('part', 'itemId', item.id), today, rows);
    if (entry) found.push(sortable(entry, today));
  }
  return inOrder(found);
}

/** Where an item shows for the person of that day, or null if it is not theirs to see among things to do. */
export function placeFor(item: Item, parts: readonly Part[], today: Today, rows: Rows): AgendaEntry | null {
  const part = partFor(item, parts, today.view.personId, rows);
  if (!part || isKeptAway(item, part, rows)) return null;
  const where = whereaboutsOf(item, part, parts, today, rows);
  if (where === 'done' && !isToday(doneAt(part, parts), today)) return null;
  // a step shows by itself only when it has a day or a person of its own
  if (item.parentId !== null && part.personId === null && nextDay(item, part) === null) return null;
  return placed(item, part, where, today);
}

const isToday = (instant: string | null, { date, view }: Today): boolean => instant !== null && calendarDateOf(instant, view.house.zone) === date;

function placed(item: Item, part: Part, where: Whereabouts, today: Today): AgendaEntry {
  const late = where !== 'done' && today.isLate(item);
  return {
    item,
    part,
    where,
    toSort: where !== 'done' && where !== 'not-yet' && isToSort(item, part, today.view.personId),
    late,
    carriedOver: !late && where !== 'done' && part.plan !== null && part.plan.slice(0, 10) < today.date,
    day: nextDay(item, part),
    dayPart: partOfDay(item, part, late, today),
  };
}

/** By the hour it has today, else as it says; what is late is for now. */
function partOfDay(item: Item, part: Part, late: boolean, { date, hour, view }: Today): DayPart {
  const at = hourToday(item, part, date);
  if (at === null && !late && item.dayPart !== null) return item.dayPart;
  return dayPartOf(at ?? (late ? hour : null), view.house.dayParts);
}

/** The hour it has today: that of the plan, else that of the deadline. */
function hourToday(item: Item, part: Part, date: string): string | null {
  for (const moment of [part.plan, item.due]) if (moment !== null && moment.length > 10 && moment.startsWith(date)) return moment.slice(11);
  return null;
}

/** The part of the day an hour lies in. What comes before the morning belongs to it. */
export function dayPartOf(hour: string | null, { day, evening }: DayParts): DayPart {
  if (hour === null) return 'any';
  if (hour < day) return 'morning';
  return hour < evening ? 'day' : 'evening';
}

/** An entry with all that it is ordered by laid side by side, so that ten thousand are compared in milliseconds. */
export interface Sortable {
  entry: AgendaEntry;
  own: string | null;
  /** Late first, then slack, then importance: one number. */
  rank: number;
  plan: string;
  position: string;
}

/** More minutes than any slack: what is not late comes after all that is, what has no deadline after that. */
const NOT_LATE = 1e10;
const NO_DEADLINE = 1e11;
/** Slack counts in hundredths of a minute, and each of them leaves room for four degrees of importance. */
const HUNDREDTHS = 100;
const DEGREES = 4;

export const inOrder = (found: Sortable[]): AgendaEntry[] => found.sort(compareSortable).map(({ entry }) => entry);

export function sortable(entry: AgendaEntry, today: Today): Sortable {
  const { item, part } = entry;
  const slack = item.due === null ? NO_DEADLINE : today.slack(item, part.percent);
  const pressing = Math.round(((entry.late ? 0 : NOT_LATE) + slack) * HUNDREDTHS) * DEGREES;
  return { entry, own: part.ownOrder, rank: pressing + DEGREES - 1 - item.importance, plan: part.plan ?? '9', position: item.position };
}

/**
 * What was put in order by hand keeps that order, after what came since. The rest: late; then least slack; then importance;
 * then plan; then position.
 */
export function compareSortable(a: Sortable, b: Sortable): number {
  if (a.own !== b.own) return a.own !== null && b.own !== null ? (a.own < b.own ? -1 : 1) : a.own === null ? -1 : 1;
  if (a.rank !== b.rank) return a.rank - b.rank;
  if (a.plan !== b.plan) return a.plan < b.plan ? -1 : 1;
  if (a.position !== b.position) return a.position < b.position ? -1 : 1;
  return a.entry.item.id < b.entry.item.id ? -1 : 1;
}

/** By part of the day, in its order; what has nothing is left out. */
export function byDayPart(entries: readonly AgendaEntry[]): { part: DayPart; entries: AgendaEntry[] }[] {
  return DAY_PARTS.map((part) => ({ part, entries: entries.filter((entry) => entry.dayPart === part) })).filter((group) => group.entries.length > 0);
}

/** By the day that brings it up, earliest first; what was taken off today comes up tomorrow. */
export function byDay(entries: readonly AgendaEntry[], tomorrow: string): { date: string; entries: AgendaEntry[] }[] {
  const days = new Map<string, AgendaEntry[]>();
  for (const entry of entries) {
    if (entry.day === null) continue;
    const date = entry.day < tomorrow ? tomorrow : entry.day;
    days.set(date, [...(days.get(date) ?? []), entry]);
  }
  return [...days].map(([date, found]) => ({ date, entries: found })).sort((a, b) => (a.date < b.date ? -1 : 1));
}

/** What nobody has decided about yet: newest first. */
export const toSort = (agenda: readonly AgendaEntry[]): AgendaEntry[] =>
  agenda.filter((entry) => entry.toSort).sort((a, b) => byCode(cameAt(a), cameAt(b)) || byPosition(a.item, b.item));

const cameAt = ({ item, part }: AgendaEntry): string => part.givenAt ?? item.createdAt;
const byCode = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);
