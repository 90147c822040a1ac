import { screen, waitFor } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { choose, tap } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { t } from '@/words';
import { ArchivedScreen } from './archived-screen.tsx';
import { ListMenu } from './list-menu.tsx';

/** Two lists of Aino's that are over, the later shared with Leila, and one that isn't. */
function house() {
  const w = new World();
  w.join('Leila');
  const spring = w.list('Aino', 'Spring');
  const autumn = w.list('Aino', 'Autumn', [['Leila', 'check']]);
  w.list('Aino', 'Boathouse');
  w.must('Aino', 'list.file', { list: spring, filed: true });
  w.later(60);
  w.must('Aino', 'list.file', { list: autumn, filed: true });
  return { w, autumn };
}
const named = () => screen.getAllByText(/^(Spring|Autumn|Boathouse)$/).map((one) => one.textContent);

test('what was archived, the last first, and nothing else; one comes back by a tap', () => {
  const { w, autumn } = house();
  inHouse(w, 'Aino', <ArchivedScreen />);
  expect(named()).toEqual(['Autumn', 'Spring']);
  tap(t('removed.bringBack', { title: 'Autumn' }));
  expect(named()).toEqual(['Spring']);
  expect(w.rows.find('list', autumn)!.filedAt).toBeNull();
});

test('who may not archive a list is offered no way back', () => {
  const { w } = house();
  inHouse(w, 'Leila', <ArchivedScreen />);
  expect(screen.queryByRole('button', { name: t('removed.bringBack', { title: 'Autumn' }) })).toBeNull();
});

test('with nothing archived it says what would be here', () => {
  inHouse(new World(), 'Aino', <ArchivedScreen />);
  expect(screen.getByText(t('archived.empty'))).toBeTruthy();
});

test('whoever archives a list with something somebody was handed is told that it stays with them', async () => {
  const w = new World();
  w.join('Leila');
  const list = w.list('Aino', 'Christmas', [['Leila', 'check']]);
  w.item('Aino', 'Order the fish', { list, persons: [w.person('Leila')] });
  w.item('Aino', 'Write the menu', { list, persons: [w.person('Aino')] });
  const { said } = inHouse(w, 'Aino', <ListMenu list={w.rows.find('list', list)!} mayShape mayChange />);
  choose(t('list.more'), t('list.file'));
  await waitFor(() => expect(said()).toBe(t('said.filedStays', { name: 'Christmas', count: 1 })));
});
