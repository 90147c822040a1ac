import fc from 'fast-check';
import { countLost, fieldsOf, readField, readingsOf, valueIn } from '../followup/fields.ts';
import type { RawValue } from '../model/own-field.ts';
import { FIELD_KINDS, fieldKey } from '../model/own-field.ts';
import { groupBy, sortBy } from '../planning/arrange.ts';
import { boardOf } from '../planning/board.ts';
import { World } from '../testing/world.ts';
import { filtered } from '../views/filter.ts';

function pier() {
  const w = new World();
  w.join('Tapio', 'helper');
  w.join('Petri', 'manager');
  const list = w.list('Aino', 'The new pier', [['Tapio', 'check'], ['Petri', 'edit']]); // prettier-ignore
  const make = (who: string, fields: Record<string, unknown>): string => {
    const before = new Set(w.rows.all('ownField').map(({ id }) => id));
    w.must(who, 'field.make', { list, ...fields } as never);
    return w.rows.all('ownField').find(({ id }) => !before.has(id))!.id;
  };
  const field = (id: string) => w.rows.all('ownField').find((one) => one.id === id)!;
  const set = (who: string, item: string, id: string, value: RawValue | null) => w.must(who, 'item.setFields', { item, values: [{ field: id, value }] });
  const at = (item: string, id: string) => valueIn(w.row(item), field(id), w.rows);
  const refused = (who: string, name: string, payload: unknown) => w.refused(who, name as never, payload as never);
  return { w, list, make, field, set, at, refused };
}

test('what was typed is kept as its kind has it, or refused with what would do', () => {
  const { w, list, make, field, set, at, refused } = pier();
  const planks = w.item('Aino', 'Planks', { list });
  const depth = make('Aino', { name: 'Depth', kind: 'number', unit: 'm' });
  const until = make('Aino', { name: 'Paid until', kind: 'date' });
  const wood = make('Aino', { name: 'Wood', kind: 'choice', options: [{ name: 'Larch', colour: 'moss' }, { name: 'Pine', colour: 'indigo' }] }); // prettier-ignore
  const shop = make('Aino', { name: 'Shop', kind: 'link' });
  const who = make('Aino', { name: 'Asked', kind: 'person' });
  const [larch] = field(wood).options;
  set('Aino', planks, depth, '2,5');
  set('Aino', planks, until, '2027-03-28');
  set('Aino', planks, wood, 'larch');
  set('Aino', planks, shop, 'planks.example/larch');
  set('Aino', planks, who, w.person('Tapio'));
  expect([depth, until, wood, shop, who].map((id) => at(planks, id))).toEqual([
    2.5,
    '2027-03-28',
    larch!.id,
    'https://planks.example/larch',
    w.person('Tapio'),
  ]);
  const cases: [string, RawValue, string][] = [
    [depth, 'deep', 'field-number'],
    [depth, 1e13, 'field-number'],
    [depth, '1e9', 'field-number'],
    [shop, 'x'.repeat(501), 'too-long'],
    [until, '2027-02-31', 'field-date'],
    [wood, 'Oak', 'field-choice'],
    [shop, 'javascript:alert(1)', 'bad-address'],
    [who, planks, 'unknown-person'],
  ];
  for (const [id, value, code] of cases) expect(refused('Aino', 'item.setFields', { item: planks, values: [{ field: id, value }] }).code).toBe(code);
  expect(at(planks, depth)).toBe(2.5);
});

test('emptied it says nothing; undone it says again what it said, to the letter', () => {
  const { w, list, make, set, at } = pier();
  const planks = w.item('Aino', 'Planks', { list });
  const depth = make('Aino', { name: 'Depth', kind: 'number' });
  const first = set('Aino', planks, depth, 2);
  const { id } = set('Petri', planks, depth, null);
  expect(at(planks, depth)).toBeNull();
  w.must('Petri', 'undo', { command: id });
  expect(at(planks, depth)).toBe(2);
  // somebody else wrote it since
  expect(w.must('Aino', 'undo', { command: first.id }).notes).toMatchObject([{ code: 'left-alone' }]);
  expect(at(planks, depth)).toBe(2);
});

test('two hands at once: each field has its own stamp, so neither loses the other’s', () => {
  const { w, list, make, set, at } = pier();
  const planks = w.item('Aino', 'Planks', { list });
  const [depth, width] = [make('Aino', { name: 'Depth', kind: 'number' }), make('Aino', { name: 'Width', kind: 'number' })];
  set('Aino', planks, depth, 2);
  const { id } = set('Petri', planks, width, 3);
  w.must('Petri', 'undo', { command: id });
  expect([at(planks, depth), at(planks, width)]).toEqual([2, null]);
});

