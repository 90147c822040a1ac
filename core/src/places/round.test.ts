import * as fc from 'fast-check';
import { bestRound, stopMinutes, travelMinutes, walkRound, type Errand, type Stop } from './round.ts';

const QUAY = { lat: 61.5, lon: 23.7 };
const at = (hours: number, minutes = 0): number => hours * 60 + minutes;
const stop = (id: string, lat: number, more: Partial<Stop> = {}): Stop => ({ id, lat, lon: 23.7, items: 1, open: null, due: null, ...more });
const errand = (stops: Stop[], more: Partial<Errand> = {}): Errand => ({ start: QUAY, startAt: at(13), end: QUAY, means: 'car', stops, ...more });

test('a worked example: by bike along a meridian, a hundredth of a degree each', () => {
  // 1,111.95 m × 1.3 ÷ 14 km/h = 6.195 min
  expect(travelMinutes(QUAY, { lat: 61.51, lon: 23.7 }, 'bike')).toBeCloseTo(6.195, 3);
  expect(stopMinutes({ items: 4 })).toBe(11);
  const round = bestRound(errand([stop('far', 61.52), stop('near', 61.51)], { means: 'bike', end: null }));
  expect(round.legs.map(({ stopId }) => stopId)).toEqual(['near', 'far']);
  expect(round.endsAt).toBeCloseTo(at(13) + 2 * 6.195 + 10, 2);
});

test('what closes first comes first, though it is farther; what opens later is waited for', () => {
  const stops = [
    stop('near', 61.52),
    stop('dairy', 61.6, { open: [{ from: at(9), to: at(13, 30) }] }),
    stop('late', 61.55, { open: [{ from: at(14), to: at(16) }] }),
  ];
  const round = bestRound(errand(stops));
  expect(round.legs[0]!.stopId).toBe('dairy');
  const late = round.legs.find(({ stopId }) => stopId === 'late')!;
  expect([late.begins, late.leaves]).toEqual([at(14), at(14, 5)]);
  expect(round.left).toEqual([]);
});

test('a midday break: before it if all can be done, else after it', () => {
  const bank = stop('bank', 61.5, {
    items: 6,
    open: [
      { from: at(9), to: at(13, 10) },
      { from: at(14), to: at(17) },
    ],
  });
  expect(bestRound(errand([bank])).legs[0]!.begins).toBe(at(14));
  expect(bestRound(errand([{ ...bank, items: 3 }])).legs[0]!.begins).toBe(at(13));
});

test('what can’t be made is said with its reason, and the others are made', () => {
  const stops = [
    stop('shut', 61.51, { open: [{ from: at(8), to: at(12) }] }),
    stop('far', 62.5, { due: at(13, 30) }),
    stop('one', 61.6, { due: at(13, 28) }),
    stop('other', 61.4, { due: at(13, 28) }),
    stop('shop', 61.51),
  ];
  const round = bestRound(errand(stops));
  expect(round.left.map(({ stopId, why }) => `${stopId} ${why}`)).toEqual(['shut closed', 'far too-far', expect.stringMatching(/^(one|other) not-together$/)]);
  expect(round.legs).toHaveLength(2);
});

const hours = fc.option(
  fc.tuple(fc.integer({ min: 480, max: 900 }), fc.integer({ min: 20, max: 400 })).map(([from, long]) => [{ from, to: from + long }]),
  { freq: 2 },
);
const anyStop = fc.record({
  lat: fc.double({ min: 61.3, max: 61.7, noNaN: true }),
  lon: fc.double({ min: 23.4, max: 24, noNaN: true }),
  items: fc.integer({ min: 1, max: 6 }),
  open: hours,
  due: fc.option(fc.integer({ min: 800, max: 1100 }), { freq: 3 }),
});
const anyErrand = (min: number, max: number) =>
  fc
    .record({ stops: fc.array(anyStop, { minLength: min, maxLength: max }), back: fc.boolean(), means: fc.constantFrom('bike' as const, 'car' as const) })
    .map(({ stops, back, means }) =>
      errand(
        stops.map((one, nth) => ({ ...one, id: `s${nth}` })),
        { end: back ? QUAY : null, means },
      ),
    );

/** Every order of every choice of stops: the most, then the earliest end. */
function bruteForce(one: Errand): { many: number; endsAt: number } {
  let best = { many: 0, endsAt: Number.POSITIVE_INFINITY };
  const goOn = (order: Stop[]) => {
    const round = walkRound(one, order);
    if (!round) return;
    if (order.length > best.many || (order.length === best.many && round.endsAt < best.endsAt)) best = { many: order.length, endsAt: round.endsAt };
    for (const next of one.stops) if (!order.includes(next)) goOn([...order, next]);
  };
  goOn([]);
  return best;
}

test('against every possible order, up to six stops', () => {
  fc.assert(
    fc.property(anyErrand(1, 6), (one) => {
      const round = bestRound(one);
      const best = bruteForce(one);
      expect(round.legs).toHaveLength(best.many);
      expect(round.endsAt).toBeCloseTo(best.many === 0 ? walkRound(one, [])!.endsAt : best.endsAt, 6);
    }),
    { numRuns: 60 },
  );
});

test('eight stops with hours, every order of them', () => {
  const stops = Array.from({ length: 8 }, (_, nth) =>
    stop(`s${nth}`, 61.4 + ((nth * 37) % 20) / 100, { lon: 23.5 + ((nth * 53) % 30) / 100, due: nth === 3 ? at(14) : null }),
  );
  const one = errand(stops);
  expect(bestRound(one).endsAt).toBeCloseTo(bruteForce(one).endsAt, 6);
});

test('more than twelve: every leg keeps the hours, every stop is made or has its reason, and it is no worse than as they were given', () => {
  fc.assert(
    fc.property(anyErrand(13, 16), (one) => {
      const round = bestRound(one);
      expect(round.exact).toBe(false);
      expect(new Set([...round.legs.map(({ stopId }) => stopId), ...round.left.map(({ stopId }) => stopId)]).size).toBe(one.stops.length);
      const order = round.legs.map(({ stopId }) => one.stops.find(({ id }) => id === stopId)!);
      expect(walkRound(one, order)!.endsAt).toBeCloseTo(round.endsAt, 6);
      const given = walkRound(one, one.stops);
      if (given) expect(round.endsAt).toBeLessThanOrEqual(given.endsAt + 1e-6);
    }),
    { numRuns: 20 },
  );
});
