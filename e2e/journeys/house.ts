import { test as base, type Browser, type BrowserContext, type Page } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort } from '../../demo/src/free-port.ts';

export { freePort };

const ROOT = join(import.meta.dirname, '../..');
export const WIDE = { width: 1280, height: 800 };
export const PHONE = { width: 390, height: 844 };

/** The application as it is run, on a port and data of its own; it can be killed and started again. */
export class RunningKotiva {
  private child: ChildProcess | null = null;
  readonly data = mkdtempSync(join(tmpdir(), 'kotiva-e2e-'));

  private constructor(
    private readonly script: 'main' | 'demo',
    readonly port: number,
  ) {}

  /** With data of its own: nothing, or a copy of what lies in a folder. */
  static async start(script: 'main' | 'demo', from?: string): Promise<RunningKotiva> {
    const running = new RunningKotiva(script, await freePort());
    if (from) cpSync(from, running.data, { recursive: true });
    await running.up();
    return running;
  }

  get base(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  async up(options: string[] = ['--simulate']): Promise<void> {
    const args = [join(ROOT, `server/out/${this.script}.mjs`), '--port', String(this.port), '--data', this.data, ...options];
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

  /** As a power cut would. */
  async kill(): Promise<void> {
    const child = this.child!;
    const ended = new Promise((resolve) => child.once('exit', resolve));
    child.kill('SIGKILL');
    await ended;
  }

  async stop(): Promise<void> {
    await this.kill();
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

  /** To the next noon in the house's zone, when nobody is left in peace. */
  async toNoon(): Promise<void> {
    const now = await this.now();
    const today = `${now.slice(0, 10)}T10:00:00.000Z`;
    await this.moveClock({ now: now < today ? today : new Date(Date.parse(today) + 86_400_000).toISOString() });
  }

  /** To noon of the next Tuesday, when shops are open. */
  async toTuesdayNoon(): Promise<void> {
    await this.toNoon();
    for (let now = await this.now(); new Date(now).getUTCDay() !== 2; now = await this.now()) await this.advance('P1D');
  }

  /** To a minute before the next midnight in the house's zone: two hours ahead of UTC while it is winter. */
  async toLastMinuteOfDay(): Promise<void> {
    const now = await this.now();
    const today = `${now.slice(0, 10)}T21:59:00.000Z`;
    const tomorrow = new Date(Date.parse(today) + 86_400_000).toISOString();
    await this.moveClock({ now: now < today ? today : tomorrow });
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

/** Starts the application and waits for it to end by itself: what it says, and its exit code. */
export async function startInVain(script: 'main' | 'demo', args: string[]): Promise<{ code: number | null; said: string }> {
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
  /** Where it is, and that it may say so. */
  at?: { latitude: number; longitude: number; accuracy?: number };
}

export interface Devices {
  /** A browser of one's own: nothing shared with the others. */
  open(size: typeof WIDE, options?: DeviceOptions): Promise<Page>;
}

export const test = base.extend<{ empty: RunningKotiva; demo: RunningKotiva; devices: Devices }, { filled: () => Promise<string> }>({
  // the houses are filled once and copied for every journey; they tell of days before the one they were filled on, so not past its end
  filled: [
    async ({}, use) => {
      const made: { day: string; running: RunningKotiva }[] = [];
      await use(async () => {
        const day = new Date().toDateString();
        const known = made.find((one) => one.day === day);
        if (known) return known.running.data;
        const running = await RunningKotiva.start('demo');
        await running.kill();
        made.push({ day, running });
        return running.data;
      });
      for (const { running } of made) rmSync(running.data, { recursive: true, force: true });
    },
    { scope: 'worker' },
  ],
  empty: async ({}, use) => {
    const running = await RunningKotiva.start('main');
    await use(running);
    await running.stop();
  },
  demo: async ({ filled }, use) => {
    const running = await RunningKotiva.start('demo', await filled());
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
  { dark = false, installed = false, notifications = false, at }: DeviceOptions = {},
): Promise<Page> {
  const context = await browser.newContext({
    viewport: size,
    hasTouch: size === PHONE,
    colorScheme: dark ? 'dark' : 'light',
    timezoneId: 'Europe/Helsinki',
    reducedMotion: 'reduce',
    serviceWorkers: installed ? 'allow' : 'block',
    permissions: ['clipboard-read', 'clipboard-write', ...(notifications ? ['notifications'] : []), ...(at ? ['geolocation'] : [])],
    geolocation: at,
  });
  contexts.push(context);
  return context.newPage();
}

/** Signs a page in as one of the demo people, with the one tap the sign-in page offers. */
export async function enterDemo(page: Page, running: RunningKotiva, name: string): Promise<void> {
  await page.goto(running.base);
  await page.getByRole('button', { name }).click();
  await page.getByRole('navigation').waitFor();
}
