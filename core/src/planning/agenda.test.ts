import { World } from '../testing/world.ts';
import { agendaOf, byDay, byDayPart, dayPartOf, toSort } from './agenda.ts';
import type { PlanView } from './rows.ts';

const HOUSE = { zone: 'Europe/Helsinki', dayParts: { morning: '06:00', day: '10:00', evening: '17:00' } };

/** A Tuesday, noon in Helsinki. */
function house() {
  const w = new World();
  w.join('Leila', 'helper');
  w.join('Noor', 'helper');
  w.join('Eetu');
  const list = w.list('Aino', 'Rooms', [
    ['Leila', 'check'],
    ['Eetu', 'edit'],
  ]);
  const view = (name: string): PlanView => ({ personId: w.person(name), now: w.now, house: HOUSE });
  const agenda = (name: string) => agendaOf(view(name), w.rows);
  const mine = (name: string) => agenda(name).map(({ item, where }) => `${where}: ${item.title}`);
  return { w, list, view, agenda, mine };
}

describe('where it shows follows from the day', () => {
  test.each([
    ['due today', { due: '2026-11-24' }, 'today'],
    ['due in a week', { due: '2026-12-01' }, 'ahead'],
    ['due in eight days', { due: '2026-12-02' }, 'further'],
    ['without a day', {}, 'further'],
    ['planned for today, due later', { plan: '2026-11-24', due: '2026-12-20' }, 'today'],
    ['planned for later, due today', { plan: '2026-11-30', due: '2026-11-24' }, 'today'],
    ['planned for yesterday', { plan: '2026-11-23' }, 'today'],
    ['not before tomorrow', { due: '2026-11-25', start: '2026-11-25' }, 'not-yet'],
    ['not before today', { due: '2026-11-24', start: '2026-11-24' }, 'today'],
  ])('%s', (_name, dates, where) => {
    const { w, list, agenda } = house();
    w.item('Aino', 'It', { list, ...dates });
    expect(agenda('Aino').map((entry) => entry.where)).toEqual([where]);
  });

  test('at midnight in the zone of the house it comes nearer by itself', () => {
    const { w, list, mine } = house();
    w.item('Aino', 'In eight days', { list, due: '2026-12-02' });
    w.item('Aino', 'Tomorrow', { list, due: '2026-11-25' });
    expect(mine('Aino')).toEqual(['ahead: Tomorrow', 'further: In eight days']);
    // 21:59:59 UTC is a second before midnight in Helsinki
    w.now = '2026-11-24T21:59:59.000Z';
    expect(mine('Aino')).toEqual(['ahead: Tomorrow', 'further: In eight days']);
    w.now = '2026-11-24T22:00:00.000Z';
    expect(mine('Aino')).toEqual(['today: Tomorrow', 'ahead: In eight days']);
  });
});

describe('late, carried over', () => {
  test('a deadline without an hour passes when the next day begins, one with an hour at that hour', () => {
    const { w, list, agenda } = house();
    w.item('Aino', 'Today', { list, due: '2026-11-24' });
    w.item('Aino', 'Eleven', { list, due: '2026-11-24T11:00' });
    w.item('Aino', 'One', { list, due: '2026-11-24T13:00' });
    expect(agenda('Aino').map(({ item, late }) => [item.title, late])).toEqual([
      ['Eleven', true],
      ['One', false],
      ['Today', false],
    ]);
  });

  test('a plan that has passed is carried over, not late', () => {
    const { w, list, agenda } = house();
    w.item('Aino', 'Varnish', { list, plan: '2026-11-22', due: '2026-12-01' });
    expect(agenda('Aino')[0]).toMatchObject({ where: 'today', late: false, carriedOver: true });
  });
});

