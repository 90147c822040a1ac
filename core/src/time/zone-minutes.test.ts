import fc from 'fast-check';
import { epochOf, instantAt, instantDue } from './clock.ts';
import { ZoneMinutes } from './zone-minutes.ts';

const two = (n: number) => String(n).padStart(2, '0');
const aMoment = fc
  .record({ day: fc.integer({ min: 0, max: 4000 }), hour: fc.option(fc.integer({ min: 0, max: 23 })), minute: fc.integer({ min: 0, max: 59 }) })
  .map(({ day, hour, minute }) => {
    const date = new Date(Date.UTC(2024, 0, 1 + day)).toISOString().slice(0, 10);
    return hour === null ? date : `${date}T${two(hour)}:${two(minute)}`;
  });

test.each(['Europe/Helsinki', 'America/St_Johns', 'Australia/Lord_Howe', 'UTC'])('is what the calendar says, in %s', (zone) => {
  const fast = new ZoneMinutes(zone);
  fc.assert(
    fc.property(aMoment, (moment) => {
      expect(fast.at(moment)).toBe(epochOf(instantAt(moment, zone)) / 60_000);
      expect(fast.deadline(moment)).toBe(epochOf(instantDue(moment, zone)) / 60_000);
    }),
    { numRuns: 300 },
  );
});

test('on the day the clocks go forward, a time that does not exist moves on, and the day has 23 hours', () => {
  const fast = new ZoneMinutes('Europe/Helsinki');
  expect(fast.at('2027-03-28T03:30')).toBe(fast.at('2027-03-28T04:30'));
  expect(fast.deadline('2027-03-28') - fast.at('2027-03-28')).toBe(23 * 60);
});
