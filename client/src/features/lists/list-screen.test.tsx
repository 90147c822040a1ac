import { fireEvent, screen, within } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { WantedSheet } from '@/features/item';
import { alerts, type } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { went } from '@/testing/router.ts';
import { ListScreen } from './list-screen.tsx';
import { t } from '@/words';

function house() {
  const w = new World();
  w.join('Leila', 'helper');
  w.join('Noor', 'helper');
  w.must('Aino', 'list.make', {
    name: 'Boathouse',
    colour: 'petrol',
    icon: 'sailboat',
    sections: ['Before winter', 'Repairs'],
    shares: [
      { person: w.person('Leila'), access: 'check' },
      { person: w.person('Noor'), access: 'view' },
    ],
  });
  const list = w.rows.all('list').find(({ name }) => name === 'Boathouse')!.id;
  const section = (name: string) => w.rows.all('section').find((one) => one.name === name)!.id;
  const jackets = w.item('Aino', 'Count the jackets', { list, section: section('Before winter'), due: '2026-11-27', tags: ['boats'] });
  w.item('Aino', 'Small sizes', { parent: jackets });
  w.item('Aino', 'Whistles', { parent: jackets });
  w.item('Aino', 'Drain the barrel', { list, section: section('Before winter'), persons: [w.person('Leila')] });
  w.item('Aino', 'New rope', { list, section: section('Repairs'), due: '2026-11-25' });
  return { w, list, jackets, open: (who: string) => inHouse(w, who, <ListScreen listId={list} />) };
}
const tap = (name: string | RegExp, role = 'button') => fireEvent.click(screen.getByRole(role, { name }));
const headings = () => screen.getAllByRole('heading').map((one) => one.textContent);

test('in its sections; with its steps once a row is to say more', () => {
  const { open } = house();
  const { titles } = open('Aino');
  expect(headings()).toEqual(['Boathouse', 'Before winter', 'Repairs']);
  expect(titles()).toEqual(['Count the jackets', 'Drain the barrel', 'New rope']);
  tap(/View/);
  tap(t('detail.full'), 'radio');
  tap(t('common.done'));
  expect(titles()).toEqual(['Count the jackets', 'Small sizes', 'Whistles', 'Drain the barrel', 'New rope']);
});

test('put together by person: nobody’s come last', () => {
  const { open } = house();
  const { titles } = open('Aino');
  tap(/View/);
  tap(t('group.person'), 'radio');
  tap(t('sortBy.due'), 'radio');
  tap(t('common.done'));
  expect(headings()).toEqual(['Boathouse', 'Leila', 'Nobody yet']);
  expect(titles()).toEqual(['Drain the barrel', 'New rope', 'Count the jackets']);
});

test('the last step asks whether the whole is done', () => {
  const { open, w, jackets } = house();
  const { said } = open('Aino');
  tap(/View/);
  tap(t('detail.full'), 'radio');
  tap(t('common.done'));
  tap('Check off “Small sizes”', 'checkbox');
  tap('Check off “Whistles”', 'checkbox');
  expect(said()).toContain('Count the jackets');
  expect(w.part(jackets, null).standing).not.toBe('completed');
});

test('who may only look sees no handles and no menus of sections, and can’t add to one', () => {
  const { open } = house();
  open('Noor');
  expect(screen.queryByRole('button', { name: /^Drag/ })).toBeNull();
  expect(screen.queryByRole('button', { name: /^More on (?!this list)/ })).toBeNull();
  expect(screen.queryByRole('button', { name: /^Add here/ })).toBeNull();
  expect(screen.queryByRole('checkbox')).toBeNull();
});

test('a list that is gone says so and leads on', () => {
  const { w } = house();
  inHouse(w, 'Aino', <ListScreen listId="0190a000-0000-7000-8000-00000000ffff" />);
  tap(t('list.toLists'));
  expect(went.at(-1)).toBe('/lists');
});

test('what is chosen is handed to several at once: each of them has it', () => {
  const { open, w } = house();
  const { given } = open('Aino');
  tap(/View/);
  tap(t('sort.select'));
  tap(/^New rope/, 'checkbox');
  tap(/^Count the jackets/, 'checkbox');
  tap(t('hand.over'));
  const whom = within(screen.getByRole('group', { name: t('hand.whom') }));
  for (const name of [/Leila/, /Noor/]) fireEvent.click(whom.getByRole('checkbox', { name }));
  fireEvent.click(screen.getAllByRole('button', { name: t('hand.over') }).at(-1)!);
  expect(given).toEqual(['part.handOver']);
  const rope = w.rows.all('item').find(({ title }) => title === 'New rope')!;
  expect(rope.policy).toBe('each');
  expect(w.parts(rope.id).filter(({ personId, takenBackAt }) => personId !== null && !takenBackAt)).toHaveLength(2);
});

