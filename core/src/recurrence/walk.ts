import { civilOf, daysFromCivil } from '../time/epoch.ts';
import { DaysOfRule, startOfWeek, weekYearOf } from './days.ts';
import { DAY_SECONDS, type LocalSeconds } from './local.ts';
import { isOfClock, type RRule } from './rrule.ts';
import { Steps } from './steps.ts';

/** No rule is followed beyond the last year of four digits. */
const LAST_YEAR = 9999;
const LAST = daysFromCivil(LAST_YEAR + 1, 1, 1) * DAY_SECONDS;

const UNITS = { HOURLY: 3600, MINUTELY: 60, SECONDLY: 1 };

/** What choosing the days of a whole year or month costs, beside a single day. */
const YEAR_STEPS = 24;
const MONTH_STEPS = 4;

/** Asked again and again it gives what comes next; null: nothing more does. Asked thousands of times, a generator takes several times as long. */
export type Next<T> = () => T | null;

/**
 * A rule's times on the wall, ascending, from the first day on. `from`: where to begin, by going to the period it lies in rather
 * than through all before it; times before it may come too. `to`: nothing is looked for from there on. A rule with COUNT is walked from
 * its first day, since it is to be counted. Every period looked at and every time laid out is taken from `steps`.
 */
export function walk(rule: RRule, dtstart: LocalSeconds, from: LocalSeconds, to: LocalSeconds, steps: Steps = new Steps()): Next<LocalSeconds> {
  const begin = rule.count === null ? Math.max(from, dtstart) : dtstart;
  let left = rule.count ?? Number.POSITIVE_INFINITY;
  const end = Math.min(to, LAST);
  const next = periods(rule, dtstart, begin, end, steps);
  let times: readonly LocalSeconds[] = [];
  let nth = 0;
  return () => {
    while (left > 0) {
      if (nth === times.length) {
        const found = next();
        if (found === null) return null;
        times = found;
        nth = 0;
        continue;
      }
      const at = times[nth++]!;
      if (at < dtstart) continue;
      left = at >= end ? 0 : left - 1;
      return at >= end ? null : at;
    }
    return null;
  };
}

/** The times of each period of the rule that has any. */
function periods(rule: RRule, dtstart: LocalSeconds, begin: LocalSeconds, end: LocalSeconds, steps: Steps): Next<LocalSeconds[]> {
  const firstDay = Math.floor(dtstart / DAY_SECONDS);
  const days = new DaysOfRule(rule, firstDay);
  if (isOfClock(rule.freq)) return clockPeriods(rule, days, dtstart, begin, end, UNITS[rule.freq], steps);
  return dayPeriods(rule, days, dtstart, begin, end, steps);
}

function dayPeriods(rule: RRule, days: DaysOfRule, dtstart: LocalSeconds, begin: LocalSeconds, end: LocalSeconds, steps: Steps): Next<LocalSeconds[]> {
  const clock = clockTimes(rule, dtstart);
  const [first, near, last] = [Math.floor(dtstart / DAY_SECONDS), Math.floor(begin / DAY_SECONDS), Math.ceil(end / DAY_SECONDS)];
  const next = daySets(rule, days, first, near, last, steps);
  return () => {
    const found = next();
    if (found === null) return null;
    // before they are laid out: a year of seconds would not fit
    steps.take(found.length * clock.length);
    const times: LocalSeconds[] = [];
    for (const day of found) for (const second of clock) times.push(day * DAY_SECONDS + second);
    return picked(times, rule.bySetPos);
  };
}

/** The days of each period that has any, beginning with the period `beginDay` lies in. */
function daySets(rule: RRule, days: DaysOfRule, firstDay: number, beginDay: number, endDay: number, steps: Steps): Next<number[]> {
  const { freq, interval } = rule;
  const start = civilOf(firstDay);
  const begin = civilOf(beginDay);
  const last = civilOf(endDay);
  if (freq === 'YEARLY') {
    const [first, near] = rule.byWeekNo.length > 0 ? [weekYearOf(firstDay, rule.wkst), weekYearOf(beginDay, rule.wkst)] : [start.year, begin.year];
    const take = (year: number) => {
      steps.take(YEAR_STEPS);
      return days.ofYear(year);
    };
    return each(first + aligned(near - first, interval), last.year + 1, interval, take);
  }
  if (freq === 'MONTHLY') {
    const first = start.year * 12 + start.month - 1;
    const take = (month: number) => {
      steps.take(MONTH_STEPS);
      return days.ofMonth(Math.floor(month / 12), (month % 12) + 1);
    };
    return each(first + aligned(begin.year * 12 + begin.month - 1 - first, interval), last.year * 12 + last.month, interval, take);
  }
  if (freq === 'WEEKLY') {
    const first = startOfWeek(firstDay, rule.wkst);
    const step = 7 * interval;
    const take = (week: number) => {
      steps.take(1);
      return days.ofWeek(week);
    };
    return each(first + aligned(startOfWeek(beginDay, rule.wkst) - first, step), endDay - 1, step, take);
  }
  let day = firstDay + aligned(beginDay - firstDay, interval);
  return () => {
    while (day < endDay) {
      const one = day;
      steps.take(1);
      const taken = days.takes(one);
      day = firstDay + alignedUp(Math.max(one + 1, days.afterMonthOf(one)) - firstDay, interval);
      if (taken) return [one];
    }
    return null;
  };
}

