import { WEEKDAYS } from '../model/weekday.ts';
import fc from 'fast-check';
import { type Frequency } from './rrule.ts';

/** Rules of every frequency, for properties: those left out are the other engine's known faults, which the worked examples cover. */

const several = (arb: fc.Arbitrary<number>): fc.Arbitrary<string> =>
  fc.uniqueArray(arb, { minLength: 1, maxLength: 3 }).map((found) => found.sort((a, b) => a - b).join(','));
const within = (max: number) => fc.oneof(fc.integer({ min: 1, max }), fc.integer({ min: -max, max: -1 }));
const weekdays = fc.uniqueArray(fc.constantFrom(...WEEKDAYS), { minLength: 1, maxLength: 3 }).map((found) => found.join(','));
const nthWeekdays = (nths: number[]) =>
  fc
    .uniqueArray(fc.tuple(fc.constantFrom(...nths), fc.constantFrom(...WEEKDAYS)), { minLength: 1, maxLength: 2 })
    .map((f) => f.map(([n, d]) => `${n}${d}`).join(','));

type By = Record<string, string | null>;
const maybe = (arb: fc.Arbitrary<string>, every = 3) => fc.option(arb, { freq: every, nil: null }).map((value) => value);
const some = (arb: fc.Arbitrary<string>) => fc.oneof({ weight: 3, arbitrary: fc.constant(null) }, { weight: 1, arbitrary: arb });

const byOf = (freq: string): fc.Arbitrary<By> => {
  const clock = { BYHOUR: some(several(fc.integer({ min: 0, max: 23 }))), BYMINUTE: some(several(fc.integer({ min: 0, max: 59 }))) };
  const month = some(several(fc.integer({ min: 1, max: 12 })));
  if (freq === 'WEEKLY') return fc.record({ BYMONTH: month, BYDAY: maybe(weekdays), ...clock });
  if (freq === 'DAILY' || freq === 'HOURLY' || freq === 'MINUTELY')
    return fc.record({ BYMONTH: month, BYMONTHDAY: some(several(within(31))), BYDAY: some(weekdays), ...clock });
  if (freq === 'MONTHLY')
    return fc.oneof(
      fc.record({ BYMONTH: month, BYDAY: nthWeekdays([1, 2, 4, -1, -2]), ...clock }),
      fc.record({ BYMONTH: month, BYMONTHDAY: maybe(several(within(31))), BYDAY: some(weekdays), ...clock }),
    );
  return fc.oneof(
    fc.record({ BYMONTH: month, BYMONTHDAY: maybe(several(within(31))), BYDAY: some(weekdays), ...clock }),
    fc.record({ BYWEEKNO: several(within(53)), BYDAY: some(weekdays), ...clock }),
    fc.record({ BYYEARDAY: several(within(366)), ...clock }),
    fc.record({ BYDAY: nthWeekdays([1, 20, 51, -1]), ...clock }),
  );
};

export const rulesOf = (...frequencies: Frequency[]): fc.Arbitrary<string> =>
  fc.constantFrom(...frequencies).chain((freq) =>
    fc
      .record({
        interval: fc.integer({ min: 1, max: 5 }),
        by: byOf(freq),
        wkst: some(fc.constantFrom(...WEEKDAYS)),
        setPos: fc.constantFrom(null, null, '1', '-1', '2'),
      })
      .map(({ interval, by, wkst, setPos }) => {
        const parts = Object.entries(by).flatMap(([name, value]) => (value === null ? [] : [`${name}=${value}`]));
        const ends = [...(setPos !== null && parts.length > 0 ? [`BYSETPOS=${setPos}`] : []), ...(wkst === null ? [] : [`WKST=${wkst}`])];
        return [`FREQ=${freq}`, `INTERVAL=${interval}`, ...parts, ...ends].join(';');
      }),
  );
