import { World } from '@kotiva/core/testing/world';
import { screen } from '@testing-library/react';
import { inHouse } from '@/testing/in-house.tsx';
import { carry } from '@/testing/router.ts';
import { t } from '@/words';
import { ItemSheet } from './item-sheet.tsx';

afterEach(() => carry({}));

test('a step names what it is one of: a way there for who sees it, words for who doesn’t', () => {
  const w = new World();
  w.join('Leila', 'helper');
  const sauna = w.item('Aino', 'Ready the sauna');
  const step = w.item('Aino', 'Fetch the birch', { parent: sauna });
  w.must('Aino', 'part.handOver', { items: [step], persons: [w.person('Leila')] });
  carry({ item: step });
  const leila = inHouse(w, 'Leila', <ItemSheet />);
  // she was handed the step alone: her device does not hold the rest
  leila.letGo(sauna, []);
  const words = t('item.stepOf', { title: 'Ready the sauna' });
  expect(screen.getByText(words)).toBeTruthy();
  expect(screen.queryByRole('link', { name: words })).toBeNull();
  leila.unmount();
  inHouse(w, 'Aino', <ItemSheet />);
  expect(screen.getByRole('link', { name: words })).toBeTruthy();
});
