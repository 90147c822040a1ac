import { World } from '../testing/world.ts';
import { followUpsOf } from './groups.ts';
import { EVERYTHING, narrowed, waitedDays, wasAskedToday } from './narrowing.ts';

const ZONE = 'Europe/Helsinki';

function house() {
  const w = new World();
  for (const name of ['Leila', 'Noor']) w.join(name);
  const boats = w.list('Aino', 'Boats');
  w.item('Aino', 'Candles', { list: boats, due: '2026-12-20', persons: [w.person('Leila')] });
  w.later(3 * 24 * 60);
  const towels = w.item('Aino', 'Towels', { due: '2026-12-01', persons: [w.person('Noor')] });
  w.item('Aino', 'Arrange the books', { persons: [w.person('Leila'), w.person('Noor')], policy: 'each' });
  const all = () => followUpsOf(w.person('Aino'), w.rows, w.now, ZONE);
  const titles = (how: object) => narrowed(all(), { ...EVERYTHING, ...how }).map(({ item }) => item.title);
  return { w, towels, all, titles };
}

test('narrowed by person and state, each by itself and together', () => {
  const { w, titles } = house();
  expect(titles({ personId: w.person('Leila') }).sort()).toEqual(['Arrange the books', 'Candles']);
  expect(titles({ group: 'late' })).toEqual([]);
  expect(titles({ group: 'in-hand', personId: w.person('Noor') }).sort()).toEqual(['Arrange the books', 'Towels']);
});

test('sorted by deadline, by title, by how long it has been out, by who was asked longest ago', () => {
  const { w, towels, titles } = house();
  expect(titles({ sort: 'due' })).toEqual(['Towels', 'Candles', 'Arrange the books']);
  expect(titles({ sort: 'title' })).toEqual(['Arrange the books', 'Candles', 'Towels']);
  expect(titles({ sort: 'waited' })[0]).toBe('Candles');
  w.must('Aino', 'part.nudge', { item: towels, persons: [w.person('Noor')] });
  expect(titles({ sort: 'asked' })[0]).toBe('Towels');
});

test('days waited are calendar days, and who was asked today is known', () => {
  const { w, towels, all } = house();
  const of = (title: string) => all().find(({ item }) => item.title === title)!;
  expect(waitedDays(of('Candles'), w.now, ZONE)).toBe(3);
  expect(wasAskedToday(of('Towels'), w.now, ZONE)).toBe(false);
  w.must('Aino', 'part.nudge', { item: towels, persons: [w.person('Noor')] });
  expect(wasAskedToday(of('Towels'), w.now, ZONE)).toBe(true);
  w.later(24 * 60);
  expect(wasAskedToday(of('Towels'), w.now, ZONE)).toBe(false);
});
