import { World } from '@kotiva/core/testing/world';
import { fireEvent, screen, within } from '@testing-library/react';
import { inHouse } from '@/testing/in-house.tsx';
import { FollowUpScreen } from './follow-up-screen.tsx';
import { t } from '@/words';

/** It is noon: nobody is left in peace. */
function screenOf() {
  const w = new World();
  for (const name of ['Leila', 'Noor']) w.join(name);
  const boats = w.list('Aino', 'Boats');
  w.item('Aino', 'Count the jackets', { list: boats, persons: [w.person('Leila')] });
  w.later(2 * 24 * 60);
  const fish = w.item('Aino', 'Order the fish', { persons: [w.person('Noor')], due: '2026-11-27' });
  w.must('Noor', 'part.decline', { item: fish, reason: 'No car' });
  const van = w.item('Aino', 'Buy the van');
  w.must('Aino', 'wait.set', { item: van, words: 'the price', askOn: '2026-11-30' });
  inHouse(w, 'Aino', <FollowUpScreen />);
  return w;
}
const tap = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const choose = (name: string) => fireEvent.click(within(screen.getByRole('dialog')).getByRole('radio', { name }));

test('each stands in its group with its reason, how long it has been out and when it is asked next', () => {
  screenOf();
  expect(screen.getByText(/Noor can’t: “No car”/)).toBeTruthy();
  expect(screen.getByText(/given 2 days ago · next nudge/)).toBeTruthy();
  expect(within(screen.getByRole('region', { name: t('wait.mine') })).getByText(/Waiting for the price · since today · ask again/)).toBeTruthy();
});

test('narrowed to a list by the filter, and everything again', () => {
  screenOf();
  tap(t('filter.narrow'));
  tap(t('filter.kind.list'));
  const sheet = within(screen.getByRole('dialog'));
  fireEvent.click(sheet.getByRole('checkbox', { name: 'Boats' }));
  // counted is what this view shows, not all there is
  fireEvent.click(sheet.getByRole('button', { name: t('filter.show', { count: 1 }) }));
  expect(screen.queryByText('Order the fish')).toBeNull();
  expect(screen.getByText('Count the jackets')).toBeTruthy();
  tap(t('filter.clear'));
  expect(screen.getByText('Order the fish')).toBeTruthy();
});

test('narrowed to how things stand, and everything again', () => {
  screenOf();
  tap(t('narrow.label', { how: t('narrow.narrow') }));
  choose(t('follow.group.needs-you'));
  fireEvent.click(screen.getByRole('button', { name: t('narrow.show') }));
  expect(screen.queryByText('Count the jackets')).toBeNull();
  tap(t('narrow.label', { how: t('follow.group.needs-you') }));
  fireEvent.click(screen.getByRole('button', { name: t('narrow.reset') }));
  expect(screen.getByText('Count the jackets')).toBeTruthy();
});

test('a nudge goes at once; the second of the day is asked about first', () => {
  const w = screenOf();
  tap('Nudge: Count the jackets');
  expect(w.part(w.rows.all('item').find(({ title }) => title === 'Count the jackets')!.id, 'Leila').nudgedAt).toBe(w.now);
  tap('Nudge: Count the jackets');
  expect(within(screen.getByRole('dialog')).getByText(t('nudge.askedToday'))).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: t('nudge.again') }));
  expect(within(screen.getByRole('dialog')).getByText(/was nudged within the last hour/)).toBeTruthy();
});

test('what has come no longer waits', () => {
  screenOf();
  tap('Arrived: Buy the van');
  expect(screen.queryByRole('region', { name: t('wait.mine') })).toBeNull();
});

test('what needs somebody away is seen by who stands in, on those days', () => {
  const w = new World();
  w.join('Petri', 'manager');
  w.join('Leila', 'helper');
  const gate = w.item('Petri', 'Oil the gate', { persons: [w.person('Leila')] });
  w.must('Petri', 'away.add', { person: w.person('Petri'), from: '2026-11-25', to: '2026-11-27', standIn: w.person('Aino') });
  w.must('Leila', 'part.askBack', { item: gate, question: 'Which oil?' });
  const first = inHouse(w, 'Aino', <FollowUpScreen />);
  expect(screen.queryByText('Oil the gate')).toBeNull();
  first.unmount();
  w.later(1_440);
  inHouse(w, 'Aino', <FollowUpScreen />);
  expect(within(screen.getByRole('region', { name: 'For Petri, away until Fri 27 Nov' })).getByText('Oil the gate')).toBeTruthy();
  // what goes beyond it is not offered
  const region = () => within(screen.getByRole('region', { name: 'For Petri, away until Fri 27 Nov' }));
  expect(region().getByRole('button', { name: 'Reply: Oil the gate' })).toBeTruthy();
  expect(region().queryByRole('button', { name: /^More on/ })).toBeNull();
});
