import { GB } from 'chrono-node/en';
import type { CaptureContext } from './context.ts';
import {
  dateOf,
  endOfMonth,
  isWeekdayWritten,
  MONTH,
  monthNumber,
  nextDate,
  nextDayOfMonth,
  nextWeekday,
  plus,
  WEEKDAY,
  weekdayName,
  weekdayNumber,
} from './calendar-words.ts';
import { FIRST_YEAR, LAST_YEAR } from '../model/row.ts';
import type { TypedLine } from './line.ts';
import { NUMBER, numberOf } from './numbers.ts';
import type { Doubt } from './span.ts';

/** A day found in a line, or why it is none. `sure`: means a day wherever it stands. */
export interface FoundDay {
  from: number;
  to: number;
  date: string;
  doubt: Doubt | null;
  sure: boolean;
  /** The hour that was said with it: in figures ("in 20 minutes"), or that of a part of the day ("tomorrow evening"). */
  time: string | null;
  /** The part of the day, where `time` is only that. */
  part: string | null;
  /** It is a deadline by its own words: "within 3 days". */
  isDue: boolean;
}

type Rule = [source: string, read: (found: RegExpExecArray, context: CaptureContext) => (Pick<FoundDay, 'date'> & Partial<FoundDay>) | null];

const YEAR = '(?:,?\\s+(\\d{4}))?';
const ORDINAL_DAY = '(\\d{1,2})(?:st|nd|rd|th)?';
const SHORT_UNIT = 'min|mins|minutes?|h|hrs?|hours?';
const PART = '(?:\\s+(morning|afternoon|evening|night))?';

/** The hour a part of the day stands for. */
export function hourOf(part: string | undefined, { dayParts }: CaptureContext): string | null {
  if (!part) return null;
  if (part.toLowerCase() === 'morning') return dayParts.morning < '08:00' ? '08:00' : dayParts.morning;
  if (part.toLowerCase() === 'afternoon') return '13:00';
  return dayParts.evening;
}

/** "may" and "march" in small letters are verbs more often than months, unless something says it is a day. */
function isVerb(found: RegExpExecArray, month: string, year: string | undefined): boolean {
  if (!/^(may|march|mar)$/.test(month) || year || /\d(st|nd|rd|th)/i.test(found[0])) return false;
  return !/\b(by|on|from|until|before)\s+(the\s+)?$/i.test(found.input.slice(0, found.index));
}

function written(weekday: string | undefined, day: string, month: number, year: string | undefined, said: string, { today }: CaptureContext) {
  const date = year ? dateOf(fullYear(year), month, Number(day)) : nextDate(today, month, Number(day));
  if (date === null) return { date: today, sure: true, doubt: { code: 'no-such-day', said: said.trim() } as const };
  if (weekday && weekdayName(date).slice(0, 3) !== weekday.toLowerCase().slice(0, 3))
    return { date, sure: true, doubt: { code: 'weekday-disagrees', weekday, date, actual: weekdayName(date) } as const };
  return { date, sure: true };
}

/** Day and month in figures, in the order that is usual with what stands between them. */
function inFigures(said: string, first: string, second: string, year: string | undefined, c: CaptureContext) {
  const [day, month] = c.isMonthFirst && said.includes('/') ? [second, first] : [first, second];
  return written(undefined, day, Number(month), year, said, c);
}

/** Without a word before them they are a date only if they can be one. */
function figuresAlone([said, first, second, year]: RegExpExecArray, c: CaptureContext) {
  const month = c.isMonthFirst && said.includes('/') ? first! : second!;
  return Number(month) > 12 ? null : inFigures(said, first!, second!, year, c);
}

