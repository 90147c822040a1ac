/** How somebody is used to reading hours and weeks: kept on the device, like the size of text. */

export type HourCycle = '24' | '12';
/** ISO weekday a week begins on: Monday 1, Saturday 6, Sunday 7. */
export type WeekStart = 1 | 6 | 7;
export const WEEK_STARTS: readonly WeekStart[] = [1, 6, 7];

/** Whether a date is said “4 Dec” or “Dec 4”. */
export type DateOrder = 'day' | 'month';

const HOURS = 'kotiva/hours';
const WEEK = 'kotiva/week-start';
const ORDER = 'kotiva/date-order';

export const hourCycle = (): HourCycle => (localStorage.getItem(HOURS) === '12' ? '12' : '24');
export const weekStart = (): WeekStart => WEEK_STARTS.find((day) => String(day) === localStorage.getItem(WEEK)) ?? 1;

export const dateOrder = (): DateOrder => (localStorage.getItem(ORDER) === 'month' ? 'month' : 'day');

export const setDateOrder = (order: DateOrder): void => (order === 'day' ? localStorage.removeItem(ORDER) : localStorage.setItem(ORDER, order));
export const setHourCycle = (cycle: HourCycle): void => (cycle === '24' ? localStorage.removeItem(HOURS) : localStorage.setItem(HOURS, cycle));
export const setWeekStart = (day: WeekStart): void => (day === 1 ? localStorage.removeItem(WEEK) : localStorage.setItem(WEEK, String(day)));

/** An hour of the wall clock, `17:05` or a moment that has one, as somebody reads it: "17:05", "5:05 pm". */
export function sayHour(timeOrMoment: string, cycle: HourCycle = hourCycle()): string {
  const time = timeOrMoment.length > 10 ? timeOrMoment.slice(11, 16) : timeOrMoment.slice(0, 5);
  if (cycle === '24' || !/^\d\d:\d\d$/.test(time)) return time;
  const hour = Number(time.slice(0, 2));
  return `${hour % 12 || 12}:${time.slice(3)} ${hour < 12 ? 'am' : 'pm'}`;
}

/** ISO weekdays in the order of a week. */
export const weekdaysInOrder = (start: WeekStart = weekStart()): number[] => Array.from({ length: 7 }, (_, nth) => ((start - 1 + nth) % 7) + 1);

/** How many days of its week lie before a weekday. */
export const daysIntoWeek = (weekday: number, start: WeekStart = weekStart()): number => (weekday - start + 7) % 7;
