import { WEEKDAYS } from '../model/weekday.ts';
import { parseLocal } from './local.ts';

/** RFC 5545 3.3.10. */
const FREQUENCIES = ['SECONDLY', 'MINUTELY', 'HOURLY', 'DAILY', 'WEEKLY', 'MONTHLY', 'YEARLY'] as const;
export type Frequency = (typeof FREQUENCIES)[number];

/** Comes by the hour or more often. */
export const isOfClock = (freq: Frequency): freq is 'SECONDLY' | 'MINUTELY' | 'HOURLY' => freq === 'SECONDLY' || freq === 'MINUTELY' || freq === 'HOURLY';

/** A weekday, ISO numbered; `nth` 0: every one of the period, else the nth of it, from its end where negative. */
export interface ByDay {
  weekday: number;
  nth: number;
}

/** A recurrence rule taken apart. An empty list: the rule does not say. */
export interface RRule {
  freq: Frequency;
  interval: number;
  count: number | null;
  /** As typed: a date, a local time, or an instant that ends in Z. */
  until: string | null;
  /** ISO weekday a week begins with. */
  wkst: number;
  bySecond: number[];
  byMinute: number[];
  byHour: number[];
  byDay: ByDay[];
  byMonthDay: number[];
  byYearDay: number[];
  byWeekNo: number[];
  byMonth: number[];
  bySetPos: number[];
}

/** What is wrong with a rule, and in which of its parts. */
export type RuleFault = { fault: 'no-freq' | 'unknown-part' | 'twice' | 'bad-value' | 'not-together' | 'count-and-until'; part: string };

export class BadRule extends Error {
  constructor(readonly fault: RuleFault) {
    super(SENTENCES[fault.fault](fault.part));
  }
}

const SENTENCES: Record<RuleFault['fault'], (part: string) => string> = {
  'no-freq': () => 'The rule does not say how often: it needs FREQ, one of YEARLY, MONTHLY, WEEKLY, DAILY, HOURLY, MINUTELY, SECONDLY.',
  'unknown-part': (part) => `The rule has a part that is none of RFC 5545: ${part}.`,
  twice: (part) => `The rule says ${part} twice.`,
  'bad-value': (part) => `The rule has a value that cannot be: ${part}.`,
  'not-together': (part) => `The rule has parts that do not go together: ${part}.`,
  'count-and-until': () => 'The rule ends twice, by COUNT and by UNTIL: keep one.',
};

const bad = (fault: RuleFault['fault'], part: string): never => {
  throw new BadRule({ fault, part });
};

/** A house has few rules and asks about them all day: those read last are remembered. */
const read = new Map<string, RRule>();
const MOST_READ = 2000;

/** Reads an RRULE, with or without its name before it. Throws {@link BadRule}. Source: RFC 5545 3.3.10 with errata. */
export function parseRRule(text: string): Readonly<RRule> {
  const known = read.get(text);
  if (known) return known;
  if (read.size >= MOST_READ) read.clear();
  const rule = readRule(text);
  read.set(text, rule);
  return rule;
}

function readRule(text: string): RRule {
  const parts = partsOf(text);
  const freq = parts.get('FREQ');
  if (freq === undefined) return bad('no-freq', '');
  if (!(FREQUENCIES as readonly string[]).includes(freq)) bad('bad-value', `FREQ=${freq}`);
  const rule: RRule = {
    freq: freq as Frequency,
    interval: positive('INTERVAL', parts) ?? 1,
    count: positive('COUNT', parts),
    until: untilOf(parts),
    wkst: parts.has('WKST') ? weekday(parts.get('WKST')!, 'WKST') : 1,
    // a leap second is the last of its minute
    bySecond: numbers('BYSECOND', parts, 0, 60, false).map((second) => Math.min(second, 59)),
    byMinute: numbers('BYMINUTE', parts, 0, 59, false),
    byHour: numbers('BYHOUR', parts, 0, 23, false),
    byDay: (parts.get('BYDAY')?.split(',') ?? []).map(byDayOf),
    byMonthDay: numbers('BYMONTHDAY', parts, 1, 31, true),
    byYearDay: numbers('BYYEARDAY', parts, 1, 366, true),
    byWeekNo: numbers('BYWEEKNO', parts, 1, 53, true),
    byMonth: numbers('BYMONTH', parts, 1, 12, false),
    bySetPos: numbers('BYSETPOS', parts, 1, 366, true),
  };
  refuseContradictions(rule);
  return rule;
}

const PARTS = [
  'FREQ',
  'INTERVAL',
  'COUNT',
  'UNTIL',
  'WKST',
  'BYSECOND',
  'BYMINUTE',
  'BYHOUR',
  'BYDAY',
  'BYMONTHDAY',
  'BYYEARDAY',
  'BYWEEKNO',
  'BYMONTH',
  'BYSETPOS',
];

function partsOf(text: string): Map<string, string> {
  const parts = new Map<string, string>();
  for (const part of text
    .trim()
    .toUpperCase()
    .replace(/^RRULE:/, '')
    .split(';')) {
    if (part === '') continue;
    const [name, value, ...more] = part.split('=') as [string, string?, ...string[]];
    if (!PARTS.includes(name)) bad('unknown-part', name.slice(0, 40));
    if (parts.has(name)) bad('twice', name);
    if (!value || more.length > 0) bad('bad-value', part.slice(0, 40));
    parts.set(name, value!);
  }
  return parts;
}

