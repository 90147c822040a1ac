import type { Change } from '@kotiva/core';
import fc from 'fast-check';
import { HeldHouses } from './held-houses.ts';
import type { Storage } from '../db/open.ts';
import { openNew } from '../testing/empty-storage.ts';
import { SqliteHouses } from '../db/sqlite-houses.ts';
import { HouseRows } from './house-rows.ts';
import type { HouseStorage } from './house-storage.ts';

let storage: Storage;
let houseStorage: HouseStorage;
beforeEach(() => {
  storage = openNew();
  houseStorage = new SqliteHouses(storage.raw);
});
afterEach(() => storage.close());

const write = (rows: HouseRows, changes: readonly Change[], seq: number) =>
  houseStorage.commit((writer) => rows.write(changes, { commandId: 'c', name: 'x', actorId: null, payload: null, seq }, writer));

const HOUSES = ['one', 'two', 'three'];

/** Each house with so many tags. */
function houses(tags: number): HeldHouses {
  const held = new HeldHouses(houseStorage, { own: 2_500, others: 1_500 });
  for (const houseId of HOUSES) {
    const changes = Array.from({ length: tags }, (_, nth) => {
      const id = `${houseId} ${nth}`;
      return { noun: 'tag', id, made: true, fields: { id, houseId, name: id, parentId: null, makerId: 'm', colour: 'moss' } } as unknown as Change;
    });
    write(
      held.of(houseId, () => true),
      changes,
      1,
    );
  }
  return held;
}
const rowsOf = (held: HeldHouses) => HOUSES.map((houseId) => held.of(houseId, () => true).held);

test('rows of the houses asked for longest ago are forgotten, and read again when they are asked for', () => {
  const held = houses(1_000);
  held.of('one', () => true);
  held.trim(new Set(['three']));
  expect(rowsOf(held)).toEqual([1_000, 0, 1_000]);
  expect(held.of('two', () => true).all('tag')).toHaveLength(1_000);
});

test('of a house that does not exist nothing is kept', () => {
  const held = houses(1);
  held.of('four', () => false);
  expect(held.size).toBe(3);
});

test('what is forgotten while it is read piece by piece has no holes', () => {
  const held = houses(1_200);
  const rows = held.of('one', () => true);
  rows.forget();
  const pieces = rows.loading('tag');
  pieces.next();
  rows.forget();
  while (!pieces.next().done);
  expect(rows.all('tag')).toHaveLength(1_200);
});

describe('what is remembered', () => {
  const PLACES = ['list one', 'list two'];
  const row = (id: string, list: string) => ({ id, houseId: 'one', listId: list, name: id, position: 'a0', removedAt: null });
  type Step =
    | { kind: 'write'; nth: number; list: string }
    | { kind: 'get'; nth: number }
    | { kind: 'many'; nths: number[] }
    | { kind: 'by'; list: string }
    | { kind: 'all' | 'load' | 'lookUp' | 'trim' | 'forget' };
  const step: fc.Arbitrary<Step> = fc.oneof(
    fc.record({ kind: fc.constant('write' as const), nth: fc.nat(30), list: fc.constantFrom(...PLACES) }),
    fc.record({ kind: fc.constant('get' as const), nth: fc.nat(30) }),
    fc.record({ kind: fc.constant('many' as const), nths: fc.array(fc.nat(30), { maxLength: 9 }) }),
    fc.record({ kind: fc.constant('by' as const), list: fc.constantFrom(...PLACES) }),
    fc.record({ kind: fc.constantFrom('all' as const, 'load' as const, 'lookUp' as const, 'trim' as const, 'forget' as const) }),
  );
  const sorted = (rows: readonly { id: string }[]) => [...rows].sort((a, b) => (a.id < b.id ? -1 : 1));

  test('is what is there, whatever is read and written around its limit', () => {
    // rows of one noun alone
    storage.raw.exec('PRAGMA foreign_keys = OFF');
    fc.assert(
      fc.property(fc.array(step, { maxLength: 60 }), (steps) => {
        storage.raw.exec('DELETE FROM section');
        const held = new HeldHouses(houseStorage, { own: 12, others: 5 });
        const pieces: Generator<void>[] = [];
        let seq = 0;
        for (const one of steps) {
          const [rows, fresh] = [held.of('one', () => true), new HouseRows(houseStorage, 'one')];
          if (one.kind === 'write') {
            const id = `section ${one.nth}`;
            const made = rows.find('section', id) === undefined;
            write(rows, [{ noun: 'section', id, made, fields: made ? row(id, one.list) : { listId: one.list } } as never], ++seq);
          } else if (one.kind === 'get') expect(rows.find('section', `section ${one.nth}`)).toEqual(fresh.find('section', `section ${one.nth}`));
          else if (one.kind === 'many') {
            const ids = one.nths.map((nth) => `section ${nth}`);
            expect(rows.many('section', ids)).toEqual(ids.map((id) => fresh.find('section', id)).filter((row) => row !== undefined));
          } else if (one.kind === 'lookUp') rows.lookUp('section', 'listId', [...PLACES, 'no list']);
          else if (one.kind === 'by') expect(sorted(rows.by('section', 'listId', one.list))).toEqual(sorted(fresh.by('section', 'listId', one.list)));
          else if (one.kind === 'all') expect(sorted(rows.all('section'))).toEqual(sorted(fresh.all('section')));
          // read piece by piece, other things in between
          else if (one.kind === 'load') {
            if (pieces.at(-1)?.next().done !== false) pieces.push(rows.loading('section'));
          } else if (one.kind === 'trim') held.trim(new Set(['one']));
          else rows.forget();
        }
      }),
      { numRuns: 150 },
    );
  });
});
