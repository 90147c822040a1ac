import { Temporal } from 'temporal-polyfill';

/** Instants of fixed width, `2026-11-24T10:42:00.000Z`, as integers and back: they are compared and counted by the thousand. */

const MINUTE = 60_000;
const DAY = 86_400_000;
const FIXED = 24;

/** Milliseconds since the epoch of a UTC instant. */
export function epochOf(instant: string): number {
  if (instant.length !== FIXED || instant.charCodeAt(23) !== 90) return Temporal.Instant.from(instant).epochMilliseconds;
  const days = daysFromCivil(digits(instant, 0, 4), digits(instant, 5, 7), digits(instant, 8, 10));
  const seconds = digits(instant, 11, 13) * 3600 + digits(instant, 14, 16) * 60 + digits(instant, 17, 19);
  return days * DAY + seconds * 1000 + digits(instant, 20, 23);
}

/** UTC instant with milliseconds: `2026-11-24T10:42:00.000Z`. */
export function instantOf(epochMilliseconds: number): string {
  const days = Math.floor(epochMilliseconds / DAY);
  const rest = epochMilliseconds - days * DAY;
  const date = civilFromDays(days);
  // years of more or fewer than four digits are none of a household's
  if (date.length !== 10) return Temporal.Instant.fromEpochMilliseconds(epochMilliseconds).toString({ fractionalSecondDigits: 3 });
  return `${date}T${clockOf(Math.floor(rest / MINUTE))}:${pad(Math.floor(rest / 1000) % 60, 2)}.${pad(rest % 1000, 3)}Z`;
}

/** Whole minutes since the epoch. */
export const minutesOf = (instant: string): number => Math.floor(epochOf(instant) / MINUTE);

/** A minute of a day as wall-clock time: 630 is `10:30`. */
export const clockOf = (minute: number): string => `${pad(Math.floor(minute / 60), 2)}:${pad(minute % 60, 2)}`;

/** Days since the epoch of a date of the proleptic Gregorian calendar. */
export function daysFromCivil(year: number, month: number, day: number): number {
  // years begin in March: the leap day is their last
  const y = month <= 2 ? year - 1 : year;
  const era = Math.floor(y / 400);
  const yearOfEra = y - era * 400;
  const dayOfYear = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + day - 1;
  return era * 146_097 + yearOfEra * 365 + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100) + dayOfYear - 719_468;
}

/** Days since the epoch of a date that exists, written as `2026-11-24`; of a moment, of its date. */
export const daysOf = (date: string): number => daysFromCivil(Number(date.slice(0, 4)), Number(date.slice(5, 7)), Number(date.slice(8, 10)));

/** A date of the proleptic Gregorian calendar. */
export interface Civil {
  year: number;
  /** 1 … 12 */
  month: number;
  day: number;
}

/** The date that many days after the epoch. */
export function civilOf(days: number): Civil {
  const shifted = days + 719_468;
  const era = Math.floor(shifted / 146_097);
  const dayOfEra = shifted - era * 146_097;
  const yearOfEra = Math.floor((dayOfEra - Math.floor(dayOfEra / 1_460) + Math.floor(dayOfEra / 36_524) - Math.floor(dayOfEra / 146_096)) / 365);
  const dayOfYear = dayOfEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100));
  const monthFromMarch = Math.floor((5 * dayOfYear + 2) / 153);
  const month = monthFromMarch < 10 ? monthFromMarch + 3 : monthFromMarch - 9;
  const day = dayOfYear - Math.floor((153 * monthFromMarch + 2) / 5) + 1;
  return { year: yearOfEra + era * 400 + (month <= 2 ? 1 : 0), month, day };
}

/** The date that many days after the epoch, `2026-11-24`. */
export function civilFromDays(days: number): string {
  const { year, month, day } = civilOf(days);
  return `${pad(year, 4)}-${pad(month, 2)}-${pad(day, 2)}`;
}

/** ISO 8601 day of the week, Monday 1 … Sunday 7. The first day of the epoch was a Thursday. */
export const weekdayOfDay = (days: number): number => ((((days + 3) % 7) + 7) % 7) + 1;

const digits = (text: string, from: number, to: number): number => {
  let value = 0;
  for (let at = from; at < to; at++) value = value * 10 + text.charCodeAt(at) - 48;
  return value;
};

const pad = (value: number, width: number): string => String(value).padStart(width, '0');
