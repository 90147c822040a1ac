import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { idOf, World } from '@kotiva/core/testing/world';
import { alerts, tap, type } from '@/testing/hands.ts';
import { draftsOf } from '@/store/drafts.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { RoundScreen } from './round-screen.tsx';
import { t } from '@/words';

/** Petri, at the quay at noon of a Tuesday; the shop lies on the way to the dairy, the island 40 km off. */
function house() {
  const w = new World();
  for (const name of ['Petri', 'Tapio']) w.join(name);
  for (const [name, lat] of [
    ['Quay', 62.3],
    ['Dairy', 62.36],
    ['Shop', 62.32],
    ['Island', 62.7],
  ] as const)
    w.must('Petri', 'place.make', { name, position: { lat, lon: 27.1 } });
  const list = w.list('Petri', 'Errands', [['Tapio', 'check']]);
  const at = (name: string) => w.rows.all('place').find((one) => one.name === name)!.id;
  const item = (title: string, place: string, due?: string) => w.item('Petri', title, { list, place: at(place), due });
  const items = { butter: item('Butter', 'Dairy'), milk: item('Milk', 'Shop'), salt: item('Salt', 'Shop') };
  return { w, at, item, items };
}
beforeEach(() => localStorage.clear());
const open = (w: World, who = 'Petri') => inHouse(w, who, <RoundScreen />);
/** Planned to end at its last stop: there and back, either way round is as short. */
async function openToTheLast(w: World) {
  const shown = open(w);
  await screen.findByText(/^Done at/);
  tap('Ends: back at the start');
  tap(t('round.end.last'), 'radio');
  await screen.findByText(/^Done at/);
  return shown;
}
/** The stops in the order shown, without their numbers and hours. */
const order = () => screen.getAllByRole('button', { name: /^Move / }).map((one) => one.getAttribute('aria-label')!.slice('Move '.length));
const round = (w: World) => w.rows.all('errandRound').find(({ endedAt }) => endedAt === null);
const move = (place: string, how: string) => {
  fireEvent.keyDown(screen.getByRole('button', { name: `Move ${place}` }), { key: 'Enter' });
  fireEvent.click(screen.getByRole('menuitem', { name: how }));
};

test('with nothing to do at a place, it says how a round comes about', () => {
  const w = new World();
  open(w, 'Aino');
  expect(screen.getByText(/^No open items have a place on the map/)).toBeTruthy();
});

test('what is done elsewhere meanwhile leaves the way, also one put in order by hand', async () => {
  const { w, items } = house();
  const { meanwhile } = await openToTheLast(w);
  move('Shop', 'Down');
  await waitFor(() => expect(order()).toEqual(['Dairy', 'Shop']));
  meanwhile(() => {
    for (const item of [items.milk, items.salt]) w.must('Petri', 'part.checkOff', { item, person: null });
  });
  // one stop alone has no order
  await waitFor(() => expect(screen.queryAllByRole('button', { name: /^Move / })).toEqual([]));
  expect(screen.getAllByText('Dairy').length).toBeGreaterThan(0);
  meanwhile(() => w.must('Petri', 'part.checkOff', { item: items.butter, person: null }));
  expect(screen.getByText(/^No open items have a place on the map/)).toBeTruthy();
});

test('somebody who leaves the house while the round is being handed to them', async () => {
  const { w } = house();
  const { meanwhile } = await openToTheLast(w);
  tap(t('round.start'));
  tap(t('round.hand'));
  tap('Tapio', 'radio');
  meanwhile(() => w.must('Aino', 'person.end', { person: w.person('Tapio'), parts: [] }));
  tap(t('hand.over'));
  expect(alerts()).toEqual(['Choose someone.']);
});

test('the way is the shortest; another order says what it costs, and the shortest is one tap away', async () => {
  const { w } = house();
  await openToTheLast(w);
  expect(order()).toEqual(['Shop', 'Dairy']);
  move('Shop', 'Down');
  await waitFor(() => expect(order()).toEqual(['Dairy', 'Shop']));
  expect(screen.getByText(/^\d+ min longer than the shortest$/)).toBeTruthy();
  tap(t('round.takeBest'));
  expect(order()).toEqual(['Shop', 'Dairy']);
});

test('what can’t be made in time is left out, with why', async () => {
  const { w, item } = house();
  item('Oars', 'Island', '2026-11-24T12:20');
  open(w);
  const left = within(await screen.findByRole('region', { name: t('round.left') }));
  expect(left.getByText('Island: too far to get there in time')).toBeTruthy();
  expect(order().toSorted()).toEqual(['Dairy', 'Shop']);
});

test('a stop is left out by hand; with none left it says so', async () => {
  const { w } = house();
  open(w);
  await screen.findByText(/^Done at/);
  const stops = within(screen.getByRole('group', { name: t('round.stops') }));
  fireEvent.click(stops.getByRole('checkbox', { name: /^Dairy/ }));
  await screen.findByText(/^Done at/);
  // with one stop there is no order
  expect(screen.queryByRole('button', { name: /^Move / })).toBeNull();
  fireEvent.click(stops.getByRole('checkbox', { name: /^Shop/ }));
  expect(screen.getByText(t('round.noStops'))).toBeTruthy();
});

test('left half planned, it is there again as it was; begun, the next is planned anew', async () => {
  const { w } = house();
  const first = await openToTheLast(w);
  fireEvent.click(within(screen.getByRole('group', { name: t('round.stops') })).getByRole('checkbox', { name: /^Dairy/ }));
  await screen.findByText(/^Done at/);
  first.unmount();
  const second = open(w);
  expect(screen.getByText('Ends: at the last stop')).toBeTruthy();
  expect(screen.getByRole('checkbox', { name: /^Dairy/ }).getAttribute('aria-checked')).toBe('false');
  await screen.findByText(/^Done at/);
  tap(t('round.start'));
  expect(round(w)!.stops).toHaveLength(1);
  second.unmount();
  expect(draftsOf(idOf('account Petri'))).toBe(0);
});

test('begun, the next stop comes first, with its things to check off; checking off moves on', async () => {
  const { w, at, items } = house();
  const { titles, said } = await openToTheLast(w);
  tap(t('round.start'));
  expect(said()).toBe('You’re on your way.');
  expect(round(w)!.stops.map(({ place }) => place)).toEqual([at('Shop'), at('Dairy')]);
  expect(titles().slice(0, 2).sort()).toEqual(['Milk', 'Salt']);
  tap('Check off “Milk”', 'checkbox');
  tap('Check off “Salt”', 'checkbox');
  expect(within(screen.getByRole('region', { name: t('round.nextStop') })).getByText('Dairy')).toBeTruthy();
  tap('Check off “Butter”', 'checkbox');
  expect(screen.getByText(t('round.allDone'))).toBeTruthy();
  tap(t('round.end'));
  expect(round(w)).toBeUndefined();
  expect(w.part(items.butter, null).standing).toBe('completed');
});

test('handed to nobody is said; handed over, it is theirs and no longer mine', async () => {
  const { w } = house();
  const petri = open(w);
  await screen.findByText(/^Done at/);
  tap(t('round.start'));
  tap(t('round.hand'));
  tap(t('hand.over'));
  expect(alerts()).toEqual(['Choose someone.']);
  tap('Tapio', 'radio');
  type(t('nudge.words'), 'The shop first, they close early');
  tap(t('hand.over'));
  expect(round(w)!.personId).toBe(w.person('Tapio'));
  expect(w.told('Tapio')).toContain('round');
  petri.unmount();
  open(w, 'Tapio');
  expect(screen.getByRole('region', { name: t('round.nextStop') })).toBeTruthy();
});
