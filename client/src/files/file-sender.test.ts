import fc from 'fast-check';
import type { Sending } from '../store/sending.ts';
import { FileSender, type Known, type Sent } from './file-sender.ts';
import { filesInMemory, type WaitingFile, type WaitingFiles } from './waiting-files.ts';

const HERE = { arrivedAt: '2026-11-24T10:00:00.000Z', removedAt: null };
const COMING = { arrivedAt: null, removedAt: null };
const file = (id: string, size = 10): WaitingFile => ({ id, commandId: `c${id}`, blob: new Blob(['x'.repeat(size)]), paused: false, begun: false, at: 0 });
const turn = () => new Promise((go) => setTimeout(go, 0));

/** A device whose line and server do what they are told. */
class Device {
  readonly known = new Map<string, Known>();
  readonly shown = new Map<string, Sending>();
  readonly tries: { id: string; begun: boolean; settle(sent: Sent): void; breaks(): void; progress: (sent: number) => void; stopped: boolean }[] = [];
  private timers: (() => void)[] = [];
  sender: FileSender;

  constructor(readonly files: WaitingFiles = filesInMemory()) {
    this.sender = this.newSender();
  }

  newSender() {
    return new FileSender({
      files: this.files,
      known: ({ id }) => this.known.get(id) ?? 'none',
      begin: ({ id, begun }, { onBegun, onProgress }) => {
        let settle!: (sent: Sent) => void;
        let breaks!: () => void;
        const done = new Promise<Sent>((resolve, reject) => {
          settle = resolve;
          breaks = () => reject(new Error('no line'));
        });
        const one = { id, begun, settle, breaks, progress: (sent: number) => (onBegun(), onProgress(sent)), stopped: false };
        this.tries.push(one);
        return { done, stop: () => ((one.stopped = true), breaks()) };
      },
      show: (id, sending) => void (sending ? this.shown.set(id, sending) : this.shown.delete(id)),
      schedule: (task) => {
        this.timers.push(task);
        return () => void (this.timers = this.timers.filter((one) => one !== task));
      },
      alone: (task) => task(),
    });
  }

  async add(id: string, known: Known = COMING): Promise<void> {
    this.known.set(id, known);
    await this.sender.add(file(id));
    await turn();
  }

  async pass(): Promise<void> {
    const timers = this.timers;
    this.timers = [];
    for (const task of timers) task();
    await turn();
  }

  get last() {
    return this.tries.at(-1)!;
  }
}

test('one after the other, each once it is announced; what has come is let go of', async () => {
  const device = new Device();
  await device.add('a', 'unannounced');
  await device.add('b');
  expect(device.tries.map(({ id }) => id)).toEqual(['b']);
  device.known.set('a', COMING);
  device.sender.look();
  expect(device.tries).toHaveLength(1);
  device.last.settle({ as: 'arrived' });
  await turn();
  expect(device.tries.map(({ id }) => id)).toEqual(['b', 'a']);
  device.last.progress(4);
  expect(device.shown.get('a')).toMatchObject({ state: 'sending', sent: 4, size: 10 });
  // the row says that it has come before the answer to the last part does
  device.known.set('a', HERE);
  device.sender.look();
  await turn();
  expect([await device.files.all(), device.shown.size, device.last.stopped]).toEqual([[], 0, true]);
});

test('a line that breaks is tried again, from where it was; a device that was closed goes on', async () => {
  const device = new Device();
  await device.add('a');
  device.last.progress(6);
  device.last.breaks();
  await turn();
  expect(device.shown.get('a')!.state).toBe('waiting');
  await device.pass();
  expect(device.tries.map(({ begun }) => begun)).toEqual([false, true]);
  device.sender.stop();
  await turn();
  const later = device.newSender();
  await later.start();
  await turn();
  expect(device.last).toMatchObject({ id: 'a', begun: true, stopped: false });
  device.last.settle({ as: 'arrived' });
  await turn();
  expect(await device.files.all()).toEqual([]);
});

test('paused it stays so, also over a reload, until it is gone on with; others go ahead', async () => {
  const device = new Device();
  await device.add('a');
  await device.add('b');
  device.sender.pause('a', true);
  await turn();
  expect(device.shown.get('a')!.state).toBe('paused');
  await device.pass();
  expect(device.last.id).toBe('b');
  device.sender.stop();
  await turn();
  device.sender = device.newSender();
  await device.sender.start();
  await turn();
  device.last.settle({ as: 'arrived' });
  await turn();
  expect(device.tries.map(({ id }) => id)).toEqual(['a', 'b', 'b']);
  device.sender.pause('a', false);
  await turn();
  expect(device.last.id).toBe('a');
});

test('what the server will not take is said, kept, and tried again when that is asked; what was called off is gone', async () => {
  const device = new Device();
  await device.add('a');
  device.last.settle({ as: 'refused', code: 'house-full', params: { max: 5 } });
  await turn();
  device.sender.look();
  expect(device.shown.get('a')).toMatchObject({ state: 'failed', code: 'house-full', params: { max: 5 } });
  expect(device.tries).toHaveLength(1);
  device.sender.pause('a', false);
  await turn();
  expect(device.tries).toHaveLength(2);
  device.known.set('a', { arrivedAt: null, removedAt: '2026-11-24T10:00:00.000Z' });
  device.sender.look();
  await turn();
  expect([device.last.stopped, await device.files.all(), device.shown.size]).toEqual([true, [], 0]);
});

test('whatever breaks, is paused or closed: every file is sent whole once, and none is tried again after it has come', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.tuple(fc.nat(3), fc.constantFrom('arrives', 'breaks', 'pause', 'reload', 'wake', 'pass')), { maxLength: 60 }),
      async (events) => {
        const device = new Device();
        const arrived = new Set<string>();
        for (const id of ['a', 'b', 'c', 'd']) await device.add(id);
        const paused = new Set<string>();
        for (const [nth, event] of events) {
          const id = 'abcd'[nth]!;
          const open = device.tries.find((one) => one === device.last && !one.stopped && !arrived.has(one.id));
          if (event === 'arrives' && open) {
            arrived.add(open.id);
            device.known.set(open.id, HERE);
            open.settle({ as: 'arrived' });
          } else if (event === 'breaks') open?.breaks();
          else if (event === 'pause') {
            device.sender.pause(id, !paused.delete(id) && !arrived.has(id) && paused.add(id) !== null);
          } else if (event === 'reload') {
            device.sender.stop();
            await turn();
            device.sender = device.newSender();
            await device.sender.start();
          } else if (event === 'wake') device.sender.wake();
          await (event === 'pass' ? device.pass() : turn());
        }
        for (const id of paused) device.sender.pause(id, false);
        for (let round = 0; round < 12 && arrived.size < 4; round += 1) {
          await device.pass();
          const open = device.last;
          if (arrived.has(open.id) || open.stopped) continue;
          arrived.add(open.id);
          device.known.set(open.id, HERE);
          open.settle({ as: 'arrived' });
          await turn();
        }
        // a row that changed is looked at, also when its last try had broken off
        device.sender.look();
        await turn();
        expect([...arrived].sort()).toEqual(['a', 'b', 'c', 'd']);
        expect(await device.files.all()).toEqual([]);
        expect(device.shown.size).toBe(0);
      },
    ),
    { numRuns: 60 },
  );
});
