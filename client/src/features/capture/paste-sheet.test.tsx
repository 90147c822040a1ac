import { World } from '@kotiva/core/testing/world';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { inHouse } from '@/testing/in-house.tsx';
import { PasteSheet } from './paste-sheet.tsx';
import { t } from '@/words';

const tap = (name: string | RegExp, role = 'button') => fireEvent.click(screen.getByRole(role, { name }));

test('pasted lines naming somebody who can’t open the list wait until it is said what they see', async () => {
  const w = new World();
  w.join('Leila', 'helper');
  const list = w.list('Aino', 'Boats');
  let done: boolean | null = null;
  const { given } = inHouse(w, 'Aino', <PasteSheet text={'- Oars @Leila\n- Rope'} here={{ list }} onClose={(all) => (done = all)} />);
  tap(/^Add/);
  expect(await screen.findByText(t('ways.first'))).toBeTruthy();
  expect(given).toEqual([]);
  tap(t('ways.item'), 'radio');
  tap(/^Add/);
  await waitFor(() => expect(done).toBe(true));
  expect(
    w.rows
      .all('item')
      .map(({ title }) => title)
      .sort(),
  ).toEqual(expect.arrayContaining(['Oars', 'Rope']));
  expect(w.part(w.rows.all('item').find(({ title }) => title === 'Oars')!.id, 'Leila').standing).toBe('needs-action');
});
