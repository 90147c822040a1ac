import { BadRule, parseRRule, WEEKDAYS, type RRule, type Series } from '@kotiva/core';
import { sayHour } from './customs.ts';
import { formatDate } from './formats.ts';
import { locale, t, together } from './index.ts';
import { dayMonth } from './dates.ts';

/** How a chore comes back, as a sentence in the reader's language. */

export type SayableRule = Pick<Series, 'rrule' | 'afterDone' | 'dtstart'> & Partial<Pick<Series, 'offDay'>>;

const UNIT = { D: 'day', W: 'week', M: 'month', Y: 'year' } as const;
const WORKDAYS = '1,2,3,4,5';

export function sayRule(series: SayableRule): string {
  const time = series.dtstart.length > 10 ? sayHour(series.dtstart) : '';
  const said = series.afterDone ? sayAfter(series.afterDone) : sayRRule(series.rrule ?? '', series.dtstart);
  const timed = time && !/BYHOUR|HOURLY|MINUTELY/.test(series.rrule ?? '') ? t('rule.at', { what: said, time }) : said;
  return series.offDay && series.offDay !== 'keep' ? t(`rule.shift.${series.offDay}`, { what: timed }) : timed;
}

/** The same without the hour and what is rare: for a row. */
export const sayRuleShort = ({ rrule, afterDone, dtstart }: SayableRule): string => sayRule({ rrule, afterDone, dtstart: dtstart.slice(0, 10) });

function sayAfter(afterDone: string): string {
  const unit = UNIT[afterDone.at(-1) as keyof typeof UNIT];
  return t(`rule.after.${unit}`, { count: Number(afterDone.slice(1, -1)) });
}

function sayRRule(rrule: string, dtstart: string): string {
  try {
    const rule = parseRRule(rrule);
    return ending(plain(rule, dtstart) ?? t('rule.typed', { rule: rrule.replace(/;(COUNT|UNTIL)=[^;]+/, '') }), rule);
  } catch (error) {
    if (error instanceof BadRule) return t('rule.typed', { rule: rrule });
    throw error;
  }
}

function ending(what: string, { count, until }: RRule): string {
  if (count !== null) return t('rule.times', { what, count });
  if (until === null) return what;
  const date = `${until.slice(0, 4)}-${until.slice(4, 6)}-${until.slice(6, 8)}`;
  return t('rule.until', { what, date: `${dayMonth(date)} ${date.slice(0, 4)}` });
}

/** What can be said in plain words, or null. */
function plain(rule: RRule, dtstart: string): string | null {
  const { freq, interval: count, byDay, byMonthDay, byMonth } = rule;
  if (rule.byYearDay.length > 0 || rule.byWeekNo.length > 0 || rule.byMinute.length > 1 || rule.bySecond.length > 0) return null;
  if (freq === 'HOURLY' && rule.byHour.length === 0 && byDay.length === 0 && byMonthDay.length === 0) return t('rule.every.hour', { count });
  if (freq === 'DAILY' && byDay.length === 0 && byMonthDay.length === 0 && byMonth.length === 0) return atHours(t('rule.every.day', { count }), rule);
  if (rule.byHour.length > 0) return null;
  if (freq === 'WEEKLY' && byMonth.length === 0) return weekly(rule, dtstart);
  if (freq === 'MONTHLY') return monthly(rule, dtstart);
  if (freq === 'YEARLY' && byDay.length === 0 && byMonth.length <= 1 && byMonthDay.length <= 1) {
    const month = byMonth[0] ?? Number(dtstart.slice(5, 7));
    const day = byMonthDay[0] ?? Number(dtstart.slice(8, 10));
    return day < 0 ? null : t('rule.yearly', { count, date: `${day} ${monthName(month)}` });
  }
  return null;
}

const atHours = (what: string, { byHour, byMinute }: RRule): string =>
  byHour.length === 0
    ? what
    : t('rule.at', { what, time: together(byHour.map((hour) => sayHour(`${String(hour).padStart(2, '0')}:${String(byMinute[0] ?? 0).padStart(2, '0')}`))) });

function weekly({ interval: count, byDay }: RRule, dtstart: string): string {
  const days = byDay.length > 0 ? byDay.map(({ weekday }) => weekday) : [weekdayOfDate(dtstart)];
  const sorted = [...new Set(days)].sort((a, b) => a - b);
  if (count === 1 && sorted.join() === WORKDAYS) return t('rule.workdays');
  return t('rule.weekly', { count, days: together(sorted.map((day) => weekdayName(day, sorted.length === 1 ? 'long' : 'short'))) });
}

function monthly(rule: RRule, dtstart: string): string | null {
  const on = monthlyOn(rule, dtstart);
  if (on === null) return null;
  const { interval: count, byMonth } = rule;
  if (byMonth.length > 0) return count === 1 ? t('rule.inMonths', { on, months: together(byMonth.map(monthName)) }) : null;
  return t('rule.monthly', { count, on });
}

function monthlyOn({ byDay, byMonthDay, bySetPos }: RRule, dtstart: string): string | null {
  if (byMonthDay.length > 1 && byDay.length === 0 && bySetPos.join() === '-1') return t('rule.dayOrLast', { nth: ordinal(byMonthDay.at(-1)!) });
  if (byDay.length === 5 && byDay.every(({ nth }) => nth === 0) && byMonthDay.length === 0 && bySetPos.length === 1)
    return bySetPos[0] === -1 ? t('rule.lastWorkday') : bySetPos[0]! > 0 ? t('rule.nthWorkday', { nth: ordinal(bySetPos[0]!) }) : null;
  if (bySetPos.length > 0) return null;
  if (byDay.length === 0 && byMonthDay.length <= 1) {
    const day = byMonthDay[0] ?? Number(dtstart.slice(8, 10));
    return day === -1 ? t('rule.lastDay') : day > 0 ? t('rule.day', { nth: ordinal(day) }) : null;
  }
  if (byMonthDay.length > 0 || byDay.length !== 1) return null;
  const { weekday, nth } = byDay[0]!;
  if (nth === -1) return t('rule.lastWeekday', { day: weekdayName(weekday, 'long') });
  return nth > 0 ? t('rule.nthWeekday', { nth: ordinal(nth), day: weekdayName(weekday, 'long') }) : null;
}

const weekdayOfDate = (date: string): number => new Date(`${date.slice(0, 10)}T00:00:00Z`).getUTCDay() || 7;

/** ISO weekday, Monday 1. The first of January 2024 was one. */
export const weekdayName = (weekday: number, width: 'long' | 'short'): string => formatDate(`2024-01-0${weekday}`, { weekday: width });
const monthName = (month: number): string => formatDate(`2024-${String(month).padStart(2, '0')}-01`, { month: 'short' });

export const weekdayChoices = () => WEEKDAYS.map((value, nth) => ({ value, words: weekdayName(nth + 1, 'short') }));

/** "1st", "22nd": an ending for each plural class the language has. */
export function ordinal(nth: number): string {
  return t(`rule.ordinal.${new Intl.PluralRules(locale(), { type: 'ordinal' }).select(nth) as 'one' | 'two' | 'few' | 'other'}`, { nth });
}

/** How many months of a year have the day: of the 29th one more in leap years. */
const MONTHS_WITH: Record<number, number> = { 29: 11, 30: 11, 31: 7 };

/** "The 31st only (7 months a year)". */
export const sayShortOnly = (day: number): string => t('rule.short.only', { day: ordinal(day), months: MONTHS_WITH[day] ?? 12 });
