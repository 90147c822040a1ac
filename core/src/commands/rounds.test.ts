import { candidatesOf } from '../planning/fits-now.ts';
import { errandsOf, nextStop } from '../places/errands.ts';
import { isDone } from '../followup/standing.ts';
import { World } from '../testing/world.ts';

/** Petri's errands at two places on the map, and one that is known by its name alone. */
function village() {
  const w = new World();
  for (const name of ['Petri', 'Tapio']) w.join(name);
  for (const [name, position] of [
    ['Shop', { lat: 62.31, lon: 27.14 }],
    ['Dairy', { lat: 62.35, lon: 27.14 }],
    ['Kitchen', null],
  ] as const)
    w.must('Aino', 'place.make', { name, position });
  const place = (name: string) => w.rows.all('place').find((one) => one.name === name)!.id;
  const list = w.list('Petri', 'Errands', [['Tapio', 'check']]);
  const item = (title: string, at: string, more = {}) => w.item('Petri', title, { list, place: place(at), ...more });
  const items = {
    milk: item('Milk', 'Shop', { due: '2026-11-24T15:00', persons: [w.person('Petri')] }),
    salt: item('Salt', 'Shop', { due: '2026-11-24T14:30' }),
    butter: item('Butter', 'Dairy', { due: '2026-11-25T08:00' }),
    pots: item('Pots', 'Kitchen'),
  };
  const stops = [
    { place: place('Shop'), items: [items.milk, items.salt] },
    { place: place('Dairy'), items: [items.butter] },
  ];
  const start = () => {
    w.must('Petri', 'round.start', { date: '2026-11-24', means: 'car', startId: null, endId: null, stops });
    return w.rows.all('errandRound').find(({ endedAt }) => endedAt === null)!;
  };
  return { w, place, items, stops, start };
}

test('stops are the places on the map where something is open; the first of the day’s hours counts', () => {
  const { w, place, items } = village();
  const house = w.rows.find('house', w.houseId) as never;
  const candidates = candidatesOf({ personId: w.person('Petri'), now: w.now, house }, w.rows, () => true);
  const errands = errandsOf(candidates, w.rows.all('place'), '2026-11-24');
  expect(errands.map((one) => [one.place.id, one.items.length, one.due])).toEqual([
    [place('Shop'), 2, 14 * 60 + 30],
    [place('Dairy'), 1, null],
  ]);
  expect(errands.flatMap((one) => one.items).some(({ id }) => id === items.pots)).toBe(false);
});

test('checked off, it moves on; gone on from, a stop is left with what is open', () => {
  const { w, place, items, start } = village();
  const round = start();
  const isOpen = (id: string) => !isDone(w.row(id), w.rows.by('part', 'itemId', id));
  const next = () => nextStop(w.rows.find('errandRound', round.id) as typeof round, isOpen)?.place ?? null;
  w.must('Petri', 'part.checkOff', { item: items.milk, person: w.person('Petri') });
  expect(next()).toBe(place('Shop'));
  w.must('Petri', 'round.change', { round: round.id, passed: [place('Shop')] });
  expect(next()).toBe(place('Dairy'));
  w.must('Petri', 'part.checkOff', { item: items.butter, person: null });
  expect(next()).toBeNull();
  expect(isOpen(items.salt)).toBe(true);
});

test('handed over, what is one’s own is passed on, what was nobody’s is handed over, what is done stays; told as one', () => {
  const { w, items, start } = village();
  const round = start();
  w.must('Petri', 'part.checkOff', { item: items.butter, person: null });
  w.must('Petri', 'round.handOver', { round: round.id, person: w.person('Tapio'), message: 'The van is free' });
  expect([w.part(items.milk, 'Petri').standing, w.part(items.milk, 'Tapio').standing]).toEqual(['delegated', 'needs-action']);
  expect(w.part(items.salt, 'Tapio').giverId).toBe(w.person('Petri'));
  expect(w.parts(items.butter).some(({ personId }) => personId === w.person('Tapio'))).toBe(false);
  expect(w.told('Tapio')).toEqual(['round']);
  expect((w.rows.find('errandRound', round.id) as typeof round).personId).toBe(w.person('Tapio'));
  expect(w.refused('Petri', 'round.handOver', { round: round.id, person: w.person('Tapio') })).toMatchObject({ code: 'already-has-it' });
});

test('one is on one round at a time; undone, it has not been begun', () => {
  const { w, stops, start } = village();
  const first = start();
  const { id } = w.must('Petri', 'round.start', { date: '2026-11-24', means: 'walk', startId: null, endId: null, stops: stops.slice(1) });
  expect((w.rows.find('errandRound', first.id) as typeof first).endedAt).not.toBeNull();
  w.must('Petri', 'undo', { command: id });
  expect(
    w.rows
      .all('errandRound')
      .filter(({ endedAt }) => endedAt === null)
      .map((round) => round.id),
  ).toEqual([first.id]);
});
