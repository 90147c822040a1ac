import type { House } from '../model/house.ts';
import { addDays, calendarDateOf, epochOf, instantAt, instantOf } from '../time/clock.ts';

const MINUTE = 60_000;
const MORNING = '08:00';

export type Snooze = 'ten' | 'hour' | 'evening' | 'morning';

/** So long a reminder can be put off: ten minutes, an hour, this evening while it is to come, tomorrow morning. UTC instants. */
export function snoozes(now: string, { zone, dayParts }: Pick<House, 'zone' | 'dayParts'>): { key: Snooze; until: string }[] {
  const today = calendarDateOf(now, zone);
  const all = [
    { key: 'ten', until: instantOf(epochOf(now) + 10 * MINUTE) },
    { key: 'hour', until: instantOf(epochOf(now) + 60 * MINUTE) },
    { key: 'evening', until: instantAt(`${today}T${dayParts.evening}`, zone) },
    { key: 'morning', until: instantAt(`${addDays(today, 1)}T${MORNING}`, zone) },
  ] as const;
  return all.filter(({ until }) => until > now);
}
