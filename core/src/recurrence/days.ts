import { civilOf, daysFromCivil, weekdayOfDay } from '../time/epoch.ts';
import type { RRule } from './rrule.ts';

/** The days a rule picks within a year, a month or a week, as days since the epoch, ascending. Source: RFC 5545 3.3.10, its table and notes. */

const monthLength = (year: number, month: number): number => firstOfMonth(year, month + 1) - firstOfMonth(year, month);

/** `month` may run past the year. */
function firstOfMonth(year: number, month: number): number {
  const over = Math.floor((month - 1) / 12);
  return daysFromCivil(year + over, month - over * 12, 1);
}

export const startOfWeek = (day: number, wkst: number): number => day - ((weekdayOfDay(day) - wkst + 7) % 7);

/** The year whose numbered weeks a day lies in: at either end it may be a neighbour of the calendar's. */
export function weekYearOf(day: number, wkst: number): number {
  const { year } = civilOf(day);
  if (day < firstWeek(year, wkst)) return year - 1;
  return day < firstWeek(year + 1, wkst) ? year : year + 1;
}

/** The first day of week 1 of a year: the first week with four days or more in it. */
function firstWeek(year: number, wkst: number): number {
  return startOfWeek(daysFromCivil(year, 1, 4), wkst);
}

/** A rule's parts that concern days, with what it leaves unsaid taken from its first day. */
export class DaysOfRule {
  private readonly byMonth: readonly number[];
  private readonly byMonthDay: readonly number[];
  private readonly weekdays: readonly number[];
  /** Of its weekdays, from the first day of a week. */
  private readonly offsets: readonly number[];
  /** Numbers of BYDAY count within the month, not within the year. */
  private readonly nthInMonth: boolean;

  constructor(
    private readonly rule: RRule,
    firstDay: number,
  ) {
    const { freq, byDay, byMonth, byMonthDay, byWeekNo, byYearDay } = rule;
    const { month, day } = civilOf(firstDay);
    const saysDay = byDay.length > 0 || byMonthDay.length > 0 || byYearDay.length > 0 || byWeekNo.length > 0;
    this.byMonth = freq === 'YEARLY' && !saysDay && byMonth.length === 0 ? [month] : byMonth;
    this.byMonthDay = (freq === 'YEARLY' || freq === 'MONTHLY') && !saysDay ? [day] : byMonthDay;
    const saysWeekday = byDay.length > 0;
    const saysOther = byMonthDay.length > 0 || byYearDay.length > 0;
    this.weekdays = saysWeekday ? byDay.map(({ weekday }) => weekday) : freq === 'WEEKLY' || !saysOther ? [weekdayOfDay(firstDay)] : EVERY_WEEKDAY;
    this.offsets = ascending(this.weekdays.map((weekday) => (weekday - rule.wkst + 7) % 7));
    this.nthInMonth = freq === 'MONTHLY' || byMonth.length > 0;
  }

  ofYear(year: number): number[] {
    const { byYearDay, byWeekNo, byDay } = this.rule;
    if (byWeekNo.length > 0) return ascending(this.ofWeeks(year).filter((day) => this.fits(day)));
    if (this.byMonthDay.length > 0) return this.ofMonths(year);
    const first = daysFromCivil(year, 1, 1);
    const length = daysFromCivil(year + 1, 1, 1) - first;
    if (byYearDay.length > 0) {
      const days = byYearDay.filter((nth) => Math.abs(nth) <= length).map((nth) => (nth > 0 ? first + nth - 1 : first + length + nth));
      return ascending(days.filter((day) => this.fits(day)));
    }
    if (this.byMonth.length > 0) return this.ofMonths(year);
    return ascending(byDay.flatMap(({ weekday, nth }) => weekdaysWithin(first, length, weekday, nth)));
  }

  ofMonth(year: number, month: number): number[] {
    if (this.byMonth.length > 0 && !this.byMonth.includes(month)) return [];
    const first = daysFromCivil(year, month, 1);
    const length = monthLength(year, month);
    if (this.byMonthDay.length === 0) return ascending(this.rule.byDay.flatMap(({ weekday, nth }) => weekdaysWithin(first, length, weekday, nth)));
    const days = this.byMonthDay.filter((nth) => Math.abs(nth) <= length).map((nth) => (nth > 0 ? first + nth - 1 : first + length + nth));
    return ascending(this.saysMore ? days.filter((day) => this.fits(day)) : days);
  }

