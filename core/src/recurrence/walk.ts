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

/**
 * A rule's times on the wall, ascending, from the first day on. `from`: where to begin, by going to the period it lies in rather
 * than through all before it; times before it may come too. `to`: nothing is looked for from there on. A rule with COUNT is walked from
 * its first day, since it is to be counted. Every period looked at and every time laid out is taken from `steps`.
 */
export function* walk(
  rule: RRule,
  dtstart: LocalSeconds,
  from: LocalSeconds,
  to: LocalSeconds,
  steps: Steps = new Steps(),
): Generator<LocalSeconds, void, undefined> {
  const begin = rule.count === null ? Math.max(from, dtstart) : dtstart;
  let left = rule.count ?? Number.POSITIVE_INFINITY;
  const end = Math.min(to, LAST);
  for (const times of periods(rule, dtstart, begin, end, steps)) {
    for (const at of times) {
      if (at < dtstart) continue;
      if (left-- <= 0 || at >= end) return;
      yield at;
    }
    if (left <= 0) return;
  }
}

/** The times of each period of the rule that has any. */
function periods(rule: RRule, dtstart: LocalSeconds, begin: LocalSeconds, end: LocalSeconds, steps: Steps): Iterable<LocalSeconds[]> {
  const firstDay = Math.floor(dtstart / DAY_SECONDS);
  const days = new DaysOfRule(rule, firstDay);
  if (isOfClock(rule.freq)) return clockPeriods(rule, days, dtstart, begin, end, UNITS[rule.freq], steps);
  return dayPeriods(rule, days, dtstart, begin, end, steps);
}

function* dayPeriods(rule: RRule, days: DaysOfRule, dtstart: LocalSeconds, begin: LocalSeconds, end: LocalSeconds, steps: Steps): Generator<LocalSeconds[]> {
  const clock = clockTimes(rule, dtstart);
  const [first, near, last] = [Math.floor(dtstart / DAY_SECONDS), Math.floor(begin / DAY_SECONDS), Math.ceil(end / DAY_SECONDS)];
  for (const found of daySets(rule, days, first, near, last, steps)) {
    // before they are laid out: a year of seconds would not fit
    steps.take(found.length * clock.length);
    const times: LocalSeconds[] = [];
    for (const day of found) for (const second of clock) times.push(day * DAY_SECONDS + second);
    yield picked(times, rule.bySetPos);
  }
}

/** The days of each period that has any, beginning with the period `beginDay` lies in. */
function* daySets(rule: RRule, days: DaysOfRule, firstDay: number, beginDay: number, endDay: number, steps: Steps): Generator<number[]> {
  const { freq, interval } = rule;
  const start = civilOf(firstDay);
  const begin = civilOf(beginDay);
  const last = civilOf(endDay);
  if (freq === 'YEARLY') {
    const [first, near] = rule.byWeekNo.length > 0 ? [weekYearOf(firstDay, rule.wkst), weekYearOf(beginDay, rule.wkst)] : [start.year, begin.year];
    for (let year = first + aligned(near - first, interval); year <= last.year + 1; year += interval) {
      steps.take(YEAR_STEPS);
      yield* some(days.ofYear(year));
    }
  } else if (freq === 'MONTHLY') {
    const first = start.year * 12 + start.month - 1;
    for (let month = first + aligned(begin.year * 12 + begin.month - 1 - first, interval); month <= last.year * 12 + last.month; month += interval) {
      steps.take(MONTH_STEPS);
      yield* some(days.ofMonth(Math.floor(month / 12), (month % 12) + 1));
    }
  } else if (freq === 'WEEKLY') {
    const first = startOfWeek(firstDay, rule.wkst);
    const step = 7 * interval;
    for (let week = first + aligned(startOfWeek(beginDay, rule.wkst) - first, step); week < endDay; week += step) {
      steps.take(1);
      yield* some(days.ofWeek(week));
    }
  } else {
    for (let day = firstDay + aligned(beginDay - firstDay, interval); day < endDay;) {
      steps.take(1);
      if (days.takes(day)) yield [day];
      day = firstDay + alignedUp(Math.max(day + 1, days.afterMonthOf(day)) - firstDay, interval);
    }
  }
}

const some = (days: number[]): number[][] => (days.length > 0 ? [days] : []);

/** The multiple of a step a distance lies in. */
const aligned = (distance: number, step: number): number => Math.floor(distance / step) * step;
const alignedUp = (distance: number, step: number): number => Math.ceil(distance / step) * step;

/** Periods of an hour, a minute or a second: what the clock does not allow is jumped over. */
function* clockPeriods(
  rule: RRule,
  days: DaysOfRule,
  dtstart: LocalSeconds,
  begin: LocalSeconds,
  end: LocalSeconds,
  unit: number,
  steps: Steps,
): Generator<LocalSeconds[]> {
  const step = unit * rule.interval;
  const base = Math.floor(dtstart / unit) * unit;
  if (!meetsClock(rule, base, unit, step)) return;
  const within = timesWithin(rule, dtstart, unit);
  if (rule.bySetPos.length > 0 && rule.bySetPos.every((nth) => Math.abs(nth) > within.length)) return;
  let taken = Number.NaN;
  const next = (at: LocalSeconds) => base + alignedUp(at - base, step);
  for (let at = base + aligned(begin - base, step); at < end;) {
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
    yield picked(
      within.map((offset) => at + offset),
      rule.bySetPos,
    );
    at += step;
  }
}

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
