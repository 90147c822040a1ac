import { dayOrLast, NO_RULE, formatRRule, parseRRule, WEEKDAYS, type Series } from '@kotiva/core';

/** The plain choices a rule is built from, and the rule they mean. */

export const KINDS = ['days', 'weeks', 'months', 'years', 'hours', 'after', 'typed'] as const;
export type Kind = (typeof KINDS)[number];
export type Weekday = (typeof WEEKDAYS)[number];
export const NTHS = ['1', '2', '3', '4', '-1'] as const;
export type Nth = (typeof NTHS)[number];

export interface RuleForm {
  kind: Kind;
  /** As typed. */
  every: string;
  weekdays: Weekday[];
  /** The weekdays, and which of the month, are those of the first day: they follow it until some are chosen. */
  proposed: boolean;
  /** Of months: the day of the first, the last day, a weekday, or the last workday. */
  on: 'day' | 'last' | 'weekday' | 'workday';
  /** Of a day some months don't have: nothing in those, or their last day; null: not said yet. */
  short: 'only' | 'orLast' | null;
  /** Of a weekday of the month: which of them, and which day. */
  nth: Nth;
  nthDay: Weekday;
  /** Of `hours`: the first and the last of a day, `08:00`; both empty: round the clock. */
  hoursFrom: string;
  hoursTo: string;
  /** Of `after`. */
  unit: 'D' | 'W' | 'M';
  typed: string;
  date: string;
  time: string;
  end: 'never' | 'on' | 'times';
  until: string;
  times: string;
}

export type RuleSaid = Pick<Series, 'rrule' | 'afterDone' | 'dtstart'>;

export const newForm = (date: string, time: string): RuleForm => ({
  kind: 'weeks',
  every: '1',
  ...proposedFor(date),
  proposed: true,
  on: 'day',
  short: null,
  hoursFrom: '',
  hoursTo: '',
  unit: 'W',
  typed: '',
  date,
  time,
  end: 'never',
  until: '',
  times: '10',
});

function proposedFor(date: string): Pick<RuleForm, 'weekdays' | 'nth' | 'nthDay'> {
  const day = WEEKDAYS[weekdayOf(date) - 1]!;
  const nth = Math.ceil(Number(date.slice(8, 10)) / 7);
  return { weekdays: [day], nthDay: day, nth: isLastWeek(date) ? '-1' : (String(nth) as Nth) };
}

/** Another way of coming back begins plainly: "every 3" of days is not meant of years. */
export const withKind = (form: RuleForm, kind: Kind): RuleForm => (kind === form.kind ? form : { ...form, kind, every: '1' });

/** What is proposed follows the first day. */
export const withDate = (form: RuleForm, date: string): RuleForm => ({
  ...form,
  date,
  ...(form.proposed && /^\d{4}-\d\d-\d\d$/.test(date) ? proposedFor(date) : {}),
});

/** The first one chosen takes the place of the one proposed. */
export function withWeekdays(form: RuleForm, on: readonly string[]): RuleForm {
  const added = on.filter((day) => !form.weekdays.includes(day as Weekday)) as Weekday[];
  return { ...form, proposed: false, weekdays: form.proposed && added.length > 0 ? added : (on as Weekday[]) };
}

/** The day of the month that some months don't have; null: all have it, or none was said. */
export function shortDay({ kind, on, date }: RuleForm): number | null {
  const day = Number(date.slice(8, 10));
  return kind === 'months' && on === 'day' && day > 28 ? day : null;
}

const weekdayOf = (date: string): number => new Date(`${date}T00:00:00Z`).getUTCDay() || 7;

