import type { Rows } from '../reader/finding.ts';
import type { Override, Series } from '../model/series.ts';
import { lastMadeOf, occurrencesAfter, type ChoreHouse } from './chores.ts';
import type { Occurrence } from './occurrences.ts';

/** What the occurrences still to come of a chore follow from, beside the chore itself. */
interface Grounds {
  /** Its last occurrence that became an item. */
  last: string | null;
  overrides: readonly Override[];
  house: ChoreHouse;
}

/** So many ends are looked to at a time: a month, four weeks, the coming one. */
const MOST_ENDS = 4;

/** Of each chore as it is what was worked out last, by the day it goes to. Rows are never changed in place: one that changed is another. */
const remembered = new WeakMap<Series, Map<string, Grounds & { coming: readonly Occurrence[] }>>();

/** The occurrences of a chore up to a day that are no items yet. Asked again while nothing about it has changed, they are as before. */
export function comingOf(series: Series, until: string, rows: Rows, house: ChoreHouse): readonly Occurrence[] {
  const last = lastMadeOf(series.id, rows)?.recurrenceId ?? null;
  // when the next is follows from when the last is done
  if (series.rrule === null && last !== null) return [];
  const grounds: Grounds = { last, overrides: rows.by('override', 'seriesId', series.id), house };
  const ends = remembered.get(series) ?? new Map<string, Grounds & { coming: readonly Occurrence[] }>();
  const known = ends.get(until);
  if (known && areSame(known, grounds)) return known.coming;
  const coming = expanded(series, until, grounds, rows);
  if (ends.size >= MOST_ENDS) ends.clear();
  remembered.set(series, ends.set(until, { ...grounds, coming }));
  return coming;
}

function expanded(series: Series, until: string, { last, house }: Grounds, rows: Rows): Occurrence[] {
  const coming: Occurrence[] = [];
  for (const occurrence of occurrencesAfter(series, last, house, rows)) {
    if (occurrence.recurrenceId.slice(0, 10) > until) break;
    if (occurrence.at.slice(0, 10) <= until) coming.push(occurrence);
  }
  return coming;
}

const areSame = (a: Grounds, b: Grounds): boolean =>
  a.last === b.last &&
  a.overrides.length === b.overrides.length &&
  a.overrides.every((override, nth) => override === b.overrides[nth]) &&
  a.house.zone === b.house.zone &&
  a.house.region === b.house.region &&
  a.house.holidays === b.house.holidays &&
  a.house.daysOff === b.house.daysOff;
