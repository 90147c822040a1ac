import { World } from '../testing/world.ts';
import { calendarOf, isEntryDone, minutesOn, titleOfEntry, type CalendarEntry } from './calendar.ts';

function house() {
  const w = new World();
  for (const name of ['Petri', 'Oona', 'Eetu']) w.join(name);
  const days = (of: string, personId: string | null = null, from = '2026-12-01', to = '2026-12-31') =>
    calendarOf({ meId: w.person(of), from, to, personId, now: w.now, house: w.rows.all('house')[0]! }, w.rows);
  const said = (found: Map<string, CalendarEntry[]>) =>
    [...found]
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([date, entries]) => `${date.slice(8)} ${entries.map((one) => `${one.time ?? ''}${titleOfEntry(one)}`).join(', ')}`);
  return { w, days, said };
}

test('deadlines and own plans, each on its day; on one day once; of others only what is not private', () => {
  const { w, days, said } = house();
  const jacket = w.item('Petri', 'Jackets', { due: '2026-12-10', persons: [w.person('Petri')] });
  w.must('Petri', 'part.plan', { items: [jacket], plan: '2026-12-08' });
  w.item('Petri', 'Form', { due: '2026-12-04T09:00', plan: '2026-12-04' });
  expect(said(days('Petri'))).toEqual(['04 09:00Form', '08 Jackets', '10 Jackets']);
  const [day8, day10] = ['2026-12-08', '2026-12-10'].map((date) => days('Petri').get(date)!);
  expect([minutesOn(day8!), minutesOn(day10!)]).toEqual([10, 0]);
  // nothing is known of another's plans: for them it counts on its deadline
  expect(minutesOn(days('Aino').get('2026-12-10')!)).toBe(10);
});

test('a day that came with a handover stands in the giver’s calendar too, and moves there with the person', () => {
  const { w, days, said } = house();
  const leaves = w.item('Aino', 'Leaves', { persons: [w.person('Eetu')], plan: '2026-12-04T16:00' });
  expect(said(days('Aino'))).toEqual(['04 16:00Leaves']);
  expect(said(days('Eetu'))).toEqual(['04 16:00Leaves']);
  expect(said(days('Aino', w.person('Eetu')))).toEqual(['04 16:00Leaves']);
  w.must('Eetu', 'part.plan', { items: [leaves], plan: '2026-12-05' });
  expect(said(days('Aino'))).toEqual(['05 Leaves']);
});

test('booked time stands for the minutes of what it is booked for', () => {
  const { w, days } = house();
  const jacket = w.item('Petri', 'Jackets', { due: '2026-12-10', effort: 40, persons: [w.person('Petri')] });
  w.must('Petri', 'part.plan', { items: [jacket], plan: '2026-12-08' });
  w.must('Petri', 'slot.book', { items: [jacket], start: '2026-12-08T16:00', minutes: 45 });
  expect(['2026-12-08', '2026-12-10'].map((date) => minutesOn(days('Petri').get(date)!))).toEqual([45, 0]);
});

test('chores still to come with whose turn it would be; made, they stand there once, done ones last', () => {
  const { w, days, said } = house();
  const persons = ['Petri', 'Oona', 'Eetu'].map((name) => w.person(name));
  w.now = '2026-12-01T10:00:00.000Z';
  w.must('Aino', 'chore.make', { title: 'Sauna', rrule: 'FREQ=WEEKLY;BYDAY=WE,SA', dtstart: '2026-12-01T16:00', turn: 'turns', persons });
  w.item('Aino', 'Bread', { due: '2026-12-02' });
  const all = days('Aino', null, '2026-12-01', '2026-12-09');
  expect(said(all)).toEqual(['02 16:00Sauna, Bread', '05 16:00Sauna', '09 16:00Sauna']);
  expect(all.get('2026-12-05')![0]).toMatchObject({ kind: 'ahead', personIds: [w.person('Oona')] });
  expect(said(days('Aino', w.person('Eetu'), '2026-12-01', '2026-12-09'))).toEqual(['09 16:00Sauna']);
  const first = all.get('2026-12-02')![0]!;
  if (first.kind === 'ahead' || first.kind === 'slot') throw new Error('the first is an item');
  w.must('Petri', 'part.checkOff', { item: first.item.id, person: w.person('Petri') });
  const after = days('Aino', null, '2026-12-01', '2026-12-09');
  expect(said(after)).toEqual(['02 Bread, 16:00Sauna', '05 16:00Sauna', '09 16:00Sauna']);
  expect(after.get('2026-12-02')!.map(isEntryDone)).toEqual([false, true]);
  expect(after.get('2026-12-05')![0]!.kind).toBe('due');
});
