import { World } from '../testing/world.ts';
import { LOAD_DAYS, loadAhead } from './load.ts';

test('minutes by plan, else by deadline, late ones today, chores on their days; away there are none', () => {
  const w = new World();
  for (const name of ['Petri', 'Oona']) w.join(name);
  const [petri, oona] = [w.person('Petri'), w.person('Oona')];
  const give = (title: string, due: string, effort: number | undefined, person: string) => w.item('Aino', title, { due, effort, persons: [person] });
  give('Late', '2026-11-20', 30, petri);
  const planned = give('Planned', '2026-11-30', 60, petri);
  w.must('Petri', 'part.plan', { items: [planned], plan: '2026-11-26' });
  w.must('Petri', 'part.progress', { item: planned, percent: 50 });
  give('Guessed', '2026-11-26', undefined, petri);
  w.must('Petri', 'part.checkOff', { item: give('Done', '2026-11-26', 90, petri), person: petri });
  w.must('Aino', 'chore.make', { title: 'Sauna', effort: 45, rrule: 'FREQ=DAILY', dtstart: '2026-11-25', turn: 'turns', persons: [petri, oona] });
  w.must('Petri', 'capacity.set', { person: petri, minutes: [60, 60, 60, 60, 60, 120, 0] });
  w.must('Petri', 'away.add', { person: petri, from: '2026-11-29', to: '2026-11-29' });
  const loads = loadAhead([petri, oona], w.now, w.rows.all('house')[0]!, w.rows);
  const days = loads.get(petri)!;
  expect(days).toHaveLength(LOAD_DAYS);
  // 24 late 30; 25 sauna 45; 26 half of 60 and the guess of 10; 27 sauna; 29 away, so Oona again, and 30 Petri
  expect(days.slice(0, 7).map(({ minutes }) => minutes)).toEqual([30, 45, 40, 45, 0, 0, 45]);
  expect(days[5]).toEqual({ date: '2026-11-29', minutes: 0, capacity: 0, away: true });
  expect(
    loads
      .get(oona)!
      .slice(0, 7)
      .map(({ minutes, capacity }) => [minutes, capacity]),
  ).toEqual([0, 0, 45, 0, 45, 45, 0].map((minutes) => [minutes, null]));
});

test('booked time stands for the plan of what it is booked for, once', () => {
  const w = new World();
  w.join('Petri');
  const petri = w.person('Petri');
  const [mast, hull] = ['Mast', 'Hull'].map((title) => w.item('Petri', title, { due: '2026-11-28', effort: 60, persons: [petri] }));
  w.must('Petri', 'part.plan', { items: [mast!], plan: '2026-11-25' });
  const minutes = () =>
    loadAhead([petri], w.now, w.rows.all('house')[0]!, w.rows)
      .get(petri)!
      .slice(0, 5)
      .map((day) => day.minutes);
  expect(minutes()).toEqual([0, 60, 0, 0, 60]);
  w.must('Petri', 'slot.book', { items: [mast!, hull!], start: '2026-11-26T16:00', minutes: 90 });
  expect(minutes()).toEqual([0, 0, 90, 0, 0]);
  // what is booked for is done: its time is free again
  w.must('Petri', 'part.checkOff', { item: mast!, person: petri });
  w.must('Petri', 'part.checkOff', { item: hull!, person: petri });
  expect(minutes()).toEqual([0, 0, 0, 0, 0]);
});