  ofWeek(first: number): number[] {
    const days = this.offsets.map((offset) => first + offset);
    return this.byMonth.length > 0 ? days.filter((day) => this.fitsMonth(day)) : days;
  }

  /** Whether a rule that counts days, hours or less takes this day. */
  takes(day: number): boolean {
    return !this.limits || this.fits(day);
  }

  /** The first day of the next month the rule takes; a day further on where it takes any. */
  afterMonthOf(day: number): number {
    if (this.byMonth.length === 0) return day + 1;
    const { year, month } = civilOf(day);
    if (this.byMonth.includes(month)) return day + 1;
    const next = this.byMonth.find((one) => one > month);
    return next === undefined ? daysFromCivil(year + 1, this.byMonth[0]!, 1) : daysFromCivil(year, next, 1);
  }

  private get limits(): boolean {
    return this.byMonth.length > 0 || this.saysMore || this.byMonthDay.length > 0;
  }

  private get saysMore(): boolean {
    return this.rule.byDay.length > 0 || this.rule.byYearDay.length > 0 || this.rule.byWeekNo.length > 0;
  }

  private ofMonths(year: number): number[] {
    const months = this.byMonth.length > 0 ? this.byMonth : TWELVE;
    return months.flatMap((month) => this.ofMonth(year, month));
  }

  /** The days of a year's numbered weeks: the first may begin, the last may end in a neighbouring year. */
  private ofWeeks(year: number): number[] {
    const { byWeekNo, wkst } = this.rule;
    const first = firstWeek(year, wkst);
    const weeks = (firstWeek(year + 1, wkst) - first) / 7;
    const found = byWeekNo.filter((nth) => Math.abs(nth) <= weeks).map((nth) => first + 7 * (nth > 0 ? nth - 1 : weeks + nth));
    return found.flatMap((week) => this.weekdays.map((weekday) => week + ((weekday - wkst + 7) % 7)));
  }

  private fits(day: number): boolean {
    const { byYearDay, byDay } = this.rule;
    if (!this.fitsMonth(day)) return false;
    if (this.byMonthDay.length > 0 && !this.fitsMonthDay(day)) return false;
    if (byYearDay.length > 0 && !this.fitsYearDay(day)) return false;
    return byDay.length === 0 || this.fitsWeekday(day);
  }

  private fitsMonth(day: number): boolean {
    return this.byMonth.length === 0 || this.byMonth.includes(civilOf(day).month);
  }

  private fitsMonthDay(at: number): boolean {
    const { year, month, day } = civilOf(at);
    return this.byMonthDay.includes(day) || this.byMonthDay.includes(day - monthLength(year, month) - 1);
  }

  private fitsYearDay(day: number): boolean {
    const { year } = civilOf(day);
    const first = daysFromCivil(year, 1, 1);
    const { byYearDay } = this.rule;
    return byYearDay.includes(day - first + 1) || byYearDay.includes(day - daysFromCivil(year + 1, 1, 1));
  }

  private fitsWeekday(at: number): boolean {
    const weekday = weekdayOfDay(at);
    return this.rule.byDay.some((one) => one.weekday === weekday && (one.nth === 0 || this.isNth(at, one.nth)));
  }

  private isNth(at: number, nth: number): boolean {
    const { year, month } = civilOf(at);
    const first = this.nthInMonth ? daysFromCivil(year, month, 1) : daysFromCivil(year, 1, 1);
    const end = this.nthInMonth ? first + monthLength(year, month) : daysFromCivil(year + 1, 1, 1);
    return nth > 0 ? Math.floor((at - first) / 7) + 1 === nth : Math.floor((end - 1 - at) / 7) + 1 === -nth;
  }
}

const EVERY_WEEKDAY = [1, 2, 3, 4, 5, 6, 7];
const TWELVE = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12];

/** Every such weekday of a stretch of days, or the nth of them. */
function weekdaysWithin(first: number, length: number, weekday: number, nth: number): number[] {
  const begins = first + ((weekday - weekdayOfDay(first) + 7) % 7);
  const many = Math.floor((first + length - 1 - begins) / 7) + 1;
  if (nth === 0) return Array.from({ length: many }, (_, week) => begins + 7 * week);
  const at = nth > 0 ? nth - 1 : many + nth;
  return at >= 0 && at < many ? [begins + 7 * at] : [];
}

/** In order, each once. */
function ascending(days: number[]): number[] {
  if (days.length < 2) return days;
  days.sort((a, b) => a - b);
  return days.filter((day, nth) => nth === 0 || day !== days[nth - 1]);
}
