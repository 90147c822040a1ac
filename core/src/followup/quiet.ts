import type { Rest } from '../model/person.ts';
import type { TimeAway } from '../model/time-away-schema.ts';
import { addDays, instantAt, wallClockOf, weekdayOf } from '../time/clock.ts';

/** When somebody is left in peace, wall-clock in the zone of the house. */
export interface Quiet {
  /** Hours of the night, such as 21:00 to 07:00; the end may lie on the next day. Null: none. */
  hours: { from: string; to: string } | null;
  /** ISO weekdays, Monday 1: the whole day. */
  daysOff: readonly number[];
  /** Calendar dates, both included. */
  away: readonly { from: string; to: string }[];
}

export const quietOf = ({ rest }: { rest: Rest }, away: readonly TimeAway[]): Quiet => ({ ...rest, away: away.filter(({ removedAt }) => removedAt === null) });

export const NEVER_QUIET: Quiet = { hours: null, daysOff: [], away: [] };

/** So many steps lead out of any quiet that ends: nights, days off and trips one after the other. */
const STEPS = 800;

/**
 * The first moment from `instant` on that is not quiet: itself, or the end of the quiet it falls into, and of what follows on that.
 * Null: it never ends, as when every day is a day off.
 */
export function afterQuiet(instant: string, quiet: Quiet, zone: string): string | null {
  let wall = wallClockOf(instant, zone);
  for (let step = 0; step < STEPS; step++) {
    const end = endOfQuiet(wall, quiet);
    if (end === null) return step === 0 ? instant : instantAt(wall, zone);
    wall = end;
  }
  return null;
}

/** When the quiet that a wall-clock moment lies in ends, or null if it lies in none. */
function endOfQuiet(wall: string, { hours, daysOff, away }: Quiet): string | null {
  const [date, time] = wall.split('T') as [string, string];
  const trip = away.find(({ from, to }) => from <= date && date <= to);
  if (trip) return `${addDays(trip.to, 1)}T00:00`;
  if (daysOff.includes(weekdayOf(date))) return `${addDays(date, 1)}T00:00`;
  if (!hours || hours.from === hours.to) return null;
  if (hours.from < hours.to) return hours.from <= time && time < hours.to ? `${date}T${hours.to}` : null;
  if (time >= hours.from) return `${addDays(date, 1)}T${hours.to}`;
  return time < hours.to ? `${date}T${hours.to}` : null;
}
