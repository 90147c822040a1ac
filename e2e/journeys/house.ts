import { test as base, type Browser, type BrowserContext, type Page } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort } from '../../demo/src/free-port.ts';
import { Host } from '../host/host.ts';

export { freePort };

const ROOT = join(import.meta.dirname, '../..');
export const WIDE = { width: 1280, height: 800 };
export const PHONE = { width: 390, height: 844 };

type Script = 'main' | 'demo';

/** Runs the application on a port and data of its own: in a process of its own, or in one that many share. */
interface Running {
  up(script: Script, port: number, data: string, options: { begin?: string; simulate?: boolean }): Promise<void>;
  down(port: number): Promise<void>;
}

/** As it is run: it can be killed as by a power cut, and started again. */
class OwnProcess implements Running {
  private child: ChildProcess | null = null;

  async up(script: Script, port: number, data: string, { begin, simulate = true }: { begin?: string; simulate?: boolean }): Promise<void> {
    const args = [join(ROOT, `server/out/${script}.mjs`), '--port', String(port), '--data', data];
    if (simulate || script === 'demo') args.push(simulate ? '--simulate' : '--no-simulate');
    if (begin !== undefined) args.push('--begin', begin);
    const child = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'pipe'] });
    this.child = child;
    let printed = '';
    await new Promise<void>((resolve, reject) => {
      child.stdout.on('data', (chunk: Buffer) => {
        printed += chunk.toString();
        if (printed.includes('Kotiva listens')) resolve();
      });
      child.stderr.on('data', (chunk: Buffer) => (printed += chunk.toString()));
      child.once('exit', () => reject(new Error(`the server ended: ${printed}`)));
    });
  }

  async down(): Promise<void> {
    const child = this.child!;
    const ended = new Promise((resolve) => child.once('exit', resolve));
    child.kill('SIGKILL');
    await ended;
  }
}

const inHost = (host: Host): Running => ({
  up: (script, port, data, { begin }) => host.ask({ to: 'open', script, port, data, begin }),
  down: (port) => host.ask({ to: 'close', port }),
});

interface Start {
  /** A folder whose copy it begins with. */
  from?: string;
  /** The instant it begins at; else shortly after noon of a Tuesday. */
  begin?: string;
  /** Where it runs; else in a process of its own. */
  host?: Host | null;
}

/** The application on a port and data of its own. */
export class RunningKotiva {
  readonly data = mkdtempSync(join(tmpdir(), 'kotiva-e2e-'));

  private constructor(
    private readonly script: Script,
    readonly port: number,
    private readonly running: Running,
  ) {}

  /** With nothing yet, or the houses of the demo, or a copy of what lies in a folder. */
  static async start(script: Script, { from, begin = tuesdayNoon(), host = null }: Start = {}): Promise<RunningKotiva> {
    const running = await RunningKotiva.onAFreePort(script, from, script === 'demo' && !from ? begin : undefined, host);
    if (script === 'main') await running.moveTo(begin);
    return running;
  }

  /** Between looking for a port and listening on it something else may take it, be it for a moment: then on another. */
  private static async onAFreePort(script: Script, from: string | undefined, begin: string | undefined, host: Host | null): Promise<RunningKotiva> {
    const running = new RunningKotiva(script, await freePort(), host ? inHost(host) : new OwnProcess());
    if (from) cpSync(from, running.data, { recursive: true });
    try {
      await running.up({ begin });
      return running;
    } catch (error) {
      rmSync(running.data, { recursive: true, force: true });
      if (!/Port \d+ is taken/.test(String(error))) throw error;
      return RunningKotiva.onAFreePort(script, from, begin, host);
    }
  }