/** In this order; what an earlier one has read, a later one no longer sees. */
const RULES: Rule[] = [
  ['(\\d{4})-(\\d{2})-(\\d{2})', ([said, year, month, day], c) => written(undefined, day!, Number(month), year, said!, c)],
  [`(?:the\\s+)?day\\s+after\\s+tomorrow${PART}`, ([, part], c) => inDay(plus(c.today, { days: 2 }), part, c)],
  ['a\\s+week\\s+(?:from\\s+)?today', (_found, c) => ({ date: plus(c.today, { weeks: 1 }), sure: true })],
  ['a\\s+week\\s+(?:from\\s+)?tomorrow', (_found, c) => ({ date: plus(c.today, { days: 8 }), sure: true })],
  [`(?:a\\s+)?week\\s+(?:on|from)\\s+(${WEEKDAY})${PART}`, ([, weekday, part], c) => afterNext(weekday!, part, c)],
  ['(?:later\\s+)?tonight', (_found, c) => inDay(c.today, 'evening', c)],
  ['(?:later\\s+)?this\\s+(morning|afternoon|evening)', ([, part], c) => inDay(c.today, part, c)],
  ['first\\s+thing\\s+in\\s+the\\s+morning', (_found, c) => inDay(plus(c.today, { days: 1 }), 'morning', c)],
  ['tomorrow\\s+first\\s+thing|first\\s+thing\\s+tomorrow(?:\\s+morning)?', (_found, c) => inDay(plus(c.today, { days: 1 }), 'morning', c)],
  [`tomorrow${PART}`, ([, part], c) => inDay(plus(c.today, { days: 1 }), part, c)],
  ['(?:the\\s+)?end\\s+of\\s+(?:the\\s+|this\\s+)?day|(?:the\\s+)?end\\s+of\\s+today', (_found, c) => ({ date: c.today, sure: true })],
  [`(?:later\\s+)?today${PART}`, ([, part], c) => inDay(c.today, part, c)],
  [
    `(?:within|in)\\s+the\\s+next\\s+(${NUMBER})\\s+(days?|weeks?|months?)`,
    ([, count, unit], c) => ({ date: inWhile(c.today, numberOf(count!), unit!), sure: true, isDue: true }),
  ],
  [`within\\s+(${NUMBER})\\s+(days?|weeks?|months?)`, ([, count, unit], c) => ({ date: inWhile(c.today, numberOf(count!), unit!), sure: true, isDue: true })],
  [`(?:the\\s+)?end\\s+of\\s+(${WEEKDAY})`, ([, weekday], c) => ({ date: nextWeekday(c.today, weekdayNumber(weekday!)), sure: true })],
  [`(?:the\\s+)?(?:beginning|start)\\s+of\\s+(${MONTH})`, ([, month], c) => ({ date: nextDate(c.today, monthNumber(month!), 1)!, sure: true })],
  ['in\\s+half\\s+an\\s+hour', (_found, c) => inMinutes(30, c)],
  [`in\\s+(${NUMBER})\\s+(${SHORT_UNIT})(?:['’]\\s*time)?`, ([, count, unit], c) => inMinutes(minutesOf(count!, unit!), c)],
  [`(${NUMBER})\\s+(${SHORT_UNIT})\\s+from\\s+now`, ([, count, unit], c) => inMinutes(minutesOf(count!, unit!), c)],
  [
    `(?:(${WEEKDAY}),?\\s+)?(?:the\\s+)?${ORDINAL_DAY}\\s+(?:of\\s+)?(${MONTH})\\.?${YEAR}`,
    (found, c) => {
      const [said, weekday, day, month, year] = found;
      return isVerb(found, month!, year) ? null : written(weekday, day!, monthNumber(month!), year, said!, c);
    },
  ],
  [
    `(?:(${WEEKDAY}),?\\s+)?(${MONTH})\\.?\\s+${ORDINAL_DAY}(?!\\s*(?:min|h|hours?|people|guests|beds|times|x)\\b)${YEAR}`,
    (found, c) => {
      const [said, weekday, month, day, year] = found;
      return isVerb(found, month!, year) ? null : written(weekday, day!, monthNumber(month!), year, said!, c);
    },
  ],
  [
    '(?:(?<=\\b(?:by|on|from|until|before)\\s))(\\d{1,2})[./](\\d{1,2})\\.?(?:[./]?(\\d{4}|\\d{2}))?',
    ([said, first, second, year], c) => inFigures(said!, first!, second!, year, c),
  ],
  ['(\\d{1,2})\\.(\\d{1,2})\\.(\\d{4}|\\d{2})?', (found, c) => figuresAlone(found, c)],
  ['(\\d{1,2})/(\\d{1,2})/(\\d{4}|\\d{2})', (found, c) => figuresAlone(found, c)],
  [
    `in\\s+(${NUMBER})\\s+(days?|weeks?|fortnights?|months?|years?)(?:['’]\\s*time)?`,
    ([, count, unit], c) => ({ date: inWhile(c.today, numberOf(count!), unit!), sure: true }),
  ],
  [`(${NUMBER})\\s+(days?|weeks?|months?)\\s+from\\s+(?:now|today)`, ([, count, unit], c) => ({ date: inWhile(c.today, numberOf(count!), unit!), sure: true })],
  ['(?:the\\s+)?week\\s+after\\s+next', (_found, c) => ({ date: nextWeekday(plus(c.today, { weeks: 1 }), 1), sure: true })],
  [`(?:the\\s+)?(${WEEKDAY})\\s+after\\s+next${PART}`, ([, weekday, part], c) => afterNext(weekday!, part, c)],
  [`(${WEEKDAY})\\s+week(?=\\s*(?:$|[,;.]|at\\b|\\u0000))`, ([, weekday], c) => afterNext(weekday!, undefined, c)],
  [
    `(?:((?:this\\s+|the\\s+)?coming|this|next)\\s+)?(?:first\\s+thing\\s+(?:on\\s+)?)?(${WEEKDAY})(?:\\s+(morning|afternoon|evening|night|first\\s+thing))?`,
    ({ index, input, 0: said, 1: which, 2: weekday, 3: after }, c) => {
      const begins = input.slice(0, index).trim() === '' && which === undefined;
      // "Sun: air the beds" means the day
      const isHead = begins && /^\s*:\s/.test(input.slice(index + said.length));
      if (!isHead && !isWeekdayWritten(weekday!, begins)) return null;
      const part = /first\s+thing/i.test(said) ? 'morning' : after;
      return { ...inDay(weekdayFrom(c.today, weekdayNumber(weekday!), which), part, c), sure: which !== undefined || part !== undefined || isHead };
    },
  ],
  ['(?:the\\s+)?end\\s+of\\s+(?:the|this)\\s+month', (_found, c) => ({ date: endOfMonth(c.today), sure: true })],
  ['(?:the\\s+)?end\\s+of\\s+next\\s+month', (_found, c) => ({ date: endOfMonth(c.today, 1), sure: true })],
  ['(?:the\\s+)?end\\s+of\\s+(?:the|this)\\s+week', (_found, c) => ({ date: nextWeekday(plus(c.today, { days: -1 }), 7), sure: true })],
  [`end\\s+of\\s+(${MONTH})`, ([, month], c) => ({ date: endOfMonth(nextDate(c.today, monthNumber(month!), 28)!), sure: true })],
  ['next\\s+week', (_found, c) => ({ date: nextWeekday(c.today, 1), sure: true })],
  ['next\\s+month', (_found, c) => ({ date: plus(endOfMonth(c.today), { days: 1 }), sure: true })],
  [
    '(?:(?:over|during)\\s+)?(?:(?:this\\s+|the\\s+)?coming|this|the|next)\\s+weekend',
    (_found, c) => ({ date: nextWeekday(plus(c.today, { days: -1 }), 6), sure: true }),
  ],
  ['(?<=\\b(?:by|on|from|until|before)\\s+)(?:the\\s+)?(\\d{1,2})(?:st|nd|rd|th)', ([said, day], c) => dayOfMonth(said!, Number(day), c)],
  ['the\\s+(\\d{1,2})(?:st|nd|rd|th)(?=\\s*$)', ([said, day], c) => dayOfMonth(said!, Number(day), c)],
  ['(\\d{1,2})(?:st|nd|rd|th)(?=\\s*$)', ([said, day], c) => ({ ...dayOfMonth(said!, Number(day), c), sure: false })],
];

