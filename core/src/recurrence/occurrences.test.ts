import fc from 'fast-check';
import { RRuleTemporal } from 'rrule-temporal';
import { Temporal } from 'temporal-polyfill';
import { neverOccurs, occurrences, type Recurrence } from './occurrences.ts';
import { RFC_EXAMPLES } from './rfc-examples.ts';
import { rulesOf } from './rules.arbitrary.ts';

const HELSINKI = 'Europe/Helsinki';
const at = (series: Partial<Recurrence>, window: Parameters<typeof occurrences>[1] = { limit: 6 }): string[] =>
  [...occurrences({ rrule: null, dtstart: '2026-12-04T16:00', zone: HELSINKI, ...series }, window)].map((one) => one.at);

test.each(RFC_EXAMPLES)('as RFC 5545 prints it: $rule from $start', ({ rule, start, exdates, dates, more }) => {
  const expected = dates.split(' ').map((date) => (date.includes('T') ? date : `${date}T09:00`));
  const series = { rrule: rule, dtstart: start ?? '1997-09-02T09:00', zone: 'America/New_York', exdates };
  expect([...occurrences(series, { limit: expected.length + (more ? 0 : 1) })].map((one) => one.at)).toEqual(expected);
});

describe('in words of every day', () => {
  test.each<[string, Partial<Recurrence>, string]>([
    ['every other Friday', { rrule: 'FREQ=WEEKLY;INTERVAL=2;BYDAY=FR' }, '2026-12-04T16:00 2026-12-18T16:00 2027-01-01T16:00'],
    ['Wednesdays and Saturdays', { rrule: 'FREQ=WEEKLY;BYDAY=WE,SA' }, '2026-12-05T16:00 2026-12-09T16:00 2026-12-12T16:00'],
    ['the 31st, or the last day', { rrule: 'FREQ=MONTHLY;BYMONTHDAY=28,29,30,31;BYSETPOS=-1', dtstart: '2027-01-31' }, '2027-01-31 2027-02-28 2027-03-31'],
    ['the last weekend', { rrule: 'FREQ=MONTHLY;BYDAY=-1SA', dtstart: '2026-12-01' }, '2026-12-26 2027-01-30 2027-02-27'],
    ['29 February', { rrule: 'FREQ=YEARLY', dtstart: '2028-02-29' }, '2028-02-29 2032-02-29 2036-02-29'],
    ['every 3 hours from 8 to 17', { rrule: 'FREQ=DAILY;BYHOUR=8,11,14,17;BYMINUTE=0' }, '2026-12-04T17:00 2026-12-05T08:00 2026-12-05T11:00'],
  ])('%s', (_, series, expected) => expect(at(series, { limit: 3 }).join(' ')).toBe(expected));

  test('the last workday of each quarter, moved before a holiday', () => {
    const series = { rrule: 'FREQ=MONTHLY;BYMONTH=3,6,9,12;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1', dtstart: '2026-12-01', offDay: 'before' as const };
    expect(at({ ...series, daysOff: new Set(['2026-12-31', '2027-03-29']) }, { limit: 3 })).toEqual(['2026-12-30', '2027-03-31', '2027-06-30']);
  });
});

describe('the clocks', () => {
  test('a time that does not exist moves forward and keeps its place', () => {
    const rrule = 'FREQ=DAILY';
    expect(at({ rrule, dtstart: '2027-03-27T03:30' }, { limit: 3 })).toEqual(['2027-03-27T03:30', '2027-03-28T04:30', '2027-03-29T03:30']);
    expect([...occurrences({ rrule, dtstart: '2027-03-28T03:30', zone: HELSINKI }, { limit: 1 })][0]!.recurrenceId).toBe('2027-03-28T03:30');
  });
  test('by the half hour, no moment comes twice and none out of order', () => {
    const found = at({ rrule: 'FREQ=MINUTELY;INTERVAL=30', dtstart: '2027-03-28T02:30' }, { limit: 5 });
    expect(found).toEqual(['2027-03-28T02:30', '2027-03-28T04:00', '2027-03-28T04:30', '2027-03-28T05:00', '2027-03-28T05:30']);
  });
  test('a day a zone left out', () => {
    expect(at({ rrule: 'FREQ=DAILY', dtstart: '2011-12-29T10:00', zone: 'Pacific/Apia' }, { limit: 2 })).toEqual(['2011-12-29T10:00', '2011-12-31T10:00']);
  });
  test('an end given as an instant', () => {
    expect(at({ rrule: 'FREQ=DAILY;UNTIL=20261206T140000Z' })).toEqual(['2026-12-04T16:00', '2026-12-05T16:00', '2026-12-06T16:00']);
    expect(at({ rrule: 'FREQ=DAILY;UNTIL=20261206T135959Z' })).toHaveLength(2);
    expect(at({ rrule: 'FREQ=DAILY;UNTIL=20261206' })).toHaveLength(3);
  });
});

describe('single ones', () => {
  const rrule = 'FREQ=WEEKLY';
  test('left out by time, by instant, by day', () => {
    for (const exdate of ['20261211T160000', '2026-12-11T14:00:00Z', '2026-12-11'])
      expect(at({ rrule, exdates: [exdate] }, { limit: 2 })).toEqual(['2026-12-04T16:00', '2026-12-18T16:00']);
  });
  test('added', () => {
    expect(at({ rrule, rdates: ['2026-12-06', '2026-12-11T16:00'] }, { limit: 3 })).toEqual(['2026-12-04T16:00', '2026-12-06T16:00', '2026-12-11T16:00']);
  });
  test('moved, also out of and into the window asked about', () => {
    const moved = new Map([['2026-12-11T16:00', '2026-12-21T09:00']]);
    const series = { rrule, dtstart: '2026-12-04T16:00', zone: HELSINKI, moved };
    expect([...occurrences(series, { after: '2026-12-18T16:00', before: '2026-12-25T16:00' })]).toEqual([
      { recurrenceId: '2026-12-11T16:00', at: '2026-12-21T09:00' },
    ]);
    expect([...occurrences(series, { before: '2026-12-18' })]).toHaveLength(1);
  });
});

