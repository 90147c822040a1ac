import { Temporal } from 'temporal-polyfill';

/** UTC instant with milliseconds: `2026-11-24T10:42:00.000Z`. */
export const instantOf = (epochMilliseconds: number): string =>
  Temporal.Instant.fromEpochMilliseconds(epochMilliseconds).toString({ fractionalSecondDigits: 3 });

export const epochOf = (instant: string): number => Temporal.Instant.from(instant).epochMilliseconds;

/** The calendar date an instant has in a zone. */
export const calendarDateOf = (instant: string, zone: string): string => zoned(instant, zone).toPlainDate().toString();

/** The wall-clock moment an instant has in a zone, to the minute: `2026-11-27T17:00`. */
export const wallClockOf = (instant: string, zone: string): string => zoned(instant, zone).toPlainDateTime().toString({ smallestUnit: 'minute' });

/**
 * The instant of a wall-clock moment. A time that does not exist moves forward, of two the first is taken
 * (Temporal "compatible"). A date alone is the beginning of its day.
 */
export function instantAt(moment: string, zone: string): string {
  const plain = Temporal.PlainDateTime.from(moment);
  return instantOf(plain.toZonedDateTime(zone, { disambiguation: 'compatible' }).epochMilliseconds);
}

/** When a deadline has passed: with an hour, at that hour; without, when the next day begins. */
export function instantDue(due: string, zone: string): string {
  if (due.includes('T')) return instantAt(due, zone);
  return instantAt(Temporal.PlainDate.from(due).add({ days: 1 }).toString(), zone);
}

/** Whole calendar days from one date to another; of moments, the dates count. */
export function daysBetween(from: string, to: string): number {
  return Temporal.PlainDate.from(from.slice(0, 10)).until(Temporal.PlainDate.from(to.slice(0, 10)), { largestUnit: 'days' }).days;
}

export const addDays = (date: string, days: number): string => Temporal.PlainDate.from(date.slice(0, 10)).add({ days }).toString();

/** ISO 8601 day of the week, Monday 1 … Sunday 7. */
export const weekdayOf = (date: string): number => Temporal.PlainDate.from(date.slice(0, 10)).dayOfWeek;

export function isZone(zone: string): boolean {
  try {
    Temporal.Instant.fromEpochMilliseconds(0).toZonedDateTimeISO(zone);
    return true;
  } catch {
    return false;
  }
}

/** Whether a date exists: the shape alone lets 31 February pass. */
export function isMoment(moment: string): boolean {
  try {
    Temporal.PlainDateTime.from(moment, { overflow: 'reject' });
    return true;
  } catch {
    return false;
  }
}

const zoned = (instant: string, zone: string): Temporal.ZonedDateTime => Temporal.Instant.from(instant).toZonedDateTimeISO(zone);
