import fc from 'fast-check';
import { shareOut, type Carrier, type Load } from './share-out.ts';

const carrier = (id: string, capacity: number, held = 0): Carrier => ({ id, capacity, held });
const load = (id: string, minutes: number, able: string[], turn: string | null = null): Load => ({ id, minutes, able, turn });

test('by capacity, what one holds already counted in', () => {
  const { given, after } = shareOut([carrier('Eetu', 100, 50), carrier('Oona', 200)], [load('a', 50, ['Eetu', 'Oona']), load('b', 50, ['Eetu', 'Oona'])]);
  expect([...given.values()]).toEqual(['Oona', 'Oona']);
  expect(after).toBe(0.5);
});

test('only to who may do it; what nobody here may do is left out', () => {
  const { given } = shareOut([carrier('Eetu', 60), carrier('Oona', 6000)], [load('a', 30, ['Eetu']), load('b', 30, ['Tapio'])]);
  expect([...given]).toEqual([['a', 'Eetu']]);
});

test('turns are kept where that costs little, and not where it costs much', () => {
  const people = [carrier('Eetu', 100), carrier('Oona', 100)];
  const both = ['Eetu', 'Oona'];
  expect(shareOut(people, [load('a', 50, both, 'Eetu'), load('b', 48, both, 'Oona')])).toMatchObject({ turnsKept: true, after: 0.5 });
  expect([...shareOut(people, [load('a', 50, both, 'Oona'), load('b', 48, both, 'Eetu')]).given.values()]).toEqual(['Oona', 'Eetu']);
  expect(shareOut(people, [load('a', 50, both, 'Eetu'), load('b', 48, both, 'Eetu')])).toMatchObject({ turnsKept: false, after: 0.5 });
});

/** The smallest largest load ÷ capacity of all ways there are. */
function optimum(carriers: readonly Carrier[], loads: readonly Load[], nth = 0, sums = carriers.map(({ held }) => held)): number {
  if (nth === loads.length) return Math.max(...sums.map((sum, at) => sum / carriers[at]!.capacity));
  const { minutes, able } = loads[nth]!;
  return Math.min(
    ...carriers.flatMap(({ id }, at) =>
      able.includes(id)
        ? [
            optimum(
              carriers,
              loads,
              nth + 1,
              sums.map((sum, one) => (one === at ? sum + minutes : sum)),
            ),
          ]
        : [],
    ),
  );
}

test('of few, the best there is; and always the same for the same seed', () => {
  const names = ['Eetu', 'Oona', 'Petri'];
  const carriers = fc.tuple(
    ...names.map((id) => fc.record({ id: fc.constant(id), capacity: fc.integer({ min: 30, max: 600 }), held: fc.integer({ min: 0, max: 120 }) })),
  );
  const loads = fc.array(fc.record({ minutes: fc.integer({ min: 5, max: 120 }), able: fc.subarray(names, { minLength: 1 }) }), { minLength: 1, maxLength: 7 });
  fc.assert(
    fc.property(carriers, loads, (people, drawn) => {
      const work = drawn.map(({ minutes, able }, nth) => load(String(nth), minutes, able));
      const found = shareOut(people, work);
      expect(found.after).toBeCloseTo(optimum(people, work), 9);
      expect([...shareOut(people, work).given]).toEqual([...found.given]);
      for (const { id, able } of work) expect(able).toContain(found.given.get(id));
    }),
    { numRuns: 40, seed: 7 },
  );
});
