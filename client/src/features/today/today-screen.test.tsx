import { fireEvent, screen, within } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { Glance } from '@/features/item';
import { inHouse } from '@/testing/in-house.tsx';
import { carry } from '@/testing/router.ts';
import { OfPerson } from './of-person.tsx';
import { TodayScreen } from './today-screen.tsx';
import { t } from '@/words';

/** A Tuesday, noon in Helsinki: the morning is over. */
function house() {
  const w = new World();
  w.join('Leila', 'helper');
  const list = w.list('Aino', 'Rooms', [['Leila', 'check']]);
  w.item('Aino', 'Late from Friday', { list, due: '2026-11-20' });
  w.item('Aino', 'By four', { list, due: '2026-11-24T16:00' });
  w.item('Aino', 'Some time today', { list, due: '2026-11-24', importance: 3 });
  w.item('Aino', 'This evening', { list, due: '2026-11-24T19:00' });
  w.item('Aino', 'On Friday', { list, due: '2026-11-27' });
  return { w, list };
}
afterEach(() => carry({}));

const tap = (name: string | RegExp, role = 'button') => fireEvent.click(screen.getByRole(role, { name }));

test('by part of day: what is late is for now, what is over is one line', () => {
  const { w } = house();
  w.now = '2026-11-24T15:30:00.000Z';
  const { titles } = inHouse(w, 'Aino', <TodayScreen />);
  // half past five: the day is over and folds, with what is still open
  expect(screen.getByRole('button', { name: 'Day: 1 still open' })).toBeTruthy();
  expect(titles()).toEqual(['Late from Friday', 'This evening', 'Some time today', 'On Friday']);
  tap('Day: 1 still open');
  expect(titles()).toContain('By four');
});

test('put together and sorted otherwise, and it stays so', () => {
  const { w } = house();
  const { titles, unmount } = inHouse(w, 'Aino', <TodayScreen />);
  tap(/View/);
  tap(t('group.none'), 'radio');
  tap(t('sortBy.title'), 'radio');
  tap(t('common.done'));
  expect(titles()).toEqual(['By four', 'Late from Friday', 'Some time today', 'This evening', 'On Friday']);
  unmount();
  expect(inHouse(w, 'Aino', <TodayScreen />).titles()).toEqual(['By four', 'Late from Friday', 'Some time today', 'This evening', 'On Friday']);
});

test('of the seven days ahead the first three things are in sight, the rest is one line', () => {
  const w = new World();
  for (const date of ['2026-11-28', '2026-11-25', '2026-11-26', '2026-11-27', '2026-11-27']) w.item('Aino', `Due ${date}`, { due: date });
  w.item('Aino', 'For today', { due: '2026-11-24' });
  const { titles } = inHouse(w, 'Aino', <TodayScreen />);
  expect(titles()).toEqual(['For today', 'Due 2026-11-25', 'Due 2026-11-26', 'Due 2026-11-27']);
  tap(t('today.aheadRest', { count: 2 }));
  expect(titles()).toHaveLength(6);
});

test('one part of the day alone, by its address; what it is not for is not there', () => {
  const { w } = house();
  carry({ part: 'evening' });
  const { titles } = inHouse(w, 'Aino', <TodayScreen />);
  expect(screen.getByRole('heading', { level: 1 }).textContent).toBe(t('dayPart.evening'));
  expect(titles()).toEqual(['This evening']);
});

test('a limit folds the rest away; when that is done the next best is offered', () => {
  const { w } = house();
  const { titles } = inHouse(w, 'Aino', <TodayScreen />);
  tap(/View/);
  fireEvent.click(within(screen.getByRole('radiogroup', { name: t('cap.label') })).getByRole('radio', { name: '3' }));
  tap(t('common.done'));
  expect(titles()).toHaveLength(3);
  expect(screen.getByRole('button', { name: '1 more for today, over your limit' })).toBeTruthy();
  for (const name of titles()) tap(`Check off “${name}”`, 'checkbox');
  expect(screen.getByRole('heading', { name: t('today.next') })).toBeTruthy();
  expect(titles()).toHaveLength(1);
});

test('several are chosen and put off together, as one action', () => {
  const { w } = house();
  const { given, said, titles } = inHouse(w, 'Aino', <TodayScreen />);
  tap(/View/);
  tap(t('sort.select'));
  tap(/^By four/, 'checkbox');
  tap(/^This evening/, 'checkbox');
  fireEvent.click(within(screen.getByRole('group', { name: 'What to do with these 2' })).getByRole('button', { name: t('decide.later') }));
  expect(given).toEqual(['part.later']);
  expect(said()).toBe('2 items: later, without a day.');
  expect(titles()).toContain('By four');
});

