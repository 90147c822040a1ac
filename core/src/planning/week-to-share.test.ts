import { World } from '../testing/world.ts';
import { shareOut } from './share-out.ts';
import { weekToShare, whyGiven } from './week-to-share.ts';

function house() {
  const w = new World();
  for (const name of ['Petri', 'Oona', 'Eetu']) w.join(name);
  const [petri, oona, eetu] = ['Petri', 'Oona', 'Eetu'].map((name) => w.person(name)) as [string, string, string];
  for (const [name, minutes] of [
    ['Petri', 60],
    ['Oona', 60],
    ['Eetu', 0],
  ] as const)
    w.must(name, 'capacity.set', { person: w.person(name), minutes: Array.from({ length: 7 }, () => minutes) });
  w.must('Aino', 'capacity.set', { person: w.person('Aino'), minutes: [0, 0, 0, 0, 0, 0, 0] });
  const week = () => weekToShare(w.now, w.rows.all('house')[0]!, w.rows);
  return { w, petri, oona, eetu, week };
}

test('what nobody has in a list, and turns to come, among those who may and have time; what is in hand counts', () => {
  const { w, petri, oona, week } = house();
  const list = w.list('Aino', 'Shore', [
    ['Petri', 'edit'],
    ['Oona', 'check'],
    ['Eetu', 'view'],
  ]);
  const jetty = w.item('Aino', 'Jetty', { list, due: '2026-11-26', effort: 90 });
  w.item('Aino', 'Held', { list, due: '2026-11-26', effort: 30, persons: [petri] });
  w.item('Aino', 'Later', { list, due: '2026-12-20' });
  w.item('Aino', 'Own', { due: '2026-11-26' });
  w.must('Aino', 'chore.make', { title: 'Sauna', effort: 40, rrule: 'FREQ=DAILY;COUNT=3', dtstart: '2026-11-24', turn: 'turns', persons: [petri, oona] });
  const { carriers, loads, shareables } = week();
  // the first of the sauna is in Petri's hands already: 30 + 40
  expect(carriers).toEqual([
    { id: oona, capacity: 420, held: 0 },
    { id: petri, capacity: 420, held: 70 },
  ]);
  expect([...shareables.values()].map(({ title, date }) => `${title} ${date}`)).toEqual(['Sauna 2026-11-25', 'Sauna 2026-11-26', 'Jetty 2026-11-26']);
  const found = Object.fromEntries(loads.map((load) => [load.id, load]));
  expect(found[jetty]).toMatchObject({ minutes: 90, turn: null, able: [w.person('Aino'), oona, petri] });
  expect(loads[0]).toMatchObject({ turn: oona, able: [petri, oona] });
  // 70 + 40 + … against 90 + 40: the turns stay as they are
  const shared = shareOut(carriers, loads);
  expect(shared.turnsKept).toBe(true);
  expect(shared.given.get(jetty)).toBe(oona);
});

test('a turn somebody has decided about stays with whom it was given, and counts for them', () => {
  const { w, petri, oona, week } = house();
  w.must('Aino', 'chore.make', { title: 'Sauna', effort: 40, rrule: 'FREQ=DAILY;COUNT=3', dtstart: '2026-11-24', turn: 'turns', persons: [petri, oona] });
  const series = w.rows.all('series')[0]!.id;
  w.must('Aino', 'chore.giveTurn', { series, recurrenceId: '2026-11-25', person: petri });
  const { carriers, loads } = week();
  expect(loads.map(({ id }) => id)).toEqual([`${series} 2026-11-26`]);
  expect(carriers.find(({ id }) => id === petri)).toMatchObject({ held: 80 });
});

test('why somebody was chosen: the only one who may, their turn, or the room they have', () => {
  const { petri, oona, week } = house();
  const loads = [
    { id: 'only', minutes: 42, able: [petri], turn: null },
    { id: 'turn', minutes: 42, able: [petri, oona], turn: oona },
    { id: 'room', minutes: 84, able: [petri, oona], turn: null },
  ];
  const known = { ...week(), loads };
  const given = new Map([
    ['only', petri],
    ['turn', oona],
    ['room', oona],
  ]);
  const why = (nth: number) => whyGiven(loads[nth]!, given.get(loads[nth]!.id)!, known, given);
  expect([why(0), why(1), why(2)]).toEqual([{ kind: 'only' }, { kind: 'turn' }, { kind: 'room', share: 0.3 }]);
});

test('who is away all week carries nothing', () => {
  const { w, petri, oona, week } = house();
  w.must('Aino', 'away.add', { person: oona, from: '2026-11-20', to: '2026-12-05' });
  expect(week().carriers.map(({ id }) => id)).toEqual([petri]);
});
