/** @jest-environment node */
import { configureStore } from '@reduxjs/toolkit';
import type { Command } from '@kotiva/core';
import { deciding } from '@/store/deciding.ts';
import { houseSlice } from '@/store/house.ts';
import { selectRows } from '@/store/rows.ts';
import { SyncEngine } from './engine.ts';
import { memoryCache } from './memory-cache.ts';
import { TransportError, type CommandOutcome, type Transport } from './ports.ts';

const HOUSE = '0190a000-0000-7000-8000-000000000001';
const NOW = '2026-11-24T10:00:00.000Z';

/** What the device kept: who is at it, and nothing else of the house. */
function keptCache() {
  const cache = memoryCache();
  const me = { id: HOUSE, houseId: HOUSE, accountId: HOUSE, name: 'Aino', role: 'manager', endedAt: null, seq: 1, stamps: {} };
  void cache.page({ seq: 1, from: 0, put: [{ noun: 'person', row: me as never }], evict: [] }, 0);
  return cache;
}

/** An engine on a line that answers as told; what waits for its time runs when asked. */
function device(
  answer: (commands: readonly Command[]) => CommandOutcome[],
  cache = keptCache(),
  changes: Transport['changes'] = () => Promise.reject(new TransportError('offline')),
  beyond: Transport['beyond'] = () => Promise.reject(new TransportError('offline')),
) {
  const store = configureStore({ reducer: houseSlice.reducer, middleware: (defaults) => defaults({ immutableCheck: false, serializableCheck: false }) });
  const sent: string[][] = [];
  const waits: number[] = [];
  let tasks: (() => void)[] = [];
  let ids = 0;
  let ended: string | null = null;
  const transport: Transport = {
    async send(commands) {
      sent.push(commands.map(({ id }) => id.slice(-2)));
      return { outcomes: answer(commands), now: NOW };
    },
    changes,
    beyond,
    live: () => () => undefined,
  };
  const engine = new SyncEngine({
    store,
    transport,
    cache,
    accountId: HOUSE,
    houseId: HOUSE,
    newId: () => `0190a000-0000-7000-8000-0000000000${String(++ids).padStart(2, '0')}`,
    now: () => NOW,
    serverTime: () => undefined,
    noted: () => undefined,
    fetchDeciding: () => deciding.fetch(),
    ended: (why) => (ended = why),
    schedule: (task, afterMs) => {
      waits.push(afterMs);
      tasks.push(task);
      return () => (tasks = tasks.filter((other) => other !== task));
    },
  });
  const settle = async () => {
    for (let turn = 0; turn < 20; turn++) await Promise.resolve();
  };
  return {
    engine,
    store,
    sent,
    waits,
    settle,
    ended: () => ended,
    runTasks: async () => {
      for (const task of tasks.splice(0)) task();
      await settle();
    },
    give: (text: string) => engine.submit('comment.say', { item: HOUSE, text }),
  };
}

const accept = (commands: readonly Command[]): CommandOutcome[] => commands.map(({ id }) => ({ id, outcome: 'accepted', seq: 0, notes: [] }));
const fail = (kind: TransportError['kind']) => (): never => {
  throw new TransportError(kind);
};

test('without a line commands wait in order, are tried ever more rarely, and go once there is one', async () => {
  let line: (commands: readonly Command[]) => CommandOutcome[] = fail('offline');
  const { engine, store, sent, waits, settle, runTasks, give } = device((commands) => line(commands));
  await engine.start();
  give('One');
  await settle();
  give('Two');
  await settle();
  await runTasks();
  await runTasks();
  expect(store.getState()).toMatchObject({ line: 'offline' });
  expect(store.getState().pending).toHaveLength(2);
  for (let nth = 1; nth < waits.length; nth++) expect(waits[nth]).toBeGreaterThanOrEqual(waits[nth - 1]!);
  line = accept;
  engine.wake();
  await settle();
  expect(sent.at(-1)).toEqual(['01', '02']);
  expect(store.getState().pending).toEqual([]);
});

