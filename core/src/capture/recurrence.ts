import { dayOrLast } from '../recurrence/short-months.ts';
import { BYDAY, MONTH, monthNumber, plus, WEEKDAY, weekdayNumber } from './calendar-words.ts';
import type { CaptureContext } from './context.ts';
import { findDays } from './dates.ts';
import type { TypedLine } from './line.ts';
import { NUMBER, numberOf, ORDINALS, ordinalOf } from './numbers.ts';
import type { Question, Recurrence, Span } from './span.ts';
import { findTimes } from './times.ts';

const FREQ: Record<string, string> = { hour: 'HOURLY', day: 'DAILY', week: 'WEEKLY', month: 'MONTHLY', year: 'YEARLY' };
const UNIT = '(hour|day|week|month|year)s?';
const ORDINAL = `${ORDINALS.join('|')}|last|\\d{1,2}(?:st|nd|rd|th)`;
const DAYS = `(?:${WEEKDAY})(?:(?:\\s*,\\s*|\\s+and\\s+|\\s*&\\s*)(?:${WEEKDAY}))*`;
const CLOCK = '(?:\\s+at\\s+(\\d{1,2})[:.](\\d{2}))?';
const EVERY = '(?:every|each)\\s+(?:(other|second|2nd|\\d{1,3}|two|three|four|five|six)\\s+)?';

type Rule = [
  source: string,
  read: (
    found: RegExpExecArray,
  ) => { parts: string[]; time?: string | null; /** Only at an edge of the line. */ atEdge?: boolean } | { afterDone: string } | null,
];

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

const WORKDAYS = 'BYDAY=MO,TU,WE,TH,FR';
const WORKDAY = '(?:working\\s+day|workday|weekday|business\\s+day)';
/** In the plural a day of the week comes back: "on Tuesdays". */
const PLURAL = 'mondays|tuesdays|wednesdays|thursdays|fridays|saturdays|sundays';
const PLURALS = `(?:${PLURAL})(?:(?:\\s*,\\s*|\\s+and\\s+|\\s*&\\s*)(?:${PLURAL}))*`;
const PART = '(?:\\s+(morning|afternoon|evening|night)s?)?';
const OF_MONTH = '\\s+(?:day\\s+)?(?:of|in)\\s+(?:the|each|every)\\s+month';
/** A single day at the end of a month is a deadline. */
const NOT_DUE = '(?<!\\b(?:by|before|until|till)\\s+(?:the\\s+)?)';
const PART_HOURS: Record<string, string> = { morning: '08:00', afternoon: '13:00', evening: '17:00', night: '17:00' };
const partHour = (part: string | undefined): string | null => (part ? PART_HOURS[part.toLowerCase()]! : null);