describe('what a person decides for themselves', () => {
  const forTwo = () => {
    const made = house();
    const item = made.w.item('Aino', 'Towels', { persons: [made.w.person('Leila'), made.w.person('Noor')], policy: 'each', due: '2026-11-24' });
    return { ...made, item };
  };

  test('moving one’s own plan moves nothing for the others', () => {
    const { w, item, agenda } = forTwo();
    w.must('Leila', 'part.plan', { items: [item], plan: '2026-11-20' });
    expect(w.part(item, 'Leila')).toMatchObject({ plan: '2026-11-20', standing: 'accepted' });
    expect(w.part(item, 'Noor')).toMatchObject({ plan: null, standing: 'needs-action' });
    expect(agenda('Noor')[0]).toMatchObject({ toSort: true });
  });

  test('taken off today it is back after midnight, late if so; its dates stand', () => {
    const { w, list, mine } = house();
    const item = w.item('Aino', 'Gutter', { list, due: '2026-11-24' });
    w.must('Aino', 'part.takeOff', { items: [item] });
    expect(mine('Aino')).toEqual(['ahead: Gutter']);
    w.later(24 * 60);
    expect(mine('Aino')).toEqual(['today: Gutter']);
    expect(w.row(item).due).toBe('2026-11-24');
  });

  test('pulled into today though it is due later, for today only', () => {
    const { w, list, mine } = house();
    const item = w.item('Aino', 'Gutter', { list, due: '2027-01-01' });
    w.must('Aino', 'part.pull', { items: [item] });
    expect(mine('Aino')).toEqual(['today: Gutter']);
    w.later(24 * 60);
    expect(mine('Aino')).toEqual(['further: Gutter']);
  });

  test('the shelf keeps ideas; what has a deadline or was handed over can’t lie there', () => {
    const { w, list, item: handed, mine } = { ...house(), item: '' };
    const idea = w.item('Aino', 'A swing', { list });
    w.must('Aino', 'part.shelve', { items: [idea] });
    expect(mine('Aino')).toEqual(['shelf: A swing']);
    w.must('Aino', 'part.shelve', { items: [idea], shelved: false });
    expect(mine('Aino')).toEqual(['further: A swing']);
    const due = w.item('Aino', 'Due', { list, due: '2026-12-01' });
    expect(w.refused('Aino', 'part.shelve', { items: [idea, due] })).toMatchObject({ code: 'due-stays', params: { title: 'Due' } });
    const given = w.item('Aino', 'Given', { persons: [w.person('Leila')] });
    expect(w.refused('Leila', 'part.shelve', { items: [given] })).toMatchObject({ code: 'handed-stays', params: { name: 'Aino' } });
    void handed;
  });

  test('nine at once are one action, and one undo brings all nine back', () => {
    const { w, mine } = house();
    const items = Array.from({ length: 9 }, (_, nth) => w.item('Aino', `Idea ${nth}`));
    const { id } = w.must('Aino', 'part.shelve', { items });
    expect(mine('Aino').every((line) => line.startsWith('shelf'))).toBe(true);
    w.must('Aino', 'undo', { command: id });
    expect(mine('Aino').filter((line) => line.startsWith('further'))).toHaveLength(9);
    expect(items.map((item) => w.part(item, null).takenBackAt)).toEqual(Array(9).fill(null));
  });

  test('a plan before the day it may start is refused naming both; one after the deadline is said', () => {
    const { w, list } = house();
    const item = w.item('Aino', 'Ice', { list, start: '2026-12-10', due: '2026-12-20' });
    expect(w.refused('Aino', 'part.plan', { items: [item], plan: '2026-12-01' })).toMatchObject({
      code: 'plan-before-start',
      params: { plan: '2026-12-01', start: '2026-12-10' },
    });
    expect(w.must('Aino', 'part.plan', { items: [item], plan: '2026-12-21' }).notes).toEqual([
      { code: 'plan-after-due', params: { plan: '2026-12-21', due: '2026-12-20' } },
    ]);
  });

  test('a line for the history and the new day are one action', () => {
    const { w, list } = house();
    const item = w.item('Aino', 'Call the engine workshop', { list, plan: '2026-11-24' });
    const { id } = w.must('Aino', 'part.plan', { items: [item], plan: '2026-11-25', entry: 'sent the photos' });
    expect(w.rows.by('activity', 'itemId', item)).toEqual(
      expect.arrayContaining([expect.objectContaining({ kind: 'part.entry', params: { text: 'sent the photos' } })]),
    );
    w.must('Aino', 'undo', { command: id });
    expect(w.part(item, 'Aino').plan).toBe('2026-11-24');
  });

  test('an order made by dragging holds; what comes new stands before it', () => {
    const { w, list, agenda } = house();
    const [a, b, c] = ['A', 'B', 'C'].map((title) => w.item('Aino', title, { list, plan: '2026-11-24' })) as [string, string, string];
    w.must('Aino', 'part.order', { items: [c, a, b] });
    w.item('Aino', 'New', { list, plan: '2026-11-24' });
    w.later(24 * 60);
    expect(agenda('Aino').map(({ item }) => item.title)).toEqual(['New', 'C', 'A', 'B']);
  });
});

