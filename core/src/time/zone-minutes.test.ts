import fc from 'fast-check';
import { Temporal } from 'temporal-polyfill';
import { ZoneMinutes } from './zone-minutes.ts';

const two = (n: number) => String(n).padStart(2, '0');
const aMoment = fc
  .record({ day: fc.integer({ min: 0, max: 4000 }), hour: fc.option(fc.integer({ min: 0, max: 23 })), minute: fc.integer({ min: 0, max: 59 }) })
  .map(({ day, hour, minute }) => {
    const date = new Date(Date.UTC(2024, 0, 1 + day)).toISOString().slice(0, 10);
    return hour === null ? date : `${date}T${two(hour)}:${two(minute)}`;
  });

/** What the calendar itself says. */
const minuteAt = (moment: string, zone: string): number =>
  Temporal.PlainDateTime.from(moment).toZonedDateTime(zone, { disambiguation: 'compatible' }).epochMilliseconds / 60_000;
const nextDay = (date: string): string => Temporal.PlainDate.from(date).add({ days: 1 }).toString();
const ZONES = ['Europe/Helsinki', 'America/St_Johns', 'Australia/Lord_Howe', 'Pacific/Kiritimati', 'America/Havana', 'UTC'];

test.each(ZONES)('is what the calendar says, in %s', (zone) => {
  const fast = new ZoneMinutes(zone);
  fc.assert(
    fc.property(aMoment, (moment) => {
      expect(fast.at(moment)).toBe(minuteAt(moment, zone));
      expect(fast.deadline(moment)).toBe(moment.length > 10 ? minuteAt(moment, zone) : minuteAt(nextDay(moment), zone));
    }),
    { numRuns: 300 },
  );
});

test.each(ZONES)('a minute has the wall-clock moment the calendar says, in %s', (zone) => {
  const fast = new ZoneMinutes(zone);
  const minute = fc.integer({ min: Date.UTC(2024, 0, 1) / 60_000, max: Date.UTC(2030, 0, 1) / 60_000 });
  // also around every change of the clocks of two years
  const changes = [2026, 2027].flatMap((year) => [2, 3, 9, 10].map((month) => Date.UTC(year, month, 1) / 60_000));
  const nearChange = fc.tuple(fc.constantFrom(...changes), fc.integer({ min: 0, max: 31 * 1440 })).map(([from, more]) => from + more);
  fc.assert(
    fc.property(fc.oneof(minute, nearChange), (at) => {
      const zoned = Temporal.Instant.fromEpochMilliseconds(at * 60_000).toZonedDateTimeISO(zone);
      expect(fast.wall(at)).toBe(zoned.toPlainDateTime().toString({ smallestUnit: 'minute' }));
      expect(fast.date(at)).toBe(zoned.toPlainDate().toString());
    }),
    { numRuns: 500 },
  );
});

test.each(ZONES)('a minute of the wall is moved forward where the calendar moves it, also when asked again, in %s', (zone) => {
  const fast = new ZoneMinutes(zone);
  const changes = [2026, 2027].flatMap((year) => [2, 3, 9, 10].map((month) => Date.UTC(year, month, 1) / 60_000));
  const onWall = fc.tuple(fc.constantFrom(...changes), fc.integer({ min: 0, max: 31 * 24 })).map(([from, hours]) => from + hours * 60 + 30);
  fc.assert(
    fc.property(onWall, (minute) => {
      const moment = new Date(minute * 60_000).toISOString().slice(0, 16);
      const moved = Temporal.PlainDateTime.from(moment).toZonedDateTime(zone, { disambiguation: 'compatible' }).toPlainDateTime();
      const expected = Date.parse(`${moved.toString({ smallestUnit: 'minute' })}Z`) / 60_000;
      expect([fast.existing(minute), fast.existing(minute)]).toEqual([expected, expected]);
    }),
    { numRuns: 500 },
  );
});

test('on the day the clocks go forward, a time that does not exist moves on, and the day has 23 hours', () => {
  const fast = new ZoneMinutes('Europe/Helsinki');
  expect(fast.at('2027-03-28T03:30')).toBe(fast.at('2027-03-28T04:30'));
  expect(fast.deadline('2027-03-28') - fast.at('2027-03-28')).toBe(23 * 60);
});

test('a time the clocks pass over is the one it moves forward to; every other stands as it is', () => {
  const helsinki = new ZoneMinutes('Europe/Helsinki');
  expect(helsinki.real('2027-03-28T03:30')).toBe('2027-03-28T04:30');
  const exists = ['2027-03-28T02:59', '2027-03-28T04:00', '2027-03-28', '2027-10-31T03:30', '2027-06-01T03:30'];
  expect(exists.map((moment) => helsinki.real(moment))).toEqual(exists);
});
