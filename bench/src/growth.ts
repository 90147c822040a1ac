import { agendaOf, MemoryRows, YES, type CommandName, type Item, type Payload } from '@kotiva/core';
import { LivedIn, type Life } from '@kotiva/core/testing/lived-in';
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { v7 } from 'uuid';
import { openStorage, type Storage } from '../../server/src/db/open.ts';
import { insertRow, SqliteHouses } from '../../server/src/db/sqlite-houses.ts';
import { Timers } from '../../server/src/jobs/timers.ts';
import { Ledger } from '../../server/src/sync/apply.ts';
import { ChangeFeed, FIRST_PAGE_ROWS } from '../../server/src/sync/changes.ts';
import { LiveHub } from '../../server/src/sync/live.ts';
import { percentile, report } from './report.ts';
import { ROOT } from './server.ts';

const NOW = '2026-11-24T12:00:00.000Z';
const COMMANDS = 100;
const life = (items: number): Omit<Life, 'name'> => ({
  done: Math.max(0, items - 500),
  open: Math.min(500, items),
  years: Math.max(1, items / 12_500),
  chores: 20,
});

/** What grows with the years a house was lived in: its file should, and nothing else. Sizes in items of one house. */
export async function growth(sizes: readonly number[] = [1_000, 10_000, 40_000]): Promise<void> {
  let first: number | null = null;
  let firstDevice: number | null = null;
  for (const items of sizes) {
    const server = new Server();
    const house = server.fill({ name: 'grown', ...life(items) });
    const before = heapMb();
    const begins = performance.now();
    const { acknowledged } = server.use(house, 'Leila');
    const ready = performance.now() - begins;
    const { times, looked } = await acknowledged(COMMANDS);
    const p50 = percentile(times, 0.5);
    first ??= p50;
    report(`growth_ack_p50_${items}`, p50, 'ms', first);
    report(`growth_look_ms_${items}`, percentile(looked, 0.5), 'ms', p50);
    report(`growth_open_ms_${items}`, ready, 'ms', 1);
    report(`growth_heap_${items}`, heapMb() - before, 'MB', 1);
    report(`growth_rows_held_${items}`, server.rowsHeld, 'rows', 1);
    const sync = server.firstSync(house, 'Leila');
    report(`growth_first_sync_${items}`, sync.megabytes, 'MB', 3);
    report(`growth_first_sync_rows_${items}`, sync.rows, 'rows', 1);
    report(`growth_first_sync_ms_${items}`, sync.ms, 'ms', 2_000);
    report(`growth_file_${items}`, server.fileMb(), 'MB', 1);
    server.stop();
    const device = deviceMs(house);
    firstDevice ??= device;
    report(`growth_device_today_ms_${items}`, device, 'ms', firstDevice);
  }
}

/** On a device that holds all of it: somebody's Today after one thing was checked off. */
function deviceMs(house: LivedIn): number {
  const rows = MemoryRows.from('seen', house.rows());
  const [person] = rows.all('person').filter(({ name }) => name === 'Leila');
  const view = { personId: person!.id, now: NOW, house: rows.all('house')[0]! };
  const parts = rows.by('part', 'open', YES);
  const times = Array.from({ length: 21 }, (_, nth) => {
    const from = performance.now();
    rows.put('part', { ...parts[nth]!, standing: 'completed', completedAt: NOW });
    agendaOf(view, rows.over());
    return performance.now() - from;
  });
  return percentile(times, 0.5);
}

/** The same of one house among many, each of them small; how many are due is looked at after every command. */
export async function crowd(counts: readonly number[] = [1, 100]): Promise<void> {
  let first: number | null = null;
  for (const count of counts) {
    const server = new Server();
    const houses = server.fillAll(Array.from({ length: count }, (_, nth) => SMALL(nth)));
    const before = heapMb();
    const look = performance.now();
    server.timers.run();
    const looked = performance.now() - look;
    const times: number[] = [];
    for (let nth = 0; nth < COMMANDS; nth++) times.push(...(await server.use(houses[(nth * 7) % count]!, 'Leila').acknowledged(1)).times);
    const p50 = percentile(times, 0.5);
    first ??= p50;
    report(`crowd_ack_p50_${count}`, p50, 'ms', first);
    report(`crowd_first_look_ms_${count}`, looked, 'ms', 1);
    const again = performance.now();
    server.startAnew().run();
    report(`crowd_start_ms_${count}`, performance.now() - again, 'ms', 1);
    report(`crowd_heap_${count}`, heapMb() - before, 'MB', 1);
    server.stop();
  }
}

