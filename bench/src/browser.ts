import { serve } from '@hono/node-server';
import { serveStatic } from '@hono/node-server/serve-static';
import { Hono } from 'hono';
import { spawnSync } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { chromium, type Browser } from 'playwright-core';
import { DemoPerson } from './people.ts';
import { percentile, report } from './report.ts';
import { scrollThrough } from './scrolling.ts';
import { freePort, ROOT } from './server.ts';

const STARTS = 9;
export const ARGS = [
  '--headless',
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

/** JavaScript of the first load, and the time to the first row of a cold start, beside an empty page of the same framework. */
export async function firstLoad(base: string): Promise<void> {
  const empty = await serveEmpty();
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ARGS });
  const ours = await coldStarts(browser, `${base}/`, '[role=checkbox]', await cookieOf(base));
  const bare = await coldStarts(browser, `${empty.base}/`, '#ready', null);
  await browser.close();
  empty.stop();
  report('first_load_js_gz', ours.kilobytes, 'kB', bare.kilobytes);
  report('cold_start_ms', percentile(ours.times, 0.5), 'ms', percentile(bare.times, 0.5));
}

/** Frames a second while a list of 2,000 rows is scrolled from end to end, beside a bare page of as many rows. */
export async function scrollFps(base: string): Promise<void> {
  const list = await longList(base);
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ARGS });
  const context = await browser.newContext({ serviceWorkers: 'block', viewport: { width: 390, height: 844 } });
  await context.addCookies([await cookieOf(base)]);
  const page = await context.newPage();
  await page.goto(`${base}/lists/${list}`);
  await page.getByText('Row 1', { exact: true }).waitFor();
  const ours = await page.evaluate<number>(scrollThrough('[role=main] [data-row]'));
  await page.setContent(
    `<div style="height:100vh;overflow:auto">${Array.from({ length: ROWS }, (_, nth) => `<div class=row style="height:56px">Row ${nth}</div>`).join('')}</div>`,
  );
  const bare = await page.evaluate<number>(scrollThrough('.row'));
  await browser.close();
  report('scroll_fps', ours, 'frames/s', bare);
}

const ROWS = 2_000;

async function longList(base: string): Promise<string> {
  const aino = await DemoPerson.signIn(base, 'Aino');
  const name = 'Two thousand rows';
  await aino.send('list.make', { name, colour: 'moss', icon: 'list' });
  const list = (await aino.rows('list')).find((row) => row.name === name)!.id;
  for (let from = 0; from < ROWS; from += 500) {
    await aino.send('item.addMany', { list, items: Array.from({ length: 500 }, (_, nth) => ({ title: `Row ${from + nth + 1}` })) });
  }
  return list;
}

/** In the page, as text: when what is waited for first stood there. */
const noteWhenReady = (ready: string): string => `new MutationObserver((_, watch) => {
  if (!document.querySelector(${JSON.stringify(ready)})) return;
  globalThis.readyAt = performance.now();
  watch.disconnect();
}).observe(document, { childList: true, subtree: true });`;

async function coldStarts(browser: Browser, address: string, ready: string, cookie: { name: string; value: string; url: string } | null) {
  const times: number[] = [];
  let kilobytes = 0;
  for (let start = 0; start < STARTS; start++) {
    const context = await browser.newContext({ serviceWorkers: 'block', viewport: { width: 390, height: 844 } });
    if (cookie) await context.addCookies([cookie]);
    const page = await context.newPage();
    const bodies = new Map<string, Promise<Buffer | null>>();
    page.on('response', (response) => {
      // what is asked for as the page closes has no body any more, and is no part of it
      if (response.url().endsWith('.js'))
        bodies.set(
          response.url(),
          response.body().catch(() => null),
        );
    });
    await page.addInitScript(noteWhenReady(ready));
    const from = performance.now();
    await page.goto(address);
    await page.waitForSelector(ready);
    times.push(performance.now() - from);
    // what is asked for once the screen stands is no part of it
    const asked = await page.evaluate<string[]>(
      `performance.getEntriesByType('resource').filter(({ startTime }) => startTime < globalThis.readyAt).map(({ name }) => name)`,
    );
    const scripts = await Promise.all(asked.flatMap((url) => bodies.get(url) ?? []));
    kilobytes = scripts.reduce((sum, body) => sum + (body ? gzipSync(body, { level: 9 }).length : 0), 0) / 1000;
    await context.close();
  }
  return { times, kilobytes };
}

export async function cookieOf(base: string) {
  const person = await DemoPerson.signIn(base, 'Aino');
  const [name, value] = person.cookie.split('=') as [string, string];
  return { name, value, url: base };
}

/** An empty Expo Router + NativeWind page, exported the same way; kept until the packages change. */
async function serveEmpty(): Promise<{ base: string; stop(): void }> {
  const folder = join(ROOT, '.cache/empty-page');
  const lock = readFileSync(join(ROOT, 'package-lock.json'), 'utf8').length.toString();
  const mark = join(folder, 'built-with');
  if (!existsSync(mark) || readFileSync(mark, 'utf8') !== lock) {
    buildEmpty(folder);
    writeFileSync(mark, lock);
  }
  const app = new Hono();
  app.use('*', serveStatic({ root: join(folder, 'dist') }));
  const port = await freePort();
  const server = serve({ fetch: app.fetch, port, hostname: '127.0.0.1' });
  return { base: `http://127.0.0.1:${port}`, stop: () => void server.close() };
}

function buildEmpty(folder: string): void {
  mkdirSync(join(folder, 'app'), { recursive: true });
  for (const file of ['app.json', 'babel.config.js', 'tailwind.config.js', 'global.css', 'tsconfig.json', 'public'])
    cpSync(join(ROOT, 'client', file), join(folder, file), { recursive: true });
  // the framework as it comes: nothing is left out of it
  writeFileSync(
    join(folder, 'metro.config.js'),
    "const { getDefaultConfig } = require('expo/metro-config');\nconst { withNativeWind } = require('nativewind/metro');\nmodule.exports = withNativeWind(getDefaultConfig(__dirname), { input: './global.css' });\n",
  );
  const ours = JSON.parse(readFileSync(join(ROOT, 'client/package.json'), 'utf8')) as object;
  writeFileSync(join(folder, 'package.json'), JSON.stringify({ ...ours, main: 'expo-router/entry' }));
  writeFileSync(
    join(folder, 'app/_layout.tsx'),
    "import '../global.css';\nimport { Slot } from 'expo-router';\nexport default function Root() {\n  return <Slot />;\n}\n",
  );
  writeFileSync(
    join(folder, 'app/index.tsx'),
    'import { Text, View } from \'react-native\';\nexport default function Empty() {\n  return (\n    <View className="p-4" nativeID="ready">\n      <Text className="text-17">Empty</Text>\n    </View>\n  );\n}\n',
  );
  const done = spawnSync('npx', ['expo', 'export', '--platform', 'web', '--output-dir', 'dist'], {
    cwd: folder,
    env: { ...process.env, EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1', CI: '1' },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  if (done.status !== 0) throw new Error(`the empty page could not be built: ${done.stderr.toString().slice(-2000)}`);
}
