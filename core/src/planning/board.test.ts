import fc from 'fast-check';
import { BOARD_BYS } from '../model/arrangement.ts';
import { World } from '../testing/world.ts';
import { NO_FILTER } from '../model/filter.ts';
import { filtered } from '../views/filter.ts';
import { boardOf } from './board.ts';

function house() {
  const w = new World();
  w.join('Leila');
  w.join('Noor');
  const shop = w.list('Aino', 'Shop');
  w.item('Aino', 'Candles', { list: shop, importance: 2 });
  w.item('Aino', 'Both', { list: shop, persons: [w.person('Leila'), w.person('Noor')], policy: 'each' });
  w.item('Aino', 'Lamp', { persons: [w.person('Noor')], importance: 2 });
  return { w, shop, entries: filtered(NO_FILTER, { personId: w.person('Aino'), now: w.now, house: w.rows.all('house')[0]! }, w.rows) };
}
type Entries = ReturnType<typeof house>['entries'];
const shown = (columns: { key: string | null; entries: Entries }[]) => columns.map(({ key, entries }) => [key, entries.map(({ item }) => item.title)]);

test('named columns come first, also the empty ones; what several have stands with each; what has no column makes its own', () => {
  const { w, entries, shop } = house();
  const [aino, leila, noor] = ['Aino', 'Leila', 'Noor'].map((name) => w.person(name)) as [string, string, string];
  expect(shown(boardOf(entries, 'person', [null, aino, leila], w.rows))).toEqual([
    [null, ['Candles']],
    [aino, []],
    [leila, ['Both']],
    [noor, ['Both', 'Lamp']],
  ]);
  expect(shown(boardOf(entries, 'importance', ['3', '2', '1', '0'], w.rows))).toEqual([['3', []], ['2', ['Candles', 'Lamp']], ['1', []], ['0', ['Both']]]); // prettier-ignore
  expect(shown(boardOf(entries, 'list', [], w.rows))).toEqual([[shop, ['Candles', 'Both']], [null, ['Lamp']]]); // prettier-ignore
});

test('whatever the columns, nothing is lost, and nothing stands twice in one', () => {
  const { w, entries } = house();
  const keys = [null, 'x', '2', w.person('Leila'), w.person('Noor')];
  fc.assert(
    fc.property(fc.constantFrom(...BOARD_BYS), fc.uniqueArray(fc.constantFrom(...keys)), (by, named) => {
      const columns = boardOf(entries, by, named, w.rows);
      expect(new Set(columns.flatMap(({ entries: some }) => some))).toEqual(new Set(entries));
      for (const { entries: some } of columns) expect(new Set(some).size).toBe(some.length);
      expect(columns.slice(0, named.length).map(({ key }) => key)).toEqual(named);
    }),
  );
});
