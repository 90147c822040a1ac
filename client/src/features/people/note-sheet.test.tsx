import { act, fireEvent, screen } from '@testing-library/react';
import { idOf, World } from '@kotiva/core/testing/world';
import { draftsOf } from '@/store/drafts.ts';
import { type } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { NoteSheet } from './note-sheet.tsx';

beforeEach(() => localStorage.clear());
afterEach(() => jest.useRealTimers());

test('the note of a talk goes after 5 s of rest, on leaving the field, and is kept until then', () => {
  jest.useFakeTimers();
  const w = new World();
  w.join('Leila', 'member');
  const leila = w.person('Leila');
  w.must('Aino', 'note.make', { persons: [leila], date: '2026-11-24', text: '' });
  const noteOf = () => w.rows.all('meetingNote')[0]!;
  const sheet = () => inHouse(w, 'Aino', <NoteSheet note={noteOf()} about={w.rows.all('person').find(({ id }) => id === leila)!} onClose={() => undefined} />);
  const value = () => screen.getByLabelText<HTMLTextAreaElement>('What was said').value;
  const first = sheet();
  type('What was said', 'The jetty');
  act(() => jest.advanceTimersByTime(4_000));
  expect(noteOf().text).toBe('');
  // gone at once, as by a reload
  first.unmount();
  const second = sheet();
  expect(value()).toBe('The jetty');
  act(() => jest.advanceTimersByTime(5_000));
  expect(noteOf().text).toBe('The jetty');
  type('What was said', 'The jetty holds');
  fireEvent.blur(screen.getByLabelText('What was said'));
  expect(noteOf().text).toBe('The jetty holds');
  second.unmount();
  expect(draftsOf(idOf('account Aino'))).toBe(0);
});
