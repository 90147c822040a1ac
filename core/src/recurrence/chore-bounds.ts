import type { Series } from '../model/series.ts';
import { isOfClock, parseRRule, type RRule } from './rrule.ts';

/** What a chore's rule may be: less than RFC 5545 allows, so that every question about it is answered in a moment. */

/** COUNT of RFC 5545, at most: such a rule is counted from its first day each time it is asked. */
export const MOST_TIMES = 1_000;
/** Times on one day, at most: by the hour. */
const MOST_A_DAY = 24;
/** A rule that gives nothing for so long is none for a household. 29 February comes once in eight years at the worst. */
export const LONGEST_GAP_DAYS = 8 * 366;
/** Steps granted for one question about a rule. Enough for a rule by the hour over a year and a half. */
export const CHORE_STEPS = 20_000;
/** The last day anything is looked for. */
export const CHORES_END = '2200-01-01';

/** Days from one to the next of what comes back after it was done, at most: a hundred years. */
const MOST_AFTER_DONE: Record<string, number> = { D: 9_999, W: 5_200, M: 1_200, Y: 100 };

export type ChoreFault = 'rule-too-fine' | 'rule-too-many' | 'after-done-too-long';

/** What is beyond the bounds of a chore, or null. Looks at the rule alone, walks nothing. Throws `BadRule` for what is no rule. */
export function choreFault({ rrule, afterDone }: Pick<Series, 'rrule' | 'afterDone'>): ChoreFault | null {
  if (afterDone !== null && Number(afterDone.slice(1, -1)) > MOST_AFTER_DONE[afterDone.at(-1)!]!) return 'after-done-too-long';
  if (rrule === null) return null;
  const rule = parseRRule(rrule);
  if (isTooFine(rule)) return 'rule-too-fine';
  return rule.count !== null && rule.count > MOST_TIMES ? 'rule-too-many' : null;
}

function isTooFine({ freq, byHour, byMinute, bySecond }: RRule): boolean {
  const inAnHour = Math.max(1, byMinute.length) * Math.max(1, bySecond.length);
  // an occurrence is known by its minute
  if (bySecond.some((second) => second !== 0)) return true;
  if (isOfClock(freq)) return freq !== 'HOURLY' || inAnHour > 1;
  return Math.max(1, byHour.length) * inAnHour > MOST_A_DAY;
}
