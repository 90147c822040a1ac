import { weekdayOfDay } from '../time/epoch.ts';

/** What happens to an occurrence on a weekend, a holiday or an own day off: it stays, moves before it, or after it. */
export const OFF_DAY_SHIFTS = ['keep', 'before', 'after'] as const;
export type OffDayShift = (typeof OFF_DAY_SHIFTS)[number];

/** Nobody is off for longer: what lies in a longer stretch stays where it is. */
export const LONGEST_OFF = 30;

export const isWeekend = (day: number): boolean => weekdayOfDay(day) > 5;

/** The working day an occurrence moves to. Days are counted since the epoch; `isOff` knows weekends too. */
export function workdayFor(day: number, shift: OffDayShift, isOff: (day: number) => boolean): number {
  if (shift === 'keep') return day;
  const step = shift === 'before' ? -1 : 1;
  for (let moved = day; Math.abs(moved - day) <= LONGEST_OFF; moved += step) if (!isOff(moved)) return moved;
  return day;
}
