import { Temporal } from 'temporal-polyfill';
import { civilFromDays, daysOf, epochOf, instantOf, minutesOf, weekdayOfDay } from './epoch.ts';
import { zoneMinutes } from './zone-minutes.ts';

export { daysOf, epochOf, instantOf };

/** The calendar date an instant has in a zone. */
export const calendarDateOf = (instant: string, zone: string): string => zoneMinutes(zone).date(minutesOf(instant));

/** The wall-clock moment an instant has in a zone, to the minute: `2026-11-27T17:00`. */
export const wallClockOf = (instant: string, zone: string): string => zoneMinutes(zone).wall(minutesOf(instant));

/**
 * The instant of a wall-clock moment. A time that does not exist moves forward, of two the first is taken
 * (Temporal "compatible"). A date alone is the beginning of its day.
 */
export const instantAt = (moment: string, zone: string): string => instantOf(zoneMinutes(zone).at(moment) * 60_000);

/** When a deadline has passed: with an hour, at that hour; without, when the next day begins. */
export const instantDue = (due: string, zone: string): string => instantOf(zoneMinutes(zone).deadline(due) * 60_000);

/** Whole calendar days from one date to another; of moments, the dates count. */
export const daysBetween = (from: string, to: string): number => daysOf(to) - daysOf(from);

export const addDays = (date: string, days: number): string => civilFromDays(daysOf(date) + days);

/** ISO 8601 day of the week, Monday 1 … Sunday 7. */
export const weekdayOf = (date: string): number => weekdayOfDay(daysOf(date));

export function isZone(zone: string): boolean {
  try {
    Temporal.Instant.fromEpochMilliseconds(0).toZonedDateTimeISO(zone);
    return true;
  } catch {
    return false;
  }
}

/** Whether a date exists, with an hour or without: the shape alone lets 31 February pass. */
export const isMoment = (moment: string): boolean => MOMENT.test(moment) && civilFromDays(daysOf(moment)) === moment.slice(0, 10);
const MOMENT = /^\d{4}-\d\d-\d\d(?:T(?:[01]\d|2[0-3]):[0-5]\d)?$/;
