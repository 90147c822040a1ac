import Database from 'libsql';
import { spawn, type ChildProcess } from 'node:child_process';
import { chmodSync, closeSync, copyFileSync, existsSync, mkdirSync, mkdtempSync, openSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync, writeSync } from 'node:fs'; // prettier-ignore
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openStorage } from '../db/open.ts';
import { Outbox } from '../notify/outbox.ts';
import { SENT } from '../notify/messenger.ts';
import { bundled, freePort } from '../testing/bundled.ts';
import { Household } from '../testing/household.ts';
import { LedgerHouse } from '../testing/ledger-house.ts';
import { RealServer } from '../testing/real-server.ts';

/** The folder: whose it is, that it is one server's, and what happens when it can't be written. */

jest.setTimeout(60_000);
const MIGRATIONS = join(__dirname, '../../drizzle');
const script = join(__dirname, '../../out/hostile-main.mjs');
const folder = mkdtempSync(join(tmpdir(), 'kotiva-folder-'));
const running = new Set<ChildProcess>();

beforeAll(() => bundled('main.ts', script));
afterAll(() => {
  for (const child of running) child.kill('SIGKILL');
  rmSync(folder, { recursive: true, force: true });
});

interface Run {
  child: ChildProcess;
  base: string;
  said: () => string;
  /** Its exit code, once it has ended. */
  ended: Promise<number | null>;
}

/** A server as it is started for real. Resolves once it listens, or has ended. */
async function start(data: string, env: Record<string, string> = {}, args: string[] = []): Promise<Run> {
  const port = await freePort();
  const child = spawn(process.execPath, [script, '--data', data, '--port', String(port), ...args], {
    stdio: ['ignore', 'pipe', 'pipe'],
    env: { ...process.env, ...env },
  });
  running.add(child);
  let said = '';
  const ended = new Promise<number | null>((resolve) => child.once('exit', (code) => (running.delete(child), resolve(code))));
  await new Promise<void>((ready) => {
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => ((said += String(chunk)), said.includes('listens') && ready()));
    void ended.then(() => ready());
  });
  // somebody else took it in between
  if (said.includes(`Port ${port} is taken`)) return start(data, env, args);
  return { child, base: `http://127.0.0.1:${port}`, said: () => said, ended };
}
const mode = (path: string): string => (statSync(path).mode & 0o777).toString(8);

test('is for nobody else to read, and for one server at a time, also after it was killed', async () => {
  const data = join(folder, 'one');
  const first = await start(data);
  expect(mode(data)).toBe('700');
  for (const name of readdirSync(data)) expect([name, mode(join(data, name))]).toEqual([name, name === 'files' ? '700' : '600']);
  const second = await start(data);
  expect(await second.ended).toBe(1);
  expect(second.said().trim().split('\n')).toEqual([expect.stringContaining('Another Kotiva server uses the data folder')]);
  first.child.kill('SIGKILL');
  await first.ended;
  const third = await start(data);
  expect((await fetch(`${third.base}/api/health`)).status).toBe(200);
  third.child.kill('SIGTERM');
  expect(await third.ended).toBe(0);
});

test('SIGTERM ends streams, and leaves one file with all there is', async () => {
  const data = join(folder, 'term');
  const { child, base, ended } = await start(data);
  const headers = { 'content-type': 'application/json' };
  const answer = await fetch(`${base}/api/accounts`, {
    method: 'POST',
    headers,
    body: JSON.stringify({ email: 'a@b.example', password: 'three red boats', name: 'Aino' }),
  });
  expect(answer.status).toBe(201);
  child.kill('SIGTERM');
  expect(await ended).toBe(0);
  expect(existsSync(join(data, 'kotiva.sqlite-wal')) && statSync(join(data, 'kotiva.sqlite-wal')).size > 0).toBe(false);
  const db = new Database(join(data, 'kotiva.sqlite'), { readonly: true });
  expect(db.prepare('SELECT email FROM account').all()).toMatchObject([{ email: 'a@b.example' }]);
  db.close();
});

