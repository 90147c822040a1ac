import fc from 'fast-check';
import { World } from '../testing/world.ts';
import { latenessOf } from './lateness.ts';

/** Parts of Leila's, each with a deadline, done so many days after it (null: still open). */
function house(days: readonly (number | null)[]) {
  const w = new World();
  w.join('Leila');
  const start = Date.parse('2026-11-02T10:00:00.000Z');
  days.forEach((after, nth) => {
    w.now = new Date(start).toISOString();
    const due = new Date(start + (2 + nth) * 86_400_000).toISOString().slice(0, 10);
    const item = w.item('Aino', `Thing ${nth}`, { due, persons: [w.person('Leila')] });
    if (after === null) return;
    w.now = `${new Date(Date.parse(due) + after * 86_400_000).toISOString().slice(0, 10)}T15:00:00.000Z`;
    w.must('Leila', 'part.checkOff', { item, person: w.person('Leila') });
  });
  return latenessOf(w.person('Leila'), w.rows, '2027-03-01T10:00:00.000Z', 'Europe/Helsinki');
}

test('late on 3 of the last 8: (1 + 3) / (4 + 8), now and then', () => {
  expect(house([0, 1, -1, 2, 0, 0, 5, 0])).toEqual({ late: 3, of: 8, likelihood: 4 / 12, words: 'now-and-then' });
});
test('what is open past its deadline is late', () => expect(house([0, 0, 0, 0, null])).toMatchObject({ late: 1, of: 5, words: 'now-and-then' }));
test('with fewer than five nothing is said', () => expect(house([3, 3, 3, 3])).toBeNull());
test('of more than twenty the last twenty count', () => {
  expect(house([...Array.from({ length: 10 }, () => 4), ...Array.from({ length: 20 }, () => 0)])).toMatchObject({ late: 0, of: 20, words: 'seldom' });
});
test('never certain, and the more often late the likelier', () => {
  fc.assert(
    fc.property(fc.array(fc.boolean(), { minLength: 5, maxLength: 20 }), (late) => {
      const found = house(late.map((one) => (one ? 2 : 0)))!;
      expect(found.likelihood).toBeGreaterThan(0);
      expect(found.likelihood).toBeLessThan(1);
      const flipped = house([...late.slice(0, -1).map((one) => (one ? 2 : 0)), 2])!;
      expect(flipped.likelihood).toBeGreaterThanOrEqual(found.likelihood);
    }),
    { numRuns: 15 },
  );
});
