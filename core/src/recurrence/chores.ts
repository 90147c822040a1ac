import type { Rows } from '../reader/finding.ts';
import { Temporal } from 'temporal-polyfill';
import { firstCompleted, isDone } from '../followup/standing.ts';
import type { House } from '../model/house.ts';
import type { Item } from '../model/item.ts';
import { occurrenceItemId, overrideId, type Override, type Series } from '../model/series.ts';
import { LAST_YEAR } from '../model/row.ts';
import { addDays, calendarDateOf, instantAt, wallClockOf } from '../time/clock.ts';
import { CHORE_STEPS, choreFault, CHORES_END, LONGEST_GAP_DAYS } from './chore-bounds.ts';
import { existing, formatLocal, parseLocal } from './local.ts';
import { daysOffOf } from './house-days-off.ts';
import { LONGEST_OFF } from './off-days.ts';
import { occurrences, type Occurrence, type Recurrence } from './occurrences.ts';
import { BadRule, isOfClock, parseRRule } from './rrule.ts';
import { TooCostly } from './steps.ts';

/** What comes after what: the occurrences of a chore beside the items they have become. */

export type ChoreHouse = Pick<House, 'zone' | 'region' | 'holidays' | 'daysOff'>;

/** The rule of a chore as a recurrence set; what is left out of it is left out. */
export function recurrenceOf(series: Series, house: ChoreHouse, rows: Rows): Recurrence {
  const overrides = rows.by('override', 'seriesId', series.id);
  return {
    rrule: series.rrule,
    dtstart: series.dtstart,
    zone: house.zone,
    exdates: overrides.filter(({ skipped }) => skipped).map(({ recurrenceId }) => recurrenceId),
    offDay: series.offDay,
    daysOff: daysOffOf(house),
  };
}

/** The first occurrence after one of its own, by the rule's time; null before all. Null: there is none any more. */
export function occurrenceAfter(series: Series, recurrenceId: string | null, house: ChoreHouse, rows: Rows): Occurrence | null {
  for (const found of occurrencesAfter(series, recurrenceId, house, rows)) return found;
  return null;
}

/** All of them from there on, in the order of the rule; lazy. Of those after it was done only the first can be known. */
export function* occurrencesAfter(series: Series, recurrenceId: string | null, house: ChoreHouse, rows: Rows): Generator<Occurrence> {
  const overrides = rows.by('override', 'seriesId', series.id);
  if (series.rrule === null) {
    const found = recurrenceId === null ? series.dtstart : afterDone(series, recurrenceId, house, rows);
    if (found !== null && !isPast(series, found)) yield asOverridden({ recurrenceId: found, at: found }, overrides);
    return;
  }
  if (isSetAside(series)) return;
  const after = recurrenceId === null ? null : addDays(recurrenceId, -LONGEST_OFF - 1);
  try {
    for (const found of occurrences(recurrenceOf(series, house, rows), { after, before: CHORES_END, maxSteps: CHORE_STEPS })) {
      if (isPast(series, found.recurrenceId)) return;
      if (recurrenceId === null || found.recurrenceId > recurrenceId) yield asOverridden(found, overrides);
    }
  } catch (error) {
    // what can't be worked out in that time gives no more, and stops nothing else
    if (!(error instanceof TooCostly)) throw error;
  }
}

/** A rule kept from before rules were bounded, or before they were checked: it gives nothing until somebody says it anew. */
export function isSetAside(series: Pick<Series, 'rrule' | 'afterDone'>): boolean {
  try {
    return choreFault(series) !== null;
  } catch (error) {
    if (error instanceof BadRule) return true;
    throw error;
  }
}

/** The first after one of its own that no item stands for. One that was taken along by a later chore, or made plain, is not made again. */
export function nextToMake(series: Series, recurrenceId: string | null, house: ChoreHouse, rows: Rows): Occurrence | null {
  for (const found of occurrencesAfter(series, recurrenceId, house, rows)) if (!standsElsewhere(series, found.recurrenceId, rows)) return found;
  return null;
}