describe('what can’t be used ends the start with one sentence', () => {
  const refused = async (data: string, words: RegExp, env: Record<string, string> = {}, args: string[] = []) => {
    const { ended, said } = await start(data, env, args);
    expect(await ended).toBe(1);
    expect(said().trim().split('\n')).toEqual([expect.stringMatching(words)]);
  };
  const withFile = (name: string, make: (file: string) => void): string => {
    const data = join(folder, name);
    mkdirSync(data);
    make(join(data, 'kotiva.sqlite'));
    return data;
  };

  test('a file that is no database', () => refused(withFile('garbage', (file) => writeFileSync(file, 'x'.repeat(10_000))), /can't be opened|can't be used/)); // prettier-ignore

  test('a damaged one', () =>
    refused(
      withFile('damaged', (file) => {
        const storage = openStorage(file, MIGRATIONS);
        storage.close();
        const size = statSync(file).size;
        const bytes = Buffer.alloc(4096 * 8, 0xff);
        const handle = openSync(file, 'r+');
        writeSync(handle, bytes, 0, bytes.length, Math.floor(size / 8192) * 4096);
        closeSync(handle);
      }),
      /is damaged|can't be used|can't be opened/,
    ));

  test('one of another program', () =>
    refused(
      withFile('other', (file) => {
        const db = new Database(file);
        db.exec('CREATE TABLE recipes (name)');
        db.close();
      }),
      /is not a database of Kotiva/,
    ));

  test('one of a newer version', () =>
    refused(
      withFile('newer', (file) => {
        openStorage(file, MIGRATIONS).close();
        const db = new Database(file);
        db.prepare("INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('x', 9999999999999)").run();
        db.close();
      }),
      /newer version/,
    ));

  test('a folder that is a file', () => {
    const data = join(folder, 'a-file');
    writeFileSync(data, '');
    return refused(data, /The data folder .* can't be written/);
  });

  test('a port for mail that is taken', async () => {
    const port = await freePort();
    const taken = createServer();
    await new Promise<void>((listening) => taken.listen(port, '127.0.0.1', listening));
    await refused(join(folder, 'mail'), new RegExp(`Port ${port} is taken`), { KOTIVA_SMTP_IN_PORT: String(port) });
    await new Promise<void>((closed) => taken.close(() => closed()));
  });

  test('settings that are none', async () => {
    await refused(join(folder, 'sign-up'), /KOTIVA_SIGN_UP/, { KOTIVA_SIGN_UP: 'perhaps' });
    await refused(join(folder, 'proxies'), /KOTIVA_TRUSTED_PROXIES/, { KOTIVA_TRUSTED_PROXIES: 'the one in front' });
    await refused(join(folder, 'cache'), /KOTIVA_CACHE_MB/, { KOTIVA_CACHE_MB: 'much' });
    await refused(join(folder, 'simulate'), /127\.0\.0\.1 only/, {}, ['--simulate', '--host', '0.0.0.0']);
  });
});

test('figures are on a port of their own, and name nobody', async () => {
  const metrics = await freePort();
  const { base, child, ended } = await start(join(folder, 'metrics'), { KOTIVA_METRICS_PORT: String(metrics) });
  const text = await (await fetch(`http://127.0.0.1:${metrics}/metrics`)).text();
  expect(text).toMatch(/^kotiva_streams_open 0$/m);
  expect((await fetch(`http://127.0.0.1:${metrics}/`)).status).toBe(404);
  expect((await fetch(`${base}/metrics`)).headers.get('content-type') ?? '').not.toContain('version=0.0.4');
  child.kill('SIGTERM');
  expect(await ended).toBe(0);
});

test('a migration keeps a copy of how it was before', () => {
  const file = join(folder, 'older.sqlite');
  const older = join(folder, 'drizzle');
  // the migrations but for the last few: one alone may change rows and no table
  const journal = JSON.parse(readFileSync(join(MIGRATIONS, 'meta/_journal.json'), 'utf8')) as {
    entries: { tag: string; when: number }[];
  };
  mkdirSync(join(older, 'meta'), { recursive: true });
  const entries = journal.entries.slice(0, -3);
  for (const { tag } of entries) copyFileSync(join(MIGRATIONS, `${tag}.sql`), join(older, `${tag}.sql`));
  writeFileSync(join(older, 'meta/_journal.json'), JSON.stringify({ ...journal, entries }));
  const before = openStorage(file, older);
  before.raw.prepare("INSERT INTO setting (key, value) VALUES ('kept', 'as it was')").run();
  const shapeOf = (raw: Database.Database): unknown => raw.prepare('SELECT name, sql FROM sqlite_master WHERE sql IS NOT NULL ORDER BY name').all();
  const shape = shapeOf(before.raw);
  before.close();
  const after = openStorage(file, MIGRATIONS);
  expect(shapeOf(after.raw)).not.toEqual(shape);
  after.close();
  const copy = new Database(join(folder, `before-${entries.at(-1)!.when}.sqlite`), { readonly: true });
  expect(copy.prepare('SELECT value FROM setting').all()).toMatchObject([{ value: 'as it was' }]);
  expect(shapeOf(copy)).toEqual(shape);
  copy.close();
  chmodSync(join(folder, 'older.sqlite'), 0o600);
});

describe('a full disk', () => {
  const server = new RealServer();
  let house: Household;
  beforeAll(async () => {
    await server.start();
    house = new Household(server);
    await house.found('Aino');
  });
  afterAll(() => server.stop());
  const pages = () => (server.raw.prepare('PRAGMA page_count').get() as { page_count: number }).page_count;
  const room = (more: number) => server.raw.exec(`PRAGMA max_page_count = ${pages() + more}`);

  test('takes nothing, says so, is read as before, and goes on by itself', async () => {
    const silent = [jest.spyOn(console, 'error'), jest.spyOn(console, 'warn')].map((printed) => printed.mockImplementation(() => undefined));
    const health = async () => (await (await fetch(`${server.base}/api/health`)).json()) as { status: string; storage: string };
    room(0);
    const commands: unknown[] = [];
    let refused: Response | null = null;
    for (let nth = 0; nth < 200 && refused === null; nth++) {
      const command = { id: crypto.randomUUID().replace(/^(.{14})./, '$17'), houseId: house.houseId, name: 'item.add', payload: { title: `Thing ${nth}`, notes: 'x'.repeat(5_000) }, at: new Date().toISOString(), seen: 0 }; // prettier-ignore
      const answer = await house.fetch('Aino', 'POST', '/api/commands', { commands: [command] });
      if (answer.status !== 200) refused = answer;
      commands.push(command);
    }
    expect([refused?.status, ((await refused?.json()) as { code: string }).code, refused?.headers.get('retry-after')]).toEqual([503, 'storage-full', '15']);
    expect(await health()).toMatchObject({ status: 'degraded', storage: 'full' });
    // reading never needs a write, however long ago the device was seen
    server.raw.exec('PRAGMA max_page_count = 1073741823');
    server.raw.prepare('UPDATE device SET "lastSeenAt" = ?').run(new Date(Date.now() - 3_600_000).toISOString());
    room(0);
    for (const path of ['/api/me', `/api/houses/${house.houseId}/changes?since=0`, `/api/houses/${house.houseId}/activity`]) expect([path, (await house.fetch('Aino', 'GET', path)).status]).toEqual([path, 200]); // prettier-ignore
    expect(() => server.services.timers.run()).not.toThrow();
    server.raw.exec('PRAGMA max_page_count = 1073741823');
    const last = commands.at(-1);
    expect(await (await house.fetch('Aino', 'POST', '/api/commands', { commands: [last] })).json()).toMatchObject({ outcomes: [{ outcome: 'accepted' }] });
    expect(await health()).toMatchObject({ status: 'ok', storage: 'ok' });
    for (const printed of silent) printed.mockRestore();
  });
});

test('where nothing can be noted nothing is sent, so that it does not go out again and again', async () => {
  const house = new LedgerHouse('Aino', 'Leila');
  let sent = 0;
  const outbox = new Outbox(house.storage.raw, house.ledger, house.clock, {
    push: { send: () => Promise.resolve(SENT) },
    mail: { send: () => Promise.resolve(((sent += 1), SENT)) },
    outside: () => ({ footer: '' }),
    publicUrl: '',
    mailDomain: 'x.example',
  });
  house.item('Aino', 'Order candles', { persons: [house.person('Leila')] });
  house.later(1);
  house.storage.raw.exec('PRAGMA query_only = ON');
  for (let time = 0; time < 3; time++) await expect(outbox.run()).rejects.toMatchObject({ code: expect.stringMatching(/^SQLITE_/) as string });
  expect(sent).toBe(0);
  house.storage.raw.exec('PRAGMA query_only = OFF');
  await outbox.run();
  expect(sent).toBe(1);
});
