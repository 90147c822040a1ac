import { fireEvent, screen } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { FindScreen } from '@/features/find';
import { ItemSheet } from '@/features/item';
import { ListScreen } from '@/features/lists';
import { tap, type } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { carry } from '@/testing/router.ts';
import { t } from '@/words';

beforeEach(() => localStorage.clear());
afterEach(() => carry({}));

/** A house in which the tarring was done long ago, and one more thing not so long ago. */
function house() {
  const w = new World();
  const list = w.list('Aino', 'Boathouse');
  const [tar, gate] = ['Tar the boat', 'Mend the gate'].map((title) => w.item('Aino', title, { list }));
  for (const item of [tar!, gate!]) w.must('Aino', 'part.checkOff', { item, person: null });
  return { w, list, tar: tar!, gate: gate! };
}

test('a thing of long ago is fetched when it is opened', async () => {
  const { w, tar } = house();
  carry({ item: tar });
  const { letGo } = inHouse(w, 'Aino', <ItemSheet />);
  letGo(tar, [`item=${tar}`]);
  expect(await screen.findByRole('dialog', { name: 'Tar the boat' })).toBeTruthy();
});

test('without a connection that is said, not that it is gone', async () => {
  const { w, tar } = house();
  carry({ item: tar });
  const { letGo } = inHouse(w, 'Aino', <ItemSheet />);
  letGo(tar, []);
  expect(await screen.findByText(t('beyond.noLine'))).toBeTruthy();
  expect(screen.queryByText(t('item.gone'))).toBeNull();
});

test('a list shows its newest done things, and the older ones when asked', async () => {
  const { w, list, tar, gate } = house();
  const { letGo } = inHouse(w, 'Aino', <ListScreen listId={list} />);
  letGo(tar, [`list=${list}&before=${w.row(gate).seq}`]);
  tap('1 done');
  expect(screen.queryByText('Tar the boat')).toBeNull();
  tap(t('list.older'));
  expect(await screen.findByText('Tar the boat')).toBeTruthy();
});

test('what is done long ago is found once the hand rests', async () => {
  const { w, tar } = house();
  const { letGo } = inHouse(w, 'Aino', <FindScreen />);
  letGo(tar, ['words=tar']);
  fireEvent.click(screen.getByRole('checkbox', { name: t('find.done') }));
  type(t('find.words'), 'tar');
  expect(await screen.findByText('Tar the boat')).toBeTruthy();
});
