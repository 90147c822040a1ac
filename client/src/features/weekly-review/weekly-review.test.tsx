import { screen } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { tap } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { t } from '@/words';
import { WeeklyReviewScreen } from './index.ts';

const at = (nth: number) => screen.findByText(t('review.at', { nth, of: 8 }));
const next = (pile: 'late' | 'needs-you') => tap(t('review.next', { pile: t(`review.pile.${pile}`) }));

test('stopped half-way on one device, it goes on there on another; with the next week it begins anew', async () => {
  const w = new World();
  w.item('Aino', 'Oil the gate', { due: '2026-11-20' });
  const first = inHouse(w, 'Aino', <WeeklyReviewScreen />);
  await at(1);
  next('late');
  next('needs-you');
  await at(3);
  first.unmount();
  const other = inHouse(w, 'Aino', <WeeklyReviewScreen />);
  await at(3);
  tap(t('review.back'));
  await at(2);
  other.unmount();
  w.later(7 * 24 * 60);
  inHouse(w, 'Aino', <WeeklyReviewScreen />);
  await at(1);
});

test('to the end it says what came of it, against what there was when it began; gone through again it begins with what there is', async () => {
  const w = new World();
  const item = w.item('Aino', 'Oil the gate', { due: '2026-11-20' });
  const { meanwhile } = inHouse(w, 'Aino', <WeeklyReviewScreen />);
  await at(1);
  next('late');
  await at(2);
  meanwhile(() => w.must('Aino', 'part.checkOff', { item, person: null }));
  tap(t('review.ahead'));
  await at(8);
  tap(t('review.finish'));
  await screen.findByText(t('review.changed', { pile: t('review.pile.late'), before: 1, now: 0 }));
  tap(t('review.again'));
  await at(1);
});

test('somebody else is where they are', async () => {
  const w = new World();
  w.join('Leila');
  const { unmount } = inHouse(w, 'Aino', <WeeklyReviewScreen />);
  await at(1);
  next('late');
  await at(2);
  unmount();
  inHouse(w, 'Leila', <WeeklyReviewScreen />);
  await at(1);
});
