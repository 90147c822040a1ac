import { Temporal } from 'temporal-polyfill';

const WEEKDAYS = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'];
export const WEEKDAY = 'mon(?:day)?s?|tue(?:s(?:day)?)?s?|wed(?:nesday)?s?|thu(?:r(?:s(?:day)?)?)?s?|fri(?:day)?s?|sat(?:urday)?s?|sun(?:day)?s?';
/** Full names, and short ones: but "sun" and "sat" are words, and only with a capital that no sentence begins with are they days. */
export const isWeekdayWritten = (text: string, begins: boolean): boolean => !/^(sun|sat)s?$/i.test(text) || (/^S/.test(text) && !begins);
const MONTHS = ['january', 'february', 'march', 'april', 'may', 'june', 'july', 'august', 'september', 'october', 'november', 'december'];
export const MONTH = 'jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|sept?(?:ember)?|oct(?:ober)?|nov(?:ember)?|dec(?:ember)?';

/** ISO 8601 day of the week, Monday 1. */
export const weekdayNumber = (text: string): number => WEEKDAYS.findIndex((name) => name.startsWith(text.toLowerCase().slice(0, 3))) + 1;
export const monthNumber = (text: string): number => MONTHS.findIndex((name) => name.startsWith(text.toLowerCase().slice(0, 3))) + 1;
export const weekdayName = (date: string): string => WEEKDAYS[Temporal.PlainDate.from(date).dayOfWeek - 1]!;
export const BYDAY = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'];

export const plus = (date: string, duration: Temporal.DurationLike): string => Temporal.PlainDate.from(date).add(duration).toString();

/** The next day of that weekday after a date. */
export const nextWeekday = (after: string, weekday: number): string => {
  const days = (weekday - Temporal.PlainDate.from(after).dayOfWeek + 7) % 7;
  return plus(after, { days: days === 0 ? 7 : days });
};

/** The date, or null where the month has no such day. */
export function dateOf(year: number, month: number, day: number): string | null {
  try {
    return Temporal.PlainDate.from({ year, month, day }, { overflow: 'reject' }).toString();
  } catch {
    return null;
  }
}

/** The next time a day of a month comes, today included; null where that month never has it. 29 February waits for a leap year. */
export function nextDate(today: string, month: number, day: number): string | null {
  const { year } = Temporal.PlainDate.from(today);
  if (dateOf(2028, month, day) === null) return null;
  for (let ahead = 0; ; ahead++) {
    const date = dateOf(year + ahead, month, day);
    if (date !== null && date >= today) return date;
  }
}

/** The next month that has that day, this one included while it is still to come. */
export function nextDayOfMonth(today: string, day: number): string | null {
  if (day < 1 || day > 31) return null;
  const { year, month } = Temporal.PlainDate.from(today);
  for (let ahead = 0; ; ahead++) {
    const first = Temporal.PlainDate.from({ year, month, day: 1 }).add({ months: ahead });
    const date = dateOf(first.year, first.month, day);
    if (date !== null && date >= today) return date;
  }
}

export const endOfMonth = (date: string, monthsAhead = 0): string => {
  const first = Temporal.PlainDate.from(date).with({ day: 1 }).add({ months: monthsAhead });
  return first.with({ day: first.daysInMonth }).toString();
};
