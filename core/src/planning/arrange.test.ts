import { isFieldKey } from '../model/own-field.ts';
import fc from 'fast-check';
import { SORTINGS } from '../model/arrangement.ts';
import { World } from '../testing/world.ts';
import { NO_FILTER } from '../model/filter.ts';
import { filtered } from '../views/filter.ts';
import { groupBy, sortBy, type Group } from './arrange.ts';

function house() {
  const w = new World();
  w.join('Leila', 'helper');
  w.join('Noor', 'helper');
  const rooms = w.list('Aino', 'Rooms', [['Leila', 'check'], ['Noor', 'check']]); // prettier-ignore
  const shop = w.list('Aino', 'Shop');
  w.item('Aino', 'Item 10', { list: rooms, due: '2026-11-25', importance: 1, tags: ['bed'] });
  w.item('Aino', 'item 9', { list: rooms, due: '2026-11-25T08:00', importance: 3, persons: [w.person('Leila')] });
  w.item('Aino', 'Candles', { list: shop, plan: '2026-11-24', tags: ['shop', 'Evening'] });
  w.item('Aino', 'Both', { list: shop, persons: [w.person('Noor'), w.person('Leila')], policy: 'each', importance: 2 });
  const entries = () => filtered(NO_FILTER, { personId: w.person('Aino'), now: w.now, house: w.rows.all('house')[0]! }, w.rows);
  return { w, entries, rooms, shop };
}
const titles = (entries: readonly { item: { title: string } }[]) => entries.map(({ item }) => item.title);

test.each([
  // an hour comes before the day that has none
  ['due', ['item 9', 'Item 10', 'Candles', 'Both']],
  ['plan', ['Candles', 'Item 10', 'item 9', 'Both']],
  // figures count as figures, capitals do not
  ['title', ['Both', 'Candles', 'item 9', 'Item 10']],
  // by the first of its tags: bed, Evening
  ['tag', ['Item 10', 'Candles', 'item 9', 'Both']],
  ['importance', ['item 9', 'Both', 'Item 10', 'Candles']],
  ['usual', ['Item 10', 'item 9', 'Candles', 'Both']],
] as const)('sorted by %s; what has none of it comes last', (sorting, expected) => {
  const { w, entries } = house();
  expect(titles(sortBy(entries(), sorting, w.rows))).toEqual(expected);
});

test('the other way round, what has none of it still comes last', () => {
  const { w, entries } = house();
  const around = (sorting: 'due' | 'person' | 'list' | 'importance') => titles(sortBy(entries(), sorting, w.rows, true));
  expect(around('due')).toEqual(['Item 10', 'item 9', 'Candles', 'Both']);
  expect(around('person')).toEqual(['item 9', 'Both', 'Candles', 'Item 10']);
  expect(around('list')).toEqual(['Candles', 'Both', 'Item 10', 'item 9']);
  expect(around('importance')).toEqual(['Item 10', 'Both', 'item 9', 'Candles']);
});

function named(w: World, groups: Group<{ item: { title: string } }>[]) {
  const name = ({ by, key }: Group<unknown>) => {
    if (key === null || by === 'date' || by === 'stage' || isFieldKey(by)) return key;
    return w.rows.all(by).find((row) => row.id === key)!.name;
  };
  return groups.map((group) => [name(group), titles(group.entries)]);
}

test('by date, list, person and tag', () => {
  const { w, entries } = house();
  const by = (grouping: 'date' | 'list' | 'person' | 'tag') => named(w, groupBy(entries(), grouping, w.rows));
  expect(by('date')).toEqual([['2026-11-24', ['Candles']], ['2026-11-25', ['Item 10', 'item 9']], [null, ['Both']]]); // prettier-ignore
  expect(by('list')).toEqual([['Rooms', ['Item 10', 'item 9']], ['Shop', ['Candles', 'Both']]]); // prettier-ignore
  // planning candles made them Aino's; what several have stands under each of them
  expect(by('person')).toEqual([['Aino', ['Candles']], ['Leila', ['item 9', 'Both']], ['Noor', ['Both']], [null, ['Item 10']]]); // prettier-ignore
  expect(by('tag')).toEqual([['bed', ['Item 10']], ['Evening', ['Candles']], ['shop', ['Candles']], [null, ['item 9', 'Both']]]); // prettier-ignore
});

test('sorting loses nothing, and sorting twice changes nothing', () => {
  const moment = fc.constantFrom(null, '2026-11-25', '2026-11-25T08:00', '2026-12-01');
  const effort = fc.option(fc.integer({ min: 1, max: 90 }));
  const importance = fc.integer({ min: 0, max: 3 });
  const one = fc.record({ title: fc.string({ minLength: 1, maxLength: 4 }), due: moment, start: moment, effort, importance });
  fc.assert(
    fc.property(fc.array(one, { maxLength: 12 }), fc.constantFrom(...SORTINGS), fc.boolean(), (made, sorting, isDescending) => {
      const w = new World();
      const plain = { tagIds: [], listId: null, createdAt: '2026-11-25T08:00:00Z' };
      const entries = made.map((some, nth) => ({ item: { ...plain, ...some, id: String(nth) } as never, part: null }));
      const once = sortBy(entries, sorting, w.rows, isDescending);
      expect(new Set(once)).toEqual(new Set(entries));
      expect(sortBy(once, sorting, w.rows, isDescending)).toEqual(once);
    }),
  );
});

test('the whole house: everything open, whoever has it, but nothing to look things up in, filed away, done or removed', () => {
  const { w, entries, shop } = house();
  const reference = w.list('Aino', 'Numbers');
  w.must('Aino', 'list.change', { list: reference, kind: 'reference' });
  w.item('Aino', 'The plumber', { list: reference });
  const both = w.rows.all('item').find((item) => item.title === 'Both')!.id;
  w.item('Aino', 'A mere step', { parent: both });
  w.item('Aino', 'A step of Noor’s', { parent: both, persons: [w.person('Noor')] });
  const pile = w.item('Aino', 'In the pile');
  w.must('Aino', 'part.shelve', { items: [pile] });
  expect(titles(entries())).toEqual(['Item 10', 'item 9', 'Candles', 'Both', 'A step of Noor’s', 'In the pile']);
  w.must('Aino', 'list.file', { list: shop, filed: true });
  expect(titles(entries())).toEqual(['Item 10', 'item 9', 'In the pile']);
});

test('lists come in their own order, whatever letters that is written with', () => {
  const w = new World();
  const lists = ['One', 'Two', 'Three'].map((name) => w.list('Aino', name));
  // keys before the first letter of the small ones: "Zz" lies before "a0"
  for (const [nth, position] of ['a0', 'Zz', 'aZ'].entries()) w.rows.put('list', { ...w.rows.all('list').find(({ id }) => id === lists[nth])!, position });
  const entries = lists.map((list) => ({ item: w.row(w.item('Aino', `In ${list}`, { list })), part: null }));
  expect(groupBy(entries, 'list', w.rows).map(({ key }) => lists.indexOf(key!))).toEqual([1, 0, 2]);
});
