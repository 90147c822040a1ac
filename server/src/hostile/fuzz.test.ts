import { spawn, type ChildProcess } from 'node:child_process';
import { appendFileSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { once } from 'node:events';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { bundled, freePort } from '../testing/bundled.ts';
import { Dice, DATES, mutated, mutatedMail, oddity, RULES, WORDS } from './mutating.ts';

/**
 * Everything that comes in, changed as nobody would: commands with undo, extreme dates and fine rules, lines, mails, headers. The server
 * answers each, never ends, never says that something went wrong in it, and its health is asked all the while. `FUZZ` says how many;
 * with `FUZZ_STRICT` no answer about its health may take longer than 250 ms.
 */

const MANY = Number(process.env['FUZZ'] ?? 2_000);
const STRICT = process.env['FUZZ_STRICT'] === '1';
const WORST_MS = 250;
/** So many commands a house: then it has about as much in it as a large one. */
const A_HOUSE = 2_000;
const AT_ONCE = 4;
jest.setTimeout(120_000 + MANY * 60);

const script = join(__dirname, '../../out/fuzz-main.mjs');
const folder = mkdtempSync(join(tmpdir(), 'kotiva-fuzz-'));
let child: ChildProcess;
let base: string;
let mailPort: number;
let printed = '';

beforeAll(async () => {
  await bundled('main.ts', script);
  const port = await freePort();
  mailPort = await freePort();
  base = `http://127.0.0.1:${port}`;
  child = spawn(process.execPath, [script, '--data', folder, '--port', String(port), '--simulate'], {
    stdio: ['ignore', 'pipe', 'pipe'],
    env: { ...process.env, KOTIVA_SMTP_IN_PORT: String(mailPort), KOTIVA_MAIL_DOMAIN: 'x.example' },
  });
  await new Promise<void>((listens) => {
    for (const stream of [child.stdout, child.stderr])
      stream!.on('data', (chunk) => {
        printed += String(chunk);
        if (printed.includes('listens')) listens();
      });
  });
});
afterAll(() => {
  child.kill('SIGKILL');
  rmSync(folder, { recursive: true, force: true });
});

interface Held {
  houseId: string;
  ids: Map<string, string[]>;
  given: string[];
}

class Fuzzer {
  private cookie = '';
  private secret = '';
  private capture = '';
  readonly faults: string[] = [];
  readonly statuses = new Map<number, number>();
  /** What took longest to be answered, the slowest first. */
  slowest: { ms: number; what: string }[] = [];

  constructor(private readonly d: Dice) {}

  async ask(method: string, path: string, body?: unknown, headers: Record<string, string> = {}): Promise<unknown> {
    const init = { method, headers: { 'content-type': 'application/json', cookie: this.cookie, ...headers } };
    const text = body === undefined || typeof body === 'string' ? body : JSON.stringify(body);
    const from = performance.now();
    const response = await fetch(base + path, { ...init, body: text }).catch((error: unknown) => {
      // a header that can't be sent is not the server's to answer
      if (error instanceof TypeError && !/fetch failed/.test(error.message)) return null;
      throw error;
    });
    if (!response) return null;
    this.timed(performance.now() - from, `${method} ${path} ${text?.slice(0, 400) ?? ''}`);
    this.statuses.set(response.status, (this.statuses.get(response.status) ?? 0) + 1);
    if (response.status >= 500) this.faults.push(`${response.status} ${method} ${path} ${text?.slice(0, 300) ?? ''}`);
    const set = response.headers.getSetCookie().find((one) => one.startsWith('kotiva_session='));
    if (set && !this.cookie) this.cookie = set.split(';')[0]!;
    return response.json().catch(() => null);
  }

  private timed(ms: number, what: string): void {
    if (ms < (this.slowest[9]?.ms ?? 0)) return;
    this.slowest = [...this.slowest, { ms: Math.round(ms), what }].sort((a, b) => b.ms - a.ms).slice(0, 10);
  }

  async enter(): Promise<void> {
    const person = { email: `fuzz${this.d.below(1e9)}@example.org`, password: 'three red boats at the quay', name: 'Aino' };
    await this.ask('POST', '/api/accounts', person);
  }

  async house(): Promise<Held> {
    const houseId = this.d.uuid();
    const person = { name: 'Aino', mark: 'Ai', colour: 'moss', pattern: 'twill' };
    await this.command(houseId, 'house.make', { name: 'House', zone: 'Europe/Helsinki', person });
    const { secret } = (await this.ask('POST', `/api/houses/${houseId}/tokens`, { name: 'fuzz' })) as { secret: string };
    const { address } = (await this.ask('GET', `/api/houses/${houseId}/capture-address`)) as { address: string };
    Object.assign(this, { secret, capture: address });
    const held: Held = { houseId, ids: new Map(), given: [] };
    for (const [name, payload] of [
      ['list.make', { name: 'List', colour: 'moss', icon: 'leaf' }],
      ['tag.make', { name: 'wood' }],
      ['tag.make', { name: 'shore' }],
      ['item.add', { title: 'One' }],
      ['chore.make', { title: 'Water', rrule: 'FREQ=DAILY', dtstart: '2026-11-24' }],
    ] as const)
      await this.command(houseId, name, payload);
    await this.look(held);
    return held;
  }

  /** What is in the house by now, as a device would fetch it. */
  async look({ houseId, ids }: Held): Promise<void> {
    for (let since = 0, more = true; more;) {
      const page = (await this.ask('GET', `/api/houses/${houseId}/changes?since=${since}`)) as {
        seq: number;
        more: boolean;
        put: { noun: string; row: { id: string } }[];
      } | null;
      if (!page?.put) return;
      for (const { noun, row } of page.put) ids.set(noun, [...(ids.get(noun) ?? []).slice(-200), row.id]);
      ({ seq: since, more } = page);
    }
  }

  async command(houseId: string, name: string, payload: unknown, more: object = {}): Promise<string> {
    const id = this.d.uuid();
    const envelope = { id, houseId, name, payload, at: new Date().toISOString(), seen: 1_000_000, ...more };
    const answer = (await this.ask('POST', '/api/commands', { commands: [envelope] })) as { outcomes?: { reason?: { code: string } }[] } | null;
    if (answer?.outcomes?.[0]?.reason?.code === 'failed') this.faults.push(`failed ${name} ${JSON.stringify(payload).slice(0, 600)}`);
    return id;
  }

  async one(held: Held): Promise<void> {
    const { d } = this;
    const id = (noun: string) => (d.chance(0.95) ? d.pick(held.ids.get(noun) ?? [d.uuid()]) : d.uuid());
    const what = d.next();
    if (what < 0.6) {
      const { name, payload } = mutated(d, id);
      held.given.push(await this.command(held.houseId, name, payload, d.chance(0.05) ? { at: oddity(d), seen: oddity(d) } : {}));
    } else if (what < 0.78) await this.command(held.houseId, 'undo', { command: d.pick(held.given.slice(-30).concat(d.uuid())) });
    else if (what < 0.86)
      await this.ask('POST', '/api/capture', [d.pick(WORDS), d.pick(WORDS), `Water ${d.pick(RULES)} by ${d.pick(DATES)}`].join('\n'), { authorization: `Bearer ${this.secret}`, 'content-type': 'text/plain', ...(d.chance(0.3) ? { 'idempotency-key': d.pick(['x', 'y'.repeat(255), 'z'.repeat(300)]) } : {}) }); // prettier-ignore
    else if (what < 0.9) await this.path(held);
    else if (what < 0.94)
      await this.ask(
        'POST',
        d.pick(['/api/commands', '/api/session', '/api/accounts', '/api/me/push', '/o/x']),
        d.pick(['{', 'null', '[]', '"', JSON.stringify(oddity(d)) ?? '']),
      );
    else if (what < 0.97) await this.head();
    else await this.mail();
  }

  private async path({ houseId }: Held): Promise<void> {
    // half a character is no text that can be sent
    const odd = encodeURIComponent(Buffer.from(String(oddity(this.d))).toString()).slice(0, 2_000);
    const path = this.d.pick([
      `/api/houses/${houseId}/changes?since=${odd}&limit=${odd}`,
      `/api/houses/${odd}/changes`,
      `/api/houses/${houseId}/activity?before=${odd}&item=${odd}`,
      `/api/invitations/${odd}`,
      `/o/${odd}`,
      `/o/${'0'.repeat(56)}/stop`,
      `/api/geocode?q=${odd}`,
      `/api/houses/${this.d.uuid()}/live`,
      `/api/me/devices/${odd}`,
      `/${odd}`,
    ]);
    await this.ask('GET', path);
  }

  /** Requests whose heads are none, or never come to an end. */
  private head(): Promise<void> {
    const odd = this.d.pick(['Host: x', 'Content-Length: -1', 'Content-Length: 999999999', 'Transfer-Encoding: chunked', `X: ${'y'.repeat(20_000)}`, 'Cookie: kotiva_session=%%%', 'Forwarded: for="[', 'Origin: null', 'Range: bytes=0-,-1', 'Accept-Encoding: \u0001']); // prettier-ignore
    return this.raw(
      Number(new URL(base).port),
      `${this.d.pick(['GET', 'POST', 'PATCH', 'X'])} ${this.d.pick(['/api/commands', '/api/me', '*', '/%00', '//'])} HTTP/1.1\r\nHost: kotiva\r\n${odd}\r\n\r\n${'z'.repeat(this.d.below(50))}`,
    );
  }

  private mail(): Promise<void> {
    const lines = ['EHLO x', 'MAIL FROM:<aino@x.example>', `RCPT TO:<${this.capture}>`, 'DATA', mutatedMail(this.d), '.'];
    return this.raw(mailPort, `${lines.slice(0, 1 + this.d.below(lines.length)).join('\r\n')}\r\n`);
  }

  /** Sends it all, waits for a word, and goes. */
  private raw(port: number, text: string): Promise<void> {
    return new Promise((done) => {
      const socket = connect(port, '127.0.0.1');
      socket.on('connect', () => socket.write(text));
      socket.once('data', () => socket.end());
      socket.setTimeout(200, () => socket.destroy());
      socket.on('error', () => undefined);
      socket.on('close', () => done());
    });
  }
}

/** Asks how the server is, from a thread of its own: what this one is busy with counts for nothing. */
const WATCHING = `
const { parentPort, workerData } = require('node:worker_threads');
let on = true;
parentPort.once('message', () => (on = false));
(async () => {
  let worst = 0, asked = 0;
  await (await fetch(workerData)).json();
  while (on) {
    const from = performance.now();
    await (await fetch(workerData)).json();
    worst = Math.max(worst, performance.now() - from);
    asked += 1;
    await new Promise((next) => setTimeout(next, 100));
  }
  parentPort.postMessage({ worst, asked });
})();`;

/** Asked all the while: how often, and how long the slowest answer took. */
class Watch {
  private readonly worker = new Worker(WATCHING, { eval: true, workerData: `${base}/api/health` });

  async stop(): Promise<{ worst: number; asked: number }> {
    const told = once(this.worker, 'message');
    this.worker.postMessage('stop');
    const [figures] = (await told) as [{ worst: number; asked: number }];
    await this.worker.terminate();
    return figures;
  }
}

const memory = (): number => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${child.pid}/status`, 'utf8'))![1]) / 1024;

/** One of several at the same time, each with an account and houses of its own; told of each tenth it is through. */
async function fuzzing(seed: number, many: number, tenth: () => void): Promise<Fuzzer> {
  const fuzzer = new Fuzzer(new Dice(seed));
  await fuzzer.enter();
  let held = await fuzzer.house();
  for (let nth = 0; nth < many; nth++) {
    if (nth > 0 && nth % A_HOUSE === 0) held = await fuzzer.house();
    if (nth % 50 === 49) await fuzzer.look(held);
    if (nth % 400 === 399) await fuzzer.ask('POST', '/api/simulate/clock', { advance: 'PT6H' });
    await fuzzer.one(held);
    if ((nth + 1) % Math.ceil(many / 10) === 0) tenth();
  }
  return fuzzer;
}

test(`${MANY} of them leave it answering`, async () => {
  const seed = Number(process.env['FUZZ_SEED'] ?? 1);
  const watch = new Watch();
  const held = [memory()];
  const sampled = (): void => void held.push(memory());
  const fuzzers = await Promise.all(
    // memory is read at each tenth of the first of them
    Array.from({ length: AT_ONCE }, (_, nth) => fuzzing(seed * 100 + nth, MANY / AT_ONCE, nth === 0 ? sampled : () => undefined)),
  );
  const health = await watch.stop();
  const statuses: Record<number, number> = {};
  for (const fuzzer of fuzzers) for (const [status, many] of fuzzer.statuses) statuses[status] = (statuses[status] ?? 0) + many;
  const figures = {
    many: MANY,
    seed,
    worst_ms: Math.round(health.worst),
    health_asked: health.asked,
    rss_mb: [...held, memory()].map(Math.round),
    statuses,
    slowest: fuzzers
      .flatMap(({ slowest }) => slowest)
      .sort((a, b) => b.ms - a.ms)
      .slice(0, 12),
  };
  if (process.env['FUZZ_OUT']) appendFileSync(process.env['FUZZ_OUT'], `${JSON.stringify(figures)}\n`);
  expect(fuzzers.flatMap(({ faults }) => faults).slice(0, 5)).toEqual([]);
  expect(child.exitCode).toBeNull();
  // what it says of itself it says once
  const errors = printed.split('\n').filter((line) => !/^\s*at |Error:/.test(line) && /error|fault|set aside/i.test(line));
  expect(errors.filter((line, nth) => errors.indexOf(line) !== nth)).toEqual([]);
  if (STRICT) expect(health.worst).toBeLessThanOrEqual(WORST_MS);
});
