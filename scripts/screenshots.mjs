// Takes the pictures of the main views anew, from the demo data: `node scripts/screenshots.mjs [name …]`.
import { chromium } from '@playwright/test';
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build, install, root } from './lib.mjs';

const PORT = 27_431;
const base = `http://127.0.0.1:${PORT}`;
const PHONE = { width: 390, height: 844 };
const WIDE = { width: 1280, height: 800 };

const link = (page, name) => page.getByRole('link', { name, exact: true }).click();
const press = (page, name) => page.getByRole('button', { name }).first().click();
const type = async (page, words) => page.getByRole('textbox', { name: 'Add something' }).fill(words);
const go = (page, path) => page.goto(base + path);
const list = async (page, name) => {
  await link(page, 'Lists');
  await press(page, new RegExp(`^${name}`));
};
const item = async (page, name, title) => {
  await list(page, name);
  await page.getByText(title).first().click();
  await page.getByRole('dialog').waitFor();
};
const withSteps = async (page) => {
  await press(page, /View/);
  await page.getByRole('radio', { name: 'Title, line and steps' }).click();
  await page.keyboard.press('Escape');
};

/** What is done before each picture; on a phone, in the light, as Aino, where nothing else is said. */
const PICTURES = {
  'today-phone': async () => undefined,
  'today-wide': { size: WIDE, steps: async () => undefined },
  'capture-phone': async (page) => {
    await list(page, 'Groceries');
    await type(page, 'Ask Leila to order 40 candles by Friday 15 min #shop');
  },
  'to-sort-phone': async (page) => press(page, 'Sort'),
  'fits-now-phone': async (page) => {
    await go(page, '/fits');
    await page.getByRole('button', { name: /^any energy/ }).click();
    await page.getByRole('radio', { name: 'little energy' }).click();
    await page.getByRole('button', { name: /^little energy/ }).click();
  },
  'list-phone': async (page) => {
    await list(page, 'Boathouse');
    await withSteps(page);
  },
  'places-wide': {
    size: WIDE,
    steps: async (page) => {
      await go(page, '/places');
      await page.locator('.land-water').first().waitFor();
      await page
        .getByText(/open (until|today)|closed/)
        .first()
        .waitFor();
    },
  },
  'lists-phone': async (page) => link(page, 'Lists'),
  'round-phone': async (page) => {
    await go(page, '/round');
    await page.getByRole('button', { name: /^From / }).click();
    await page.getByLabel('Start time').fill('13:30');
    await page.getByText('Done at').waitFor();
    await page.locator('.land-water').first().waitFor();
    await page.getByText('In this order').scrollIntoViewIfNeeded();
    await page.getByText('Done at').scrollIntoViewIfNeeded();
  },
  'item-phone': async (page) => {
    await item(page, 'Boathouse', 'Replace the third plank of the jetty');
    await page.getByText('Files and photos').scrollIntoViewIfNeeded();
    await page.getByRole('list', { name: 'Photos' }).locator('img').nth(1).waitFor();
  },
  'looking-back-phone': async (page) => {
    await go(page, '/looking-back?span=lastMonth');
    await page.getByText(/things done$/).waitFor();
  },
  'chore-phone': async (page) => {
    await item(page, 'Sauna and shore', 'Heat the shore sauna');
    await page.getByRole('dialog').getByRole('button', { name: 'Change how it repeats' }).click();
    await page.getByText('Every how many weeks').waitFor();
  },
  'calendar-wide': {
    size: WIDE,
    steps: async (page) => {
      await link(page, 'Calendar');
      await press(page, 'Next month');
    },
  },
  'share-out-phone': async (page) => {
    await go(page, '/share-out');
    await page.getByText('Who would get what').waitFor();
  },
  'follow-up-phone-dark': { dark: true, steps: async (page) => link(page, 'Follow-up') },
  'weave-wide': { size: WIDE, steps: async (page) => link(page, 'Follow-up') },
  'board-wide': {
    size: WIDE,
    steps: async (page) => {
      await go(page, '/whole');
      await page.getByRole('radio', { name: 'Board', exact: true }).click();
      await page.getByRole('heading', { name: 'Nobody yet' }).waitFor();
    },
  },
  'project-phone': async (page) => {
    await go(page, '/projects');
    await press(page, /^The new pier/);
    await page.getByRole('radio', { name: 'By stage' }).click();
  },
  'outside-phone': async (page) => {
    await go(page, '/people');
    await press(page, 'Edit Engine workshop');
    await page.getByRole('dialog').getByRole('button', { name: 'Personal link' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Show link' }).click();
    const address = await page.getByRole('dialog').getByLabel('Link', { exact: true }).inputValue();
    await page.goto(address);
  },
};

const only = process.argv.slice(2);
await install();
await build();
// shortly after noon of a Tuesday, so that they show the same whenever they are taken
const begin = new Date(Date.now() + 86_400_000);
while (begin.getUTCDay() !== 2) begin.setUTCDate(begin.getUTCDate() + 1);
begin.setUTCHours(10, 5, 0, 0);
const data = mkdtempSync(join(tmpdir(), 'kotiva-pictures-'));
const options = ['--port', String(PORT), '--data', data, '--begin', begin.toISOString()];
const server = spawn(process.execPath, [join(root, 'server/out/demo.mjs'), ...options], { stdio: ['ignore', 'pipe', 'inherit'] });
await new Promise((resolve) => server.stdout.on('data', (said) => String(said).includes('listens') && resolve()));
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--headless', '--no-sandbox', '--disable-gpu'] });
try {
  for (const [name, picture] of Object.entries(PICTURES)) if (only.length === 0 || only.includes(name)) await take(name, picture);
} finally {
  await browser.close();
  server.kill();
  rmSync(data, { recursive: true, force: true });
}

async function take(name, picture) {
  const { size = PHONE, dark = false, steps } = typeof picture === 'function' ? { steps: picture } : picture;
  const context = await browser.newContext({
    viewport: size,
    hasTouch: size === PHONE,
    colorScheme: dark ? 'dark' : 'light',
    timezoneId: 'Europe/Helsinki',
    reducedMotion: 'reduce',
    serviceWorkers: 'block',
  });
  const page = await context.newPage();
  page.setDefaultTimeout(15_000);
  await page.goto(base);
  await press(page, 'Aino');
  await page.getByRole('navigation').waitFor();
  await page.getByText('to sort').first().waitFor();
  await steps(page);
  // nothing is pointed at
  await page.mouse.move(0, 0);
  // what is on its way has come to rest
  await page.waitForTimeout(900);
  await page.screenshot({ path: join(root, `docs/screenshots/${name}.png`) });
  await context.close();
  console.log(name);
}
