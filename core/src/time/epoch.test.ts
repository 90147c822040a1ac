import fc from 'fast-check';
import { Temporal } from 'temporal-polyfill';
import { civilFromDays, daysFromCivil, epochOf, instantOf } from './epoch.ts';

const ms = fc.integer({ min: Date.UTC(1900, 0, 1), max: Date.UTC(2200, 0, 1) });

test('instants are what the calendar says, both ways', () => {
  fc.assert(
    fc.property(ms, (epoch) => {
      const instant = Temporal.Instant.fromEpochMilliseconds(epoch).toString({ fractionalSecondDigits: 3 });
      expect(instantOf(epoch)).toBe(instant);
      expect(epochOf(instant)).toBe(epoch);
    }),
    { numRuns: 2000 },
  );
});

test('every day of eight centuries has its number, over every leap day', () => {
  for (let days = daysFromCivil(1800, 1, 1); days < daysFromCivil(2600, 1, 1); days++) {
    const date = civilFromDays(days);
    const [year, month, day] = date.split('-').map(Number) as [number, number, number];
    if (daysFromCivil(year, month, day) !== days) throw new Error(date);
  }
  expect([civilFromDays(0), civilFromDays(-1), civilFromDays(19_782)]).toEqual(['1970-01-01', '1969-12-31', '2024-02-29']);
});

test('an instant of another shape is read all the same', () => {
  expect(epochOf('2026-11-24T10:42:00Z')).toBe(Date.UTC(2026, 10, 24, 10, 42));
  expect(epochOf('2026-11-24T12:42:00+02:00')).toBe(Date.UTC(2026, 10, 24, 10, 42));
  expect(() => epochOf('yesterday')).toThrow();
});
