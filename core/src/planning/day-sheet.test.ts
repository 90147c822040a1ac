import { World } from '../testing/world.ts';
import { agendaOf } from './agenda.ts';
import { daySheet } from './day-sheet.ts';

const HOUSE = { zone: 'Europe/Helsinki', dayParts: { morning: '06:00', day: '10:00', evening: '17:00' } };

/** A Tuesday, noon in Helsinki. */
function house() {
  const w = new World();
  w.join('Petri', 'manager');
  w.join('Leila', 'helper');
  const list = w.list('Aino', 'Rooms', [['Leila', 'check']]);
  const sheet = () => daySheet(w.rows.all('person'), { now: w.now, house: HOUSE }, w.rows, w.rows.all('capacity'));
  const said = () =>
    sheet().map(({ person, cells, load, guesses, capacity }) => ({
      name: person.name,
      cells: Object.fromEntries(Object.entries(cells).flatMap(([part, entries]) => (entries.length ? [[part, entries.map(({ item }) => item.title)]] : []))),
      load,
      guesses,
      capacity,
    }));
  return { w, list, sheet, said };
}

test('each thing lies in the band of whoever has it, in the part of the day of its hour', () => {
  const { w, list, said } = house();
  w.item('Aino', 'Rooms 2 and 5', { list, due: '2026-11-24T09:30', effort: 80, persons: [w.person('Leila')] });
  w.item('Aino', 'Invoices', { list, due: '2026-11-24T16:00', effort: 150 });
  w.item('Aino', 'Fire plan', { list, due: '2026-11-24', effort: 15, persons: [w.person('Leila'), w.person('Petri')], policy: 'each' });
  w.item('Aino', 'In a week', { list, due: '2026-12-01', effort: 60 });
  // the rooms are late since half past nine: for now, at noon
  expect(said()).toEqual([
    { name: 'Aino', cells: { day: ['Invoices'] }, load: 150, guesses: 0, capacity: null },
    { name: 'Petri', cells: { any: ['Fire plan'] }, load: 15, guesses: 0, capacity: null },
    { name: 'Leila', cells: { morning: ['Rooms 2 and 5'], any: ['Fire plan'] }, load: 95, guesses: 0, capacity: null },
  ]);
});

test('what was done today stays, behind what is still to do, and still counts as load', () => {
  const { w, list, sheet, said } = house();
  const milk = w.item('Aino', 'Fetch the milk', { list, due: '2026-11-24', effort: 20 });
  w.item('Aino', 'Order fish', { list, due: '2026-11-24' });
  w.must('Aino', 'part.checkOff', { item: milk, person: null });
  expect(sheet()[0]!.cells.any.map(({ item, where }) => [item.title, where])).toEqual([
    ['Order fish', 'today'],
    ['Fetch the milk', 'done'],
  ]);
  // nobody said how long the fish takes: ten minutes
  expect(said()[0]).toMatchObject({ load: 30, guesses: 1 });
});

test('the capacity is that of the weekday', () => {
  const { w, said } = house();
  w.must('Aino', 'capacity.set', { person: w.person('Leila'), minutes: [0, 300, 240, 240, 240, 60, 0] });
  expect(said().find(({ name }) => name === 'Leila')!.capacity).toBe(300);
  w.now = '2026-11-24T22:00:00.000Z';
  expect(said().find(({ name }) => name === 'Leila')!.capacity).toBe(240);
});

test('the band of a person holds what their own day holds', () => {
  const { w, list, sheet } = house();
  w.item('Aino', 'Planned', { list, plan: '2026-11-24' });
  w.item('Aino', 'Late', { list, due: '2026-11-20' });
  const off = w.item('Aino', 'Taken off', { list, due: '2026-11-24' });
  w.must('Aino', 'part.takeOff', { items: [off] });
  const own = agendaOf({ personId: w.person('Aino'), now: w.now, house: HOUSE }, w.rows).filter(({ where }) => where === 'today');
  const band = Object.values(sheet()[0]!.cells).flat();
  expect(new Set(band.map(({ item }) => item.id))).toEqual(new Set(own.map(({ item }) => item.id)));
  expect(band).toHaveLength(2);
});
