import { BYDAY, MONTH, monthNumber, WEEKDAY, weekdayNumber } from './calendar-words.ts';
import type { Line } from './line.ts';
import { NUMBER, numberOf, ORDINALS, ordinalOf } from './numbers.ts';
import type { Recurrence, Span } from './span.ts';

const FREQ: Record<string, string> = { hour: 'HOURLY', day: 'DAILY', week: 'WEEKLY', month: 'MONTHLY', year: 'YEARLY' };
const UNIT = '(hour|day|week|month|year)s?';
const ORDINAL = `${ORDINALS.join('|')}|last|\\d{1,2}(?:st|nd|rd|th)`;
const DAYS = `(?:${WEEKDAY})(?:(?:\\s*,\\s*|\\s+and\\s+|\\s*&\\s*)(?:${WEEKDAY}))*`;
const CLOCK = '(?:\\s+at\\s+(\\d{1,2})[:.](\\d{2}))?';
const EVERY = 'every\\s+(?:(other|second|2nd|\\d{1,3}|two|three|four|five|six)\\s+)?';

type Rule = [source: string, read: (found: RegExpExecArray) => { parts: string[]; time?: string | null } | { afterDone: string } | null];

function intervalOf(said: string | undefined): string[] {
  if (!said) return [];
  const count = /^(other|second|2nd)$/i.test(said) ? 2 : numberOf(said);
  return count > 1 ? [`INTERVAL=${count}`] : [];
}
const timeOf = (hour: string | undefined, minute: string | undefined): string | null =>
  hour !== undefined && Number(hour) < 24 && Number(minute) < 60 ? `${hour.padStart(2, '0')}:${minute}` : null;
const daysOf = (said: string): string =>
  said
    .split(/ ?, ?| and | ?& ?/i)
    .map((day) => BYDAY[weekdayNumber(day) - 1]!)
    .join(',');
const isDay = (said: string): boolean => Number(said) >= 1 && Number(said) <= 31;
const freq = (unit: string): string => `FREQ=${FREQ[unit.toLowerCase()]!}`;

const RULES: Rule[] = [
  [
    `(?:every\\s+)?(${NUMBER})\\s+(day|week|month|year)s?\\s+after\\s+(?:it\\s+is\\s+|it\\s+was\\s+|being\\s+)?done`,
    ([, count, unit]) => ({ afterDone: `P${numberOf(count!)}${unit![0]!.toUpperCase()}` }),
  ],
  // every month on the last Friday, every 3 months on the 10th
  [
    `${EVERY}months?\\s+on\\s+the\\s+(${ORDINAL})\\s+(${WEEKDAY})${CLOCK}`,
    ([, every, nth, day, h, m]) => monthly(every, `BYDAY=${ordinalOf(nth!)}${daysOf(day!)}`, h, m),
  ],
  [
    `${EVERY}months?\\s+on\\s+the\\s+(\\d{1,2})(?:st|nd|rd|th)?${CLOCK}`,
    ([, every, day, h, m]) => (!isDay(day!) ? null : monthly(every, `BYMONTHDAY=${Number(day)}`, h, m)),
  ],
  [`${EVERY}months?\\s+on\\s+the\\s+last\\s+day${CLOCK}`, ([, every, h, m]) => monthly(every, 'BYMONTHDAY=-1', h, m)],
  [
    `every\\s+(${ORDINAL})\\s+(${WEEKDAY})\\s+of\\s+(?:the|each|every)\\s+month${CLOCK}`,
    ([, nth, day, h, m]) => monthly(undefined, `BYDAY=${ordinalOf(nth!)}${daysOf(day!)}`, h, m),
  ],
  [
    `on\\s+the\\s+(\\d{1,2})(?:st|nd|rd|th)?\\s+of\\s+(?:each|every)\\s+month${CLOCK}`,
    ([, day, h, m]) => (isDay(day!) ? monthly(undefined, `BYMONTHDAY=${Number(day)}`, h, m) : null),
  ],
  [
    `every\\s+(?:year\\s+on\\s+)?(?:the\\s+)?(\\d{1,2})(?:st|nd|rd|th)?\\s+(?:of\\s+)?(${MONTH})${CLOCK}`,
    ([, day, month, h, m]) =>
      isDay(day!) ? { parts: ['FREQ=YEARLY', `BYMONTH=${monthNumber(month!)}`, `BYMONTHDAY=${Number(day)}`], time: timeOf(h, m) } : null,
  ],
  [
    `${EVERY}weeks?\\s+on\\s+(${DAYS})${CLOCK}`,
    ([, every, days, h, m]) => ({ parts: ['FREQ=WEEKLY', ...intervalOf(every), `BYDAY=${daysOf(days!)}`], time: timeOf(h, m) }),
  ],
  [`${EVERY}(${DAYS})${CLOCK}`, ([, every, days, h, m]) => ({ parts: ['FREQ=WEEKLY', ...intervalOf(every), `BYDAY=${daysOf(days!)}`], time: timeOf(h, m) })],
  [`every\\s+(?:weekday|workday|working\\s+day)${CLOCK}`, ([, h, m]) => ({ parts: ['FREQ=WEEKLY', 'BYDAY=MO,TU,WE,TH,FR'], time: timeOf(h, m) })],
  [`every\\s+weekend${CLOCK}`, ([, h, m]) => ({ parts: ['FREQ=WEEKLY', 'BYDAY=SA,SU'], time: timeOf(h, m) })],
  [`every\\s+(morning|evening)`, ([, part]) => ({ parts: ['FREQ=DAILY'], time: part!.toLowerCase() === 'morning' ? '08:00' : '17:00' })],
  [`${EVERY}${UNIT}${CLOCK}`, ([, every, unit, h, m]) => ({ parts: [freq(unit!), ...intervalOf(every)], time: timeOf(h, m) })],
  [
    `(hourly|daily|weekly|monthly|yearly)(?=\\s*(?:$|[,;]|\\u0000|by\\b|at\\b|#|@))${CLOCK}`,
    ([, how, h, m]) => ({ parts: [`FREQ=${how!.toUpperCase()}`], time: timeOf(h, m) }),
  ],
];

const monthly = (every: string | undefined, by: string, hour: string | undefined, minute: string | undefined) => ({
  parts: ['FREQ=MONTHLY', ...intervalOf(every), by],
  time: timeOf(hour, minute),
});

/** The first rule a line says, as an RRULE (RFC 5545 3.3.10) or a time after it was done. */
export function findRule(line: Line): Span[] {
  for (const [source, read] of RULES) {
    for (const match of line.words(source)) {
      const rule = read(match);
      if (!rule) continue;
      const [from, to] = [match.index, match.index + match[0].length];
      const value: Recurrence =
        'afterDone' in rule
          ? { rrule: null, afterDone: rule.afterDone, time: null }
          : { rrule: rule.parts.join(';'), afterDone: null, time: rule.time ?? null };
      return [{ kind: 'rule', from, to, text: line.text(from, to), value, chosen: true }];
    }
  }
  return [];
}
