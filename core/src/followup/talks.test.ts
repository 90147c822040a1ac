import { World } from '../testing/world.ts';
import { agendaWith, nextTalk, notesWith } from './talks.ts';

// 24 November 2026 is a Tuesday, 12:00 in Helsinki
test.each([
  ['tomorrow', 3, '10:00', '2026-11-25T10:00'],
  ['today, still to come', 2, '12:30', '2026-11-24T12:30'],
  ['today, over: in a week', 2, '11:30', '2026-12-01T11:30'],
  ['yesterday’s day: in six', 1, '09:00', '2026-11-30T09:00'],
])('the next talk: %s', (_name, weekday, time, at) => expect(nextTalk({ weekday, time }, '2026-11-24T10:00:00.000Z', 'Europe/Helsinki')).toBe(at));

test('an agenda carries over until each line is settled; an item stands on it once', () => {
  const w = new World();
  w.join('Tapio');
  const item = w.item('Aino', 'Winter storage', { persons: [w.person('Tapio')] });
  w.must('Aino', 'matter.add', { person: w.person('Tapio'), words: 'Holidays' });
  w.must('Aino', 'matter.add', { person: w.person('Tapio'), item });
  w.must('Aino', 'matter.add', { person: w.person('Tapio'), item });
  const agenda = () => agendaWith(w.person('Aino'), w.person('Tapio'), w.rows.all('matter'));
  expect(
    agenda()
      .map(({ words }) => words)
      .sort(),
  ).toEqual(['Holidays', 'Winter storage']);
  w.must('Aino', 'note.make', { persons: [w.person('Tapio')], date: '2026-11-25' });
  const [note] = notesWith(w.person('Tapio'), w.rows.all('meetingNote'));
  w.must('Aino', 'matter.settle', { matters: [agenda().find(({ words }) => words === 'Holidays')!.id], note: note!.id });
  expect(agenda().map(({ words }) => words)).toEqual(['Winter storage']);
  const settled = w.rows.all('matter').find(({ words }) => words === 'Holidays')!;
  expect(settled.noteId).toBe(note!.id);
  w.must('Aino', 'matter.settle', { matters: [settled.id], settled: false });
  expect(agenda()).toHaveLength(2);
});

test('what the other shared is on one’s agenda too; what they keep is not', () => {
  const w = new World();
  w.join('Tapio');
  w.must('Tapio', 'matter.add', { person: w.person('Aino'), words: 'A new saw', shared: true });
  w.must('Tapio', 'matter.add', { person: w.person('Aino'), words: 'My wages' });
  expect(agendaWith(w.person('Aino'), w.person('Tapio'), w.rows.all('matter')).map(({ words }) => words)).toEqual(['A new saw']);
});

test('what comes of a talk says so; a note is changed by its writer alone', () => {
  const w = new World();
  w.join('Tapio');
  w.must('Aino', 'note.make', { persons: [w.person('Tapio')], date: '2026-11-25', shared: true });
  const [note] = w.rows.all('meetingNote');
  const item = w.item('Aino', 'Order a saw', { persons: [w.person('Tapio')], note: note!.id });
  expect(w.row(item).noteId).toBe(note!.id);
  expect(w.refused('Tapio', 'note.change', { note: note!.id, text: 'x' }).code).toBe('not-allowed');
  expect(w.refused('Tapio', 'item.add', { title: 'Mine', note: note!.id }).code).toBe('not-yours');
  expect(w.refused('Aino', 'note.make', { persons: [w.person('Tapio')], date: '2026-02-31' }).code).toBe('malformed');
  expect(w.refused('Aino', 'matter.add', { person: w.person('Aino'), words: 'Myself' }).code).toBe('already-has-it');
});
