import { isEntryDone, titleOfEntry, type CalendarEntry } from './calendar.ts';

/** Time that is taken twice. */
export interface Overlap {
  title: string;
  /** Minutes both have in common. */
  minutes: number;
}

const DAY = 1_440;

const minuteOf = (time: string): number => Number(time.slice(0, 2)) * 60 + Number(time.slice(3, 5));

/** Minutes two stretches of time have in common; each from its hour on, on one day. */
export function sharedMinutes(one: { time: string; minutes: number }, other: { time: string; minutes: number }): number {
  const [from, otherFrom] = [minuteOf(one.time), minuteOf(other.time)];
  return Math.max(0, Math.min(from + one.minutes, otherFrom + other.minutes) - Math.max(from, otherFrom));
}

/** "16:45", so many minutes after an hour; what ends after midnight says so as the clock does. */
export function endOf({ time, minutes }: { time: string; minutes: number }): string {
  const end = (minuteOf(time) + minutes) % DAY;
  return `${String(Math.floor(end / 60)).padStart(2, '0')}:${String(end % 60).padStart(2, '0')}`;
}

/**
 * What else of a person's day lies in a stretch of their time: time booked for something else, plans with an hour, chores at an hour. A
 * deadline takes no time, and what is done takes none any more.
 */
export function overlapsOf(wanted: { time: string; minutes: number; itemIds: readonly string[] }, day: readonly CalendarEntry[], personId: string): Overlap[] {
  return day.flatMap((entry) => {
    if (entry.time === null || !takesTime(entry) || isEntryDone(entry) || !entry.personIds.includes(personId)) return [];
    if (isAbout(entry, wanted.itemIds)) return [];
    const minutes = sharedMinutes(wanted, { time: entry.time, minutes: entry.minutes });
    return minutes > 0 ? [{ title: titleOfEntry(entry), minutes }] : [];
  });
}

const takesTime = (entry: CalendarEntry): boolean => entry.kind !== 'due' || entry.item.seriesId !== null;

const isAbout = (entry: CalendarEntry, itemIds: readonly string[]): boolean =>
  entry.kind === 'slot' ? entry.items.some(({ id }) => itemIds.includes(id)) : entry.kind !== 'ahead' && itemIds.includes(entry.item.id);
