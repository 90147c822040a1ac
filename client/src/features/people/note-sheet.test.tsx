import { act, fireEvent, screen } from '@testing-library/react';
import { idOf, World } from '@kotiva/core/testing/world';
import { draftsOf } from '@/store/drafts.ts';
import { tap, type } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { NoteSheet } from './note-sheet.tsx';
import { t } from '@/words';

beforeEach(() => {
  localStorage.clear();
  localStorage.setItem('kotiva/notes-plain', 'yes');
});
afterEach(() => jest.useRealTimers());

test('the note of a talk goes after 5 s of rest, on leaving the field, and is kept until then', () => {
  jest.useFakeTimers();
  const w = new World();
  w.join('Leila', 'member');
  const leila = w.person('Leila');
  w.must('Aino', 'note.make', { persons: [leila], date: '2026-11-24', text: '' });
  const noteOf = () => w.rows.all('meetingNote')[0]!;
  const sheet = () => inHouse(w, 'Aino', <NoteSheet note={noteOf()} about={w.rows.all('person').find(({ id }) => id === leila)!} onClose={() => undefined} />);
  const value = () => screen.getByLabelText<HTMLTextAreaElement>(t('note.text')).value;
  const first = sheet();
  type(t('note.text'), 'The jetty');
  act(() => jest.advanceTimersByTime(4_000));
  expect(noteOf().text).toBe('');
  // gone at once, as by a reload
  first.unmount();
  const second = sheet();
  expect(value()).toBe('The jetty');
  act(() => jest.advanceTimersByTime(5_000));
  expect(noteOf().text).toBe('The jetty');
  type(t('note.text'), 'The jetty holds');
  fireEvent.blur(screen.getByLabelText(t('note.text')));
  expect(noteOf().text).toBe('The jetty holds');
  second.unmount();
  expect(draftsOf(idOf('account Aino'))).toBe(0);
});

test('whoever writes the note was there too; an action is read as any line is', () => {
  const w = new World();
  w.join('Leila', 'member');
  w.join('Tapio', 'member');
  const leila = w.rows.all('person').find(({ name }) => name === 'Leila')!;
  w.must('Aino', 'note.make', { persons: [leila.id], date: '2026-11-24', text: '' });
  inHouse(w, 'Aino', <NoteSheet note={w.rows.all('meetingNote')[0]!} about={leila} onClose={() => undefined} />);
  expect(screen.getByRole('heading', { name: /^Aino and Leila, / })).toBeTruthy();
  type(t('note.decided'), 'Order the planks by Friday');
  tap('Make it an item for Leila');
  type(t('note.decided'), '@Tapio measure the jetty on Monday');
  tap('Make it an item for Leila');
  const made = w.rows.all('item').map(({ id, title, due }) => [title, due, w.parts(id).find(({ personId }) => personId)?.personId]);
  expect(made).toEqual([
    ['Order the planks', '2026-11-27', leila.id],
    ['measure the jetty', null, w.person('Tapio')],
  ]);
});