test('what is given is decided once on this device: not again when more is given, acknowledged, or has come', async () => {
  let line: (commands: readonly Command[]) => CommandOutcome[] = fail('offline');
  const { engine, store, settle } = device((commands) => line(commands));
  await engine.start();
  await settle();
  const decide = deciding.held()!;
  let decisions = 0;
  const held = jest.spyOn(deciding, 'held').mockReturnValue((...asked) => {
    decisions += 1;
    return decide(...asked);
  });
  const shown = () => selectRows(store.getState()).all('item').map(({ title }) => title); // prettier-ignore
  for (const title of ['One', 'Two', 'Three']) {
    engine.submit('item.add', { title });
    expect(shown()).toContain(title);
  }
  expect(decisions).toBe(3);
  await settle();

  // what the first wrote comes before the answer to it: nothing is laid over it, and the others are decided on what is there now
  const [first] = store.getState().pending;
  const row = { ...selectRows(store.getState()).all('item')[0]!, seq: 2, stamps: { '': { c: first!.command.id } } };
  store.dispatch(houseSlice.actions.pageApplied({ seq: 2, from: 0, put: [{ noun: 'item', row: row as never }], evict: [] }));
  expect(shown().sort()).toEqual(['One', 'Three', 'Two']);
  expect(decisions).toBe(5);

  line = (commands) => commands.map(({ id }, nth) => ({ id, outcome: 'accepted', seq: 2 + nth, notes: [] }));
  engine.wake();
  await settle();
  expect(store.getState().pending.map(({ ackSeq }) => ackSeq)).toEqual([3, 4]);
  expect(shown().sort()).toEqual(['One', 'Three', 'Two']);
  expect(decisions).toBe(5);
  held.mockRestore();
});

test('what is too large at once goes in smaller parts; what is too large by itself is refused and kept', async () => {
  const tooLarge = (commands: readonly Command[]) => commands.length > 1 || commands.some(({ id }) => id.endsWith('02'));
  let line: (commands: readonly Command[]) => CommandOutcome[] = fail('offline');
  const { engine, store, settle, give } = device((commands) => line(commands));
  await engine.start();
  for (const text of ['One', 'Two', 'Three']) give(text);
  await settle();
  line = (commands) => (tooLarge(commands) ? fail('too-large')() : accept(commands));
  engine.wake();
  for (let round = 0; round < 5; round++) await settle();
  expect(store.getState().pending).toEqual([]);
  expect(store.getState().refused.map(({ command, reason }) => `${command.id.slice(-2)} ${reason.code}`)).toEqual(['02 too-large']);
});

test('a refused command is kept with its reason until put away, also over a reload', async () => {
  const cache = keptCache();
  const refuse = (commands: readonly Command[]): CommandOutcome[] =>
    commands.map(({ id }) => ({ id, outcome: 'refused', reason: { code: 'not-allowed', params: {} } }));
  const first = device(refuse, cache);
  await first.engine.start();
  first.give('One');
  await first.settle();
  first.engine.stop();
  const second = device(refuse, cache);
  await second.engine.start();
  const { refused } = second.store.getState();
  expect(refused.map(({ reason }) => reason.code)).toEqual(['not-allowed']);
  second.engine.putAwayRefusal(refused[0]!.command.id);
  expect(second.store.getState().refused).toEqual([]);
});

test('signed out elsewhere: nothing more is sent, and it is said', async () => {
  const { engine, sent, settle, runTasks, ended, give } = device(fail('signed-out'));
  await engine.start();
  give('One');
  await settle();
  await runTasks();
  expect(ended()).toBe('signed-out');
  expect(sent).toHaveLength(1);
});