describe('what asks for something at the tick', () => {
  const METER = { kind: 'number' as const, what: 'Meter reading', unit: 'kWh' };
  function meter() {
    const { w, list } = house();
    const item = w.item('Aino', 'Read the meter', { list, wanted: METER });
    const { meanwhile } = inHouse(
      w,
      'Aino',
      <>
        <ListScreen listId={list} />
        <WantedSheet />
      </>,
    );
    tap('Check off “Read the meter”', 'checkbox');
    return { w, item, meanwhile };
  }

  test('is asked first, with its unit; what is no number is said beside it and stays', () => {
    const { w, item } = meter();
    expect(w.part(item, null).standing).toBe('needs-action');
    type('Meter reading, in kWh', 'a lot');
    tap(t('item.checkOff'));
    expect(alerts()).toEqual(['“a lot” isn’t a number. Write it like 12 or 12.5.']);
    expect(screen.getByDisplayValue('a lot')).toBeTruthy();
    type('Meter reading, in kWh', '1204,5');
    tap(t('item.checkOff'));
    expect(w.part(item, null)).toMatchObject({ standing: 'completed', answer: '1204.5' });
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  test('checked off on another device meanwhile, it asks no more and unties nothing', () => {
    const { w, item, meanwhile } = meter();
    expect(screen.getByRole('dialog')).toBeTruthy();
    meanwhile(() => w.must('Aino', 'part.checkOff', { item, person: null, answer: '12' }));
    expect(screen.queryByRole('dialog')).toBeNull();
    expect(w.part(item, null)).toMatchObject({ standing: 'completed', answer: '12' });
    // opened again there, it does not ask by itself
    meanwhile(() => w.must('Aino', 'part.uncheck', { item, person: null }));
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  test('can be left out', () => {
    const { w, item } = meter();
    tap(t('wanted.without'));
    expect(w.part(item, null)).toMatchObject({ standing: 'completed', answer: null });
  });
});

test('passed on, or left behind by somebody whose access ended, the row says who has it now', () => {
  const { open, w } = house();
  const barrel = w.rows.all('item').find(({ title }) => title === 'Drain the barrel')!.id;
  const { meanwhile } = open('Aino');
  const row = () => screen.getByText('Drain the barrel').closest('[data-row]')!.textContent;
  expect(row()).toContain('Leila');
  meanwhile(() => w.must('Aino', 'part.passOn', { item: barrel, from: w.person('Leila'), to: w.person('Noor') }));
  expect(row()).toContain('Noor');
  expect(row()).not.toContain('Leila');
  meanwhile(() => w.must('Aino', 'person.end', { person: w.person('Noor'), parts: [{ item: barrel, to: w.person('Leila') }] }));
  expect(row()).toContain('Leila');
  expect(row()).not.toContain('Noor');
});

test('what I keep on top stands above its sections, for me alone, until it is done', () => {
  const w = new World();
  w.join('Leila');
  const list = w.list('Aino', 'Boathouse', [['Leila', 'edit']]);
  w.item('Aino', 'Grease the winch', { list });
  const rope = w.item('Aino', 'New rope', { list });
  w.must('Aino', 'item.pin', { item: rope, on: true });
  const first = inHouse(w, 'Aino', <ListScreen listId={list} />);
  expect(screen.getByRole('heading', { name: t('pin.title') })).toBeTruthy();
  expect(first.titles()).toEqual(['New rope', 'Grease the winch']);
  first.unmount();
  const leilas = inHouse(w, 'Leila', <ListScreen listId={list} />);
  expect(screen.queryByRole('heading', { name: t('pin.title') })).toBeNull();
  expect(leilas.titles()).toEqual(['Grease the winch', 'New rope']);
  leilas.unmount();
  w.must('Aino', 'part.checkOff', { item: rope, person: null });
  inHouse(w, 'Aino', <ListScreen listId={list} />);
  expect(screen.queryByRole('heading', { name: t('pin.title') })).toBeNull();
});