/** What is wrong with a form, as a key of the catalogue; null: it says a rule. */
export function faultOf(
  form: RuleForm,
): 'rule.badEvery' | 'rule.noWeekday' | 'rule.noDate' | 'rule.badHours' | 'rule.badTimes' | 'rule.endsBefore' | 'rule.nothingTyped' | 'rule.saysShort' | null {
  if (!/^\d{4}-\d\d-\d\d$/.test(form.date)) return 'rule.noDate';
  if (form.kind === 'typed') return form.typed.trim() === '' ? 'rule.nothingTyped' : null;
  if (!/^[1-9]\d{0,2}$/.test(form.every.trim())) return 'rule.badEvery';
  if (form.kind === 'weeks' && form.weekdays.length === 0) return 'rule.noWeekday';
  if (shortDay(form) !== null && form.short === null) return 'rule.saysShort';
  if (form.kind === 'hours' && (form.hoursFrom !== '' || form.hoursTo !== '') && (form.hoursFrom === '' || form.hoursTo <= form.hoursFrom))
    return 'rule.badHours';
  if (form.kind === 'after' || form.end === 'never') return null;
  if (form.end === 'times') return /^[1-9]\d{0,3}$/.test(form.times.trim()) ? null : 'rule.badTimes';
  return form.until >= form.date ? null : 'rule.endsBefore';
}

/** The rule a form without fault says. */
export function ruleOf(form: RuleForm): RuleSaid {
  const dtstart = form.time ? `${form.date}T${form.time}` : form.date;
  const every = Number(form.every);
  if (form.kind === 'typed')
    return {
      rrule: form.typed
        .trim()
        .toUpperCase()
        .replace(/^RRULE:/, ''),
      afterDone: null,
      dtstart,
    };
  if (form.kind === 'after') return { rrule: null, afterDone: `P${every}${form.unit}`, dtstart };
  const ends = { until: form.end === 'on' ? form.until.replaceAll('-', '') : null, count: form.end === 'times' ? Number(form.times) : null };
  if (isWithinDay(form))
    return { rrule: formatRRule({ ...NO_RULE, ...ends, ...withinDay(form, every) }), afterDone: null, dtstart: `${form.date}T${form.hoursFrom}` };
  const rule = { ...NO_RULE, ...ends, freq: FREQ[form.kind], interval: every, ...partsOf(form) };
  return { rrule: formatRRule(rule), afterDone: null, dtstart: form.kind === 'hours' && !form.time ? `${form.date}T08:00` : dtstart };
}

const isWithinDay = ({ kind, hoursFrom, hoursTo }: RuleForm): boolean => kind === 'hours' && hoursFrom !== '' && hoursTo !== '';

/** The same hours of every day, so that they do not wander where a day has no whole number of them. */
function withinDay({ hoursFrom, hoursTo }: RuleForm, every: number): Pick<typeof NO_RULE, 'byHour' | 'byMinute'> & { freq: 'DAILY' } {
  const [from, to] = [hoursFrom, hoursTo].map((time) => Number(time.slice(0, 2))) as [number, number];
  const byHour = Array.from({ length: Math.floor((to - from) / every) + 1 }, (_, nth) => from + nth * every);
  return { freq: 'DAILY', byHour, byMinute: [Number(hoursFrom.slice(3, 5))] };
}

const FREQ = { days: 'DAILY', weeks: 'WEEKLY', months: 'MONTHLY', years: 'YEARLY', hours: 'HOURLY' } as const;
const every = (weekday: number) => ({ weekday, nth: 0 });

function partsOf(form: RuleForm): Partial<typeof NO_RULE> {
  const { kind, weekdays, on, date } = form;
  const day = Number(date.slice(8, 10));
  if (kind === 'weeks') return { byDay: WEEKDAYS.flatMap((name, nth) => (weekdays.includes(name) ? [every(nth + 1)] : [])) };
  if (kind !== 'months') return {};
  if (on === 'last') return { byMonthDay: [-1] };
  if (on === 'weekday') return { byDay: [{ weekday: WEEKDAYS.indexOf(form.nthDay) + 1, nth: Number(form.nth) }] };
  if (on === 'workday') return { byDay: [1, 2, 3, 4, 5].map(every), bySetPos: [-1] };
  if (form.short === 'orLast' && shortDay(form) !== null) return { byMonthDay: dayOrLast(day), bySetPos: [-1] };
  return { byMonthDay: [day] };
}

