/** @jest-environment node */
import 'fake-indexeddb/auto';
import type { Row } from '@kotiva/core';
import { openDB } from 'idb';
import type { ChangePage } from '../store/house.ts';
import { forgetAll, idbCache, sealAll } from './idb-cache.ts';
import { memoryCache } from './memory-cache.ts';
import { commandsOf } from './kept-commands.ts';
import type { Cache, Kept, KeptCommand } from './ports.ts';

const row = (id: string, title: string) => ({ id, title }) as unknown as Row<'item'>;
const page = (seq: number, put: Row<'item'>[], evict: string[] = []): ChangePage => ({
  seq,
  from: 0,
  put: put.map((one) => ({ noun: 'item', row: one })),
  evict: evict.map((id) => ({ noun: 'item', id })),
});
const waiting = (id: string, order: number, ackSeq: number | null = null) =>
  ({ order, command: { id, name: 'item.add' }, ackSeq, reason: null }) as unknown as KeptCommand;
const idsOf = (kept: Kept | null) => commandsOf(kept?.commands ?? [], kept?.cursor ?? 0).pending.map(({ command }) => command.id);

let nth = 0;
/** A house nobody has opened here yet. */
const freshHouse = () => `house ${nth++}`;

/** The same of both: what one is trusted with, the other is tried with too. */
describe.each<[string, () => { open: () => Cache }]>([
  [
    'in memory',
    () => {
      const cache = memoryCache();
      return { open: () => cache };
    },
  ],
  [
    'in IndexedDB',
    () => {
      const house = freshHouse();
      return { open: () => idbCache('aino', house) };
    },
  ],
])('what a device keeps, %s', (_where, make) => {
  test('of a house nobody has opened here, nothing', async () => {
    const kept = await make().open().load();
    expect(kept?.cursor ?? 0).toBe(0);
    expect(idsOf(kept)).toEqual([]);
  });

  test('pages come back as one copy: the later row of an id, without what was taken out of sight', async () => {
    const { open } = make();
    const cache = open();
    void cache.page(page(3, [row('a', 'Oars'), row('b', 'Rope')]), 0);
    await cache.page(page(5, [row('a', 'Two oars')], ['b']), 3);
    const kept = (await open().load())!;
    expect(kept.confirmed.item).toEqual({ a: row('a', 'Two oars') });
    expect(kept.cursor).toBe(5);
  });

  test('what waits to be sent stays with it in its order, and is not what one goes on changing', async () => {
    const { open } = make();
    const cache = open();
    const first = waiting('one', 2);
    await cache.commands([first, waiting('two', 1)], []);
    first.order = 0;
    expect(idsOf(await open().load())).toEqual(['two', 'one']);
    await cache.commands([], ['two']);
    expect(idsOf(await open().load())).toEqual(['one']);
  });

  test('what was acknowledged and has come back is none of what waits any more', async () => {
    const { open } = make();
    const cache = open();
    await cache.commands([waiting('one', 1, 4), waiting('two', 2, 9), waiting('three', 3)], []);
    await cache.page(page(5, [row('a', 'Oars')]), 0);
    expect((await open().load())!.commands.map(({ command }) => command.id).sort()).toEqual(['three', 'two']);
    // acknowledged late: the page was here before
    await cache.commands([waiting('three', 3, 5)], []);
    expect(idsOf(await open().load())).toEqual(['two']);
  });

  test('it never goes back, whichever tab writes: a page that is passed, or that would leave a gap, is not kept', async () => {
    const { open } = make();
    const [one, other] = [open(), open()];
    await one.page(page(6, [row('a', 'Two oars')], ['b']), 0);
    await other.page(page(4, [row('a', 'Oars'), row('b', 'Rope')]), 0);
    await other.page(page(9, [row('c', 'Line')]), 7);
    const kept = (await open().load())!;
    expect(kept.cursor).toBe(6);
    expect(kept.confirmed.item).toEqual({ a: row('a', 'Two oars') });
  });

  test('forgotten, nothing of it is there', async () => {
    const { open } = make();
    const cache = open();
    await cache.page(page(3, [row('a', 'Oars')]), 0);
    await cache.forget();
    const kept = await open().load();
    expect(kept?.cursor ?? 0).toBe(0);
    expect(kept?.confirmed.item ?? {}).toEqual({});
  });
});

