import { MemoryRows } from '../reader/memory.ts';
import { LivedIn } from '../testing/lived-in.ts';
import { addDays } from '../time/clock.ts';
import { agendaOf, placeFor } from './agenda.ts';
import { itemsInPlay, openItems } from './in-play.ts';
import { Today } from './whereabouts.ts';

/** Eight years of a house, of which little is open. */
const house = new LivedIn({ name: 'in play', done: 300, open: 40, years: 8, chores: 10 });
const rows = MemoryRows.from('all', house.rows());
/** Days on which something was done, in all seasons, and some others, also about midnight. */
const DAYS = [
  ...rows.all('part').flatMap(({ completedAt }, nth) => (completedAt !== null && nth % 50 === 0 ? [completedAt] : [])),
  '2026-11-24T12:00:00.000Z',
  '2026-11-23T22:30:00.000Z',
  '2022-03-27T01:30:00.000Z',
];

test('a day found by what is in play is the day found by walking over everything', () => {
  const view = { house: rows.all('house')[0]! };
  let done = 0;
  for (const now of DAYS)
    for (const { id: personId } of rows.all('person')) {
      const today = new Today({ ...view, now, personId });
      const walked = rows
        .all('item')
        .filter(({ removedAt }) => removedAt === null)
        .flatMap((item) => placeFor(item, rows.by('part', 'itemId', item.id), today, rows) ?? []);
      const found = agendaOf({ ...view, now, personId }, rows);
      expect(found.map(({ item, where }) => `${item.id} ${where}`).sort()).toEqual(walked.map(({ item, where }) => `${item.id} ${where}`).sort());
      done += found.filter(({ where }) => where === 'done').length;
    }
  expect(done).toBeGreaterThan(0);
});

test('what was done years ago is not looked at', () => {
  const open = openItems(rows);
  expect(open.length).toBeLessThan(80);
  expect(itemsInPlay('2026-11-24', rows).length).toBeLessThan(open.length + 30);
  expect(rows.all('item').length).toBeGreaterThan(500);
  const old = rows.all('part').find(({ completedAt }) => completedAt !== null && completedAt < '2020')!;
  expect(itemsInPlay(addDays(old.completedAt!.slice(0, 10), 1), rows).map(({ id }) => id)).toContain(old.itemId);
});