test('a field keeps what was written while its kind changes there and back, and says first how much has nothing to say', () => {
  const { w, list, make, field, set, at } = pier();
  const note = make('Aino', { name: 'Size', kind: 'text' });
  const items = ['12', 'large', '3,5'].map((value) => {
    const item = w.item('Aino', value, { list });
    set('Aino', item, note, value);
    return item;
  });
  const values = w.rows.all('fieldValue');
  expect(countLost(field(note), { kind: 'number', options: [] }, values, w.rows)).toBe(1);
  w.must('Aino', 'field.change', { field: note, kind: 'number', unit: 'm²' } as never);
  expect(items.map((item) => at(item, note))).toEqual([12, null, 3.5]);
  const { id } = w.must('Aino', 'field.change', { field: note, kind: 'text' } as never);
  expect(items.map((item) => at(item, note))).toEqual(['12', 'large', '3,5']);
  w.must('Aino', 'undo', { command: id });
  expect(items.map((item) => at(item, note))).toEqual([12, null, 3.5]);
});

test('moved along: into a field of the same name and kind, else kept and faint; back it is as it was', () => {
  const { w, list, make, field, set } = pier();
  const planks = w.item('Aino', 'Planks', { list });
  const wood = make('Aino', { name: 'Wood', kind: 'choice', options: [{ name: 'Larch', colour: 'moss' }] });
  const depth = make('Aino', { name: 'Depth', kind: 'number' });
  set('Aino', planks, wood, 'Larch');
  set('Aino', planks, depth, 2);
  const shore = w.list('Aino', 'Shore');
  w.must('Aino', 'field.make', { list: shore, name: ' wood', kind: 'choice', options: [{ name: 'Pine', colour: 'indigo' }, { name: 'LARCH', colour: 'moss' }] } as never); // prettier-ignore
  w.must('Aino', 'item.move', { items: [planks], list: shore } as never);
  const said = () => readingsOf(w.row(planks), w.rows).map((one) => [one.field.name, one.value, one.isFaint]);
  const theirs = w.rows.all('ownField').find(({ listId }) => listId === shore)!;
  expect(said()).toEqual([
    ['wood', theirs.options[1]!.id, false],
    ['Depth', 2, true],
  ]);
  w.must('Aino', 'item.setFields', { item: planks, values: [{ field: theirs.id, value: null }] });
  expect(said()).toEqual([
    ['wood', null, false],
    ['Wood', field(wood).options[0]!.id, true],
    ['Depth', 2, true],
  ]);
  w.must('Aino', 'item.move', { items: [planks], list } as never);
  expect(said()).toEqual([
    ['Wood', field(wood).options[0]!.id, false],
    ['Depth', 2, false],
  ]);
  expect(refusedElsewhere(w, planks, theirs.id)).toBe('field-elsewhere');
});

const refusedElsewhere = (w: World, item: string, field: string) => w.refused('Aino', 'item.setFields', { item, values: [{ field, value: 'Pine' }] }).code;

test('twenty of a list and no two of one name; removed they are out of the way, with all that was said in them, until undone', () => {
  const { w, list, make, set, at, refused } = pier();
  const planks = w.item('Aino', 'Planks', { list });
  const ids = Array.from({ length: 20 }, (_, nth) => make('Aino', { name: `Field ${nth}`, kind: 'tick' }));
  expect(refused('Aino', 'field.make', { list, name: 'One more', kind: 'text' })).toMatchObject({ code: 'too-many', params: { max: 20 } });
  expect(refused('Aino', 'field.change', { field: ids[1], name: 'FIELD 0' }).code).toBe('name-taken');
  expect(refused('Tapio', 'field.change', { field: ids[1], name: 'Mine' }).code).toBe('not-allowed');
  expect(refused('Aino', 'field.change', { field: ids[2], kind: 'choice' }).code).toBe('field-options-needed');
  set('Aino', planks, ids[3]!, true);
  const { id } = w.must('Aino', 'field.change', { field: ids[3]!, removed: true } as never);
  expect([at(planks, ids[3]!), fieldsOf(list, w.rows).length]).toEqual([null, 19]);
  expect(readingsOf(w.row(planks), w.rows).some(({ value }) => value !== null)).toBe(false);
  w.must('Aino', 'undo', { command: id });
  expect(at(planks, ids[3]!)).toBe(true);
  w.must('Aino', 'field.change', { field: ids[19]!, after: null } as never);
  expect(fieldsOf(list, w.rows)[0]!.id).toBe(ids[19]);
});