/**
 * Memory of a server with a house of many years and many small ones, after what is due was looked for in all of them, somebody of the large
 * one and of a hundred small ones did something, and a device fetched the large one. What the bench itself holds is in it.
 */
export async function largeAmongSmall(items = 100_000, small = 500): Promise<void> {
  const server = new Server();
  const lives: Life[] = [{ name: 'grown', ...life(items) }, ...Array.from({ length: small }, (_, nth) => SMALL(nth))];
  const [large, ...others] = server.fillAll(lives) as [LivedIn, ...LivedIn[]];
  server.timers.run();
  await server.use(large, 'Leila').acknowledged(COMMANDS);
  for (const house of others.slice(0, 100)) await server.use(house, 'Leila').acknowledged(1);
  server.firstSync(large, 'Leila');
  report('large_among_small_heap', heapMb(), 'MB', 500);
  server.stop();
}

/** One of many. */
const SMALL = (nth: number): Life => ({ name: `house ${nth}`, done: 100, open: 50, years: 1, chores: 5 });

/** Of each house: commands a day, and how many times the mean there are in the busiest hour. */
const [A_DAY, BUSY] = [200, 10];
/** So much of one core is meant to be used in that hour. */
const USED = 0.7;
const GIVEN = 2_000;

/**
 * How many houses one process carries: each with two devices that listen, commands here and there among all of them, and after every
 * tenth what is due is looked for. `held`: the rows of all of them are in memory; `read anew`: of next to none.
 */
export async function carried(count = 200): Promise<void> {
  for (const [how, cacheMb] of [
    ['held', 4_000],
    ['read_anew', 1],
  ] as const) {
    const server = new Server(cacheMb);
    const houses = server.fillAll(Array.from({ length: count }, (_, nth) => SMALL(nth)));
    const empty = heapMb();
    server.timers.run();
    const people = houses.map((house) => server.listening(house, 'Leila'));
    // each once, so that what can be held is
    for (const { add } of people) add();
    report(`carried_heap_kb_a_house_${how}`, ((heapMb() - empty) * 1_000) / count, 'kB', 1);
    const [from, cpu] = [performance.now(), process.cpuUsage()];
    for (let nth = 0; nth < GIVEN; nth++) {
      people[(nth * 379) % count]!.add();
      if (nth % 10 === 0) server.timers.run();
      await new Promise((resume) => setImmediate(resume));
    }
    const wall = (performance.now() - from) / GIVEN;
    const { user, system } = process.cpuUsage(cpu);
    report(`carried_command_ms_${how}`, wall, 'ms', (user + system) / 1_000 / GIVEN);
    report(`carried_houses_${how}`, USED / ((wall / 1_000) * ((A_DAY / 24 / 3_600) * BUSY)), 'houses', count);
    server.stop();
  }
}

/** What somebody has still to do with, as the migration to it finds it. */
const FILL_LIVING = readFileSync(join(ROOT, 'server/drizzle/0021_window.sql'), 'utf8')
  .split('--> statement-breakpoint')
  .at(-1)!
  .replace('INSERT INTO', 'INSERT OR IGNORE INTO');

/** The server's parts without its sockets, on a real file. */
class Server {
  private readonly folder = mkdtempSync(join(tmpdir(), 'kotiva-growth-'));
  private readonly file = join(this.folder, 'kotiva.sqlite');
  private readonly storage: Storage = openStorage(this.file, join(ROOT, 'server/drizzle'));
  private readonly clock = { now: () => NOW };
  private readonly ledger;
  private readonly feed = new ChangeFeed(new SqliteHouses(this.storage.raw));
  private readonly hub;
  private running: Timers | null = null;

  constructor(cacheMb?: number) {
    this.ledger = new Ledger(new SqliteHouses(this.storage.raw), this.clock, cacheMb);
    this.hub = new LiveHub(this.ledger, this.feed);
  }

  /** Begun once the houses are there, as when a server starts. */
  get timers(): Timers {
    return (this.running ??= new Timers(this.storage.raw, this.ledger, this.clock));
  }

  /** What a server that is started again has to look into. */
  startAnew(): Timers {
    return new Timers(this.storage.raw, new Ledger(new SqliteHouses(this.storage.raw), this.clock), this.clock);
  }

  fill(of: Life): LivedIn {
    return this.fillAll([of])[0]!;
  }

  fillAll(lives: readonly Life[]): LivedIn[] {
    const { raw } = this.storage;
    raw.exec('BEGIN');
    const houses = lives.map((of) => this.written(new LivedIn(of)));
    raw.exec(FILL_LIVING);
    raw.exec('COMMIT');
    return houses;
  }