const RULES: Rule[] = [
  [
    `monthly\\s+on\\s+the\\s+(\\d{1,2})(?:st|nd|rd|th)?${CLOCK}`,
    ([, day, h, m]) => (isDay(day!) ? monthly(undefined, `BYMONTHDAY=${Number(day)}`, h, m) : null),
  ],
  [`monthly\\s+on\\s+the\\s+(${ORDINAL})\\s+(${WEEKDAY})${CLOCK}`, ([, nth, day, h, m]) => monthly(undefined, `BYDAY=${ordinalOf(nth!)}${daysOf(day!)}`, h, m)],
  [`weekly\\s+on\\s+(${DAYS})${CLOCK}`, ([, days, h, m]) => ({ parts: ['FREQ=WEEKLY', `BYDAY=${daysOf(days!)}`], time: timeOf(h, m) })],
  [
    `every\\s+(\\d{1,2})(?:st|nd|rd|th)(?:\\s+of\\s+the\\s+month)?(?!\\s+(?:of|hour|day|week|month|year|${WEEKDAY}|${MONTH})\\b)${CLOCK}`,
    ([, day, h, m]) => (isDay(day!) ? monthly(undefined, `BYMONTHDAY=${Number(day)}`, h, m) : null),
  ],
  ['on\\s+weekdays|on\\s+(?:working\\s+days|workdays)', () => ({ parts: ['FREQ=WEEKLY', WORKDAYS] })],
  ['(?:on|at)\\s+weekends', () => ({ parts: ['FREQ=WEEKLY', 'BYDAY=SA,SU'] })],
  // the hours a rule goes through each day
  [
    `every\\s+hour\\s+(?:from|between)\\s+(\\d{1,2})(?:[:.]00)?\\s*(?:to|and|until|till|-|–)\\s*(\\d{1,2})(?:[:.]00)?`,
    ([, from, to]) => {
      const [first, last] = [Number(from), Number(to)];
      if (first >= last || last > 23) return null;
      const hours = Array.from({ length: last - first + 1 }, (_, nth) => first + nth).join(',');
      return { parts: ['FREQ=DAILY', `BYHOUR=${hours}`], time: timeOf(String(first), '00') };
    },
  ],
  [`${NOT_DUE}(?:every\\s+month\\s+)?(?:on\\s+)?(?:the\\s+)?(first|last)\\s+${WORKDAY}(?:${OF_MONTH})`, ([, nth]) => monthlyWorkday(nth!)],
  [`every\\s+month\\s+on\\s+the\\s+(first|last)\\s+${WORKDAY}`, ([, nth]) => monthlyWorkday(nth!)],
  [
    `${NOT_DUE}(?:every\\s+|on\\s+)?(?:the\\s+)?last\\s+day\\s+of\\s+(?:each|every)\\s+month|at\\s+the\\s+end\\s+of\\s+(?:each|every)\\s+month`,
    () => monthly(undefined, 'BYMONTHDAY=-1', undefined, undefined),
  ],
  [
    `${NOT_DUE}(?:every\\s+|on\\s+)?(?:the\\s+)?(${ORDINAL})\\s+(${WEEKDAY})${OF_MONTH}${CLOCK}`,
    ([, nth, day, h, m]) => monthly(undefined, `BYDAY=${ordinalOf(nth!)}${daysOf(day!)}`, h, m),
  ],
  // "every second Friday" is every other one
  [
    `every\\s+(first|1st|third|3rd|fourth|4th|last)\\s+(${WEEKDAY})${CLOCK}`,
    ([, nth, day, h, m]) => monthly(undefined, `BYDAY=${ordinalOf(nth!)}${daysOf(day!)}`, h, m),
  ],
  ['(?:every|each|once\\s+a)\\s+quarter(?!\\s+(?:of|past|to|turn))|quarterly', () => ({ parts: ['FREQ=MONTHLY', 'INTERVAL=3'] })],
  ['(?:every|each|once\\s+a)\\s+fortnight|fortnightly', () => ({ parts: ['FREQ=WEEKLY', 'INTERVAL=2'] })],
  ['(?:every|each)\\s+half\\s+year|half-yearly|every\\s+six\\s+months', () => ({ parts: ['FREQ=MONTHLY', 'INTERVAL=6'] })],
  ['once\\s+(?:a|every)\\s+(hour|day|week|month|year)', ([, unit]) => ({ parts: [freq(unit!)] })],
  [
    `(?:every\\s+|on\\s+)?(${PLURALS})${PART}${CLOCK}`,
    ([, days, part, h, m]) => ({ parts: ['FREQ=WEEKLY', `BYDAY=${daysOf(days!)}`], time: timeOf(h, m) ?? partHour(part), atEdge: true }),
  ],
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
  [
    `${EVERY}(${DAYS})${PART}${CLOCK}`,
    ([, every, days, part, h, m]) => ({ parts: ['FREQ=WEEKLY', ...intervalOf(every), `BYDAY=${daysOf(days!)}`], time: timeOf(h, m) ?? partHour(part) }),
  ],
  [`every\\s+(?:weekday|workday|working\\s+day)${CLOCK}`, ([, h, m]) => ({ parts: ['FREQ=WEEKLY', 'BYDAY=MO,TU,WE,TH,FR'], time: timeOf(h, m) })],
  [`every\\s+weekend${CLOCK}`, ([, h, m]) => ({ parts: ['FREQ=WEEKLY', 'BYDAY=SA,SU'], time: timeOf(h, m) })],
  [`every\\s+(morning|afternoon|evening|night)`, ([, part]) => ({ parts: ['FREQ=DAILY'], time: partHour(part) })],
  [`${EVERY}${UNIT}${CLOCK}`, ([, every, unit, h, m]) => ({ parts: [freq(unit!), ...intervalOf(every)], time: timeOf(h, m) })],
  [
    `(hourly|daily|weekly|monthly|yearly)(?=\\s*(?:$|[,;:]|\\u0000|by\\b|at\\b|until\\b|till\\b|for\\b|in\\b|#|@))${CLOCK}`,
    ([, how, h, m]) => ({ parts: [`FREQ=${how!.toUpperCase()}`], time: timeOf(h, m) }),
  ],
];

const monthlyWorkday = (nth: string) => ({ parts: ['FREQ=MONTHLY', WORKDAYS, `BYSETPOS=${nth.toLowerCase() === 'last' ? -1 : 1}`] });

const monthly = (every: string | undefined, by: string, hour: string | undefined, minute: string | undefined) => ({
  parts: ['FREQ=MONTHLY', ...intervalOf(every), by],
  time: timeOf(hour, minute),
});

/** How often or how long, behind a rule: "6 times", "for 5 days". */
const TIMES = `(?:for\\s+)?(${NUMBER})\\s+times`;
const WHILE = `for\\s+(?:the\\s+next\\s+)?(${NUMBER})\\s+(day|week|month|year)s?`;

/**
 * The first rule a line says, as an RRULE (RFC 5545 3.3.10) or a time after it was done; with the hour beside it, which is the rule's, and
 * how often it comes, how long, or until when.
 */
