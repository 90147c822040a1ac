import { World } from '@kotiva/core/testing/world';
import { fireEvent, screen, within } from '@testing-library/react';
import { answering } from '@/testing/answers.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { t } from '@/words';
import { ActivityScreen } from './index.ts';

/** Aino's house with three things that happened: the oars were checked off two days before the network was back. */
function house() {
  const w = new World();
  const entry = (id: string, at: string, arrivedAt = at) => ({
    id,
    itemId: null,
    listId: null,
    actorId: w.person('Aino'),
    kind: 'house.change',
    params: {},
    at,
    arrivedAt,
  });
  const entries = [
    entry('c', '2026-11-24T09:00:00.000Z'),
    entry('b', '2026-11-22T09:00:00.000Z', '2026-11-24T08:00:00.000Z'),
    entry('a', '2026-11-23T09:00:00.000Z'),
  ];
  const asked = answering({ body: { entries, titles: {}, next: null } });
  inHouse(w, 'Aino', <ActivityScreen />);
  return { w, asked };
}

test('days follow each other: what came in late stands under the day it came, and says when it was', async () => {
  house();
  await screen.findAllByText(/^Aino /);
  const said = screen.getAllByText(/^(Today|Yesterday|Aino .* · .*)$/).map(({ textContent }) => textContent!.split(' · ').at(-1));
  expect(said).toEqual(['Today', 'today 11:00', 'Sun 11:00', 'Yesterday', 'Mon 11:00']);
});

test('what it shows is one line, which opens; a person chosen there is asked for, and said in it', async () => {
  const { w, asked } = house();
  await screen.findAllByText(/^Aino /);
  expect(screen.queryByRole('radiogroup', { name: t('activity.who') })).toBeNull();
  const line = screen.getByRole('button', { name: t('activity.shown', { what: t('activity.all'), name: t('activity.everyone') }) });
  fireEvent.click(line);
  fireEvent.click(within(screen.getByRole('radiogroup', { name: t('activity.who') })).getByRole('radio', { name: 'Aino' }));
  expect(await screen.findByRole('button', { name: t('activity.shown', { what: t('activity.all'), name: 'Aino' }) })).toBeTruthy();
  await screen.findAllByText(/^Aino .* · /);
  expect(asked.at(-1)).toContain(`person=${w.person('Aino')}`);
});
