/** @jest-environment node */
import { configureStore } from '@reduxjs/toolkit';
import { NOUNS, type Row } from '@kotiva/core';
import { World } from '@kotiva/core/testing/world';
import { houseSlice, noRows, type ChangePage } from '@/store/house.ts';
import { HeldRows } from './held-rows.ts';
import { memoryCache } from './memory-cache.ts';
import { TransportError } from './ports.ts';

const { actions } = houseSlice;

/** A device that holds all of a house in which one thing is done and one is open. */
function device() {
  const world = new World();
  const [done, open] = [world.item('Aino', 'Tar the boat'), world.item('Aino', 'Mend the gate')];
  world.must('Aino', 'part.checkOff', { item: done, person: null });
  const store = configureStore({ reducer: houseSlice.reducer, middleware: (defaults) => defaults({ immutableCheck: false, serializableCheck: false }) });
  const confirmed = noRows();
  for (const noun of NOUNS) for (const row of world.rows.all(noun)) (confirmed[noun] as Record<string, Row>)[row.id] = row;
  store.dispatch(actions.opened({ houseId: world.houseId, accountId: 'a', confirmed, cursor: world.seq, pending: [], refused: [], loaded: true }));
  const cache = memoryCache();
  const put = NOUNS.flatMap((noun) => world.rows.all(noun).map((row) => ({ noun, row })));
  void cache.page({ seq: world.seq, from: 0, put, evict: [] }, 0);
  let tasks: (() => void)[] = [];
  const answers: (Pick<ChangePage, 'seq' | 'put'> | null)[] = [];
  const held = new HeldRows({
    store,
    cache,
    now: () => world.now,
    schedule: (task) => {
      tasks.push(task);
      return () => (tasks = tasks.filter((other) => other !== task));
    },
    transport: {
      beyond: async () => answers.shift() ?? Promise.reject(new TransportError('offline')),
    } as never,
  });
  const item = (id: string) => store.getState().confirmed.rows.find('item', id);
  return { world, done, open, store, cache, held, answers, item, put, run: () => tasks.splice(0).forEach((task) => task()), waits: () => tasks.length };
}

test('what is done and rests goes once the window has passed it, from the screen and from the disk', async () => {
  const { world, done, open, cache, held, item, run } = device();
  held.windowBegins(world.seq);
  run();
  expect([item(done), item(open)]).toEqual([undefined, expect.objectContaining({ title: 'Mend the gate' })]);
  const kept = (await cache.load())!.confirmed.item;
  expect(Object.keys(kept)).toEqual([open]);
});

test('it is looked through once, until the window moves', () => {
  const { world, held, waits, run } = device();
  held.windowBegins(world.seq);
  run();
  held.windowBegins(world.seq);
  expect(waits()).toBe(0);
  held.windowBegins(world.seq + 1);
  expect(waits()).toBe(1);
});

test('not while something waits to be sent', () => {
  const { world, done, held, store, item, run } = device();
  store.dispatch(actions.given({ command: { id: 'c', name: 'part.uncheck' } as never, recorded: null }));
  held.windowBegins(world.seq);
  run();
  expect(item(done)).not.toBeUndefined();
  store.dispatch(actions.refused({ id: 'c', reason: { code: 'gone', params: {} } as never }));
  run();
  expect(item(done)).toBeUndefined();
});

test('a kept copy that has gone on since is left as it is', async () => {
  const { world, done, cache, held, run } = device();
  held.windowBegins(world.seq);
  await cache.page({ seq: world.seq + 1, from: 0, put: [], evict: [] }, world.seq);
  run();
  expect(Object.keys((await cache.load())!.confirmed.item)).toContain(done);
});

test('what somebody looks at comes, and never over what is newer', async () => {
  const { world, done, held, store, answers, item, put, run } = device();
  held.windowBegins(world.seq);
  run();
  const old = put.filter(({ row }) => row.id === done);
  // the house went on while it was asked: it is asked again
  store.dispatch(actions.pageApplied({ seq: world.seq + 1, from: 0, put: [], evict: [] }));
  answers.push({ seq: world.seq, put: old }, { seq: world.seq + 1, put: old });
  await held.reach(`item=${done}`);
  expect(answers).toEqual([]);
  expect(item(done)).toMatchObject({ title: 'Tar the boat' });
  await expect(held.reach(`item=${done}`)).rejects.toThrow('offline');
});
