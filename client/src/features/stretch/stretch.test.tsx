import { act, screen } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { LookingBackScreen } from '@/features/looking-back';
import { tap, type } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { openSheet } from '@/ui';
import { t } from '@/words';
import { StretchHere } from './index.ts';

const begin = async () => {
  act(() => openSheet('stretch'));
  await screen.findByRole('button', { name: t('stretch.start') });
};
const mine = (w: World) => w.rows.by('stretch', 'personId', w.person('Aino'));

test('begun for so many minutes it stands on the screen, and is ended from there', async () => {
  const w = new World();
  inHouse(w, 'Aino', <StretchHere />);
  await begin();
  tap('45 min', 'radio');
  tap(t('stretch.start'));
  expect(mine(w)).toMatchObject([{ minutes: 45, endedAt: null }]);
  expect(await screen.findByText(/^Focus: 45 min left, until /)).toBeTruthy();
  tap(t('stretch.stop'));
  expect(mine(w)[0]!.endedAt).not.toBeNull();
  expect(screen.queryByText(/^Focus: /)).toBeNull();
});

test.each(['4', '241', '2.5', '-10', 'half an hour', '1e3'])('“%s” minutes are told beside the field, and stay there', async (typed) => {
  const w = new World();
  inHouse(w, 'Aino', <StretchHere />);
  await begin();
  type(t('stretch.other'), typed);
  tap(t('stretch.start'));
  expect(mine(w)).toEqual([]);
  expect(screen.getByRole('alert').textContent).toContain('from 5 to 240');
  expect(screen.getByLabelText<HTMLInputElement>(t('stretch.other')).value).toBe(typed);
});

test('looking back, one’s own are there with what was done in each; those of others are nobody else’s', async () => {
  const w = new World();
  w.join('Leila');
  const rope = w.item('Aino', 'New rope');
  w.must('Leila', 'stretch.begin', { minutes: 15 });
  w.must('Aino', 'stretch.begin', { minutes: 25 });
  w.later(5);
  w.must('Aino', 'part.checkOff', { item: rope, person: null });
  w.later(5);
  w.must('Aino', 'stretch.end', {});
  w.must('Leila', 'stretch.end', {});
  inHouse(w, 'Aino', <LookingBackScreen />);
  expect(await screen.findByText(t('stretch.yours'))).toBeTruthy();
  expect(screen.getAllByText(/–\d\d:\d\d$/)).toHaveLength(1);
  // in its stretch, and among what was done
  expect(screen.getAllByText('New rope')).toHaveLength(2);
});
