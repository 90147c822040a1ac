import { screen, waitFor, within } from '@testing-library/react';
import { listWatchId, watchId } from '@kotiva/core';
import { ItemSheet } from '@/features/item';
import { ListScreen } from '@/features/lists';
import { boathouse } from '@/testing/boathouse.ts';
import { choose, tap } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { carry } from '@/testing/router.ts';
import { t } from '@/words';

afterEach(() => carry({}));
const chosen = () =>
  within(screen.getByRole('group', { name: /Notify me about/ }))
    .getAllByRole('checkbox', { checked: true })
    .map((one) => one.textContent);

test('of an item: what one hears, and who is asked to follow it; they can stop where they read who asked', async () => {
  const { w, list } = boathouse();
  const oars = w.item('Aino', 'Oars', { list, persons: [w.person('Leila')] });
  carry({ item: oars });
  const { unmount } = inHouse(w, 'Aino', <ItemSheet />);
  choose(t('item.more'), t('watch.open'));
  await screen.findByRole('group', { name: t('watch.tellMe') });
  // who gave it hears of it without following
  expect(chosen()).toEqual(['done and reopened', 'questions and refusals', 'comments']);
  tap(t('topic.said'), 'checkbox');
  tap(t('topic.changes'), 'checkbox');
  expect(w.rows.find('watch', watchId(oars, w.person('Aino')))).toMatchObject({ on: true, topics: ['done', 'answers', 'changes'] });
  // who has it hears of it anyway
  expect(screen.queryByRole('button', { name: 'Ask Leila to follow it' })).toBeNull();
  tap('Ask Tapio to follow it');
  expect(screen.queryByRole('button', { name: 'Ask Tapio to follow it' })).toBeNull();
  expect(screen.getByText(t('watch.byMe'))).toBeTruthy();
  expect(w.told('Tapio')).toEqual(['following']);
  unmount();

  const tapio = inHouse(w, 'Tapio', <ItemSheet />);
  expect(screen.getByText('Aino asked you to follow this. Followed by Aino.')).toBeTruthy();
  tap(t('watch.stopMine'));
  expect(tapio.said()).toBe('You no longer follow it.');
  expect(w.rows.find('watch', watchId(oars, w.person('Tapio')))).toMatchObject({ on: false });
});

test('whoever has left the house is not named among those who follow', () => {
  const { w, list } = boathouse();
  const oars = w.item('Aino', 'Oars', { list });
  w.must('Tapio', 'watch.set', { item: oars, person: w.person('Tapio'), on: true });
  carry({ item: oars });
  const { meanwhile } = inHouse(w, 'Aino', <ItemSheet />);
  expect(screen.getByText('Followed by Tapio.')).toBeTruthy();
  meanwhile(() => w.must('Aino', 'person.end', { person: w.person('Tapio') }));
  expect(screen.queryByText(/Followed by/)).toBeNull();
});

test('of each part, only with what is done', async () => {
  const { w, list } = boathouse();
  const oars = w.item('Aino', 'Oars', { list, persons: [w.person('Leila'), w.person('Tapio')], policy: 'each' });
  carry({ item: oars });
  inHouse(w, 'Aino', <ItemSheet />);
  choose(t('item.more'), t('watch.open'));
  await screen.findByRole('group', { name: t('watch.tellMe') });
  const mine = () => w.rows.find('watch', watchId(oars, w.person('Aino')));
  tap(t('topic.done'), 'checkbox');
  tap(t('watch.each'), 'checkbox');
  expect(mine()).toMatchObject({ each: true, topics: ['done', 'answers', 'said'] });
  tap(t('topic.done'), 'checkbox');
  expect(mine()).toMatchObject({ each: false, topics: ['answers', 'said'] });
});

test('of a list: everything in it, by whoever can open it; only who may change it asks others', async () => {
  const { w, list } = boathouse();
  const { unmount } = inHouse(w, 'Leila', <ListScreen listId={list} />);
  choose(t('list.more'), t('watch.open'));
  await screen.findByRole('group', { name: /everything in this list/ });
  expect(chosen.bind(null)).toThrow();
  expect(screen.queryByText(t('watch.ask'))).toBeNull();
  tap(t('watch.new'), 'checkbox');
  expect(w.rows.find('listWatch', listWatchId(list, w.person('Leila')))).toMatchObject({ on: true, topics: ['new'], byId: null });
  tap(t('watch.new'), 'checkbox');
  await waitFor(() => expect(w.rows.find('listWatch', listWatchId(list, w.person('Leila')))).toMatchObject({ on: false }));
  unmount();
});
