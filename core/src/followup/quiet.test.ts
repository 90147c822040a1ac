import fc from 'fast-check';
import { epochOf, instantOf, wallClockOf, weekdayOf } from '../time/clock.ts';
import { afterQuiet, NEVER_QUIET, type Quiet } from './quiet.ts';

const ZONE = 'Europe/Helsinki';
const NIGHT = { from: '21:00', to: '07:00' };

test.each([
  // Helsinki is two hours ahead of UTC in winter
  ['in the day', '2026-11-24T10:00:00.000Z', {}, '2026-11-24T10:00:00.000Z'],
  ['in the evening', '2026-11-24T20:30:00.000Z', {}, '2026-11-25T05:00:00.000Z'],
  ['before dawn', '2026-11-25T02:00:00.000Z', {}, '2026-11-25T05:00:00.000Z'],
  ['at the very end of the night', '2026-11-25T05:00:00.000Z', {}, '2026-11-25T05:00:00.000Z'],
  ['on a day off, to the end of the night after it', '2026-11-24T10:00:00.000Z', { daysOff: [2] }, '2026-11-25T05:00:00.000Z'],
  ['on two days off in a row', '2026-11-24T10:00:00.000Z', { daysOff: [2, 3] }, '2026-11-26T05:00:00.000Z'],
  ['away', '2026-11-24T10:00:00.000Z', { away: [{ from: '2026-11-20', to: '2026-11-29' }] }, '2026-11-30T05:00:00.000Z'],
  ['away into a day off', '2026-11-24T10:00:00.000Z', { away: [{ from: '2026-11-24', to: '2026-11-24' }], daysOff: [3] }, '2026-11-26T05:00:00.000Z'],
  ['hours in the middle of the day', '2026-11-24T11:00:00.000Z', { hours: { from: '12:00', to: '14:30' } }, '2026-11-24T12:30:00.000Z'],
  ['no quiet at all', '2026-11-24T22:00:00.000Z', { hours: null }, '2026-11-24T22:00:00.000Z'],
  // on 28 March 2027 the clocks go from 03:00 to 04:00: half past three moves forward
  ['an end that does not exist', '2027-03-27T22:00:00.000Z', { hours: { from: '22:00', to: '03:30' } }, '2027-03-28T01:30:00.000Z'],
] as [string, string, Partial<Quiet>, string][])('%s', (_name, instant, quiet, expected) => {
  expect(afterQuiet(instant, { ...NEVER_QUIET, hours: NIGHT, ...quiet }, ZONE)).toBe(expected);
});

test('quiet that never ends lets nothing through', () => {
  expect(afterQuiet('2026-11-24T10:00:00.000Z', { ...NEVER_QUIET, daysOff: [1, 2, 3, 4, 5, 6, 7] }, ZONE)).toBeNull();
});

const times = fc
  .integer({ min: 0, max: 95 })
  .map((quarter) => `${String(Math.floor(quarter / 4)).padStart(2, '0')}:${String((quarter % 4) * 15).padStart(2, '0')}`);
const quiets: fc.Arbitrary<Quiet> = fc.record({
  hours: fc.option(fc.record({ from: times, to: times })),
  daysOff: fc.uniqueArray(fc.integer({ min: 1, max: 7 }), { maxLength: 3 }),
  away: fc.constantFrom([], [{ from: '2026-12-10', to: '2026-12-14' }]),
});
const instants = fc.integer({ min: 0, max: 200 * 24 * 60 }).map((minutes) => instantOf(epochOf('2026-11-01T00:00:00.000Z') + minutes * 60_000));

test('never into quiet, never back in time, and later moments stay later', () => {
  fc.assert(
    fc.property(quiets, instants, instants, (quiet, a, b) => {
      const [first, second] = [afterQuiet(a, quiet, ZONE)!, afterQuiet(b, quiet, ZONE)!];
      expect(first >= a).toBe(true);
      expect(afterQuiet(first, quiet, ZONE)).toBe(first);
      if (a <= b) expect(first <= second).toBe(true);
      const [date, time] = wallClockOf(first, ZONE).split('T') as [string, string];
      expect(quiet.daysOff).not.toContain(weekdayOf(date));
      expect(quiet.away.some(({ from, to }) => from <= date && date <= to)).toBe(false);
      if (quiet.hours && quiet.hours.from < quiet.hours.to) expect(time >= quiet.hours.from && time < quiet.hours.to).toBe(false);
      if (quiet.hours && quiet.hours.from > quiet.hours.to) expect(time >= quiet.hours.from || time < quiet.hours.to).toBe(false);
    }),
    { numRuns: 300 },
  );
});
