import { INDEXES, instantOf, NOUNS, epochOf, type Noun, type Row } from '@kotiva/core';
import { doing, EventfulHouse } from '@kotiva/core/testing/eventful-house';
import { idOf, World } from '@kotiva/core/testing/world';
import fc from 'fast-check';
import { SqliteHouses } from '../db/sqlite-houses.ts';
import { Ledger, type NewCommand } from '../sync/apply.ts';
import { openNew } from '../testing/empty-storage.ts';
import { houseStorageContract } from '../testing/house-storage.contract.ts';
import type { HouseStorage } from './house-storage.ts';
import { MemoryHouses } from './memory-houses.ts';

houseStorageContract('SQLite', () => {
  const { raw, close } = openNew();
  return { storage: new SqliteHouses(raw), close };
});
houseStorageContract('memory', () => ({ storage: new MemoryHouses(), close: () => undefined }));

interface Given {
  by: string;
  command: NewCommand;
}

/** What people do in a house by chance, as the commands they give. */
function commandsOf(doings: readonly Parameters<EventfulHouse['act']>[0][]): Given[] {
  const given: Given[] = [];
  const really = World.prototype.try;
  jest.spyOn(World.prototype, 'try').mockImplementation(function (this: World, by, name, payload, more) {
    const done = really.call(this, by, name, payload, more);
    given.push({ by, command: { id: done.id, name, payload, houseId: this.houseId, at: this.now, seen: 1e9 } });
    return done;
  });
  try {
    const house = new EventfulHouse();
    for (const one of doings) house.act(one);
  } finally {
    jest.restoreAllMocks();
  }
  return given;
}

/** In an order of their own, whatever order their fields are in. */
const inOrder = <T extends object>(things: readonly T[]): T[] => {
  const keyed = things.map((thing) => ({ thing, key: JSON.stringify(Object.entries(thing).sort(([a], [b]) => (a < b ? -1 : 1))) }));
  return keyed.sort((a, b) => (a.key < b.key ? -1 : 1)).map(({ thing }) => thing);
};

/** Everything that can be asked of a house. */
function everythingOf(storage: HouseStorage, houseId: string, seq: number, commands: readonly Given[]) {
  const rows = Object.fromEntries(NOUNS.map((noun) => [noun, inOrder(storage.all(houseId, noun) as Row[])])) as Record<Noun, Row[]>;
  const values = ['yes', '2026-11', '2026-11-24', ...NOUNS.flatMap((noun) => rows[noun].map(({ id }) => id))];
  const lookups = NOUNS.flatMap((noun) =>
    (INDEXES[noun] as readonly string[]).flatMap((index) =>
      values.map((value) => inOrder(storage.by(houseId, noun, index as never, value)).map(({ id }) => id)),
    ),
  );
  const people = rows.person.map(({ id }) => id);
  const cuts = [0, Math.floor(seq / 3), Math.floor((seq * 2) / 3)];
  return {
    rows,
    lookups,
    seq: storage.seqOf(houseId),
    days: ['2026-08-01', '2026-11-24', '2026-11-27', '2027-01-01'].map((day) => storage.firstSince(houseId, day)),
    changed: people.flatMap((personId) => cuts.map((since) => inOrder(storage.changedKeys({ houseId, personId, since, until: seq - 1, limit: 9_999 })))),
    resets: people.flatMap((personId) => cuts.map((since) => storage.isReset(houseId, personId, since))),
    beginning: cuts.map((from) => inOrder(storage.beginningKeys(houseId, from, '2026-11-25'))),
    unread: people.flatMap((person) => cuts.map((from) => inOrder(storage.unreadUntil(person, from, 9_999)))),
    log: commands.map(({ command: { id } }) => [storage.command(houseId, id) ?? null, storage.outcomesOf(id)]),
  };
}

test('whatever is done in a house, memory holds what SQLite holds, and answers what it answers', () => {
  fc.assert(
    fc.property(fc.array(doing, { maxLength: 25 }), fc.array(fc.nat(2), { minLength: 8, maxLength: 8 }), (doings, days) => {
      const commands = commandsOf(doings.filter(({ way }) => way !== 'leave'));
      const { raw, close } = openNew();
      let now = '2026-11-24T10:00:00.000Z';
      // so little is remembered that most is read again
      const both = [new SqliteHouses(raw), new MemoryHouses()].map((storage) => ({ storage, ledger: new Ledger(storage, { now: () => now }, 0.02) }));
      const { houseId } = commands[0]!.command;
      for (const [nth, { by, command }] of commands.entries()) {
        if (nth % 6 === 5) now = instantOf(epochOf(now) + days[nth % 8]! * 86_400_000);
        const [first, second] = both.map(({ ledger }) => ledger.apply(command, { id: idOf(`account ${by}`), name: by }));
        expect(second).toEqual(first);
      }
      const [first, second] = both.map(({ storage, ledger }) => everythingOf(storage, houseId, ledger.seq(houseId), commands));
      expect(second).toEqual(first);
      close();
    }),
    { numRuns: 15 },
  );
});

test.each([
  ['SQLite', () => new SqliteHouses(openNew().raw)],
  ['memory', () => new MemoryHouses()],
])('two ledgers on one storage (%s): what one wrote the other does not write over', (_, open) => {
  const storage = open();
  const clock = { now: () => '2026-11-24T10:00:00.000Z' };
  const [one, other] = [new Ledger(storage, clock), new Ledger(storage, clock)];
  const houseId = idOf('house');
  const aino = { id: idOf('account Aino'), name: 'Aino' };
  let given = 0;
  const give = (ledger: Ledger, name: NewCommand['name'], payload: unknown) =>
    ledger.apply({ id: idOf(`command ${given++}`), name, payload, houseId, at: clock.now(), seen: 1e9 }, aino);
  give(one, 'house.make', { name: 'Kaislaranta', zone: 'Europe/Helsinki', person: { name: 'Aino', mark: 'Ai', colour: 'moss', pattern: 'weft' } });
  give(one, 'item.add', { title: 'Oars' });
  const item = one.rows(houseId).all('item')[0]!.id;
  // the other has read it as it was before it was renamed and removed
  expect(other.rows(houseId).find('item', item)).toMatchObject({ title: 'Oars' });
  expect(give(one, 'item.change', { item, title: 'Long oars' })).toMatchObject({ outcome: 'accepted', seq: 3 });
  expect(give(other, 'item.change', { item, notes: 'In the shed' })).toMatchObject({ outcome: 'accepted', seq: 4 });
  expect(storage.find(houseId, 'item', item)).toMatchObject({ title: 'Long oars', notes: 'In the shed' });
  // nor does it refuse by what is no longer so
  expect(give(one, 'item.remove', { items: [item] })).toMatchObject({ outcome: 'accepted', seq: 5 });
  expect(give(one, 'item.bringBack', { items: [item] })).toMatchObject({ outcome: 'accepted', seq: 6 });
  expect(give(other, 'part.checkOff', { item, person: null })).toMatchObject({ outcome: 'accepted', seq: 7 });
  expect(give(one, 'part.uncheck', { item, person: null })).toMatchObject({ outcome: 'accepted', seq: 8 });
  expect(storage.seqOf(houseId)).toBe(8);
});