const inDay = (date: string, part: string | undefined, c: CaptureContext) => ({ date, sure: true, time: hourOf(part, c), part: part ?? null });

const afterNext = (weekday: string, part: string | undefined, c: CaptureContext) =>
  inDay(plus(nextWeekday(c.today, weekdayNumber(weekday)), { weeks: 1 }), part, c);

const minutesOf = (count: string, unit: string): number => numberOf(count) * (/^m/i.test(unit) ? 1 : 60);

/** So many minutes from now, by the wall. */
function inMinutes(minutes: number, { today, time }: CaptureContext) {
  const whole = Number(time.slice(0, 2)) * 60 + Number(time.slice(3, 5)) + minutes;
  const two = (n: number) => String(n).padStart(2, '0');
  return { date: plus(today, { days: Math.floor(whole / 1_440) }), time: `${two(Math.floor((whole % 1_440) / 60))}:${two(whole % 60)}`, sure: true };
}

function dayOfMonth(said: string, day: number, { today }: CaptureContext): Pick<FoundDay, 'date'> & Partial<FoundDay> {
  const date = nextDayOfMonth(today, day);
  return date === null ? { date: today, sure: true, doubt: { code: 'no-such-day', said: said.trim() } } : { date, sure: true };
}

/** Two figures are a year of this century. */
const fullYear = (year: string): number => (year.length === 2 ? 2000 : 0) + Number(year);

