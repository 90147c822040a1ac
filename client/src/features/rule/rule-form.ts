import { NO_RULE, formatRRule, parseRRule, WEEKDAYS, type Series } from '@kotiva/core';

/** The plain choices a rule is built from, and the rule they mean. */

export const KINDS = ['days', 'weeks', 'months', 'years', 'hours', 'after', 'typed'] as const;
export type Kind = (typeof KINDS)[number];
export type Weekday = (typeof WEEKDAYS)[number];

export interface RuleForm {
  kind: Kind;
  /** As typed. */
  every: string;
  weekdays: Weekday[];
  /** Of months: the day of the first, that day or the last, the last day, the nth weekday, or the last workday. */
  on: 'day' | 'dayOrLast' | 'last' | 'weekday' | 'workday';
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
  weekdays: [WEEKDAYS[weekdayOf(date) - 1]!],
  on: 'day',
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

const weekdayOf = (date: string): number => new Date(`${date}T00:00:00Z`).getUTCDay() || 7;

/** What is wrong with a form, as a key of the catalogue; null: it says a rule. */
export function faultOf(
  form: RuleForm,
): 'rule.badEvery' | 'rule.noWeekday' | 'rule.noDate' | 'rule.badHours' | 'rule.badTimes' | 'rule.endsBefore' | 'rule.nothingTyped' | null {
  if (!/^\d{4}-\d\d-\d\d$/.test(form.date)) return 'rule.noDate';
  if (form.kind === 'typed') return form.typed.trim() === '' ? 'rule.nothingTyped' : null;
  if (!/^[1-9]\d{0,2}$/.test(form.every.trim())) return 'rule.badEvery';
  if (form.kind === 'weeks' && form.weekdays.length === 0) return 'rule.noWeekday';
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

function partsOf({ kind, weekdays, on, date }: RuleForm): Partial<typeof NO_RULE> {
  const day = Number(date.slice(8, 10));
  if (kind === 'weeks') return { byDay: WEEKDAYS.flatMap((name, nth) => (weekdays.includes(name) ? [every(nth + 1)] : [])) };
  if (kind !== 'months') return {};
  if (on === 'last') return { byMonthDay: [-1] };
  if (on === 'dayOrLast') return { byMonthDay: Array.from({ length: day - 27 }, (_, nth) => 28 + nth), bySetPos: [-1] };
  if (on === 'weekday') return { byDay: [{ weekday: weekdayOf(date), nth: day > 28 || isLastWeek(date) ? -1 : Math.ceil(day / 7) }] };
  if (on === 'workday') return { byDay: [1, 2, 3, 4, 5].map(every), bySetPos: [-1] };
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
  for (const on of kind === 'months' ? (['day', 'last', 'dayOrLast', 'weekday', 'workday'] as const) : (['day'] as const)) {
    const weekdays = rule.byDay.map(({ weekday }) => WEEKDAYS[weekday - 1]!);
    const tried: RuleForm = { ...form, ...end, kind, on, every: String(rule.interval), weekdays: weekdays.length > 0 ? weekdays : form.weekdays };
    if ((on !== 'dayOrLast' || Number(form.date.slice(8)) > 28) && sameRule(ruleOf(tried).rrule!, rrule!, dtstart)) return tried;
  }
  return typed;
}

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