const isLastWeek = (date: string): boolean => new Date(new Date(`${date}T00:00:00Z`).getTime() + 7 * 86_400_000).getUTCMonth() + 1 !== Number(date.slice(5, 7));

/** The form of a rule there is: its plain choices where it has them, else as typed. */
export function formOf({ rrule, afterDone, dtstart }: RuleSaid): RuleForm {
  const form = newForm(dtstart.slice(0, 10), dtstart.slice(11, 16));
  if (afterDone !== null)
    return { ...form, kind: 'after', every: afterDone.slice(1, -1), unit: afterDone.endsWith('M') ? 'M' : afterDone.endsWith('D') ? 'D' : 'W' };
  const rule = parseRRule(rrule!);
  const kind = (Object.keys(FREQ) as (keyof typeof FREQ)[]).find((one) => FREQ[one] === rule.freq);
  const end =
    rule.count !== null
      ? ({ end: 'times', times: String(rule.count) } as const)
      : rule.until !== null
        ? ({ end: 'on', until: dateOf(rule.until) } as const)
        : {};
  const typed: RuleForm = { ...form, kind: 'typed', typed: rrule! };
  const hours = { ...form, ...end, ...hoursOf(rule) };
  if (hours.kind === 'hours' && ruleOf(hours).rrule === formatRRule(rule)) return hours;
  if (!kind) return typed;
  const said = { ...form, ...end, kind, proposed: false, every: String(rule.interval), ...daysOf(rule, form) };
  for (const tried of kind === 'months' ? monthlyForms(said) : [said]) if (sameRule(ruleOf(tried).rrule!, rrule!, dtstart)) return tried;
  return typed;
}

function daysOf({ byDay }: ReturnType<typeof parseRRule>, form: RuleForm): Pick<RuleForm, 'weekdays' | 'nth' | 'nthDay'> {
  const weekdays = byDay.map(({ weekday }) => WEEKDAYS[weekday - 1]!);
  const nth = NTHS.find((one) => Number(one) === byDay[0]?.nth) ?? form.nth;
  return { weekdays: weekdays.length > 0 ? weekdays : form.weekdays, nth, nthDay: weekdays[0] ?? form.nthDay };
}

const monthlyForms = (form: RuleForm): RuleForm[] => [
  ...(['only', 'orLast'] as const).map((short) => ({ ...form, on: 'day' as const, short })),
  ...(['last', 'weekday', 'workday'] as const).map((on) => ({ ...form, on })),
];

/** The first and last hour of a rule of hours of a day, and how far apart they are. */
function hoursOf({ freq, byHour, byMinute }: ReturnType<typeof parseRRule>): Partial<RuleForm> {
  if (freq !== 'DAILY' || byHour.length < 2) return {};
  const clock = (hour: number) => `${String(hour).padStart(2, '0')}:${String(byMinute[0] ?? 0).padStart(2, '0')}`;
  return { kind: 'hours', every: String(byHour[1]! - byHour[0]!), hoursFrom: clock(byHour[0]!), hoursTo: clock(byHour.at(-1)!) };
}

const dateOf = (until: string): string => `${until.slice(0, 4)}-${until.slice(4, 6)}-${until.slice(6, 8)}`;

/** The same but for what a rule leaves to its first day. */
function sameRule(one: string, other: string, dtstart: string): boolean {
  const spelled = (rrule: string) => formatRRule(withDefaults(parseRRule(rrule), dtstart));
  return spelled(one) === spelled(other);
}

function withDefaults(rule: ReturnType<typeof parseRRule>, dtstart: string): ReturnType<typeof parseRRule> {
  const saysDay = rule.byDay.length > 0 || rule.byMonthDay.length > 0;
  if (rule.freq === 'WEEKLY' && !saysDay) return { ...rule, byDay: [every(weekdayOf(dtstart.slice(0, 10)))] };
  if (rule.freq === 'MONTHLY' && !saysDay) return { ...rule, byMonthDay: [Number(dtstart.slice(8, 10))] };
  return { ...rule, byDay: [...rule.byDay].sort((a, b) => a.weekday - b.weekday) };
}