/** The days of every period from the first to the last that has any. */
function each(first: number, last: number, step: number, daysOf: (period: number) => number[]): Next<number[]> {
  let period = first;
  return () => {
    while (period <= last) {
      const days = daysOf(period);
      period += step;
      if (days.length > 0) return days;
    }
    return null;
  };
}

/** The multiple of a step a distance lies in. */
const aligned = (distance: number, step: number): number => Math.floor(distance / step) * step;
const alignedUp = (distance: number, step: number): number => Math.ceil(distance / step) * step;

/** Periods of an hour, a minute or a second: what the clock does not allow is jumped over. */
function clockPeriods(
  rule: RRule,
  days: DaysOfRule,
  dtstart: LocalSeconds,
  begin: LocalSeconds,
  end: LocalSeconds,
  unit: number,
  steps: Steps,
): Next<LocalSeconds[]> {
  const step = unit * rule.interval;
  const base = Math.floor(dtstart / unit) * unit;
  if (!meetsClock(rule, base, unit, step)) return NOTHING;
  const within = timesWithin(rule, dtstart, unit);
  if (rule.bySetPos.length > 0 && rule.bySetPos.every((nth) => Math.abs(nth) > within.length)) return NOTHING;
  let taken = Number.NaN;
  const next = (at: LocalSeconds) => base + alignedUp(at - base, step);
  let at = base + aligned(begin - base, step);
  return () => {
    while (at < end) {
      steps.take(1);
      const day = Math.floor(at / DAY_SECONDS);
      if (day !== taken && !days.takes(day)) {
        at = next(days.afterMonthOf(day) * DAY_SECONDS);
        continue;
      }
      taken = day;
      const second = at - day * DAY_SECONDS;
      const allowed = nextAllowed(rule, second, unit);
      if (allowed !== second) {
        at = next(day * DAY_SECONDS + allowed);
        continue;
      }
      steps.take(within.length);
      const begins = at;
      at += step;
      return picked(
        within.map((offset) => begins + offset),
        rule.bySetPos,
      );
    }
    return null;
  };
}

const NOTHING: Next<never> = () => null;

/** The first second of the day from this one on, in whole units, that BYHOUR, BYMINUTE and BYSECOND let pass; else the next midnight. */
function nextAllowed({ byHour, byMinute, bySecond }: RRule, second: number, unit: number): number {
  const hour = Math.floor(second / 3600);
  if (byHour.length > 0 && !byHour.includes(hour)) {
    const later = byHour.find((one) => one > hour);
    return later === undefined ? DAY_SECONDS : later * 3600;
  }
  if (unit === 3600) return second;
  const minute = Math.floor(second / 60) % 60;
  if (byMinute.length > 0 && !byMinute.includes(minute)) {
    const later = byMinute.find((one) => one > minute);
    return later === undefined ? (hour + 1) * 3600 : hour * 3600 + later * 60;
  }
  if (unit === 60) return second;
  if (bySecond.length > 0 && !bySecond.includes(second % 60)) {
    const later = bySecond.find((one) => one > second % 60);
    return Math.floor(second / 60) * 60 + (later ?? 60);
  }
  return second;
}

/** Whether steps from the base ever land on an allowed time of day: else the rule would be searched to the end of time. */
function meetsClock(rule: RRule, base: LocalSeconds, unit: number, step: number): boolean {
  const every = gcd(step, DAY_SECONDS);
  const first = ((base % every) + every) % every;
  for (let second = first; second < DAY_SECONDS; second += every) if (nextAllowed(rule, second, unit) === second) return true;
  return false;
}

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/** Seconds of the day at which a rule of days falls. */
function clockTimes({ byHour, byMinute, bySecond }: RRule, dtstart: LocalSeconds): number[] {
  const { hour, minute, second } = clockParts(dtstart);
  const hours = byHour.length > 0 ? byHour : [hour];
  const minutes = byMinute.length > 0 ? byMinute : [minute];
  const seconds = bySecond.length > 0 ? unique(bySecond) : [second];
  return hours.flatMap((h) => minutes.flatMap((m) => seconds.map((s) => h * 3600 + m * 60 + s)));
}

/** Seconds after the beginning of an hour, or of a minute, at which it falls. */
function timesWithin({ byMinute, bySecond }: RRule, dtstart: LocalSeconds, unit: number): number[] {
  if (unit === 1) return [0];
  const { minute, second } = clockParts(dtstart);
  const seconds = bySecond.length > 0 ? unique(bySecond) : [second];
  if (unit === 60) return seconds;
  const minutes = byMinute.length > 0 ? byMinute : [minute];
  return minutes.flatMap((m) => seconds.map((s) => m * 60 + s));
}

function clockParts(at: LocalSeconds): { hour: number; minute: number; second: number } {
  const rest = at - Math.floor(at / DAY_SECONDS) * DAY_SECONDS;
  return { hour: Math.floor(rest / 3600), minute: Math.floor(rest / 60) % 60, second: rest % 60 };
}

const unique = (values: readonly number[]): number[] => [...new Set(values)];

/** BYSETPOS: the nth of the period's times, from their end where negative. */
function picked(times: LocalSeconds[], bySetPos: readonly number[]): LocalSeconds[] {
  if (bySetPos.length === 0) return times;
  const found = new Set<LocalSeconds>();
  for (const nth of bySetPos) {
    const at = times[nth > 0 ? nth - 1 : times.length + nth];
    if (at !== undefined) found.add(at);
  }
  return [...found].sort((a, b) => a - b);
}