  get base(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** As the demo it can do without its simulated clock. */
  up(options: { begin?: string; simulate?: boolean } = {}): Promise<void> {
    return this.running.up(this.script, this.port, this.data, options);
  }

  /** In a process of its own as a power cut would, which a journey asks for with `ownProcess`. */
  kill(): Promise<void> {
    if (!(this.running instanceof OwnProcess)) throw new Error('it shares its process: `test.use({ ownProcess: true })`');
    return this.running.down();
  }

  /** Its data stay. */
  down(): Promise<void> {
    return this.running.down(this.port);
  }

  async stop(): Promise<void> {
    await this.down();
    rmSync(this.data, { recursive: true, force: true });
  }

  /** What time it is for the houses. */
  async now(): Promise<string> {
    return ((await (await fetch(`${this.base}/api/simulate/clock`)).json()) as { now: string }).now;
  }

  /** Moves the simulated clock on by an ISO 8601 duration. */
  advance(duration: string): Promise<void> {
    return this.moveClock({ advance: duration });
  }

  /** To an instant. */
  moveTo(now: string): Promise<void> {
    return this.moveClock({ now });
  }

  /** To a minute before the next midnight in the house's zone. */
  async toLastMinuteOfDay(): Promise<void> {
    const now = Date.parse(await this.now());
    const wallClock = new Date(now).toLocaleString('sv-SE', { timeZone: 'Europe/Helsinki' });
    const aheadMs = Date.parse(`${wallClock.replace(' ', 'T')}Z`) - Math.floor(now / 1_000) * 1_000;
    const midnight = Math.ceil((now + aheadMs) / 86_400_000) * 86_400_000 - aheadMs;
    await this.moveClock({ now: new Date(midnight - 60_000).toISOString() });
  }

  private async moveClock(to: { now: string } | { advance: string }): Promise<void> {
    const response = await fetch(`${this.base}/api/simulate/clock`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(to),
    });
    if (!response.ok) throw new Error(await response.text());
  }
}

/** So that journeys hold on every day and at every hour, they begin when shops are open and nobody is left in peace. */
function tuesdayNoon(): string {
  const day = new Date(Date.now() + 86_400_000);
  while (day.getUTCDay() !== 2) day.setUTCDate(day.getUTCDate() + 1);
  return `${day.toISOString().slice(0, 10)}T10:05:00.000Z`;
}

/** Starts the application and waits for it to end by itself: what it says, and its exit code. */
export async function startInVain(script: Script, args: string[]): Promise<{ code: number | null; said: string }> {
  const child = spawn(process.execPath, [join(ROOT, `server/out/${script}.mjs`), ...args], { stdio: ['ignore', 'pipe', 'pipe'] });
  let said = '';
  child.stdout.on('data', (chunk: Buffer) => (said += chunk.toString()));
  child.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()));
  const code = await new Promise<number | null>((resolve) => child.once('exit', resolve));
  return { code, said };
}

interface DeviceOptions {
  dark?: boolean;
  /** With its service worker. */
  installed?: boolean;
  /** The browser lets it show notifications. */
  notifications?: boolean;
  /** Its time zone; else that of the demo house. */
  zone?: string;
  /** Where it is, and that it may say so. */
  at?: { latitude: number; longitude: number; accuracy?: number };
}

export interface Devices {
  /** A browser of one's own: nothing shared with the others. */
  open(size: typeof WIDE, options?: DeviceOptions): Promise<Page>;
}

interface Fixtures {
  /** Its server is a process of its own, to be killed and started again. */
  ownProcess: boolean;
  empty: RunningKotiva;
  demo: RunningKotiva;
  devices: Devices;
}

export const test = base.extend<Fixtures, { filled: string; host: Host }>({
  ownProcess: [false, { option: true }],
  host: [
    async ({}, use) => {
      const host = new Host();
      await use(host);
      host.end();
    },
    { scope: 'worker' },
  ],
  // the houses are filled once and copied for every journey
  filled: [
    async ({ host }, use) => {
      const running = await RunningKotiva.start('demo', { host });
      // what they were told goes out here, once, and not from every copy anew: moving the clock waits for it
      await running.advance('PT1S');
      await running.down();
      await use(running.data);
      rmSync(running.data, { recursive: true, force: true });
    },
    { scope: 'worker' },
  ],
  empty: async ({ host, ownProcess }, use) => {
    const running = await RunningKotiva.start('main', { host: ownProcess ? null : host });
    await use(running);
    await running.stop();
  },
  demo: async ({ filled, host, ownProcess }, use) => {
    const running = await RunningKotiva.start('demo', { from: filled, host: ownProcess ? null : host });
    await use(running);
    await running.stop();
  },
  devices: async ({ browser }, use) => {
    const contexts: BrowserContext[] = [];
    await use({ open: (size, options) => openDevice(browser, contexts, size, options) });
    for (const context of contexts) await context.close();
  },
});

