import type { Rows } from '../reader/finding.ts';
import { isHere } from '../model/person.ts';
import type { NoticeChoices } from '../model/notice-choices.ts';
import type { House } from '../model/house.ts';
import { addDays, calendarDateOf, instantAt } from '../time/clock.ts';
import { earliestFirst } from '../time/earliest-first.ts';

export interface LastCall {
  personId: string;
  /** The calendar date it is for. */
  date: string;
  /** UTC instant. */
  at: string;
}

/**
 * The next last call of a person: today's at the hour of their choice, else tomorrow's. One that was missed is made good on the same
 * day only: yesterday's open things are today's already.
 */
function nextLastCall(choices: NoticeChoices, now: string, { zone }: Pick<House, 'zone'>): LastCall | null {
  if (choices.lastCall === null) return null;
  const today = calendarDateOf(now, zone);
  const date = choices.calledOn === today ? addDays(today, 1) : today;
  return { personId: choices.personId, date, at: instantAt(`${date}T${choices.lastCall}`, zone) };
}

/** Those of everyone in the house, the next first. */
export function lastCallsAhead(now: string, house: Pick<House, 'zone'>, rows: Rows): LastCall[] {
  const found = rows.all('noticeChoices').flatMap((choices) => {
    const person = rows.find('person', choices.personId);
    const call = person === undefined || !isHere(person) ? null : nextLastCall(choices, now, house);
    return call ? [call] : [];
  });
  return earliestFirst(found, ({ personId }) => personId);
}
