import { fireEvent, screen, waitFor } from '@testing-library/react';
import type { FilterCondition } from '@kotiva/core';
import { World } from '@kotiva/core/testing/world';
import { CaptureLine } from '@/features/capture';
import { choose, enter, tap, type } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { carry } from '@/testing/router.ts';
import { t } from '@/words';
import { ViewRows } from './view-rows.tsx';
import { ViewScreen } from './view-screen.tsx';
import { ViewsOnToday } from './views-on-today.tsx';

afterEach(() => carry({}));

/** A house with a kept view of what carries these tags, each asked by itself. */
function house(...names: string[]) {
  const w = new World();
  w.join('Petri');
  const list = w.list('Aino', 'Boats', [['Petri', 'edit']]);
  w.item('Aino', 'Paint the hull', { list, tags: ['boats', 'paint'] });
  w.item('Aino', 'Oil the oars', { list, tags: ['boats'] });
  const tag = (name: string) => w.rows.all('tag').find((one) => one.name === name)!.id;
  const conditions = names.map((name): FilterCondition => ({ of: 'tag', ids: [tag(name)], not: false }));
  w.must('Aino', 'savedView.make', { name: 'On the water', isShared: true, filter: { match: 'all', state: 'open', conditions } });
  return { w, tag, view: w.rows.all('savedView')[0]! };
}

test('a tag that was removed is struck through and left out; what is left of the view goes on', () => {
  const { w, tag, view } = house('boats', 'paint');
  const before = inHouse(w, 'Aino', <ViewScreen viewId={view.id} />);
  expect(before.titles()).toEqual(['Paint the hull']);
  before.unmount();
  w.must('Aino', 'tag.remove', { tag: tag('paint') });
  const { titles } = inHouse(w, 'Aino', <ViewScreen viewId={view.id} />);
  expect(screen.getByRole('button', { name: t('filter.goneCondition', { what: '#paint' }) })).toBeTruthy();
  expect(titles().toSorted()).toEqual(['Oil the oars', 'Paint the hull']);
});

test('if nothing is left of what it asks for, that is said, and nothing is shown', () => {
  const { w, tag, view } = house('paint');
  w.must('Aino', 'tag.remove', { tag: tag('paint') });
  const { titles } = inHouse(w, 'Aino', <ViewScreen viewId={view.id} />);
  expect(titles()).toEqual([]);
  expect(screen.getByText(t('view.allGone'))).toBeTruthy();
});

test('a condition of another version is named as left out; who may not change the view keeps their own', () => {
  const { w, view } = house('boats');
  carry({ narrow: JSON.stringify({ match: 'all', state: 'open', conditions: [view.filter.conditions[0], { of: 'colour', is: 'red' }] }) });
  const { titles } = inHouse(w, 'Petri', <ViewScreen viewId={view.id} />);
  expect(screen.getByText(t('filter.unknown', { count: 1 }))).toBeTruthy();
  expect(titles().toSorted()).toEqual(['Oil the oars', 'Paint the hull']);
  fireEvent.keyDown(screen.getByRole('button', { name: t('view.more', { name: 'On the water' }) }), { key: 'Enter' });
  expect(screen.getByRole('menuitem', { name: t('view.onToday') })).toBeTruthy();
  expect(screen.queryByRole('menuitem', { name: t('view.rename') })).toBeNull();
});

test('changed by who may: saved, taken back, and as it was saved again', () => {
  const { w, view } = house('boats');
  const { given } = inHouse(w, 'Aino', <ViewScreen viewId={view.id} />);
  tap(t('filter.narrow'));
  tap(t('filter.kind.importance'));
  tap(t('importance.2'), 'radio');
  tap(/^Show 0 items$/);
  tap(t('view.saveChange'));
  expect(given).toEqual(['savedView.change']);
  expect(w.rows.all('savedView')[0]!.filter.conditions).toHaveLength(2);
});

test('put on one’s day it stands there, folded, with what meets it now; for nobody else', async () => {
  const { w, view } = house('boats');
  const shown = inHouse(w, 'Aino', <ViewScreen viewId={view.id} />);
  choose(t('view.more', { name: 'On the water' }), t('view.onToday'));
  await waitFor(() => expect(shown.given).toEqual(['view.arrange']));
  shown.unmount();
  const today = inHouse(w, 'Aino', <ViewsOnToday />);
  tap(t('view.folded', { name: 'On the water', count: 2 }));
  expect(today.titles().toSorted()).toEqual(['Oil the oars', 'Paint the hull']);
  w.must('Aino', 'part.checkOff', { item: w.rows.all('item').find(({ title }) => title === 'Oil the oars')!.id, person: null });
  today.unmount();
  expect(inHouse(w, 'Aino', <ViewsOnToday />).container.textContent).toContain(t('view.folded', { name: 'On the water', count: 1 }));
  expect(inHouse(w, 'Petri', <ViewsOnToday />).container.textContent).toBe('');
});

test('one that was removed says so', () => {
  const { w, view } = house('boats');
  w.must('Aino', 'savedView.change', { view: view.id, removed: true });
  inHouse(w, 'Aino', <ViewScreen viewId={view.id} />);
  expect(screen.getByText(t('view.goneWhy'))).toBeTruthy();
});

test('a view one doesn’t want among one’s lists is folded away, for oneself alone, and comes back', async () => {
  const { w } = house('boats');
  const first = inHouse(w, 'Aino', <ViewRows />);
  for (const name of [t('whole.title'), 'On the water']) {
    choose(t('view.more', { name }), t('view.hide'));
    await waitFor(() => expect(screen.queryByText(name)).toBeNull());
  }
  tap(t('view.hidden', { count: 2 }));
  choose(t('view.more', { name: 'On the water' }), t('view.unhide'));
  await screen.findByText(t('view.hidden', { count: 1 }));
  first.unmount();
  inHouse(w, 'Petri', <ViewRows />);
  expect(screen.getByText(t('whole.title'))).toBeTruthy();
  expect(screen.queryByText(t('view.hidden', { count: 1 }))).toBeNull();
});

test('in a column of a board that was chosen to add to, what is typed goes into it; where nothing can be put, nothing is offered', async () => {
  const { w } = house('boats');
  const others = w.list('Aino', 'Aino’s own', [['Petri', 'view']]);
  w.item('Aino', 'Grease the axle', { list: others, tags: ['boats'] });
  const view = w.rows.all('savedView')[0]!;
  w.must('Petri', 'view.arrange', { view: view.id, phoneLayout: 'board', boardBy: 'list' });
  inHouse(
    w,
    'Petri',
    <>
      <ViewScreen viewId={view.id} />
      <CaptureLine />
    </>,
  );
  const addTo = (name: string) => t('board.addTo', { words: t('board.add'), name });
  await screen.findByRole('button', { name: addTo('Boats') });
  expect(screen.queryByRole('button', { name: addTo('Aino’s own') })).toBeNull();
  const write = (title: string) => {
    type(t('capture.line'), title);
    enter(t('capture.line'));
    return w.rows.all('item').find((item) => item.title === title)!;
  };
  expect(write('Coil the ropes').listId).toBeNull();
  tap(addTo('Boats'));
  expect(write('Scrub the deck')).toMatchObject({ listId: w.rows.all('list').find(({ name }) => name === 'Boats')!.id, sectionId: null });
  tap(t('board.addTo', { words: t('board.adding'), name: 'Boats' }));
  expect(write('Look at the sails').listId).toBeNull();
});
