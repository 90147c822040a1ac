import { World } from '@kotiva/core/testing/world';
import { act, fireEvent, screen, within } from '@testing-library/react';
import { AsTheyStand } from '@/store/shown.tsx';
import { inHouse } from '@/testing/in-house.tsx';
import { followHand } from '@/ui/hand.ts';
import { PersonScreen } from './person-screen.tsx';

/** Aino's page of Tapio: two things she waits for, two to talk about, a note of last week. */
function page() {
  const w = new World();
  w.join('Tapio', 'helper');
  w.join('Petri', 'manager');
  const tapio = w.person('Tapio');
  w.item('Aino', 'Winter storage', { persons: [tapio], due: '2026-12-01' });
  w.item('Aino', 'Grease the oarlocks', { persons: [tapio] });
  w.item('Petri', 'Gutter, north side', { persons: [tapio] });
  w.item('Tapio', 'Ask for a saw', { persons: [w.person('Aino')] });
  w.must('Aino', 'matter.add', { person: tapio, words: 'Holidays' });
  w.must('Aino', 'matter.add', { person: tapio, words: 'The second key' });
  w.must('Aino', 'talk.set', { person: tapio, weekday: 3, time: '10:00' });
  w.must('Aino', 'note.make', { persons: [tapio], date: '2026-11-18', text: 'Talked about:\nThe jetty holds.' });
  w.must('Aino', 'person.change', { person: tapio, phone: '+358 000 555 777' });
  inHouse(w, 'Aino', <AsTheyStand><PersonScreen personId={tapio} /></AsTheyStand>); // prettier-ignore
  return { w };
}
const part = (name: RegExp) => within(screen.getByRole('region', { name }));

beforeEach(() => window.localStorage.clear());

test('everything that concerns a person stands together', () => {
  page();
  expect(part(/To talk about/).getAllByRole('checkbox')).toHaveLength(2);
  expect(part(/You’re waiting for/).getByText('Winter storage')).toBeTruthy();
  expect(part(/’s items/).queryByText('Winter storage')).toBeNull();
  expect(part(/Notes from talks/).getByText(/The jetty holds/)).toBeTruthy();
  expect(screen.getByText(/Call \+358 000 555 777/)).toBeTruthy();
});

test('a line is added by Enter and ticked off; what is typed stays when it is refused', () => {
  const { w } = page();
  const field = screen.getByRole('textbox', { name: /Something to talk about/ });
  fireEvent.change(field, { target: { value: 'A new saw' } });
  fireEvent.keyDown(field, { key: 'Enter' });
  expect(part(/To talk about/).getByText('A new saw')).toBeTruthy();
  fireEvent.click(screen.getByRole('checkbox', { name: 'Talked about: Holidays' }));
  expect(part(/To talk about/).queryByText('Holidays')).toBeNull();
  expect(w.rows.all('matter').find(({ words }) => words === 'Holidays')!.settledAt).not.toBeNull();
});

test('what a finger ticks off stays where it is for two seconds; a second tap takes it back', () => {
  followHand();
  jest.useFakeTimers();
  const { w } = page();
  const talkedAbout = (words: string) => screen.getByRole('checkbox', { name: `Talked about: ${words}` });
  const tap = (on: HTMLElement) => void (fireEvent.pointerDown(on), fireEvent.pointerUp(on), fireEvent.click(on));
  const isSettled = (words: string) => w.rows.all('matter').find((one) => one.words === words)!.settledAt !== null;

  tap(talkedAbout('Holidays'));
  tap(talkedAbout('The second key'));
  expect(part(/To talk about/).getAllByRole('checkbox', { checked: true })).toHaveLength(2);
  tap(talkedAbout('The second key'));
  act(() => jest.advanceTimersByTime(2_100));
  expect(part(/To talk about/).getAllByRole('checkbox')).toEqual([talkedAbout('The second key')]);
  expect([isSettled('Holidays'), isSettled('The second key')]).toEqual([true, false]);
  jest.useRealTimers();
});

test('a part that is folded away stays so', () => {
  page();
  fireEvent.click(screen.getByRole('button', { name: /^Notes from talks/ }));
  expect(screen.queryByText(/The jetty holds/)).toBeNull();
  expect(window.localStorage.getItem('kotiva-folded:notes')).toBe('1');
});