describe('in IndexedDB alone', () => {
  test('a copy of an earlier shape is fetched anew; what waits to be sent is not lost', async () => {
    const house = freshHouse();
    const old = await openDB(`kotiva/aino/${house}`, 1, {
      upgrade(db) {
        db.createObjectStore('rows', { keyPath: 'key' });
        db.createObjectStore('queue');
        db.createObjectStore('cursor');
      },
    });
    await old.put('rows', { key: 'item:a', noun: 'item', row: row('a', 'Oars') });
    await old.put('cursor', 7, 'cursor');
    const { order: _order, ...pending } = waiting('one', 1);
    const refused = { command: { id: 'two' }, reason: { code: 'gone', params: {} } };
    await old.put('queue', { pending: [pending], refused: [refused] }, 'queue');
    old.close();
    const kept = (await idbCache('aino', house).load())!;
    expect(kept.confirmed.item).toEqual({});
    expect(kept.cursor).toBe(0);
    expect(idsOf(kept)).toEqual(['one']);
    expect(commandsOf(kept.commands, 0).refused).toEqual([refused]);
  });

  test('a page that could not be kept holds back those after it, so that none is missed', async () => {
    const house = freshHouse();
    const cache = idbCache('aino', house);
    await cache.page(page(3, [row('a', 'Oars')]), 0);
    const unkeepable = { id: 'b', title: () => 'no data' } as unknown as Row<'item'>;
    await expect(cache.page(page(4, [unkeepable]), 3)).rejects.toThrow();
    await expect(cache.page(page(5, [row('c', 'Rope')]), 4)).rejects.toThrow();
    const kept = (await idbCache('aino', house).load())!;
    expect(kept.cursor).toBe(3);
    expect(Object.keys(kept.confirmed.item)).toEqual(['a']);
  });

  test('where the browser refuses storage it is kept as long as the tab is open', async () => {
    const refused = jest.spyOn(indexedDB, 'open').mockImplementation(() => {
      throw new DOMException('not here', 'SecurityError');
    });
    const cache = idbCache('aino', freshHouse());
    await cache.page(page(2, [row('a', 'Oars')]), 0);
    // told, so that it can be said
    await expect(cache.commands([waiting('one', 1)], [])).rejects.toThrow();
    expect(idsOf(await cache.load())).toEqual(['one']);
    expect((await cache.load())!.confirmed.item).toEqual({ a: row('a', 'Oars') });
    refused.mockRestore();
  });

  test('signed out elsewhere, nothing of a house stays but what was not sent, for whoever comes back', async () => {
    const house = freshHouse();
    const cache = idbCache('aino', house);
    await cache.page(page(3, [row('a', 'Oars')]), 0);
    await cache.commands([waiting('one', 1)], []);
    await sealAll();
    // one that was under way comes too late
    await cache.page(page(4, [row('b', 'Rope')]), 3);
    const kept = (await idbCache('aino', house).load())!;
    expect(kept.confirmed.item).toEqual({});
    expect(kept.cursor).toBe(0);
    expect(idsOf(kept)).toEqual(['one']);
  });

  test('signing out forgets every house of everyone, or of one account', async () => {
    const houses = [freshHouse(), freshHouse()];
    const [aino, leila] = [idbCache('aino', houses[0]!), idbCache('leila', houses[1]!)];
    for (const cache of [aino, leila]) await cache.page(page(3, [row('a', 'Oars')]), 0);
    await forgetAll('leila');
    expect((await idbCache('leila', houses[1]!).load())!.cursor).toBe(0);
    expect((await idbCache('aino', houses[0]!).load())!.cursor).toBe(3);
    await forgetAll(null);
    expect((await idbCache('aino', houses[0]!).load())!.cursor).toBe(0);
  });
});