test('acknowledged, and come back with the changes: after a reload it is not done once more', async () => {
  const cache = keptCache();
  const accepted = (commands: readonly Command[]): CommandOutcome[] => commands.map(({ id }) => ({ id, outcome: 'accepted', seq: 5, notes: [] }));
  const first = device(accepted, cache);
  await first.engine.start();
  first.give('One');
  await first.settle();
  // it waits for its changes, over a reload too
  const between = device(fail('offline'), cache);
  await between.engine.start();
  expect(between.store.getState().pending).toMatchObject([{ ackSeq: 5 }]);
  between.engine.stop();
  await cache.page({ seq: 5, from: 0, put: [], evict: [] }, 1);
  const second = device(fail('offline'), cache);
  await second.engine.start();
  expect(second.store.getState()).toMatchObject({ cursor: 5, pending: [] });
});

test('what a device missed, some pages of it, is drawn once', async () => {
  const kept = memoryCache();
  await kept.page({ seq: 5, from: 0, put: [], evict: [] }, 0);
  const pages = [6, 7, 8].map((seq) => ({
    seq,
    from: 0,
    more: seq < 8,
    put: [{ noun: 'item' as const, row: { id: `i${seq}`, seq } as never }],
    evict: [],
    now: NOW,
  }));
  const { engine, store, settle } = device(accept, kept, async (since) => pages[since - 5]!);
  const cursors = new Set<number>();
  store.subscribe(() => void cursors.add(store.getState().cursor));
  await engine.start();
  await settle();
  expect([...cursors]).toEqual([5, 8]);
  expect(store.getState().confirmed.rows.all('item')).toHaveLength(3);
});

test('a row that came before a later one of the same is not put over it', async () => {
  const { engine, store } = device(accept);
  await engine.start();
  const titled = (seq: number, title: string) => ({ noun: 'item' as const, row: { id: 'a', seq, title } as never });
  store.dispatch(houseSlice.actions.pageApplied({ seq: 8, from: 0, put: [titled(8, 'Two oars')], evict: [] }));
  store.dispatch(houseSlice.actions.pageApplied({ seq: 9, from: 0, put: [titled(7, 'Oars')], evict: [] }));
  expect(store.getState().confirmed.rows.find('item', 'a')).toMatchObject({ title: 'Two oars' });
});

describe('a device that has nothing yet', () => {
  type Page = Omit<Awaited<ReturnType<Transport['changes']>>, 'now'>;
  const titled = (id: string, seq: number) => ({ noun: 'item' as const, row: { id, seq, title: id } as never });
  const gone = (id: string) => ({ noun: 'item' as const, id });
  /** Fetches these pages; null: the line breaks. What was on its screen, each time it changed, and from where each page was asked. */
  async function fetching(...pages: (Page | null)[]) {
    const asked: number[] = [];
    const { engine, store, settle } = device(accept, memoryCache(), async (since) => {
      const page = pages[asked.push(since) - 1];
      if (!page) throw new TransportError('offline');
      return { ...page, now: NOW };
    });
    const shown: string[] = [];
    store.subscribe(() => {
      const { loaded, confirmed } = store.getState();
      const ids = confirmed.rows.all('item').map(({ id }) => id);
      if (loaded && shown.at(-1) !== ids.sort().join()) shown.push(ids.join());
    });
    await engine.start();
    await settle();
    engine.stop();
    return { asked, shown, cursor: store.getState().cursor };
  }

  test('shows the first pages together; what left its sight between two of them is not there', async () => {
    const first = { seq: 5, from: 0, more: true, put: [titled('a', 3), titled('b', 5)], evict: [gone('c')] };
    const last = { seq: 9, from: 0, more: false, put: [titled('c', 9)], evict: [gone('a')] };
    expect(await fetching(first, last)).toEqual({ asked: [0, 5], shown: ['b,c'], cursor: 9 });
  });

  test('begins anew in the middle: what came before is forgotten', async () => {
    const first = { seq: 5, from: 0, more: true, put: [titled('a', 3)], evict: [] };
    const anew = { seq: 4, from: 0, more: true, reset: true, put: [titled('b', 4)], evict: [] };
    const last = { seq: 9, from: 0, more: false, put: [titled('c', 9)], evict: [] };
    expect(await fetching(first, anew, last)).toEqual({ asked: [0, 5, 4], shown: ['b,c'], cursor: 9 });
  });

  test('keeps what came before the line broke, and goes on from there', async () => {
    const first = { seq: 5, from: 0, more: true, put: [titled('a', 3)], evict: [] };
    expect(await fetching(first, null)).toEqual({ asked: [0, 5], shown: ['a'], cursor: 5 });
  });
});

