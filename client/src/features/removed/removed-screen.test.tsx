import { screen } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { tap } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { RemovedScreen } from './removed-screen.tsx';

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
const titles = () => screen.getAllByRole('button', { name: /^Bring “/ }).map((one) => one.getAttribute('aria-label'));

test('newest first, with how long it is kept; a step comes back with what it is a step of', () => {
  const { w, jackets } = house();
  inHouse(w, 'Aino', <RemovedScreen />);
  expect(titles()).toEqual(['Bring “Count the jackets” back', 'Bring “New rope” back']);
  expect(screen.getByText(/27 days left/)).toBeTruthy();
  tap('Bring “Count the jackets” back');
  expect(titles()).toEqual(['Bring “New rope” back']);
  expect(w.row(jackets).removedAt).toBeNull();
  expect(w.rows.by('item', 'parentId', jackets).map(({ removedAt }) => removedAt)).toEqual([null]);
});

test('all of it comes back at once', () => {
  const { w, rope, jackets } = house();
  inHouse(w, 'Aino', <RemovedScreen />);
  tap('Bring all back');
  expect([rope, jackets].map((id) => w.row(id).removedAt)).toEqual([null, null]);
  expect(screen.getByText('Nothing was removed in the last 30 days.')).toBeTruthy();
});

test('after thirty days it is no longer offered', () => {
  const { w } = house();
  w.later(29 * 24 * 60);
  inHouse(w, 'Aino', <RemovedScreen />);
  expect(titles()).toEqual(['Bring “Count the jackets” back']);
});