export function findRule(line: TypedLine, context: CaptureContext): { spans: Span[]; questions: Question[] } {
  for (const [source, read] of RULES) {
    for (const match of line.words(source)) {
      const rule = read(match);
      const [from, to] = [match.index, match.index + match[0].length];
      if (!rule || ('atEdge' in rule && rule.atEdge && !/^(?:on|every)\s/i.test(match[0]) && !line.isAtEdge(from, to))) continue;
      if ('afterDone' in rule) return { spans: [spanOf(line, from, to, { rrule: null, afterDone: rule.afterDone, time: null })], questions: [] };
      const whole = withShortMonths({ from, to, parts: rule.parts, time: rule.time ?? null }, line);
      const said = withEnd(whole, line, context);
      if (whole.asks) return { spans: [], questions: [{ from, to, text: line.text(from, to), doubt: { code: 'short-month', day: whole.asks } }] };
      return { spans: [spanOf(line, said.from, said.to, { rrule: said.parts.join(';'), afterDone: null, time: said.time })], questions: [] };
    }
  }
  return { spans: [], questions: [] };
}

/** "The 31st, or the last day", "the 31st only"; where neither is said of a day some months don't have, it is asked. */
function withShortMonths(rule: SaidRule, line: TypedLine): SaidRule & { asks?: number } {
  const day = Number(/^BYMONTHDAY=(29|30|31)$/.exec(rule.parts.find((part) => part.startsWith('BYMONTHDAY')) ?? '')?.[1] ?? 0);
  if (day === 0 || rule.parts[0] !== 'FREQ=MONTHLY') return rule;
  const behind = /^(?:\s+only|,?\s+or\s+(?:on\s+)?the\s+last(?:\s+day)?)(?![\p{L}\p{N}])/iu.exec(line.rest.slice(rule.to))?.[0];
  if (behind === undefined) return { ...rule, asks: day };
  const to = rule.to + behind.length;
  if (/only$/i.test(behind)) return { ...rule, to };
  return {
    ...rule,
    to,
    parts: rule.parts.flatMap((part) => (part.startsWith('BYMONTHDAY') ? [`BYMONTHDAY=${dayOrLast(day).join(',')}`, 'BYSETPOS=-1'] : [part])),
  };
}

const spanOf = (line: TypedLine, from: number, to: number, value: Recurrence): Span => ({
  kind: 'rule',
  from,
  to,
  text: line.text(from, to),
  value,
  chosen: true,
});

interface SaidRule {
  from: number;
  to: number;
  parts: string[];
  time: string | null;
}

/** The hour before or behind it, and its end: each once, in either order. */
function withEnd(rule: SaidRule, line: TypedLine, context: CaptureContext): SaidRule {
  let grown = withHour(rule, line, context);
  grown = withCount(grown, line, context);
  return withHour(withUntil(grown, line, context), line, context);
}

const isGap = (text: string): boolean => /^[\s,]*$/.test(text);

function withHour(rule: SaidRule, line: TypedLine, context: CaptureContext): SaidRule {
  if (rule.time !== null) return rule;
  const time = findTimes(line, context).find(
    (one) => isGap(line.rest.slice(...(one.from >= rule.to ? [rule.to, one.from] : [one.to, rule.from]))) && (one.from >= rule.to || one.to <= rule.from),
  );
  return time ? { ...rule, from: Math.min(rule.from, time.from), to: Math.max(rule.to, time.to), time: time.time } : rule;
}

function withCount(rule: SaidRule, line: TypedLine, { today }: CaptureContext): SaidRule {
  for (const match of line.words(TIMES)) {
    if (match.index < rule.to || !isGap(line.rest.slice(rule.to, match.index))) continue;
    const count = numberOf(match[1]!);
    if (count > 0) return { ...rule, to: match.index + match[0].length, parts: [...rule.parts, `COUNT=${count}`] };
  }
  for (const match of line.words(WHILE)) {
    if (match.index < rule.to || !isGap(line.rest.slice(rule.to, match.index))) continue;
    const last = plus(plus(today, { [`${match[2]!.toLowerCase()}s`]: numberOf(match[1]!) }), { days: -1 });
    return { ...rule, to: match.index + match[0].length, parts: [...rule.parts, untilOf(last)] };
  }
  return rule;
}

function withUntil(rule: SaidRule, line: TypedLine, context: CaptureContext): SaidRule {
  const word = /^[\s,]*(?:until|till)\s+(?:the\s+)?$/i;
  const day = findDays(line, context).find((one) => one.doubt === null && one.from > rule.to && word.test(line.rest.slice(rule.to, one.from)));
  return day ? { ...rule, to: day.to, parts: [...rule.parts, untilOf(day.date)] } : rule;
}

const untilOf = (date: string): string => `UNTIL=${date.replaceAll('-', '')}`;
