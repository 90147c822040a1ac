import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { tap } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { carry } from '@/testing/router.ts';
import { CalendarScreen } from './calendar-screen.tsx';
import { t } from '@/words';

/** A Tuesday, noon. The plants are watered every Friday, in turns. */
function house() {
  const w = new World();
  for (const name of ['Leila', 'Tapio']) w.join(name);
  const list = w.list('Aino', 'Guesthouse', [
    ['Leila', 'edit'],
    ['Tapio', 'edit'],
  ]);
  w.must('Aino', 'chore.make', {
    title: 'Water the plants',
    list,
    rrule: 'FREQ=WEEKLY;BYDAY=FR',
    dtstart: '2026-11-27',
    turn: 'turns',
    persons: [w.person('Leila'), w.person('Tapio')],
  });
  const sweep = w.item('Aino', 'Chimney sweep', { list, due: '2026-12-01T09:00' });
  return { w, list, sweep };
}
afterEach(() => carry({}));
const open = (w: World) => inHouse(w, 'Aino', <CalendarScreen />);
const day = (name: RegExp) => screen.getByRole('button', { name });
const choose = async (row: string, how: string) => {
  fireEvent.keyDown(screen.getByRole('button', { name: `More on “${row}”` }), { key: 'Enter' });
  fireEvent.click(screen.getByRole('menuitem', { name: how }));
  await screen.findByRole('dialog');
};

test('a month with what stands on each day; the day chosen is listed, with whose turn it would be', () => {
  const { w } = house();
  open(w);
  expect(day(/27 Nov.*1 open/)).toBeTruthy();
  fireEvent.click(day(/27 Nov.*1 open/));
  expect(screen.getByText(/Leila/)).toBeTruthy();
  tap(t('calendar.next'));
  fireEvent.click(day(/ 1 Dec.*1 open/));
  expect(screen.getByText('Chimney sweep')).toBeTruthy();
  fireEvent.click(day(/ 2 Dec/));
  expect(screen.getByText(t('calendar.nothing'))).toBeTruthy();
});

test('narrowed by a filter, chores still to come as well', () => {
  const { w } = house();
  carry({ narrow: JSON.stringify({ match: 'all', state: 'open', conditions: [{ of: 'words', words: 'plants', not: false }] }) });
  open(w);
  expect(day(/27 Nov.*1 open/)).toBeTruthy();
  tap(t('calendar.next'));
  expect(day(/ 1 Dec.*0 open/)).toBeTruthy();
  fireEvent.click(day(/ 2 Dec/));
  expect(screen.getByText(t('filter.nothingHere'))).toBeTruthy();
});

test('one of a chore moved asks whether only this one is meant; the others stay', async () => {
  const { w } = house();
  open(w);
  tap(t('calendar.next'));
  fireEvent.click(day(/ 4 Dec.*1 open/));
  await choose('Water the plants', 'Move it');
  const words = screen.getByLabelText(t('due.words'));
  fireEvent.change(words, { target: { value: '5 Dec' } });
  fireEvent.keyDown(words, { key: 'Enter' });
  expect(screen.getByText(/^This repeats\. Move only this one from .*, or all that follow too\?$/)).toBeTruthy();
  tap(t('calendar.onlyThis'));
  expect(day(/ 5 Dec.*1 open/)).toBeTruthy();
  expect(day(/ 4 Dec.*0 open/)).toBeTruthy();
  expect(day(/11 Dec.*1 open/)).toBeTruthy();
});

test('a turn is swapped with a later one of somebody else', async () => {
  const { w } = house();
  open(w);
  tap(t('calendar.next'));
  fireEvent.click(day(/ 4 Dec.*1 open/));
  expect(screen.getByText(/Tapio/)).toBeTruthy();
  await choose('Water the plants', 'Swap turns');
  const other = within(screen.getByRole('dialog')).getAllByRole('button', { name: /^Leila, Fri 11 Dec/ })[0]!;
  fireEvent.click(other);
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  expect(screen.getByText(/Leila/)).toBeTruthy();
});

test('by date only days on which something stands are listed', () => {
  const { w } = house();
  const { titles } = open(w);
  tap(t('calendar.view.list'), 'radio');
  expect(screen.getAllByText('Water the plants').length).toBeGreaterThan(7);
  expect(screen.getByText('Chimney sweep')).toBeTruthy();
  expect(titles).toBeTruthy();
});