describe('to sort', () => {
  test.each([
    ['a day', (w: World, item: string) => w.must('Aino', 'part.plan', { items: [item], plan: '2026-11-30' })],
    ['a deadline', (w: World, item: string) => w.must('Aino', 'item.setDue', { item, due: '2026-11-30' })],
    ['not before', (w: World, item: string) => w.must('Aino', 'item.change', { item, start: '2026-11-30' })],
    ['a list', (w: World, item: string, list: string) => w.must('Aino', 'item.move', { items: [item], list })],
    ['a person', (w: World, item: string) => w.must('Aino', 'part.handOver', { items: [item], persons: [w.person('Leila')] })],
    ['the shelf', (w: World, item: string) => w.must('Aino', 'part.shelve', { items: [item] })],
    ['later, no day', (w: World, item: string) => w.must('Aino', 'part.later', { items: [item] })],
    ['checking it off', (w: World, item: string) => w.must('Aino', 'part.checkOff', { item, person: null })],
    ['removing it', (w: World, item: string) => w.must('Aino', 'item.remove', { items: [item] })],
  ] as const)('%s is a decision', (_name, decide) => {
    const { w, list, agenda } = house();
    const item = w.item('Aino', 'A thought');
    expect(toSort(agenda('Aino'))).toHaveLength(1);
    decide(w, item, list);
    expect(toSort(agenda('Aino'))).toEqual([]);
  });

  test('what was handed over is to be sorted until it is answered, oldest first', () => {
    const { w, agenda } = house();
    const first = w.item('Aino', 'First', { persons: [w.person('Leila')] });
    w.later(5);
    w.item('Aino', 'Second', { persons: [w.person('Leila')] });
    expect(toSort(agenda('Leila')).map(({ item }) => item.title)).toEqual(['First', 'Second']);
    w.must('Leila', 'part.accept', { item: first });
    expect(toSort(agenda('Leila')).map(({ item }) => item.title)).toEqual(['Second']);
    expect(toSort(agenda('Aino'))).toEqual([]);
  });
});

describe('waiting', () => {
  const withSteps = () => {
    const made = house();
    const item = made.w.item('Aino', 'Winter storage', { list: made.list, plan: '2026-11-24' });
    const [own, theirs] = ['Clear the shed', 'Lift the boats'].map((title) => made.w.item('Aino', title, { parent: item })) as [string, string];
    made.w.must('Aino', 'part.handOver', { items: [theirs], persons: [made.w.person('Leila')] });
    return { ...made, item, own, theirs };
  };

  test('while something is still mine to do it stays; then it waits; answered, it is back', () => {
    const { w, own, theirs, mine } = withSteps();
    expect(mine('Aino')).toEqual(['today: Winter storage']);
    w.must('Aino', 'part.checkOff', { item: own, person: null });
    expect(mine('Aino')).toEqual(['waiting: Winter storage']);
    w.must('Leila', 'part.checkOff', { item: theirs, person: w.person('Leila') });
    expect(mine('Aino')).toEqual(['today: Winter storage']);
  });
});

test('done today stays in sight for the day, also what another of several did', () => {
  const { w, list, mine } = house();
  const item = w.item('Aino', 'Candles', { list, policy: 'any', persons: ['Leila', 'Noor', 'Eetu'].map((name) => w.person(name)), due: '2026-11-24' });
  w.must('Eetu', 'part.decline', { item });
  w.must('Leila', 'part.checkOff', { item, person: w.person('Leila') });
  expect(mine('Leila')).toEqual(['done: Candles']);
  expect(mine('Noor')).toEqual(['done: Candles']);
  expect(mine('Eetu')).toEqual([]);
  w.later(24 * 60);
  expect(mine('Noor')).toEqual([]);
});

test.each([
  ['reference', { due: '2026-11-24' }, []],
  ['undated', { due: '2026-11-24' }, ['today: Oats']],
  ['undated', {}, []],
] as const)('a list of the kind %s with %o', (kind, dates, shown) => {
  const { w, list, mine } = house();
  w.must('Aino', 'list.change', { list, kind });
  w.item('Aino', 'Oats', { list, ...dates });
  expect(mine('Aino')).toEqual(shown);
});

