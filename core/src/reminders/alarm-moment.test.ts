import fc from 'fast-check';
import { Temporal } from 'temporal-polyfill';
import { USUAL_DAY_PARTS } from '../model/house.ts';
import { Trigger } from '../model/alarm-schema.ts';
import * as z from 'zod/mini';
import { alarmMoment, type AnchorDates } from './alarm-moment.ts';

const HOUSE = { zone: 'Europe/Helsinki', dayParts: USUAL_DAY_PARTS };
const NONE: AnchorDates = { due: null, start: null, plan: null };
const before = (offset: string, to: 'due' | 'start' | 'plan' = 'due'): Trigger => ({ kind: 'relative', to, offset });

// Helsinki: 29 March 2026 03:00 → 04:00, 25 October 2026 04:00 → 03:00; winter UTC+2, summer UTC+3
test.each([
  ['two days before, at the same hour', before('-P2D'), { due: '2026-11-27T17:00' }, '2026-11-25T15:00:00.000Z'],
  ['a week before a day without an hour, in the morning', before('-P1W'), { due: '2026-11-27' }, '2026-11-20T04:00:00.000Z'],
  ['at the deadline', before('PT0M'), { due: '2026-11-27T17:00' }, '2026-11-27T15:00:00.000Z'],
  ['a day before, over the change to winter time, at the same wall-clock hour', before('-P1D'), { due: '2026-10-25T17:00' }, '2026-10-24T14:00:00.000Z'],
  ['24 hours before, over the same change, exact: an hour later on the wall', before('-PT24H'), { due: '2026-10-25T17:00' }, '2026-10-24T15:00:00.000Z'],
  ['a day before, where that hour does not exist: it moves forward', before('-P1D'), { due: '2026-03-30T03:30' }, '2026-03-29T01:30:00.000Z'],
  ['a day and two hours before: the day first, then the hours', before('-P1DT2H'), { due: '2026-10-26T03:30' }, '2026-10-24T22:30:00.000Z'],
  ['after the start', before('P3D', 'start'), { start: '2026-11-24' }, '2026-11-27T04:00:00.000Z'],
  ['before the plan, whatever the deadline', before('-PT15M', 'plan'), { plan: '2026-11-25T09:00', due: '2026-12-24' }, '2026-11-25T06:45:00.000Z'],
  ['at a moment of its own', { kind: 'absolute', at: '2026-07-01T08:00' } as const, { due: '2026-12-24' }, '2026-07-01T05:00:00.000Z'],
  ['with no date to hang on, none', before('-P2D'), { plan: '2026-11-27' }, null],
])('%s', (_name, trigger, dates, moment) => expect(alarmMoment(trigger, { ...NONE, ...dates }, HOUSE)).toBe(moment));

test('days keep the hour on the wall, in every week of the year', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 365 }), fc.integer({ min: 4, max: 23 }), fc.integer({ min: 1, max: 60 }), (day, hour, days) => {
      const due = Temporal.PlainDateTime.from('2026-01-01').add({ days: day }).with({ hour });
      const moment = alarmMoment(before(`-P${days}D`), { ...NONE, due: due.toString({ smallestUnit: 'minute' }) }, HOUSE)!;
      const wall = Temporal.Instant.from(moment).toZonedDateTimeISO(HOUSE.zone).toPlainDateTime();
      expect(wall.equals(due.subtract({ days }))).toBe(true);
    }),
  );
});

test.each(['-P2D', 'P1W', '-PT15M', '-P1DT2H', 'PT0M'])('%s is a duration', (offset) => expect(z.safeParse(Trigger, before(offset)).success).toBe(true));
test.each(['P', '-PT', 'P1Y', 'P1M', '2 days', 'P1D2H', 'PT1S', 'P1W2D'])('%s is none here', (offset) =>
  expect(z.safeParse(Trigger, before(offset)).success).toBe(false),
);
