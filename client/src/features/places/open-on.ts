import OpeningHours from 'opening_hours';
import type { Open } from '../../../../core/src/places/round.ts';

/** Whether it can be read, and the intervals of a day. The library counts in local time: so the wall clock is given to it as if it were here. */

export function readsHours(text: string): boolean {
  try {
    return new OpeningHours(text, null) !== null;
  } catch {
    return false;
  }
}

/** When it is open on a date; null: it can't be read, or nobody said. `dayOff`: that day is a public holiday in the house. */
export function openOn(text: string, date: string, dayOff: boolean): Open[] | null {
  const rules = text
    .split(';')
    .map((rule) => rule.trim())
    .filter(Boolean);
  const isHoliday = (rule: string) => /^PH\b/.test(rule);
  const holiday = rules.find(isHoliday);
  if (dayOff && holiday) return intervals(holiday.replace(/^PH/, 'Mo-Su'), date);
  return intervals(rules.filter((rule) => !isHoliday(rule)).join('; '), date);
}

function intervals(text: string, date: string): Open[] | null {
  if (!text) return null;
  try {
    const [year, month, day] = date.split('-').map(Number) as [number, number, number];
    const begins = new Date(year, month - 1, day);
    const ends = new Date(year, month - 1, day + 1);
    const minutes = (at: Date) => (at >= ends ? 1440 : at.getHours() * 60 + at.getMinutes());
    return new OpeningHours(text, null).getOpenIntervals(begins, ends).map(([from, to]) => ({ from: minutes(from), to: minutes(to) }));
  } catch {
    return null;
  }
}
