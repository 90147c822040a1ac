import { act, screen } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { ListScreen } from '@/features/lists';
import { TodayScreen } from '@/features/today';
import { inHouse } from '@/testing/in-house.tsx';
import { t } from '@/words';

const TITLES = ['Beds', 'Floors', 'Windows'] as const;

const mockDrawn: string[] = [];
jest.mock('./item-face.tsx', () => {
  const actual = jest.requireActual<typeof import('./item-face.tsx')>('./item-face.tsx');
  return {
    ...actual,
    useItemFace: (props: import('./item-face.tsx').ItemRowProps) => {
      mockDrawn.push(props.item.title);
      return actual.useItemFace(props);
    },
  };
});

beforeEach(() => (mockDrawn.length = 0));

test('on Today what is done leaves, what is said otherwise is drawn, and the other rows stay as they were drawn', () => {
  const w = new World();
  const list = w.list('Aino', 'Rooms');
  for (const title of TITLES) w.item('Aino', title, { list, due: '2026-11-24' });
  const { meanwhile, titles } = inHouse(w, 'Aino', <TodayScreen />);
  expect(new Set(mockDrawn)).toEqual(new Set(TITLES));
  mockDrawn.length = 0;
  act(() => screen.getByRole('checkbox', { name: t('knot.tie', { title: 'Beds' }) }).click());
  expect(titles()).toEqual(['Floors', 'Windows']);
  expect(mockDrawn).toEqual([]);
  const windows = w.rows.all('item').find(({ title }) => title === 'Windows')!;
  meanwhile(() => void w.must('Aino', 'item.change', { item: windows.id, title: 'Windows, outside' }));
  expect(titles()).toEqual(['Floors', 'Windows, outside']);
  expect(new Set(mockDrawn)).toEqual(new Set(['Windows, outside']));
});

test('in a list that is put in order by hand, and of which somebody else does one, only what is another one is drawn', () => {
  const w = new World();
  w.join('Leila');
  const list = w.list('Aino', 'Rooms', [['Leila', 'edit']]);
  const items = TITLES.map((title) => w.item('Aino', title, { list }));
  const { meanwhile } = inHouse(w, 'Aino', <ListScreen listId={list} />);
  expect(new Set(mockDrawn)).toEqual(new Set(TITLES));
  mockDrawn.length = 0;
  meanwhile(() => void w.must('Leila', 'item.change', { item: items[1]!, title: 'Floors, waxed' }));
  expect(new Set(mockDrawn)).toEqual(new Set(['Floors, waxed']));
  mockDrawn.length = 0;
  meanwhile(() => void w.item('Aino', 'Curtains', { list }));
  expect(new Set(mockDrawn)).toEqual(new Set(['Curtains']));
});