function positive(name: string, parts: Map<string, string>): number | null {
  const value = parts.get(name);
  if (value === undefined) return null;
  if (!/^\d{1,7}$/.test(value) || Number(value) < 1) bad('bad-value', `${name}=${value.slice(0, 20)}`);
  return Number(value);
}

function numbers(name: string, parts: Map<string, string>, min: number, max: number, signed: boolean): number[] {
  const found = new Set<number>();
  for (const value of parts.get(name)?.split(',') ?? []) {
    const number = Number(value);
    const size = signed ? Math.abs(number) : number;
    if (!(signed ? /^[+-]?\d{1,3}$/ : /^\d{1,2}$/).test(value) || size < min || size > max) bad('bad-value', `${name}=${value.slice(0, 20)}`);
    found.add(number);
  }
  return [...found].sort((a, b) => a - b);
}

function weekday(value: string, name: string): number {
  const nth = (WEEKDAYS as readonly string[]).indexOf(value) + 1;
  return nth > 0 ? nth : bad('bad-value', `${name}=${value.slice(0, 20)}`);
}

function byDayOf(value: string): ByDay {
  const found = /^([+-]?\d{1,2})?([A-Z]{2})$/.exec(value);
  const nth = Number(found?.[1] ?? 0);
  if (!found || (found[1] !== undefined && nth === 0) || Math.abs(nth) > 53) return bad('bad-value', `BYDAY=${value.slice(0, 20)}`);
  return { weekday: weekday(found[2]!, 'BYDAY'), nth };
}

function untilOf(parts: Map<string, string>): string | null {
  const until = parts.get('UNTIL');
  if (until === undefined) return null;
  if (!parseLocal(until)) bad('bad-value', `UNTIL=${until.slice(0, 30)}`);
  return until;
}

/** What RFC 5545 3.3.10 rules out. */
function refuseContradictions(rule: RRule): void {
  const { freq, byDay } = rule;
  if (rule.count !== null && rule.until !== null) bad('count-and-until', '');
  if (rule.byWeekNo.length > 0 && freq !== 'YEARLY') bad('not-together', `BYWEEKNO and FREQ=${freq}`);
  if (rule.byYearDay.length > 0 && ['DAILY', 'WEEKLY', 'MONTHLY'].includes(freq)) bad('not-together', `BYYEARDAY and FREQ=${freq}`);
  if (rule.byMonthDay.length > 0 && freq === 'WEEKLY') bad('not-together', 'BYMONTHDAY and FREQ=WEEKLY');
  if (byDay.some(({ nth }) => nth !== 0)) {
    if (freq !== 'MONTHLY' && freq !== 'YEARLY') bad('not-together', `BYDAY with a number and FREQ=${freq}`);
    if (rule.byWeekNo.length > 0) bad('not-together', 'BYDAY with a number and BYWEEKNO');
  }
  const others = [rule.bySecond, rule.byMinute, rule.byHour, byDay, rule.byMonthDay, rule.byYearDay, rule.byWeekNo, rule.byMonth];
  if (rule.bySetPos.length > 0 && others.every((list) => list.length === 0)) bad('not-together', 'BYSETPOS and no other BY part');
}

/** The rule as RFC 5545 writes it, in the order of the standard's examples. */
export function formatRRule(rule: RRule): string {
  const list = (name: string, values: readonly (number | string)[]) => (values.length > 0 ? [`${name}=${values.join(',')}`] : []);
  return [
    `FREQ=${rule.freq}`,
    ...(rule.until === null ? [] : [`UNTIL=${rule.until}`]),
    ...(rule.count === null ? [] : [`COUNT=${rule.count}`]),
    ...(rule.interval === 1 ? [] : [`INTERVAL=${rule.interval}`]),
    ...list('BYSECOND', rule.bySecond),
    ...list('BYMINUTE', rule.byMinute),
    ...list('BYHOUR', rule.byHour),
    ...list(
      'BYDAY',
      rule.byDay.map(({ weekday: day, nth }) => `${nth === 0 ? '' : nth}${WEEKDAYS[day - 1]}`),
    ),
    ...list('BYMONTHDAY', rule.byMonthDay),
    ...list('BYYEARDAY', rule.byYearDay),
    ...list('BYWEEKNO', rule.byWeekNo),
    ...list('BYMONTH', rule.byMonth),
    ...list('BYSETPOS', rule.bySetPos),
    ...(rule.wkst === 1 ? [] : [`WKST=${WEEKDAYS[rule.wkst - 1]}`]),
  ].join(';');
}

export const NO_RULE: Omit<RRule, 'freq'> = {
  interval: 1,
  count: null,
  until: null,
  wkst: 1,
  bySecond: [],
  byMinute: [],
  byHour: [],
  byDay: [],
  byMonthDay: [],
  byYearDay: [],
  byWeekNo: [],
  byMonth: [],
  bySetPos: [],
};
