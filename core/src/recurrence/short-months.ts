import { formatRRule, parseRRule } from './rrule.ts';

/** Days of the month that some months don't have: the 29th, 30th and 31st. */

/** BYMONTHDAY of "that day, or the last of a shorter month", of which the last counts (BYSETPOS=-1). */
export const dayOrLast = (day: number): number[] => Array.from({ length: day - 27 }, (_, nth) => 28 + nth);

/** "Every month" begun on the 31st means every month: nobody said that only those with a 31st count. */
export function inEveryMonth(rrule: string, dtstart: string): string {
  const rule = parseRRule(rrule);
  const day = Number(dtstart.slice(8, 10));
  const saysDay = rule.byDay.length > 0 || rule.byMonthDay.length > 0 || rule.byMonth.length > 0 || rule.bySetPos.length > 0;
  if (rule.freq !== 'MONTHLY' || saysDay || day <= 28) return rrule;
  return formatRRule({ ...rule, byMonthDay: dayOrLast(day), bySetPos: [-1] });
}
