import type { Override, Series } from '../model/series.ts';
import { addDays, weekdayOf } from '../time/clock.ts';
import type { ChoreHouse } from './chores.ts';
import { CHORE_STEPS } from './chore-bounds.ts';
import { occurrences } from './occurrences.ts';
import { parseRRule, type Frequency } from './rrule.ts';
import { TooCostly } from './steps.ts';

/** What becomes of the single exceptions of a chore where it is changed from a day on. */

/** One occurrence that differs from its rule; without the row it is kept in. */
export type Exception = Pick<Override, 'recurrenceId' | 'at' | 'skipped' | 'personId' | 'countsFor'>;

export type Rule = Pick<Series, 'rrule' | 'afterDone' | 'dtstart'>;

export interface CarriedExceptions {
  /** As they will be, by the times of the changed rule. */
  kept: Exception[];
  /** As they were: no occurrence of the changed rule lies on their day, or in their week or month. */
  lost: Exception[];
}

/**
 * Exceptions of one rule as exceptions of another that goes on from it: with the occurrence of the same local date, else with the
 * nearest of the same week, month or year, the shorter period of the two rules. Each occurrence takes one at most.
 */
export function carryExceptions(exceptions: readonly Exception[], old: Rule, next: Rule, house: Pick<ChoreHouse, 'zone'>): CarriedExceptions {
  const times = timesAround(exceptions, next, house);
  const found = new Map<Exception, string>();
  const taken = new Set<string>();
  for (const period of [dayOf, shorterPeriod(old, next)]) {
    if (period === null) continue;
    const among = grouped(times, period);
    for (const one of exceptions) {
      if (found.has(one)) continue;
      const id = nearest(
        one.recurrenceId,
        (among.get(period(one.recurrenceId)) ?? []).filter((each) => !taken.has(each)),
      );
      if (id === undefined) continue;
      taken.add(id);
      found.set(one, id);
    }
  }
  return {
    kept: [...found].map(([one, recurrenceId]) => ({ ...one, recurrenceId, at: movedTo(one, recurrenceId) })),
    lost: exceptions.filter((one) => !found.has(one)),
  };
}

function grouped(times: readonly string[], period: Period): Map<string, string[]> {
  const groups = new Map<string, string[]>();
  for (const time of times) {
    const group = groups.get(period(time));
    if (group) group.push(time);
    else groups.set(period(time), [time]);
  }
  return groups;
}

const dayOf = (moment: string): string => moment.slice(0, 10);
const clockOf = (moment: string): string => moment.slice(10);

/** Moved to another day it keeps that day, to another hour that hour; what was as the rule had it follows the changed rule. */
function movedTo({ at, recurrenceId }: Exception, next: string): string | null {
  if (at === null) return null;
  const day = dayOf(at) === dayOf(recurrenceId) ? dayOf(next) : dayOf(at);
  const clock = clockOf(at) === clockOf(recurrenceId) ? clockOf(next) : clockOf(at);
  return `${day}${clock}`;
}

/** An exception goes with an occurrence at most so far away. */
const LONGEST_PERIOD = 366;

/** The times of the changed rule about the exceptions: what lies between two that are years apart is not worked out. */
function timesAround(exceptions: readonly Exception[], next: Rule, { zone }: Pick<ChoreHouse, 'zone'>): string[] {
  if (next.rrule === null) return [next.dtstart];
  const times = new Set<string>();
  try {
    for (const { from, to } of stretches(exceptions.map(({ recurrenceId }) => dayOf(recurrenceId)))) {
      const window = { after: addDays(from, -LONGEST_PERIOD), before: addDays(to, LONGEST_PERIOD), maxSteps: CHORE_STEPS };
      for (const { recurrenceId } of occurrences({ rrule: next.rrule, dtstart: next.dtstart, zone }, window)) times.add(recurrenceId);
    }
  } catch (error) {
    // those found so far take theirs; a rule too costly is refused where it is said
    if (!(error instanceof TooCostly)) throw error;
  }
  return [...times];
}

function stretches(days: readonly string[]): { from: string; to: string }[] {
  const found: { from: string; to: string }[] = [];
  for (const day of [...days].sort()) {
    const last = found.at(-1);
    if (last && day <= addDays(last.to, 2 * LONGEST_PERIOD)) last.to = day;
    else found.push({ from: day, to: day });
  }
  return found;
}

type Period = (moment: string) => string;

const PERIODS: readonly { freq: Frequency; of: Period }[] = [
  { freq: 'WEEKLY', of: (moment) => addDays(dayOf(moment), 1 - weekdayOf(moment)) },
  { freq: 'MONTHLY', of: (moment) => moment.slice(0, 7) },
  { freq: 'YEARLY', of: (moment) => moment.slice(0, 4) },
];

/** Null: by days or hours there is no longer period than the day. */
function shorterPeriod(old: Rule, next: Rule): Period | null {
  const lengths = [old, next].map(({ rrule }) => (rrule === null ? -1 : PERIODS.findIndex(({ freq }) => freq === parseRRule(rrule).freq)));
  return PERIODS[Math.min(...lengths)]?.of ?? null;
}

function nearest(recurrenceId: string, ids: readonly string[]): string | undefined {
  const far = (id: string): number => Math.abs(Date.parse(utc(id)) - Date.parse(utc(recurrenceId)));
  return ids.reduce<string | undefined>((best, id) => (best === undefined || far(id) < far(best) ? id : best), undefined);
}

/** Compared with each other only: read as if it were UTC. */
const utc = (moment: string): string => (moment.length === 10 ? `${moment}T00:00Z` : `${moment}Z`);
