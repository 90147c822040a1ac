import type { Offset } from '../model/template.ts';
import { FURTHEST_DAYS } from '../model/template.ts';
import { addDays, daysBetween } from '../time/clock.ts';

/** The day, or wall-clock time, that lies so far from the anchor: counted in calendar days, whatever the clocks do in between. */
export const momentAt = (anchor: string, { days, time }: Offset): string => `${addDays(anchor, days)}${time === null ? '' : `T${time}`}`;

/** How far a day, or wall-clock time, lies from the anchor; null: further than a template says. */
export function offsetTo(anchor: string, moment: string): Offset | null {
  const days = daysBetween(anchor, moment.slice(0, 10));
  return Math.abs(days) > FURTHEST_DAYS ? null : { days, time: moment.length > 10 ? moment.slice(11) : null };
}
