import { addDays, calendarDateOf, daysBetween, wallClockOf, weekdayOf } from '@kotiva/core';
import { dateOrder, daysIntoWeek, sayHour, weekdaysInOrder, type DateOrder } from './customs.ts';
import { formatDate as format } from './formats.ts';
import { locale, t } from './index.ts';

/** "4 Dec" or "Dec 4", as the reader is used to. */
function inOrder(date: string, month: 'short' | 'long', order: DateOrder = dateOrder()): string {
  const [day, named] = [format(date, { day: 'numeric' }), format(date, { month })];
  return order === 'day' ? `${day} ${named}` : `${named} ${day}`;
}

/** The same, as an example of an order. */
export const shortDayIn = (order: DateOrder, date: string): string => inOrder(date, 'short', order);

/** "Fri 4 Dec". */
export const dayMonth = (date: string): string => `${format(date, { weekday: 'short' })} ${shortDay(date)}`;

/** "Fri 4 Dec", with the year where it is not this one. */
export const dayMonthYear = (date: string, today: string): string =>
  date.slice(0, 4) === today.slice(0, 4) ? dayMonth(date) : `${dayMonth(date)} ${date.slice(0, 4)}`;

/** "4 Dec". */
export const shortDay = (date: string): string => inOrder(date, 'short');

/** A date as people say it: "today", "Fri", "Fri 4 Dec". With the hour, if it has one. */
export function sayMoment(moment: string, now: string, zone: string): string {
  const day = sayDay(moment.slice(0, 10), calendarDateOf(now, zone));
  return moment.includes('T') ? `${day} ${sayHour(moment)}` : day;
}

export function sayDay(date: string, today: string): string {
  const days = daysBetween(today, date);
  if (days === 0) return t('date.today');
  if (days === 1) return t('date.tomorrow');
  if (days === -1) return t('date.yesterday');
  if (days > 0 && days < 7) return format(date, { weekday: 'long' });
  return dayMonthYear(date, today);
}

/** A day as a heading: "Tomorrow", "Fri 4 Dec". */
export function headDay(date: string, today: string): string {
  const day = sayDay(date, today);
  return day.charAt(0).toLocaleUpperCase(locale()) + day.slice(1);
}

/** An instant as people say it: "today 10:42", "Mon 18:05". */
export function sayInstant(instant: string, now: string, zone: string): string {
  const wall = wallClockOf(instant, zone);
  const today = calendarDateOf(now, zone);
  const days = daysBetween(wall, today);
  if (days === 0) return t('date.todayAt', { time: sayHour(wall) });
  if (days > 0 && days < 7) return `${format(wall, { weekday: 'short' })} ${sayHour(wall)}`;
  return `${dayMonth(wall)} ${sayHour(wall)}`;
}

/** The short word at a row's right: what is left, or how late it is. */
export function sayDue(due: string, late: boolean, now: string, zone: string): string {
  const today = calendarDateOf(now, zone);
  const days = daysBetween(today, due);
  if (late && days < 0) return t('due.daysLate', { count: -days });
  if (late) return t('due.sinceHour', { time: sayHour(due) });
  if (days === 0) return due.includes('T') ? sayHour(due) : t('date.today');
  return sayMoment(due, now, zone);
}

/** The exact date, for screen readers and long presses. */
export const sayExactly = (moment: string): string =>
  `${format(moment, { weekday: 'long' })}, ${inOrder(moment, 'long')}${dateOrder() === 'month' ? ',' : ''} ${moment.slice(0, 4)}${moment.includes('T') ? ` ${sayHour(moment)}` : ''}`;

/** "Tuesday 24 Nov" over the day. */
export const sayToday = (today: string, short: boolean): string => `${format(today, { weekday: 'long' })} ${inOrder(today, short ? 'short' : 'long')}`;

export interface UsualMoment {
  key: string;
  words: string;
  moment: string;
}

/** Moments people mean often, each with its exact date. */
export function usualMoments(now: string, zone: string): UsualMoment[] {
  const today = calendarDateOf(now, zone);
  const weekday = new Date(`${today}T00:00:00Z`).getUTCDay();
  const friday = addDays(today, (5 - weekday + 7) % 7 || 7);
  const monday = addDays(today, (1 - weekday + 7) % 7 || 7);
  const usual = [
    { key: 'today', words: t('date.today'), moment: today },
    { key: 'tomorrow', words: t('date.tomorrow'), moment: addDays(today, 1) },
    { key: 'friday', words: dayMonth(friday), moment: friday },
    { key: 'monday', words: dayMonth(monday), moment: monday },
  ];
  return usual.filter((one, index) => usual.findIndex((other) => other.moment === one.moment) === index).sort((a, b) => (a.moment < b.moment ? -1 : 1));
}

/** The weeks of a month, `2026-11`, each from the day the reader’s week begins on. */
export function weeksOf(month: string): (string | null)[][] {
  const first = `${month}-01`;
  const days: (string | null)[] = Array.from({ length: daysIntoWeek(weekdayOf(first)) }, () => null);
  for (let date = first; date.startsWith(month); date = addDays(date, 1)) days.push(date);
  while (days.length % 7 !== 0) days.push(null);
  return Array.from({ length: days.length / 7 }, (_, week) => days.slice(week * 7, week * 7 + 7));
}

export function monthAfter(month: string, months: number): string {
  const count = Number(month.slice(0, 4)) * 12 + Number(month.slice(5, 7)) - 1 + months;
  return `${Math.floor(count / 12)}-${String((count % 12) + 1).padStart(2, '0')}`;
}

/** The letter of an ISO weekday. 1 January 2024 was a Monday. */
export const weekdayLetter = (weekday: number): string => format(addDays('2024-01-01', weekday - 1), { weekday: 'narrow' });

/** The first day of the week a date lies in, as the reader’s weeks go. */
export const startOfWeek = (date: string): string => addDays(date, -daysIntoWeek(weekdayOf(date)));

/** What a calendar says. */
export const calendarWords = () => ({
  month: (date: string) => format(date, { month: 'long', year: 'numeric' }),
  weekdays: weekdaysInOrder().map(weekdayLetter),
  day: sayExactly,
  previous: t('calendar.previous'),
  next: t('calendar.next'),
});

/** How long is left, or how late it is: "in 12 days", "3 days late". */
export function sayLeft(due: string, late: boolean, now: string, zone: string): string {
  const days = daysBetween(calendarDateOf(now, zone), due);
  if (late) return days < 0 ? t('due.daysLate', { count: -days }) : t('due.sinceHour', { time: sayHour(due) });
  return days < 2 ? sayMoment(due, now, zone) : t('date.inDays', { count: days });
}

/** How what is done came out: "done 2 days before", "done 1 day late". */
export function sayDone(due: string, doneAt: string, zone: string): string {
  const wall = wallClockOf(doneAt, zone);
  const days = daysBetween(wall, due);
  if (days > 0) return t('due.doneBefore', { count: days });
  if (days < 0) return t('due.doneLate', { count: -days });
  return due.length > 10 && wall.slice(0, 16) > due ? t('due.doneAfterHour', { time: sayHour(wall) }) : t('due.doneInTime');
}

/** A day of the week by its ISO number, short: Monday is 1. 5 January 2026 was one. */
export const sayWeekday = (weekday: number): string => format(`2026-01-${String(4 + weekday).padStart(2, '0')}`, { weekday: 'short' });

export const sayWeekdayLong = (weekday: number): string => format(`2026-01-${String(4 + weekday).padStart(2, '0')}`, { weekday: 'long' });