/** The item of an occurrence that is no longer one of this chore. */
export function standsElsewhere(series: Series, recurrenceId: string, rows: Rows): Item | null {
  const held = rows.find('item', occurrenceItemId(series.id, recurrenceId));
  return held === undefined || held.seriesId === series.id ? null : held;
}

/** How far back a beginning is looked for, a stretch at a time: most chores began of late. */
const LOOKING_BACK_DAYS = [1, 8, 40, 400, LONGEST_GAP_DAYS];

/**
 * Where a chore begins: with its newest occurrence up to now, else its first. What lies before was nobody's to do. Null: it never
 * occurs within eight years.
 */
export function beginningOf(series: Series, now: string, house: ChoreHouse, rows: Rows): Occurrence | null {
  if (series.rrule === null) return occurrenceAfter(series, null, house, rows);
  const wall = wallClockOf(now, house.zone);
  const today = wall.slice(0, 10);
  if (series.dtstart <= wall) {
    for (const days of LOOKING_BACK_DAYS) {
      const since = addDays(today, -days);
      const newest = newestUpTo(wall, series, series.dtstart > since ? null : since, house, rows);
      if (newest) return newest;
      if (series.dtstart > since) break;
    }
  }
  const first = occurrenceAfter(series, series.dtstart <= wall ? wall.slice(0, series.dtstart.length) : null, house, rows);
  const until = addDays(series.dtstart > today ? series.dtstart.slice(0, 10) : today, LONGEST_GAP_DAYS);
  return first !== null && first.at <= until ? first : null;
}

function newestUpTo(wall: string, series: Series, after: string | null, house: ChoreHouse, rows: Rows): Occurrence | null {
  let newest: Occurrence | null = null;
  for (const found of occurrencesAfter(series, after, house, rows)) {
    if (found.recurrenceId > wall) break;
    if (found.at <= wall) newest = found;
  }
  return newest;
}

/** What came and went while nothing ran is made up for so many days back: by the hour a week, else a year. */
const MADE_UP_DAYS = { byHour: 7, byDay: 366 };

function madeUpFrom({ rrule }: Series, now: string, house: ChoreHouse): string {
  const isHourly = rrule !== null && isOfClock(parseRRule(rrule).freq);
  return addDays(calendarDateOf(now, house.zone), -(isHourly ? MADE_UP_DAYS.byHour : MADE_UP_DAYS.byDay));
}

const isPast = ({ endsBefore }: Series, recurrenceId: string): boolean => endsBefore !== null && recurrenceId >= endsBefore;

function asOverridden(found: Occurrence, overrides: readonly Override[]): Occurrence {
  const at = overrides.find(({ recurrenceId }) => recurrenceId === found.recurrenceId)?.at ?? null;
  return at === null ? found : { ...found, at };
}

/** So long after the day it was done, at the hour of the first. */
function afterDone(series: Series, recurrenceId: string, house: ChoreHouse, rows: Rows): string | null {
  const item = rows.by('item', 'seriesId', series.id).find((one) => one.recurrenceId === recurrenceId);
  const parts = item ? rows.by('part', 'itemId', item.id) : [];
  const doneAt = item && isDone(item, parts) ? (firstCompleted(parts)?.completedAt ?? null) : null;
  // left out, it counts from its own day
  const from = doneAt === null ? recurrenceId.slice(0, 10) : calendarDateOf(doneAt, house.zone);
  const then = Temporal.PlainDate.from(from).add(series.afterDone!);
  if (then.year > LAST_YEAR) return null;
  const date = then.toString();
  if (series.dtstart.length === 10) return date;
  return formatLocal(existing(parseLocal(`${date}${series.dtstart.slice(10)}`)!.at, house.zone));
}

/** The items a chore has become, in the order of its rule. */
export const itemsOf = (seriesId: string, rows: Rows): Item[] =>
  rows.by('item', 'seriesId', seriesId).sort((a, b) => (a.recurrenceId! < b.recurrenceId! ? -1 : a.recurrenceId! > b.recurrenceId! ? 1 : 0));

