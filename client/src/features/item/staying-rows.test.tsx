import { act, fireEvent, screen } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { ListScreen } from '@/features/lists';
import { TodayScreen } from '@/features/today';
import { AsTheyStand } from '@/store/shown.tsx';
import { inHouse } from '@/testing/in-house.tsx';
import { followHand } from '@/ui/hand.ts';
import { t } from '@/words';

const TITLES = ['Beds', 'Floors', 'Windows'] as const;

beforeAll(followHand);
beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

const knot = (title: string, is: 'tie' | 'untie') => screen.getByRole('checkbox', { name: t(`knot.${is}`, { title }) });

/** With a finger. */
function tap(on: HTMLElement): void {
  fireEvent.pointerDown(on);
  fireEvent.pointerUp(on);
  fireEvent.click(on);
}
const pass = (ms: number) => act(() => jest.advanceTimersByTime(ms));

function today() {
  const w = new World();
  const list = w.list('Aino', 'Rooms');
  for (const title of TITLES) w.item('Aino', title, { list, due: '2026-11-24' });
  return { list, ...inHouse(w, 'Aino', <AsTheyStand><TodayScreen /></AsTheyStand>) }; // prettier-ignore
}

test('on Today what was ticked stays two seconds where it is, counted from the last; then it leaves, all at once', () => {
  const { titles } = today();
  tap(knot('Beds', 'tie'));
  expect(titles()).toEqual(TITLES);
  expect(knot('Beds', 'untie')).toBeTruthy();
  pass(1_900);
  tap(knot('Windows', 'tie'));
  pass(1_900);
  expect(titles()).toEqual(TITLES);
  pass(200);
  expect(titles()).toEqual(['Floors']);
});

test('a second tap takes it back, and it is there afterwards as well', () => {
  const { titles } = today();
  tap(knot('Beds', 'tie'));
  pass(900);
  tap(knot('Beds', 'untie'));
  pass(3_000);
  expect(titles()).toEqual(TITLES);
  expect(knot('Beds', 'tie')).toBeTruthy();
});

test('nothing leaves while a finger is down, and at once when a key is pressed', () => {
  const { titles } = today();
  tap(knot('Beds', 'tie'));
  fireEvent.pointerDown(knot('Floors', 'tie'));
  pass(4_000);
  expect(titles()).toEqual(TITLES);
  fireEvent.pointerUp(document.body);
  pass(400);
  expect(titles()).toEqual(['Floors', 'Windows']);
  tap(knot('Floors', 'tie'));
  expect(titles()).toEqual(['Floors', 'Windows']);
  act(() => void fireEvent.keyDown(document.body, { key: 'Tab' }));
  expect(titles()).toEqual(['Windows']);
});

test('in a list it stays among what is open, by keys it leaves at once; what somebody else adds meanwhile is there', () => {
  const w = new World();
  w.join('Leila');
  const list = w.list('Aino', 'Rooms', [['Leila', 'edit']]);
  for (const title of TITLES) w.item('Aino', title, { list });
  const { titles, meanwhile } = inHouse(w, 'Aino', <AsTheyStand><ListScreen listId={list} /></AsTheyStand>); // prettier-ignore
  tap(knot('Beds', 'tie'));
  meanwhile(() => void w.item('Leila', 'Curtains', { list }));
  expect(new Set(titles())).toEqual(new Set([...TITLES, 'Curtains']));
  fireEvent.keyDown(knot('Floors', 'tie'), { key: 'Enter' });
  fireEvent.click(knot('Floors', 'tie'));
  expect(new Set(titles())).toEqual(new Set(['Windows', 'Curtains']));
});
