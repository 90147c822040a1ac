import { daysBetween, weekdayOf } from '../time/clock.ts';
import { formatRRule, parseRRule, type RRule } from './rrule.ts';

/**
 * The rule when one of its days and all that follow are moved to another: "every Friday" dragged to a Monday is "every Monday". Null: it
 * can't be said so plainly, or is no rule of days; whoever asks has to say it anew.
 */
export function shiftedRule(rrule: string, from: string, to: string): string | null {
  if (from.slice(0, 10) === to.slice(0, 10)) return rrule;
  const rule = parseRRule(rrule);
  if (rule.bySetPos.length > 0 || rule.byYearDay.length > 0 || rule.byWeekNo.length > 0) return null;
  const shifted = shiftedDays(rule, from, to);
  return shifted && formatRRule({ ...rule, ...shifted });
}

function shiftedDays(rule: Readonly<RRule>, from: string, to: string): Partial<RRule> | null {
  const { freq, byDay, byMonthDay, byMonth } = rule;
  if (freq === 'WEEKLY') return shiftedWeekdays(rule, from, to);
  if (freq === 'DAILY') return byDay.length === 0 && byMonthDay.length === 0 ? {} : null;
  if (freq !== 'MONTHLY' && freq !== 'YEARLY') return null;
  const inOtherMonth = from.slice(5, 7) !== to.slice(5, 7);
  if (byDay.length === 0 && byMonthDay.length === 0) return inOtherMonth && byMonth.length > 0 ? null : {};
  if (byDay.length > 0 || byMonthDay.length !== 1 || byMonthDay[0]! < 1 || inOtherMonth) return null;
  return { byMonthDay: [Number(to.slice(8, 10))] };
}

/** Within the same week; into another only where the rule has but one day. */
function shiftedWeekdays({ byDay, wkst }: Readonly<RRule>, from: string, to: string): Partial<RRule> | null {
  if (byDay.length === 0) return {};
  const [old, next] = [weekdayOf(from), weekdayOf(to)];
  if (byDay.length > 1 && weekOf(from, wkst) !== weekOf(to, wkst)) return null;
  if (byDay.every(({ weekday }) => weekday !== old)) return null;
  const days = byDay.filter(({ weekday }) => weekday !== old && weekday !== next);
  return { byDay: [...days, { weekday: next, nth: 0 }].sort((a, b) => a.weekday - b.weekday) };
}

/** Weeks since one that began on the day a week begins with. 1 January 1970 was a Thursday. */
const weekOf = (date: string, wkst: number): number => Math.floor((daysBetween('1970-01-01', date) + 3 - (wkst - 1)) / 7);
