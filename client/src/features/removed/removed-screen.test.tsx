import { screen } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { choose, tap } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { RemovedScreen } from './removed-screen.tsx';
import { t } from '@/words';

/** A Tuesday: the rope was removed three days ago, the jackets today, with their steps. */
function house() {
  const w = new World();
  const list = w.list('Aino', 'Boathouse');
  const [rope, jackets] = ['New rope', 'Count the jackets'].map((title) => w.item('Aino', title, { list }));
  w.item('Aino', 'Small sizes', { parent: jackets });
  w.must('Aino', 'item.remove', { items: [rope!] });
  w.later(3 * 24 * 60);
  w.must('Aino', 'item.remove', { items: [jackets!] });
  return { w, rope: rope!, jackets: jackets! };
}
const titles = () => screen.getAllByRole('button', { name: /^Restore “/ }).map((one) => one.getAttribute('aria-label'));

test('newest first, with how long it is kept; a step comes back with what it is a step of', () => {
  const { w, jackets } = house();
  inHouse(w, 'Aino', <RemovedScreen />);
  expect(titles()).toEqual(['Restore “Count the jackets”', 'Restore “New rope”']);
  expect(screen.getByText(/27 days left/)).toBeTruthy();
  tap('Restore “Count the jackets”');
  expect(titles()).toEqual(['Restore “New rope”']);
  expect(w.row(jackets).removedAt).toBeNull();
  expect(w.rows.by('item', 'parentId', jackets).map(({ removedAt }) => removedAt)).toEqual([null]);
});

test('all of it comes back at once', () => {
  const { w, rope, jackets } = house();
  inHouse(w, 'Aino', <RemovedScreen />);
  tap(t('removed.all'));
  expect([rope, jackets].map((id) => w.row(id).removedAt)).toEqual([null, null]);
  expect(screen.getByText(t('removed.nothing'))).toBeTruthy();
});

test('after thirty days it is no longer offered', () => {
  const { w } = house();
  w.later(29 * 24 * 60);
  inHouse(w, 'Aino', <RemovedScreen />);
  expect(titles()).toEqual(['Restore “Count the jackets”']);
});

test('what lay in a list that was removed since asks where to', async () => {
  const { w, rope } = house();
  w.list('Aino', 'Shore');
  w.must('Aino', 'list.remove', { list: w.row(rope).listId!, removed: true });
  inHouse(w, 'Aino', <RemovedScreen />);
  tap('Restore “New rope”');
  expect(w.row(rope).removedAt).not.toBeNull();
  await screen.findByRole('button', { name: 'Shore' });
  tap('Shore');
  expect(w.row(rope)).toMatchObject({ removedAt: null, listId: w.rows.all('list').find(({ name }) => name === 'Shore')!.id });
});

test('for good asks once, with how many steps go along; then nothing brings it back', async () => {
  const { w, jackets, rope } = house();
  inHouse(w, 'Aino', <RemovedScreen />);
  choose(t('row.more', { title: 'Count the jackets' }), t('removed.forGood'));
  await screen.findByText(t('removed.withSteps', { count: 1 }));
  tap(t('common.cancel'));
  expect(w.row(jackets).purgedAt).toBeNull();
  choose(t('removed.more'), t('removed.allForGood'));
  await screen.findByText(t('removed.asksForGood', { count: 2 }));
  tap(t('removed.forGood'));
  expect([jackets, rope].map((id) => w.row(id).purgedAt === null)).toEqual([false, false]);
  expect(screen.getByText(t('removed.nothing'))).toBeTruthy();
});
