import { occurrences } from '@kotiva/core';
import rrule from 'rrule';
import { RRuleTemporal } from 'rrule-temporal';
import { Temporal } from 'temporal-polyfill';
import { percentile, report } from './report.ts';

const { rrulestr } = rrule;
const RULES = 1000;
const ROUNDS = 9;
const START = '2026-12-04T16:00';
const END = '2027-12-04T16:00';
const DAYS = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'];

/** A household's rules, mixed as households have them: mostly weekly and monthly. */
export function mixed(nth: number): string {
  const interval = 1 + (nth % 3);
  const day = DAYS[nth % 7]!;
  const kinds = [
    `FREQ=WEEKLY;INTERVAL=${interval};BYDAY=${day}`,
    `FREQ=WEEKLY;BYDAY=${day},${DAYS[(nth + 3) % 7]!}`,
    `FREQ=MONTHLY;INTERVAL=${interval};BYDAY=-1${day}`,
    `FREQ=MONTHLY;BYMONTHDAY=${1 + (nth % 28)}`,
    `FREQ=DAILY;INTERVAL=${interval}`,
    'FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1',
    `FREQ=YEARLY;BYMONTH=${1 + (nth % 12)};BYMONTHDAY=${1 + (nth % 28)}`,
    'FREQ=DAILY;BYHOUR=8,12,16;BYMINUTE=0',
  ];
  return kinds[nth % kinds.length]!;
}

const rules = Array.from({ length: RULES }, (_, nth) => mixed(nth));
const compact = (moment: string): string => `${moment.replace(/[-:]/g, '')}00Z`;

const ours = (rule: string): number => [...occurrences({ rrule: rule, dtstart: START, zone: 'Europe/Helsinki' }, { before: END })].length;
/** The two libraries are spared the zone, which one of them gets wrong and the other is slow at. */
const byDate = (rule: string): number => rrulestr(`DTSTART:${compact(START)}\nRRULE:${rule}`).between(new Date(`${START}Z`), new Date(`${END}Z`), true).length;
const byTemporal = (rule: string): number => {
  const parsed = new RRuleTemporal({ rruleString: `DTSTART:${compact(START)}\nRRULE:${rule}`, temporal: Temporal as never });
  const [from, to] = [START, END].map((moment) => Temporal.PlainDateTime.from(moment).toZonedDateTime('UTC'));
  return parsed.between(from as never, to as never, true).length;
};

function perSecond(expand: (rule: string) => number): number {
  const from = performance.now();
  let many = 0;
  for (const rule of rules) many += expand(rule);
  return (many * 1000) / (performance.now() - from);
}

/** Occurrences of 1,000 mixed rules within a year, beside the faster of two libraries on the same rules; by turns, so that a busy moment of the machine meets all three. */
export function occurrencesPerSecond(): void {
  const rates = Array.from({ length: ROUNDS }, () => [ours, byDate, byTemporal].map(perSecond));
  const [own, ...others] = [0, 1, 2].map((nth) =>
    percentile(
      rates.map((one) => one[nth]!),
      0.5,
    ),
  ) as [number, number, number];
  report('occurrences_per_s', own, '1/s', Math.max(...others));
}

/** The next occurrence 20 years on, beside tomorrow's. */
export function nextAfter20Years(): void {
  const next = (after: string) => {
    const times = Array.from({ length: 20 }, () => {
      const from = performance.now();
      for (const rule of rules) occurrences({ rrule: rule, dtstart: START, zone: 'Europe/Helsinki' }, { after, limit: 1 }).next();
      return ((performance.now() - from) * 1000) / rules.length;
    });
    return percentile(times, 0.5);
  };
  report('next_after_20y_us', next('2046-12-04T16:00'), 'us', next('2026-12-05T16:00'));
}
