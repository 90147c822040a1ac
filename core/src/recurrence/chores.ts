import { Temporal } from 'temporal-polyfill';
import { firstCompleted, isDone } from '../followup/standing.ts';
import type { House } from '../model/house.ts';
import type { Item } from '../model/item.ts';
import { overrideId, type Override, type Series } from '../model/series.ts';
import type { Reader } from '../reader/reader.ts';
import { addDays, calendarDateOf, instantAt } from '../time/clock.ts';
import { existing, formatLocal, parseLocal } from './local.ts';
import { daysOffOf } from './house-days-off.ts';
import { LONGEST_OFF } from './off-days.ts';
import { occurrences, type Occurrence, type Recurrence } from './occurrences.ts';
import { BadRule, parseRRule } from './rrule.ts';

/** What comes after what: the occurrences of a chore beside the items they have become. */

/** What it reads: as any reader answers. */
export type ChoreRows = Pick<Reader, 'get' | 'by' | 'all'>;

export type ChoreHouse = Pick<House, 'zone' | 'region' | 'holidays' | 'daysOff'>;

/** The rule of a chore as a recurrence set; what is left out of it is left out. */
export function recurrenceOf(series: Series, house: ChoreHouse, rows: ChoreRows): Recurrence {
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
export function occurrenceAfter(series: Series, recurrenceId: string | null, house: ChoreHouse, rows: ChoreRows): Occurrence | null {
  for (const found of occurrencesAfter(series, recurrenceId, house, rows)) return found;
  return null;
}

/** All of them from there on, in the order of the rule; lazy. Of those after it was done only the first can be known. */
export function* occurrencesAfter(series: Series, recurrenceId: string | null, house: ChoreHouse, rows: ChoreRows): Generator<Occurrence> {
  const overrides = rows.by('override', 'seriesId', series.id);
  if (series.rrule === null) {
    const found = recurrenceId === null ? series.dtstart : afterDone(series, recurrenceId, house, rows);
    if (found !== null && !isPast(series, found)) yield asOverridden({ recurrenceId: found, at: found }, overrides);
    return;
  }
  if (!isReadable(series.rrule)) return;
  const after = recurrenceId === null ? null : addDays(recurrenceId, -LONGEST_OFF - 1);
  for (const found of occurrences(recurrenceOf(series, house, rows), { after })) {
    if (isPast(series, found.recurrenceId)) return;
    if (recurrenceId === null || found.recurrenceId > recurrenceId) yield asOverridden(found, overrides);
  }
}

/** A rule that was kept as it was said, before it was checked, may be none: it gives nothing, and stops nothing else. */
function isReadable(rrule: string): boolean {
  try {
    parseRRule(rrule);
    return true;
  } catch (error) {
    if (error instanceof BadRule) return false;
    throw error;
  }
}

const isPast = ({ endsBefore }: Series, recurrenceId: string): boolean => endsBefore !== null && recurrenceId >= endsBefore;

function asOverridden(found: Occurrence, overrides: readonly Override[]): Occurrence {
  const at = overrides.find(({ recurrenceId }) => recurrenceId === found.recurrenceId)?.at ?? null;
  return at === null ? found : { ...found, at };
}

/** So long after the day it was done, at the hour of the first. */
function afterDone(series: Series, recurrenceId: string, house: ChoreHouse, rows: ChoreRows): string | null {
  const item = rows.by('item', 'seriesId', series.id).find((one) => one.recurrenceId === recurrenceId);
  const parts = item ? rows.by('part', 'itemId', item.id) : [];
  const doneAt = item && isDone(item, parts) ? (firstCompleted(parts)?.completedAt ?? null) : null;
  // left out, it counts from its own day
  const from = doneAt === null ? recurrenceId.slice(0, 10) : calendarDateOf(doneAt, house.zone);
  const date = Temporal.PlainDate.from(from).add(series.afterDone!).toString();
  if (series.dtstart.length === 10) return date;
  return formatLocal(existing(parseLocal(`${date}${series.dtstart.slice(10)}`)!.at, house.zone));
}

/** The items a chore has become, in the order of its rule. */
export const itemsOf = (seriesId: string, rows: ChoreRows): Item[] =>
  rows.by('item', 'seriesId', seriesId).sort((a, b) => (a.recurrenceId! < b.recurrenceId! ? -1 : a.recurrenceId! > b.recurrenceId! ? 1 : 0));

/** Taken out by undoing what brought it, not by anybody's wish: it may come again. */
export function isWithdrawn(item: Item, rows: ChoreRows): boolean {
  if (item.removedAt === null || item.missedAt !== null) return false;
  const override = rows.get('override', overrideId(item.seriesId!, item.recurrenceId!));
  return typeof override === 'string' || !override.skipped;
}

/** The items that stand for an occurrence, be it done, missed or left out. */
export const madeOf = (seriesId: string, rows: ChoreRows): Item[] => itemsOf(seriesId, rows).filter((item) => !isWithdrawn(item, rows));

/** Nothing is to be waited for any more: done, missed or left out. */
export const isOver = (item: Item, rows: ChoreRows): boolean => item.removedAt !== null || isDone(item, rows.by('part', 'itemId', item.id));

export interface Appearance {
  occurrence: Occurrence;
  /** UTC instant its day begins, or now where the last is settled. */
  at: string;
}

/**
 * The next that is to become an item, and when: when the last is settled, or its day begins, whichever is first. Of several a day each
 * at its own hour. Null: none is to come by itself.
 */
export function nextAppearance(series: Series, now: string, house: ChoreHouse, rows: ChoreRows): Appearance | null {
  const last = madeOf(series.id, rows).at(-1);
  const occurrence = occurrenceAfter(series, last?.recurrenceId ?? null, house, rows);
  if (occurrence === null) return null;
  if (!last || isOver(last, rows)) return { occurrence, at: now };
  if (series.whenDone || series.rrule === null) return null;
  const sameDay = last.due !== null && last.due.slice(0, 10) === occurrence.at.slice(0, 10);
  return { occurrence, at: instantAt(sameDay ? occurrence.at : occurrence.at.slice(0, 10), house.zone) };
}

/** How many before an occurrence were missed without one done in between, and the day of the first. */
export function missedBefore(item: Item, rows: ChoreRows): { many: number; since: string } | null {
  const before = itemsOf(item.seriesId!, rows).filter((one) => one.recurrenceId! < item.recurrenceId!);
  const lastKept = before.findLastIndex((one) => one.missedAt === null);
  const missed = before.slice(lastKept + 1);
  return missed[0] ? { many: missed.length, since: missed[0].due!.slice(0, 10) } : null;
}