test('in an archived list what somebody was handed stays on their Today, as it does in the follow-up of whoever waits for it; the rest is put away', () => {
  const { w, list, mine } = house();
  const due = '2026-11-24';
  w.item('Aino', 'Order the fish', { list, due, persons: [w.person('Leila')] });
  w.item('Aino', 'Count the plates', { list, due });
  w.item('Aino', 'Write the menu', { list, due, persons: [w.person('Aino')] });
  w.must('Aino', 'list.file', { list, filed: true });
  expect(mine('Leila')).toEqual(['today: Order the fish']);
  expect(mine('Aino')).toEqual([]);
  w.must('Aino', 'list.remove', { list });
  expect(mine('Leila')).toEqual([]);
});

describe('order', () => {
  test('late, then least slack, then importance, then plan, then position', () => {
    const { w, list, agenda } = house();
    const due = '2026-11-24';
    for (const [title, more] of [
      ['Plain', { due }],
      ['Important', { due, importance: 3 }],
      ['Long', { due, effort: 120 }],
      ['Late', { due: '2026-11-22' }],
      ['No day, planned later', { plan: '2026-11-24' }],
      ['No day, planned before', { plan: '2026-11-20' }],
    ] as const)
      w.item('Aino', title, { list, ...more });
    expect(agenda('Aino').map(({ item }) => item.title)).toEqual(['Late', 'Long', 'Important', 'Plain', 'No day, planned before', 'No day, planned later']);
  });

  test('what is begun needs less', () => {
    const { w, list, agenda } = house();
    const long = w.item('Aino', 'Long, nearly done', { list, due: '2026-11-24', effort: 120, persons: [w.person('Aino')] });
    w.item('Aino', 'Middle', { list, due: '2026-11-24', effort: 60 });
    w.must('Aino', 'part.progress', { item: long, percent: 90 });
    expect(agenda('Aino').map(({ item }) => item.title)).toEqual(['Middle', 'Long, nearly done']);
  });
});

test('parts of the day follow from the hour of today', () => {
  const { w, list, agenda } = house();
  for (const [title, more] of [
    ['Fish', { due: '2026-11-24T14:00' }],
    ['Fire', { plan: '2026-11-24T17:00' }],
    ['Bread', { plan: '2026-11-24T07:30' }],
    ['Form', { due: '2026-11-24' }],
    ['Lodging form', { due: '2026-11-20' }],
    ['Night train', { due: '2026-11-25T04:00', plan: '2026-11-24' }],
  ] as const)
    w.item('Aino', title, { list, ...more });
  const shown = byDayPart(agenda('Aino')).map(({ part, entries }) => [part, entries.map(({ item }) => item.title)]);
  expect(shown).toEqual([
    ['morning', ['Bread']],
    // what is late is for now, and now is noon
    ['day', ['Lodging form', 'Fish']],
    ['evening', ['Fire']],
    ['any', expect.arrayContaining(['Form', 'Night train'])],
  ]);
  expect(dayPartOf('03:00', HOUSE.dayParts)).toBe('morning');
});

test('a round stands in its part of the day without an hour; an hour goes before it, and what is late is for now', () => {
  const { w, list, agenda } = house();
  w.must('Aino', 'chore.make', { title: 'Closing', list, rrule: 'FREQ=DAILY', dtstart: '2026-11-24', dayPart: 'evening', steps: ['Windows'] });
  w.item('Aino', 'Letters', { list, due: '2026-11-24', dayPart: 'morning' });
  w.item('Aino', 'Fish', { list, due: '2026-11-24T14:00', dayPart: 'morning' });
  w.item('Aino', 'Late', { list, due: '2026-11-20', dayPart: 'evening' });
  expect(byDayPart(agenda('Aino')).map(({ part, entries }) => [part, entries.map(({ item }) => item.title)])).toEqual([
    ['morning', ['Letters']],
    ['day', ['Late', 'Fish']],
    ['evening', ['Closing']],
  ]);
});

test('the coming days, each under its date; what was taken off today is tomorrow’s', () => {
  const { w, list, agenda } = house();
  const off = w.item('Aino', 'Off', { list, due: '2026-11-24' });
  w.must('Aino', 'part.takeOff', { items: [off] });
  w.item('Aino', 'Saturday', { list, plan: '2026-11-28' });
  const days = byDay(
    agenda('Aino').filter(({ where }) => where === 'ahead'),
    '2026-11-25',
  );
  expect(days.map(({ date, entries }) => [date, entries.map(({ item }) => item.title)])).toEqual([
    ['2026-11-25', ['Off']],
    ['2026-11-28', ['Saturday']],
  ]);
});
