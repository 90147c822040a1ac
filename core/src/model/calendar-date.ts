import { FIRST_YEAR, LAST_YEAR } from './row.ts';
import { civilFromDays, daysOf } from '../time/epoch.ts';

/** Whether it is a calendar date, `2026-11-27`, that exists and lies within the years there are: what an address or a file may hold is not always. */
export function isCalendarDate(value: unknown): value is string {
  if (typeof value !== 'string' || !/^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/.test(value)) return false;
  const year = Number(value.slice(0, 4));
  return year >= FIRST_YEAR && year <= LAST_YEAR && civilFromDays(daysOf(value)) === value;
}