async function openDevice(
  browser: Browser,
  contexts: BrowserContext[],
  size: typeof WIDE,
  { dark = false, installed = false, notifications = false, zone = 'Europe/Helsinki', at }: DeviceOptions = {},
): Promise<Page> {
  const context = await browser.newContext({
    viewport: size,
    hasTouch: size === PHONE,
    colorScheme: dark ? 'dark' : 'light',
    timezoneId: zone,
    reducedMotion: 'reduce',
    serviceWorkers: installed ? 'allow' : 'block',
    permissions: ['clipboard-read', 'clipboard-write', ...(notifications ? ['notifications'] : []), ...(at ? ['geolocation'] : [])],
    geolocation: at,
  });
  contexts.push(context);
  return context.newPage();
}

/**
 * Opens a page as one of the demo people, signed in by a cookie: the sign-in page is tried where it is what is tried. Today is there when
 * it returns, so what is typed goes to it.
 */
export async function enterDemo(page: Page, running: RunningKotiva, name: string): Promise<void> {
  const { request } = page.context();
  const { people } = (await (await request.get(`${running.base}/api/demo/people`)).json()) as { people: { id: string; name: string }[] };
  const account = people.find((one) => one.name === name)?.id;
  if (!account) throw new Error(`there is no ${name} in the demo`);
  const answer = await request.post(`${running.base}/api/demo/session`, { data: { account }, headers: { origin: running.base } });
  if (!answer.ok()) throw new Error(await answer.text());
  await page.goto(running.base);
  await page.getByRole('navigation').waitFor();
  await page.getByRole('main').getByRole('heading', { level: 1 }).waitFor();
}

/** Goes on to another page of the application, as a link in it would: loading it anew takes as long as the rest of a journey. */
export async function visit(page: Page, path: string): Promise<void> {
  await page.evaluate((to) => {
    window.history.pushState(null, '', to);
    window.dispatchEvent(new PopStateEvent('popstate', { state: null }));
  }, path);
  // it writes its own mark beside the address when it is there
  await page.waitForFunction((to) => window.location.pathname + window.location.search === to && window.history.state !== null, path);
}

/** Waits until the device has what it goes on with: lines are read and commands decided by what comes after the first screen. */
export async function decidesHere(page: Page): Promise<void> {
  await page.waitForFunction(() =>
    ['read-line', 'decide'].every((chunk) => performance.getEntriesByType('resource').some(({ name }) => name.includes(`/${chunk}-`))),
  );
}

/** Takes the network away after that. Whoever loses it within the first second keeps what they type in the line until it is back. */
export async function goOffline(page: Page): Promise<void> {
  await decidesHere(page);
  await page.context().setOffline(true);
}

/** Waits until a device has heard what time it is for the houses, after the clock was moved. */
export async function hearsTheTime(page: Page, running: RunningKotiva): Promise<void> {
  const now = Date.parse(await running.now());
  await page.waitForFunction((at) => Math.abs(Date.now() + Number(localStorage.getItem('kotiva/clock-ahead-ms')) - at) < 60_000, now);
}

/** The page of a list, by its name, as one gets there from the lists. */
export async function openList(page: Page, name: string): Promise<void> {
  await visit(page, '/lists');
  await page
    .getByRole('button', { name: new RegExp(`^${name}`) })
    .first()
    .click();
  await page.getByRole('heading', { level: 1, name }).waitFor();
}

/** Everything somebody sees of their first house, as their device would fetch it. */
export async function everythingSeen(page: Page, { base }: RunningKotiva) {
  const { houses } = await (await page.request.get(`${base}/api/me`)).json();
  const put: { noun: string; row: { id: string; title?: string; kind: string; itemId: string; snoozedUntil?: string | null } }[] = [];
  for (let since = 0, more = true; more;) {
    const found = await (await page.request.get(`${base}/api/houses/${houses[0].houseId}/changes?since=${since}`)).json();
    put.push(...found.put);
    ({ seq: since, more } = found);
  }
  return put;
}
