import { INDEXES, lookupValues, NOUNS, YES, type Noun, type Row } from '@kotiva/core';
import fc from 'fast-check';
import { LedgerHouse } from '../testing/ledger-house.ts';
import { conditionOf } from './lookups.ts';
import { WritableRows } from '../testing/writable-rows.ts';
import { SqliteHouses } from './sqlite-houses.ts';

const VALUES = ['', YES, 'x', 'y', '2026-11', '2026-11-24', '2026-12'];
const instant = fc.constantFrom(null, '2026-11-24T10:00:00.000Z', '2026-11-30T23:59:59.999Z', '2026-12-01T00:00:00.000Z');
const date = fc.constantFrom(null, '2026-11-24', '2026-11-24T09:00', '2026-12-01');
const id = fc.constantFrom(null, 'x', 'y');

/** The fields that lookups follow from, of rows that otherwise are like any. */
const FIELDS = {
  part: fc.record({
    excusedAt: instant,
    takenBackAt: instant,
    passedTo: id,
    standing: fc.constantFrom('needs-action', 'declined', 'completed'),
    completedAt: instant,
    nudgedAt: instant,
    plan: date,
    personId: id,
    giverId: id,
    originId: id,
  }),
  item: fc.record({
    tagIds: fc.subarray(['x', 'y', 'xy']),
    listId: id,
    parentId: id,
    removedAt: instant,
    purgedAt: instant,
    makerId: fc.constantFrom('x', 'y'),
    due: date,
  }),
  wait: fc.record({ endedAt: instant }),
};

test.each(['part', 'item', 'wait'] as const)('what is asked of SQLite of a %s is what follows from its row', (noun) => {
  const house = new LedgerHouse('Aino');
  const item = house.item('Aino', 'Oars');
  if (noun === 'wait') house.give('Aino', 'wait.set', { item, person: null, words: 'the post', askOn: null });
  const { raw } = house.storage;
  raw.exec('PRAGMA foreign_keys = OFF');
  const template = house.ledger.rows(house.houseId).all(noun)[0]!;
  const step = fc.record({ nth: fc.nat(8), fields: FIELDS[noun] as fc.Arbitrary<Record<string, unknown>>, asked: fc.boolean() });
  fc.assert(
    fc.property(fc.array(step, { minLength: 1, maxLength: 25 }), (steps) => {
      raw.exec(`DELETE FROM "${noun}"`);
      const rows = new WritableRows(new SqliteHouses(raw), house.houseId);
      const compare = (of: WritableRows) => {
        const all = new WritableRows(new SqliteHouses(raw), house.houseId).all(noun) as Row[];
        for (const index of INDEXES[noun])
          for (const value of VALUES) {
            const meant = all.filter((row) => lookupValues(noun, index, row).includes(value));
            expect([index, value, idsOf(of.by(noun, index as never, value))]).toEqual([index, value, idsOf(meant)]);
          }
      };
      for (const { nth, fields, asked } of steps) {
        const one = `row ${nth}`;
        const made = rows.find(noun, one) === undefined;
        const change = { noun, id: one, made, fields: made ? { ...template, id: one, ...fields } : fields };
        rows.apply([change as never], { commandId: 'c', name: 'x', actorId: null, payload: null, seq: nth });
        // what was asked before is followed as rows change
        if (asked) compare(rows);
      }
      compare(rows);
      compare(new WritableRows(new SqliteHouses(raw), house.houseId));
    }),
    { numRuns: 60 },
  );
});

test('every lookup can be asked of SQLite', () => {
  const house = new LedgerHouse('Aino');
  const rows = new WritableRows(new SqliteHouses(house.storage.raw), house.houseId);
  for (const noun of NOUNS) for (const index of INDEXES[noun] as readonly string[]) expect(() => rows.by(noun, index as never, 'none')).not.toThrow();
});

test.each([
  ['part', 'open', 'part_open_ix'],
  ['part', 'nudged', 'part_nudged_ix'],
  ['part', 'completedDay', 'part_completed_ix'],
  ['item', 'pile', 'item_pile_ix'],
  ['item', 'removed', 'item_removed_ix'],
  ['wait', 'open', 'wait_open_ix'],
  ['stretch', 'open', 'stretch_open_ix'],
] as const)('%ss by %s are found without walking over the others', (noun: Noun, index, name) => {
  const { raw } = new LedgerHouse('Aino').storage;
  const { where, values } = conditionOf(noun, index, index === 'completedDay' ? '2026-11-24' : index === 'pile' ? 'x' : YES)!;
  const plan = raw.prepare(`EXPLAIN QUERY PLAN SELECT * FROM "${noun}" WHERE ${where} AND "houseId" = ?`).all(...values, 'house') as { detail: string }[];
  expect(plan.map(({ detail }) => detail).join()).toContain(name);
});

const idsOf = (rows: readonly Row[]): string[] => rows.map(({ id }) => id).sort();