test.each([
  ['FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=31', '2026-12-04'],
  ['FREQ=DAILY;BYMONTH=2;BYMONTHDAY=30', '2026-12-04T10:00'],
  ['FREQ=HOURLY;INTERVAL=24;BYHOUR=5', '2026-12-04T04:00'],
  ['FREQ=WEEKLY;UNTIL=20200101', '2026-12-04'],
  ['FREQ=MONTHLY;BYDAY=MO;BYSETPOS=6', '2026-12-04'],
  ['FREQ=MINUTELY;INTERVAL=1440;BYHOUR=3;BYMINUTE=1', '2026-12-04T03:00'],
])('never: %s from %s', (rrule, dtstart) => expect(neverOccurs({ rrule, dtstart, zone: HELSINKI })).toBe(true));

test.each([
  ['', 'needs FREQ'],
  ['FREQ=FORTNIGHTLY', 'FREQ=FORTNIGHTLY'],
  ['FREQ=DAILY;INTERVAL=0', 'INTERVAL=0'],
  ['FREQ=DAILY;COUNT=3;UNTIL=20270101', 'ends twice'],
  ['FREQ=MONTHLY;BYDAY=MO;BYSETPOS=0', 'BYSETPOS=0'],
  ['FREQ=MONTHLY;BYDAY=MO;BYSETPOS=367', 'BYSETPOS=367'],
  ['FREQ=MONTHLY;BYSETPOS=1', 'BYSETPOS and no other'],
  ['FREQ=DAILY;BYDAY=1MO', 'BYDAY with a number'],
  ['FREQ=MONTHLY;BYWEEKNO=3', 'BYWEEKNO'],
  ['FREQ=DAILY;BYHOUR=24', 'BYHOUR=24'],
  ['FREQ=DAILY;UNTIL=20270231', 'UNTIL=20270231'],
  ['FREQ=DAILY;DAYS=MO', 'DAYS'],
  ['FREQ=DAILY;FREQ=DAILY', 'FREQ twice'],
])('a rule that cannot be is refused with what is wrong: %s', (rrule, says) => {
  expect(() => at({ rrule })).toThrow(says);
});

const STARTS = fc
  .integer({ min: 0, max: 3650 })
  .chain((day) => fc.integer({ min: 0, max: 47 }).map((half) => Temporal.PlainDateTime.from('2020-01-01').add({ days: day, minutes: half * 30 })));

test('agrees with another engine, on rules that are not among its known faults', () => {
  fc.assert(
    fc.property(rulesOf('YEARLY', 'MONTHLY', 'WEEKLY', 'DAILY', 'HOURLY'), STARTS, (rrule, start) => {
      const end = start.add({ years: 2 });
      const stamp = start.toString({ smallestUnit: 'second' }).replace(/[-:]/g, '');
      const other = new RRuleTemporal({ rruleString: `DTSTART:${stamp}Z\nRRULE:${rrule}`, temporal: Temporal as never, maxIterations: 20_000 });
      const theirs = other.between(start.toZonedDateTime('UTC') as never, end.toZonedDateTime('UTC') as never, true);
      const found = occurrences({ rrule, dtstart: start.toString(), zone: null }, { before: end.add({ seconds: 1 }).toString(), limit: 40 });
      expect([...found].map((one) => one.at)).toEqual(theirs.slice(0, 40).map((one) => one.toPlainDateTime().toString({ smallestUnit: 'minute' })));
    }),
    { numRuns: 200, seed: 5545 },
  );
});

test('strictly increasing, within bounds, and the same however the time is cut', () => {
  fc.assert(
    fc.property(rulesOf('YEARLY', 'MONTHLY', 'WEEKLY', 'DAILY', 'HOURLY', 'MINUTELY'), STARTS, fc.integer({ min: 0, max: 900 }), (rrule, start, days) => {
      const series = { rrule, dtstart: start.toString({ smallestUnit: 'minute' }), zone: HELSINKI };
      const [cut, end] = [start.add({ days }).toString(), start.add({ days: 1000 }).toString()];
      const whole = [...occurrences(series, { before: end, limit: 200 })];
      for (let nth = 1; nth < whole.length; nth++) expect(whole[nth]!.at > whole[nth - 1]!.at).toBe(true);
      for (const one of whole) expect(one.at >= series.dtstart && one.at < end).toBe(true);
      const late = whole.filter((one) => one.at > cut.slice(0, 16));
      expect([...occurrences(series, { after: cut, before: end, limit: late.length })]).toEqual(late);
    }),
    { numRuns: 200, seed: 8984 },
  );
});

test('the wall-clock time is kept across the change of the clocks', () => {
  fc.assert(
    fc.property(fc.constantFrom('DAILY', 'WEEKLY', 'MONTHLY'), STARTS, (freq, start) => {
      const clock = start.toString().slice(11, 16);
      fc.pre(clock < '02:00' || clock > '05:00');
      const series = { rrule: `FREQ=${freq}`, dtstart: start.toString(), zone: HELSINKI };
      for (const one of occurrences(series, { limit: 60 })) expect(one.at.slice(11)).toBe(clock);
    }),
    { numRuns: 60, seed: 1 },
  );
});
