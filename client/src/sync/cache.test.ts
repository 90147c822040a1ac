/** @jest-environment node */
import 'fake-indexeddb/auto';
import type { Row } from '@kotiva/core';
import { openDB } from 'idb';
import type { Page, Pending } from '../store/house.ts';
import { forgetAll, idbCache } from './idb-cache.ts';
import { memoryCache } from './memory-cache.ts';
import type { Cache } from './ports.ts';

const row = (id: string, title: string) => ({ id, title }) as unknown as Row<'item'>;
const page = (seq: number, put: Row<'item'>[], evict: string[] = []): Page => ({
  seq,
  put: put.map((one) => ({ noun: 'item', row: one })),
  evict: evict.map((id) => ({ noun: 'item', id })),
});
const waiting = (id: string) => ({ command: { id, name: 'item.add' }, ackSeq: null }) as unknown as Pending;

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
    expect(kept?.pending ?? []).toEqual([]);
  });

  test('pages come back as one copy: the later row of an id, without what was taken out of sight', async () => {
    const { open } = make();
    const cache = open();
    void cache.page(page(3, [row('a', 'Oars'), row('b', 'Rope')]));
    await cache.page(page(5, [row('a', 'Two oars')], ['b']));
    const kept = (await open().load())!;
    expect(kept.confirmed.item).toEqual({ a: row('a', 'Two oars') });
    expect(kept.cursor).toBe(5);
  });

  test('what waits to be sent stays with it, and is not what one goes on changing', async () => {
    const { open } = make();
    const cache = open();
    const pending = [waiting('one')];
    await cache.pending(pending, []);
    pending.push(waiting('two'));
    expect((await open().load())!.pending.map(({ command }) => command.id)).toEqual(['one']);
  });

  test('forgotten, nothing of it is there', async () => {
    const { open } = make();
    const cache = open();
    await cache.page(page(3, [row('a', 'Oars')]));
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
    await old.put('queue', { pending: [waiting('one')], refused: [] }, 'queue');
    old.close();
    const kept = (await idbCache('aino', house).load())!;
    expect(kept.confirmed.item).toEqual({});
    expect(kept.cursor).toBe(0);
    expect(kept.pending.map(({ command }) => command.id)).toEqual(['one']);
  });

  test('a page that could not be kept holds back those after it, so that none is missed', async () => {
    const house = freshHouse();
    const cache = idbCache('aino', house);
    await cache.page(page(3, [row('a', 'Oars')]));
    const unkeepable = { id: 'b', title: () => 'no data' } as unknown as Row<'item'>;
    await expect(cache.page(page(4, [unkeepable]))).rejects.toThrow();
    await expect(cache.page(page(5, [row('c', 'Rope')]))).rejects.toThrow();
    const kept = (await idbCache('aino', house).load())!;
    expect(kept.cursor).toBe(3);
    expect(Object.keys(kept.confirmed.item)).toEqual(['a']);
  });

  test('where the browser refuses storage it is kept as long as the tab is open', async () => {
    const refused = jest.spyOn(indexedDB, 'open').mockImplementation(() => {
      throw new DOMException('not here', 'SecurityError');
    });
    const cache = idbCache('aino', freshHouse());
    await cache.page(page(2, [row('a', 'Oars')]));
    expect((await cache.load())!.confirmed.item).toEqual({ a: row('a', 'Oars') });
    refused.mockRestore();
  });

  test('signing out forgets every house of everyone, or of one account', async () => {
    const houses = [freshHouse(), freshHouse()];
    const [aino, leila] = [idbCache('aino', houses[0]!), idbCache('leila', houses[1]!)];
    for (const cache of [aino, leila]) await cache.page(page(3, [row('a', 'Oars')]));
    await forgetAll('leila');
    expect((await idbCache('leila', houses[1]!).load())!.cursor).toBe(0);
    expect((await idbCache('aino', houses[0]!).load())!.cursor).toBe(3);
    await forgetAll(null);
    expect((await idbCache('aino', houses[0]!).load())!.cursor).toBe(0);
  });
});