test('what is so now leaves out what needs something else', () => {
  const { w, list } = house();
  w.must('Aino', 'situation.make', { name: 'phone in hand', kind: 'tool' });
  w.must('Aino', 'situation.make', { name: 'ladder', kind: 'tool' });
  const [phone, ladder] = w.rows.all('situation').map(({ id }) => id);
  w.item('Aino', 'Gutter', { list, due: '2026-11-24', situations: [ladder!] });
  w.item('Aino', 'Undated call', { list, situations: [phone!] });
  const { titles } = inHouse(w, 'Aino', <TodayScreen />);
  expect(titles()).toContain('Gutter');
  tap(/^Right now/);
  tap('phone in hand', 'checkbox');
  expect(titles()).not.toContain('Gutter');
  expect(titles()).toContain('Undated call');
  tap('phone in hand', 'checkbox');
  expect(titles()).toContain('Gutter');
});

test('what somebody else does shows while one looks', () => {
  const { w, list } = house();
  const { titles, meanwhile } = inHouse(w, 'Aino', <TodayScreen />);
  meanwhile(() => w.item('Aino', 'Just come', { list, due: '2026-11-24' }));
  expect(titles()).toContain('Just come');
});

test('what I keep on top is the first part of my day, whatever its day and whoever has it', () => {
  const w = new World();
  w.join('Leila');
  const list = w.list('Aino', 'Boathouse', [['Leila', 'edit']]);
  const today = w.item('Aino', 'Oil the hinges', { list, plan: '2026-11-24' });
  const leilas = w.item('Aino', 'Paint the door', { list, persons: [w.person('Leila')] });
  w.item('Aino', 'Sweep the jetty', { list, plan: '2026-11-24' });
  w.must('Aino', 'item.pin', { item: leilas, on: true });
  w.later(1);
  w.must('Aino', 'item.pin', { item: today, on: true });
  const { titles } = inHouse(w, 'Aino', <TodayScreen />);
  expect(screen.getByRole('heading', { name: t('pin.title') })).toBeTruthy();
  expect(titles().slice(0, 3)).toEqual(['Paint the door', 'Oil the hinges', 'Sweep the jetty']);
  expect(titles().filter((title) => title === 'Oil the hinges')).toHaveLength(1);
});

test('the day narrowed by a filter: counted of the day, said above it, what is typed takes it over; and let go', () => {
  const { w } = house();
  const yard = w.list('Aino', 'Yard');
  w.item('Aino', 'Rake leaves', { list: yard, plan: '2026-11-24' });
  w.item('Aino', 'Prune the roses', { list: yard });
  const { titles } = inHouse(w, 'Aino', <TodayScreen />);
  tap(t('filter.narrow'));
  tap(t('filter.kind.list'));
  tap('Yard', 'checkbox');
  tap(t('filter.show', { count: 2 }));
  expect(titles()).toEqual(['Rake leaves']);
  expect(screen.getByRole('group', { name: t('filter.of') }).textContent).toContain(t('filter.in.list', { names: 'Yard' }));
  tap(t('filter.remove', { what: t('filter.in.list', { names: 'Yard' }) }));
  expect(titles()).toContain('By four');
});

test('somebody else’s day is narrowed too', () => {
  const { w, list } = house();
  for (const title of ['Fold the towels', 'Air the rooms']) w.item('Aino', title, { list, persons: [w.person('Leila')] });
  carry({ narrow: JSON.stringify({ match: 'all', state: 'open', conditions: [{ of: 'person', who: [w.person('Leila')], not: false }, { of: 'words', words: 'towels', not: false }] }) }); // prettier-ignore
  inHouse(w, 'Aino', <OfPerson personId={w.person('Leila')} />);
  expect(screen.getByText('Fold the towels')).toBeTruthy();
  expect(screen.queryByText('Air the rooms')).toBeNull();
});

test('a filter nothing of the day meets says so', () => {
  carry({ narrow: JSON.stringify({ match: 'all', state: 'open', conditions: [{ of: 'words', words: 'piano', not: false }] }) });
  inHouse(house().w, 'Aino', <TodayScreen />);
  expect(screen.getByText(t('filter.nothingHere'))).toBeTruthy();
});

test('a swipe’s word shows the facts of a thing without opening it', () => {
  const { w } = house();
  inHouse(
    w,
    'Aino',
    <>
      <TodayScreen />
      <Glance />
    </>,
  );
  fireEvent.click(screen.getAllByRole('button', { name: t('row.glance') })[0]!);
  const sheet = within(screen.getByRole('dialog', { name: t('glance.of', { title: 'Late from Friday' }) }));
  expect(sheet.getByText(t('glance.due'))).toBeTruthy();
  expect(sheet.getByText(t('glance.none'))).toBeTruthy();
});