test('what can’t be kept is said, stays in memory, and is kept once there is room', async () => {
  const cache = keptCache();
  const commands = cache.commands.bind(cache);
  let isFull = true;
  cache.commands = (put, drop) => (isFull ? Promise.reject(new DOMException('full', 'QuotaExceededError')) : commands(put, drop));
  const { engine, store, settle, give, runTasks } = device(fail('offline'), cache);
  await engine.start();
  give('One');
  await settle();
  expect(store.getState()).toMatchObject({ isUnkept: true, pending: [{ ackSeq: null }] });
  isFull = false;
  give('Two');
  await settle();
  await runTasks();
  expect(store.getState().isUnkept).toBe(false);
  expect((await cache.load())!.commands).toHaveLength(2);
});

describe('while deciding commands is still being fetched', () => {
  const decide = deciding.held;
  afterEach(() => jest.restoreAllMocks());
  /** A device whose page is drawn already; `arrive` lets the commands come. */
  function before() {
    let here = false;
    jest.spyOn(deciding, 'held').mockImplementation(() => (here ? decide() : null));
    const waiting: (() => void)[] = [];
    jest
      .spyOn(deciding, 'fetch')
      .mockImplementation(() => (here ? Promise.resolve(decide()!) : new Promise((resolve) => waiting.push(() => resolve(decide()!)))));
    const arrive = () => {
      here = true;
      for (const go of waiting.splice(0)) go();
    };
    return { arrive };
  }

  /** One that was closed while something waited, and is opened again. */
  async function reopened() {
    const cache = keptCache();
    const first = device(fail('offline'), cache);
    await first.engine.start();
    first.engine.submit('situation.make', { name: 'Rain', kind: 'event' });
    await first.settle();
    first.engine.stop();
    const { arrive } = before();
    const second = device(fail('offline'), cache);
    const started = second.engine.start();
    await second.settle();
    return { second, started, arrive };
  }

  test('a tap counts, and shows as soon as it is here', async () => {
    const { arrive } = before();
    const { engine, store, settle } = device(fail('offline'));
    await engine.start();
    const given = engine.submit('situation.make', { name: 'Rain', kind: 'event' });
    expect(given.refused).toBeNull();
    expect(store.getState().pending).toHaveLength(1);
    expect(selectRows(store.getState()).all('situation')).toEqual([]);
    arrive();
    await settle();
    expect(
      selectRows(store.getState())
        .all('situation')
        .map(({ name }) => name),
    ).toEqual(['Rain']);
  });

  test('what waits from before is shown from the first on: the house opens once it is here', async () => {
    const { second, started, arrive } = await reopened();
    expect(second.store.getState().loaded).toBe(false);
    arrive();
    await started;
    expect(selectRows(second.store.getState()).all('situation')).toHaveLength(1);
  });

  test('a network that says nothing keeps nobody from what is on the device: it opens, and shows the rest later', async () => {
    const { second, started, arrive } = await reopened();
    await second.runTasks();
    await started;
    expect(second.store.getState().loaded).toBe(true);
    expect(selectRows(second.store.getState()).all('situation')).toEqual([]);
    arrive();
    await second.settle();
    expect(selectRows(second.store.getState()).all('situation')).toHaveLength(1);
  });
});
