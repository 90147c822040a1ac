import { act, fireEvent, screen } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { answering } from '@/testing/answers.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { SortScreen } from './sort-screen.tsx';
import { t } from '@/words';

function pile() {
  const w = new World();
  w.join('Petri', 'manager');
  for (const title of ['First thought', 'Second thought', 'Third thought']) {
    w.item('Aino', title);
    w.later(1);
  }
  return { w };
}
const tap = (name: string | RegExp, role = 'button') => fireEvent.click(screen.getByRole(role, { name }));
const press = (key: string) => fireEvent.keyDown(document.body, { key });
const count = () => screen.queryByText(/^\d+ things? to decide about$/)?.textContent ?? 'none';

// no mail waits, where nothing else is said
beforeEach(() => void answering({ body: { held: [] } }));

test('the oldest stands open; a decision leads on to the next', () => {
  const { w } = pile();
  const { said } = inHouse(w, 'Aino', <SortScreen />);
  expect(count()).toBe('3 things to decide about');
  expect(screen.getByRole('button', { name: 'Third thought' })).toBeTruthy();
  tap(t('nav.today'));
  expect(said()).toBe('“First thought”: planned for today.');
  expect(count()).toBe('2 things to decide about');
  tap(t('decide.shelf'));
  tap(t('decide.later'));
  expect(screen.queryByText(/to decide about/)).toBeNull();
});

test('by keyboard: on, select, and decide about several at once', () => {
  const { w } = pile();
  const { given } = inHouse(w, 'Aino', <SortScreen />);
  for (const key of ['x', 'j', 'x', 's']) press(key);
  expect(given).toEqual(['part.shelve']);
  expect(count()).toBe('1 thing to decide about');
});

test('a line is reworded in place; an empty one is refused beside it, and stays', () => {
  const { w } = pile();
  inHouse(w, 'Aino', <SortScreen />);
  tap(t('sort.reword'));
  const field = screen.getByLabelText(t('item.title'));
  fireEvent.change(field, { target: { value: '   ' } });
  fireEvent.keyDown(field, { key: 'Enter' });
  expect(screen.getByRole('alert').textContent).not.toBe('');
  fireEvent.change(screen.getByLabelText(t('item.title')), { target: { value: 'Call the dairy about Friday' } });
  fireEvent.keyDown(screen.getByLabelText(t('item.title')), { key: 'Enter' });
  expect(screen.getByRole('button', { name: 'Call the dairy about Friday' })).toBeTruthy();
});

test('what was handed to me is taken where it stands', () => {
  const { w } = pile();
  const rail = w.item('Petri', 'Varnish the rail', { persons: [w.person('Aino')], message: 'Before the frost' });
  inHouse(w, 'Aino', <SortScreen />);
  tap(/^Varnish the rail/);
  expect(screen.getByText('“Before the frost”')).toBeTruthy();
  tap('Take it: Varnish the rail');
  expect(w.part(rail, 'Aino').standing).toBe('accepted');
  expect(count()).toBe('3 things to decide about');
});

test('mail that nobody vouches for is added or discarded from here', async () => {
  const { w } = pile();
  const held = { id: 'm1', sender: 'mill@flour.example', title: 'Offer', notes: 'Two sacks', at: w.now };
  const asked = answering({ body: { held: [held] } }, { status: 204, body: null });
  const { said } = inHouse(w, 'Aino', <SortScreen />);
  await act(async () => undefined);
  expect(screen.getByText(/mill@flour.example/)).toBeTruthy();
  await act(async () => tap('Add “Offer”'));
  expect(asked).toEqual([`GET /api/houses/${w.houseId}/held-mail`, `POST /api/houses/${w.houseId}/held-mail/m1`]);
  expect(said()).toBe('Added “Offer”.');
  expect(screen.queryByText(/mill@flour.example/)).toBeNull();
});
