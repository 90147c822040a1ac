import * as fc from 'fast-check';
import type { Coordinates } from '../model/place.ts';
import { distance, EARTH_RADIUS, positionFault } from './distance.ts';

const DEGREE = (EARTH_RADIUS * Math.PI) / 180;

test.each<[string, Coordinates, Coordinates, number]>([
  ['a degree along a meridian', { lat: 60, lon: 24 }, { lat: 61, lon: 24 }, DEGREE],
  ['a degree along the equator', { lat: 0, lon: 10 }, { lat: 0, lon: 11 }, DEGREE],
  ['a quarter of the way round', { lat: 0, lon: 0 }, { lat: 90, lon: 77 }, 90 * DEGREE],
  ['over the line of the date', { lat: 0, lon: 179.5 }, { lat: 0, lon: -179.5 }, DEGREE],
  ['to the other side', { lat: 12, lon: 30 }, { lat: -12, lon: -150 }, 180 * DEGREE],
  // from one over the pole to the other: 30 degrees each way
  ['over the pole', { lat: 60, lon: 0 }, { lat: 60, lon: 180 }, 60 * DEGREE],
])('%s', (_, one, other, metres) => {
  expect(distance(one, other)).toBeCloseTo(metres, 3);
});

const position = fc.record({ lat: fc.double({ min: -89, max: 89, noNaN: true }), lon: fc.double({ min: -180, max: 180, noNaN: true }) });

test('the same from either side, nothing from itself, and no way round is shorter', () => {
  fc.assert(
    fc.property(position, position, position, (a, b, c) => {
      expect(distance(a, b)).toBeCloseTo(distance(b, a), 6);
      expect(distance(a, a)).toBe(0);
      expect(distance(a, c)).toBeLessThanOrEqual(distance(a, b) + distance(b, c) + 1e-3);
    }),
  );
});

test('nearly on the other side, no way round is shorter by a hair', () => {
  const [a, b, c]: Coordinates[] = [
    { lat: 30, lon: 0 },
    { lat: -30, lon: 179.9999999 },
    { lat: -30.0000001, lon: -179.9999999 },
  ];
  // within a tenth of a millimetre; by haversines they are off by centimetres
  expect(distance(a!, b!)).toBeLessThanOrEqual(distance(a!, c!) + distance(c!, b!) + 1e-4);
  expect(Math.PI * EARTH_RADIUS - distance(a!, b!)).toBeCloseTo((DEGREE * 1e-7 * Math.sqrt(3)) / 2, 4);
});

test('a few metres are told apart', () => {
  // 0.00001 degrees of latitude
  expect(distance({ lat: 61.5, lon: 23.7 }, { lat: 61.50001, lon: 23.7 })).toBeCloseTo(DEGREE / 100_000, 4);
});

test.each<[Coordinates, ReturnType<typeof positionFault>]>([
  [{ lat: 61.5, lon: 23.7 }, null],
  [{ lat: 123.7, lon: 61.5 }, 'swapped'],
  [{ lat: 95, lon: 200 }, 'out-of-range'],
  [{ lat: Number.NaN, lon: 3 }, 'not-a-number'],
])('%p: %s', (given, fault) => {
  expect(positionFault(given)).toBe(fault);
});