  private written(house: LivedIn): LivedIn {
    const { raw } = this.storage;
    const days = new Map<string, number>();
    for (const [noun, row] of house.rows()) {
      insertRow(raw, noun, row);
      const day = noun === 'item' ? (row as Item).createdAt.slice(0, 10) : '';
      // what is there once was written down first and happened last
      if (day !== '' && day < NOW.slice(0, 10) && !days.has(day)) days.set(day, row.seq);
    }
    for (const [day, seq] of days) raw.prepare('INSERT INTO house_day ("houseId", day, seq) VALUES (?, ?, ?)').run(house.houseId, day, seq);
    raw.prepare('INSERT INTO sequence (seq, "houseId") VALUES (?, ?)').run(house.lastSeq, house.houseId);
    return house;
  }

  /** A person with two devices that listen, who adds things. */
  listening(house: LivedIn, name: string): { add: () => void } {
    const account = house.account(name);
    const { houseId } = house;
    for (const nth of [1, 2])
      this.hub.open({ accountId: account.id, deviceId: `${nth}`, houseId, since: this.ledger.seq(houseId) }, { send: () => true, close: () => undefined });
    const add = (): void => {
      const outcome = this.ledger.apply(
        { id: v7(), houseId, name: 'item.add', payload: { title: 'One more' }, at: NOW, seen: this.ledger.seq(houseId) },
        account,
      );
      if (outcome.outcome === 'refused') throw new Error(JSON.stringify(outcome.reason));
    };
    return { add };
  }

  /** A person at work, on two devices: what they add and check off is acknowledged once it is durable and was sent to both. */
  use(house: LivedIn, name: string) {
    const account = house.account(name);
    const { houseId } = house;
    const give = <N extends CommandName>(command: N, payload: Payload<N>): string => {
      const id = v7();
      const outcome = this.ledger.apply({ id, houseId, name: command, payload, at: NOW, seen: this.ledger.seq(houseId) }, account);
      if (outcome.outcome === 'refused') throw new Error(`${command}: ${JSON.stringify(outcome.reason)}`);
      return id;
    };
    const close = [1, 2].map((nth) =>
      this.hub.open({ accountId: account.id, deviceId: `${nth}`, houseId, since: this.ledger.seq(houseId) }, { send: () => true, close: () => undefined }),
    );
    const add = () => give('item.add', { title: 'One more' });
    give('item.add', { title: 'The first' });
    /** Milliseconds until each is acknowledged, and what looking for what is due takes after a change. */
    const acknowledged = async (many: number): Promise<{ times: number[]; looked: number[] }> => {
      const times: number[] = [];
      const looked: number[] = [];
      for (let nth = 0; nth < many; nth++) {
        const from = performance.now();
        const id = add();
        times.push(performance.now() - from);
        const looks = performance.now();
        this.timers.run();
        looked.push(performance.now() - looks);
        const rows = this.ledger.rows(houseId);
        const person = rows.by('person', 'accountId', account.id)[0]!.id;
        const item = rows.by('item', 'pile', person).find(({ stamps }) => stamps['']?.c === id)!.id;
        const tapped = performance.now();
        give('part.checkOff', { item, person: null });
        times.push(performance.now() - tapped);
        await new Promise((resume) => setImmediate(resume));
      }
      for (const one of close) if (typeof one === 'function') one();
      return { times, looked };
    };
    return { acknowledged };
  }

  /** Everything a new device of theirs is sent. */
  firstSync(house: LivedIn, name: string): { megabytes: number; ms: number; rows: number } {
    const rows = this.ledger.rows(house.houseId);
    const person = rows.by('person', 'accountId', house.account(name).id)[0]!;
    const until = this.ledger.seq(house.houseId);
    const from = performance.now();
    let [bytes, sent] = [0, 0];
    for (let since = 0, more = true; more;) {
      const page = this.feed.page(rows, person, { since, until, from: this.ledger.from(house.houseId), now: NOW, begins: true, limit: FIRST_PAGE_ROWS });
      bytes += gzipSync(JSON.stringify(page)).length;
      sent += page.put.length;
      ({ seq: since, more } = page);
    }
    return { megabytes: bytes / 1e6, ms: performance.now() - from, rows: sent };
  }

  get rowsHeld(): number {
    return this.ledger.held.rows;
  }

  fileMb(): number {
    this.storage.raw.exec('PRAGMA wal_checkpoint(TRUNCATE)');
    return statSync(this.file).size / 1e6;
  }

  stop(): void {
    this.storage.close();
    rmSync(this.folder, { recursive: true, force: true });
  }
}

/** Of the heap, after what is garbage was collected (with `--expose-gc`). */
function heapMb(): number {
  (globalThis as { gc?: () => void }).gc?.();
  return process.memoryUsage().heapUsed / 1e6;
}
