import { World } from '../testing/world.ts';
import { occurrenceAfter } from './chores.ts';
import { daysOffOf } from './house-days-off.ts';

function house() {
  const w = new World();
  w.must('Aino', 'chore.make', {
    title: 'Check the fire extinguishers',
    rrule: 'FREQ=MONTHLY;BYMONTH=3,6,9,12;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1',
    dtstart: '2026-12-01',
    offDay: 'before',
  });
  const chore = w.rows.all('series')[0]!;
  const first = () => {
    const { at, recurrenceId } = occurrenceAfter(chore, null, w.rows.all('house')[0]!, w.rows)!;
    return [at, recurrenceId];
  };
  return { w, first };
}

test('a chore keeps clear of a public holiday and of the house’s own days off; its name stays the rule’s day', () => {
  const { w, first } = house();
  expect(first()).toEqual(['2026-12-31', '2026-12-31']);
  w.must('Aino', 'house.change', { region: 'FI', daysOff: [{ date: '2026-12-30', name: 'Stocktaking' }] });
  w.system('house.setHolidays', { region: 'FI', until: 2030, days: [{ date: '2026-12-31', name: 'A holiday' }] });
  expect(first()).toEqual(['2026-12-29', '2026-12-31']);
});

test('holidays of a region the house has left count no more, and late ones are not taken', () => {
  const { w, first } = house();
  w.must('Aino', 'house.change', { region: 'FI' });
  w.system('house.setHolidays', { region: 'FI', until: 2030, days: [{ date: '2026-12-31', name: 'A holiday' }] });
  w.must('Aino', 'house.change', { region: 'SE' });
  expect(first()).toEqual(['2026-12-31', '2026-12-31']);
  w.system('house.setHolidays', { region: 'FI', until: 2031, days: [] });
  expect(w.rows.all('house')[0]!.holidays).toMatchObject({ region: 'FI', until: 2030 });
});

test('a day named twice is named as it was said last', () => {
  const { w } = house();
  w.must('Aino', 'house.change', {
    daysOff: [
      { date: '2027-01-05', name: 'Inventory' },
      { date: '2026-12-24', name: '' },
      { date: '2027-01-05', name: 'Stocktaking' },
    ],
  });
  expect([...daysOffOf(w.rows.all('house')[0]!)]).toEqual([
    ['2026-12-24', ''],
    ['2027-01-05', 'Stocktaking'],
  ]);
  expect(w.refused('Aino', 'house.change', { daysOff: [{ date: '2027-02-30', name: '' }] }).code).toBe('malformed');
});

test('another region or day off is taken back like any change', () => {
  const { w } = house();
  w.must('Aino', 'house.change', { region: 'FI', daysOff: [{ date: '2026-12-30', name: 'Stocktaking' }] });
  const { id } = w.must('Aino', 'house.change', { region: null, daysOff: [] });
  w.must('Aino', 'undo', { command: id });
  expect(w.rows.all('house')[0]).toMatchObject({ region: 'FI', daysOff: [{ date: '2026-12-30', name: 'Stocktaking' }] });
  w.join('Petri', 'manager');
  const { id: petris } = w.must('Petri', 'house.change', { region: 'SE' });
  w.must('Aino', 'person.setRole', { person: w.person('Petri'), role: 'member' });
  expect(w.refused('Petri', 'undo', { command: petris }).code).toBe('not-allowed');
});
