import { type OffDayShift } from '../model/off-day-shift.ts';
import { weekdayOfDay } from '../time/epoch.ts';

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
