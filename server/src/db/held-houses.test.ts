import type { Change } from '@kotiva/core';
import { join } from 'node:path';
import { HeldHouses } from './held-houses.ts';
import { openStorage, type Storage } from './open.ts';

let storage: Storage;
beforeEach(() => {
  storage = openStorage(':memory:', join(__dirname, '../../drizzle'));
});
afterEach(() => storage.close());

const HOUSES = ['one', 'two', 'three'];

/** Each house with so many tags. */
function houses(tags: number): HeldHouses {
  const held = new HeldHouses(storage.raw, { own: 2_500, others: 1_500 });
  for (const houseId of HOUSES) {
    const changes = Array.from({ length: tags }, (_, nth) => {
      const id = `${houseId} ${nth}`;
      return { noun: 'tag', id, made: true, fields: { id, houseId, name: id, parentId: null, makerId: 'm', colour: 'moss' } } as unknown as Change;
    });
    held.of(houseId, () => true).apply(changes, { commandId: 'c', name: 'x', actorId: null, payload: null, seq: 1 });
  }
  return held;
}
const rowsOf = (held: HeldHouses) => HOUSES.map((houseId) => held.of(houseId, () => true).held);

test('rows of the houses asked for longest ago are forgotten, and read again when they are asked for', () => {
  const held = houses(1_000);
  held.of('one', () => true);
  held.trim('three');
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