/** Taken out by undoing what brought it, not by anybody's wish: it may come again. */
export function isWithdrawn(item: Item, rows: Rows): boolean {
  if (item.removedAt === null || item.missedAt !== null) return false;
  const override = rows.find('override', overrideId(item.seriesId!, item.recurrenceId!));
  return override === undefined || !override.skipped;
}

/** The items that stand for an occurrence, be it done, missed or left out. */
export const madeOf = (seriesId: string, rows: Rows): Item[] => itemsOf(seriesId, rows).filter((item) => !isWithdrawn(item, rows));

/** The last of them, of those that meet something: found without putting all of them in order. */
export function lastMadeOf(seriesId: string, rows: Rows, meets: (item: Item) => boolean = () => true): Item | undefined {
  let last: Item | undefined;
  for (const item of rows.by('item', 'seriesId', seriesId))
    if ((last === undefined || item.recurrenceId! > last.recurrenceId!) && meets(item) && !isWithdrawn(item, rows)) last = item;
  return last;
}

/** Nothing is to be waited for any more: done, missed or left out. */
export const isOver = (item: Item, rows: Rows): boolean => item.removedAt !== null || isDone(item, rows.by('part', 'itemId', item.id));

export interface Appearance {
  occurrence: Occurrence;
  /** UTC instant its day begins, or now where the last is settled. */
  at: string;
}

/**
 * The next that is to become an item, and when: when the last is settled, or its day begins, whichever is first. Of several a day each
 * at its own hour. Null: none is to come by itself.
 */
export function nextAppearance(series: Series, now: string, house: ChoreHouse, rows: Rows): Appearance | null {
  const last = lastMadeOf(series.id, rows);
  if (isSetAside(series)) return null;
  const occurrence = last ? nextToMake(series, laterOf(last.recurrenceId!, series, now, house), house, rows) : firstToMake(series, now, house, rows);
  if (occurrence === null) return null;
  if (last ? isOver(last, rows) : !hasMoreBefore(series, house, rows)) return { occurrence, at: now };
  if (series.whenDone || series.rrule === null) return null;
  const sameDay = last !== undefined && last.due !== null && last.due.slice(0, 10) === occurrence.at.slice(0, 10);
  return { occurrence, at: instantAt(sameDay ? occurrence.at : occurrence.at.slice(0, 10), house.zone) };
}

/** The chore it goes on from has one that is open or to come: what begins later waits for its own day. */
function hasMoreBefore(series: Series, house: ChoreHouse, rows: Rows): boolean {
  const before = series.followsId === null ? undefined : rows.find('series', series.followsId);
  if (before === undefined) return false;
  const last = lastMadeOf(before.id, rows);
  return (last !== undefined && !isOver(last, rows)) || nextToMake(before, last?.recurrenceId ?? null, house, rows) !== null;
}

function firstToMake(series: Series, now: string, house: ChoreHouse, rows: Rows): Occurrence | null {
  const first = beginningOf(series, now, house, rows);
  return first && standsElsewhere(series, first.recurrenceId, rows) ? nextToMake(series, first.recurrenceId, house, rows) : first;
}

/** Where the next is looked for: after the last, unless that lies further back than what is made up for. Of what follows a completion there is but one. */
function laterOf(recurrenceId: string, series: Series, now: string, house: ChoreHouse): string {
  if (series.rrule === null) return recurrenceId;
  const from = madeUpFrom(series, now, house);
  return recurrenceId > from ? recurrenceId : from;
}

/** How many before an occurrence were missed without one done in between, and the day of the first. */
export function missedBefore(item: Item, rows: Rows): { many: number; since: string } | null {
  const before = itemsOf(item.seriesId!, rows).filter((one) => one.recurrenceId! < item.recurrenceId!);
  const lastKept = before.findLastIndex((one) => one.missedAt === null);
  const missed = before.slice(lastKept + 1);
  return missed[0] ? { many: missed.length, since: missed[0].due!.slice(0, 10) } : null;
}
