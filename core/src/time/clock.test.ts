import fc from 'fast-check';
import { Temporal } from 'temporal-polyfill';
import { addDays, calendarDateOf, daysBetween, epochOf, instantAt, instantDue, instantOf, isMoment, isZone, wallClockOf, weekdayOf } from './clock.ts';

const HELSINKI = 'Europe/Helsinki';

// Helsinki: 29 March 2026 03:00 → 04:00, 25 October 2026 04:00 → 03:00
test.each([
  ['an ordinary time, in winter', '2026-11-27T17:00', '2026-11-27T15:00:00.000Z'],
  ['an ordinary time, in summer', '2026-07-01T17:00', '2026-07-01T14:00:00.000Z'],
  ['a date alone is the beginning of its day', '2026-11-27', '2026-11-26T22:00:00.000Z'],
  ['a time that does not exist moves forward', '2026-03-29T03:30', '2026-03-29T01:30:00.000Z'],
  ['of two the first is taken', '2026-10-25T03:30', '2026-10-25T00:30:00.000Z'],
])('%s', (_name, moment, instant) => expect(instantAt(moment, HELSINKI)).toBe(instant));

test('a deadline with an hour passes at that hour, without one when the next day begins', () => {
  expect(instantDue('2026-11-27T17:00', HELSINKI)).toBe('2026-11-27T15:00:00.000Z');
  expect(instantDue('2026-11-27', HELSINKI)).toBe('2026-11-27T22:00:00.000Z');
});

test('the calendar date is that of the zone', () => {
  expect(calendarDateOf('2026-11-26T22:30:00.000Z', HELSINKI)).toBe('2026-11-27');
  expect(calendarDateOf('2026-11-26T22:30:00.000Z', 'UTC')).toBe('2026-11-26');
  expect(wallClockOf('2026-11-26T22:30:00.000Z', HELSINKI)).toBe('2026-11-27T00:30');
});

test('days are calendar days, also over a change of the clocks', () => {
  expect(daysBetween('2026-10-24T23:00', '2026-10-26T01:00')).toBe(2);
  expect(daysBetween('2026-12-04', '2026-11-27')).toBe(-7);
  expect(weekdayOf('2026-11-27')).toBe(5);
});

test('what is not a date or a zone is known as such', () => {
  expect(['2026-02-28', '2024-02-29', '2026-02-31', '2026-02-29'].map(isMoment)).toEqual([true, true, false, false]);
  expect([HELSINKI, 'UTC', 'Europe/Nowhere', ''].map(isZone)).toEqual([true, true, false, false]);
});

test('instants keep their width, so that text order is time order', () => {
  const ms = fc.integer({ min: 0, max: 4_000_000_000_000 });
  fc.assert(
    fc.property(ms, ms, (a, b) => {
      expect(epochOf(instantOf(a))).toBe(a);
      expect(Math.sign(a - b)).toBe(instantOf(a) < instantOf(b) ? -1 : instantOf(a) > instantOf(b) ? 1 : 0);
    }),
  );
});

test('days are added, counted and named as the calendar does', () => {
  fc.assert(
    fc.property(fc.integer({ min: -60_000, max: 60_000 }), fc.integer({ min: -3000, max: 3000 }), (from, days) => {
      const date = Temporal.PlainDate.from('2026-11-24').add({ days: from });
      const then = date.add({ days });
      expect(addDays(date.toString(), days)).toBe(then.toString());
      expect(daysBetween(date.toString(), then.toString())).toBe(days);
      expect(weekdayOf(then.toString())).toBe(then.dayOfWeek);
    }),
  );
});

test('days added are days between', () => {
  fc.assert(fc.property(fc.integer({ min: -3000, max: 3000 }), (days) => expect(daysBetween('2026-11-24', addDays('2026-11-24', days))).toBe(days)));
});
