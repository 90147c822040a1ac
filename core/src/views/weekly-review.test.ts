import { World } from '../testing/world.ts';
import { lastTouched } from './last-touched.ts';
import { PILES, type Pile } from '../model/weekly-review.ts';
import { pilesOf } from './weekly-review.ts';

function house() {
  const w = new World();
  w.join('Leila', 'helper');
  const list = w.list('Aino', 'Rooms', [['Leila', 'check']]);
  return { w, list };
}
const titles = (w: World, pile: Pile, who = 'Aino'): string[] =>
  pilesOf({ personId: w.person(who), now: w.now, house: w.rows.all('house')[0]! }, w.rows)[pile].map(({ title }) => title).sort(); // prettier-ignore

test('each thing stands in the first pile that it meets, and in no other', () => {
  const { w, list } = house();
  w.now = '2026-11-24T08:00:00.000Z';
  w.item('Aino', 'Caught in passing');
  w.item('Aino', 'Mine and late', { list, due: '2026-11-20' });
  w.item('Aino', 'Hers and late', { list, due: '2026-11-20', persons: [w.person('Leila')] });
  const declined = w.item('Aino', 'She can’t', { list, due: '2026-11-20', persons: [w.person('Leila')] });
  w.must('Leila', 'part.decline', { item: declined, reason: 'Away' });
  const shelved = w.item('Aino', 'Some time', { list });
  w.must('Aino', 'part.shelve', { items: [shelved] });
  const waits = w.item('Aino', 'Needs the van', { list });
  w.must('Aino', 'wait.set', { item: waits, words: 'the van' });
  w.item('Aino', 'Planned', { list, due: '2026-12-20' });
  expect(titles(w, 'to-sort')).toEqual(['Caught in passing']);
  expect(titles(w, 'late')).toEqual(['Hers and late', 'Mine and late']);
  expect(titles(w, 'needs-you')).toEqual(['She can’t']);
  expect(titles(w, 'waits')).toEqual(['Needs the van']);
  expect(titles(w, 'shelf')).toEqual(['Some time']);
  expect(titles(w, 'untouched')).toEqual([]);
  const piles = pilesOf({ personId: w.person('Aino'), now: w.now, house: w.rows.all('house')[0]! }, w.rows);
  const all = PILES.flatMap((pile) => piles[pile].map(({ id }) => id));
  expect(new Set(all).size).toBe(all.length);
});

test('untouched: no day, and nobody has done anything with it for thirty days; the clock does not count', () => {
  const { w, list } = house();
  w.now = '2026-10-01T08:00:00.000Z';
  const [still, renamed, dated] = ['Still', 'Renamed', 'Dated'].map((title) =>
    w.item('Aino', title, { list, due: title === 'Dated' ? '2027-03-01' : undefined }),
  );
  w.now = '2026-11-10T08:00:00.000Z';
  w.must('Aino', 'item.change', { item: renamed!, title: 'Renamed since' });
  w.now = '2026-11-24T08:00:00.000Z';
  expect(titles(w, 'untouched')).toEqual(['Still']);
  expect(lastTouched(w.row(still!), w.rows)).toBe('2026-10-01T08:00:00.000Z');
  expect(lastTouched(w.row(renamed!), w.rows)).toBe('2026-11-10T08:00:00.000Z');
  // thirty days to the minute are not more than thirty
  w.now = '2026-10-31T08:00:00.000Z';
  expect(titles(w, 'untouched')).toEqual([]);
  w.now = '2026-10-31T08:00:01.000Z';
  expect(titles(w, 'untouched')).toContain('Still');
  void dated;
});