function inWhile(today: string, count: number, unit: string): string {
  if (unit.startsWith('day')) return plus(today, { days: count });
  if (unit.startsWith('week')) return plus(today, { weeks: count });
  if (unit.startsWith('fortnight')) return plus(today, { weeks: 2 * count });
  return unit.startsWith('month') ? plus(today, { months: count }) : plus(today, { years: count });
}

/** "Friday", "next Friday", "coming Friday": the next one after today; "this Friday" may be today. */
const weekdayFrom = (today: string, weekday: number, which: string | undefined): string =>
  which?.toLowerCase() === 'this' ? nextWeekday(plus(today, { days: -1 }), weekday) : nextWeekday(today, weekday);

/** What lies beyond the years of a house is no day of it: its words stay. */
const isOfHouse = (date: string): boolean => date.length === 10 && date >= `${FIRST_YEAR}` && date <= `${LAST_YEAR}-12-31`;

/** Every day that is written in what is still free of a line. */
export function findDays(line: TypedLine, context: CaptureContext): FoundDay[] {
  const found: FoundDay[] = [];
  const overlaps = (from: number, to: number) => found.some((one) => from < one.to && to > one.from);
  for (const [source, read] of RULES) {
    for (const match of line.words(source)) {
      const [from, to] = [match.index, match.index + match[0].length];
      if (overlaps(from, to)) continue;
      const day = read(match, context);
      if (day && isOfHouse(day.date)) found.push({ doubt: null, sure: false, time: null, part: null, isDue: false, ...day, from, to });
    }
  }
  for (const day of otherDays(line, context)) if (!overlaps(day.from, day.to)) found.push(day);
  return found.sort((a, b) => a.from - b.from);
}

/** Its time grows with the square of the line. */
const MOST_FOR_LIBRARY = 200;

/**
 * What the rules above do not know, by the library: only readings that name a day and stand on a figure, since it takes
 * "march", "may" and "sun" for dates.
 */
function otherDays(line: TypedLine, { today }: CaptureContext): FoundDay[] {
  const rest = line.rest.replaceAll('\u0000', ' ');
  if (rest.length > MOST_FOR_LIBRARY || !/\d/.test(rest) || !/(?:ago|from|after|before|since)\b/i.test(rest)) return [];
  // the library takes nothing else than a Date
  const reference = { instant: new Date(`${today}T12:00:00Z`), timezone: 0 };
  return GB.parse(rest, reference, { forwardDate: true }).flatMap(({ index, text, start }) => {
    if (!start.isCertain('day') || !/\d/.test(text) || start.isCertain('hour')) return [];
    const date = dateOf(start.get('year')!, start.get('month')!, start.get('day')!);
    return date === null || date < today ? [] : [{ from: index, to: index + text.length, date, doubt: null, sure: true, time: null, part: null, isDue: false }];
  });
}