test('sorted with what says nothing last either way, grouped and on the board in the order of the choices, filtered', () => {
  const { w, list, make, field, set } = pier();
  const depth = make('Aino', { name: 'Depth', kind: 'number' });
  const wood = make('Aino', { name: 'Wood', kind: 'choice', options: [{ name: 'Pine', colour: 'indigo' }, { name: 'Larch', colour: 'moss' }] }); // prettier-ignore
  const [deep, shallow, none] = ['Deep', 'Shallow', 'Unmeasured'].map((title) => w.item('Aino', title, { list }));
  set('Aino', deep!, depth, 10);
  set('Aino', shallow!, depth, 9);
  set('Aino', deep!, wood, 'Larch');
  set('Aino', none!, wood, 'Pine');
  const entries = [none!, deep!, shallow!].map((id) => ({ item: w.row(id), part: null }));
  const names = (all: readonly { item: { title: string } }[]) => all.map(({ item }) => item.title);
  expect(names(sortBy(entries, fieldKey(depth), w.rows))).toEqual(['Shallow', 'Deep', 'Unmeasured']);
  expect(names(sortBy(entries, fieldKey(depth), w.rows, true))).toEqual(['Deep', 'Shallow', 'Unmeasured']);
  expect(groupBy(entries, fieldKey(wood), w.rows).map((group) => names(group.entries))).toEqual([['Unmeasured'], ['Deep'], ['Shallow']]);
  const columns = [null, ...field(wood).options.map(({ id }) => id)];
  expect(boardOf(entries, fieldKey(wood), columns, w.rows).map((column) => names(column.entries))).toEqual([['Shallow'], ['Unmeasured'], ['Deep']]);
  const house = w.rows.all('house')[0]!;
  const met = (asks: unknown, not = false) =>
    names(
      filtered(
        { match: 'all', state: 'open', conditions: [{ of: 'field', field: depth, asks, not } as never] },
        { personId: w.person('Aino'), house, now: w.now } as never,
        w.rows,
      ),
    );
  expect(met({ kind: 'number', least: 9.5, most: null })).toEqual(['Deep']);
  expect(met({ kind: 'number', least: 9.5, most: null }, true)).toEqual(['Shallow']);
  expect(met({ kind: 'any' }, true)).toEqual(['Unmeasured']);
});

test('anything at all typed into a field of any kind is read as that kind has it or not at all', () => {
  const options = [{ id: '11111111-1111-4111-8111-111111111111', name: 'Larch', colour: 'moss' as const }];
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string(),
        fc.double().map(String),
        fc.date({ noInvalidDate: true }).map((date) => date.toISOString().slice(0, 10)),
        fc.webUrl(),
      ),
      fc.constantFrom(...FIELD_KINDS),
      (typed, kind) => {
        const value = readField(typed, { kind, options });
        if (value === null) return;
        // what was read reads as itself
        expect(readField(String(value), { kind, options })).toEqual(value);
        expect(typeof value).toBe(kind === 'number' ? 'number' : 'string');
      },
    ),
  );
});

test('the next of a chore says what the one before said, also after its rule was changed', () => {
  const { w, list, make, set, at } = pier();
  const size = make('Aino', { name: 'Size', kind: 'number', unit: 'm²' });
  w.must('Aino', 'chore.make', { title: 'Scrub the jetty', list, rrule: 'FREQ=WEEKLY', dtstart: '2026-11-24' } as never);
  const open = () => w.rows.all('item').filter(({ title, id }) => title === 'Scrub the jetty' && w.parts(id).every(({ standing }) => standing !== 'completed')); // prettier-ignore
  const [first] = open();
  set('Aino', first!.id, size, '12');
  w.must('Aino', 'part.checkOff', { item: first!.id, person: null });
  const [second] = open();
  expect(second!.id).not.toBe(first!.id);
  expect(at(second!.id, size)).toBe(12);
  // said anew it is what the ones after say; the one before stays as it was
  set('Aino', second!.id, size, '15');
  w.must('Aino', 'chore.change', { series: second!.seriesId!, item: second!.id, rrule: 'FREQ=DAILY' } as never);
  const [third] = open();
  w.must('Aino', 'part.checkOff', { item: third!.id, person: null });
  const [fourth] = open();
  expect([at(first!.id, size), at(third!.id, size), at(fourth!.id, size)]).toEqual([12, 15, 15]);
});
