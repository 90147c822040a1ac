import { expect, type Page } from '@playwright/test';
import { Random } from '../sync/random.ts';
import { everythingSeen, goOffline, PHONE, type RunningKotiva, test, WIDE } from './house.ts';
import { t } from './words.ts';

/** Clumsy hands on two devices of one person, by seed: offline, reload, undo, back. In the end both show what the server says. */

const SEEDS = Number(process.env['BROWSER_SEEDS'] ?? 2);
const ACTIONS = 16;

interface Hand {
  name: string;
  page: Page;
  offline: boolean;
}

async function enter(page: Page, { base }: RunningKotiva, path: string): Promise<void> {
  const account = { name: 'Aino', email: 'aino@example.org', password: 'three red boats at the quay' };
  await page.goto(base);
  const status = await page.evaluate(
    ([to, body]) => fetch(to!, { method: 'POST', headers: { 'content-type': 'application/json' }, body: body! }).then((answer) => answer.status),
    [path, JSON.stringify(account)],
  );
  expect(status).toBeLessThan(300);
  await page.reload();
}

/** What one hand does next; what is not there to be done is let be. */
async function act({ page }: Hand, random: Random, word: string): Promise<string> {
  const some = async (role: 'button' | 'checkbox', name: RegExp) => {
    const all = page.getByRole('main').getByRole(role, { name });
    const count = await all.count();
    return count === 0 ? null : all.nth(random.below(count));
  };
  const ways: Record<string, () => Promise<unknown>> = {
    add: async () => {
      const line = page.getByRole('textbox', { name: t('capture.line') }).first();
      await line.fill(word);
      await line.press('Enter');
    },
    'check off': async () => (await some('checkbox', /^Check off/))?.click(),
    uncheck: async () => {
      const fold = page.getByRole('main').getByRole('button', { name: /done$/, expanded: false });
      if ((await fold.count()) > 0) await fold.first().click();
      await (await some('checkbox', /^Uncheck/))?.click();
    },
    undo: async () => {
      const undo = page.getByRole('button', { name: t('common.undo'), exact: true });
      if ((await undo.count()) > 0) await undo.first().click();
    },
    rename: async () => {
      const row = await some('button', /^thing /);
      if (!row) return;
      await row.click();
      const sheet = page.getByRole('dialog');
      const title = sheet.getByRole('heading', { level: 1 }).getByText(/^thing/);
      // half changed before, it is open as it was left
      const field = sheet.getByRole('textbox', { name: t('item.title') });
      await expect(title.or(field)).toBeVisible();
      // two taps in one place within half a second are one: a key lies between them
      await page.keyboard.press('Shift');
      if ((await field.count()) === 0) await title.click();
      await field.fill(`${word} anew`);
      if (random.chance(0.5)) await page.keyboard.press('Enter');
      await page.keyboard.press('Escape');
      if ((await page.getByRole('dialog').count()) > 0) await page.keyboard.press('Escape');
    },
    reload: async () => {
      await page.reload();
      await page.getByRole('navigation').waitFor();
    },
    back: async () => {
      await page.getByRole('link', { name: t('nav.today') }).click();
      await page.goBack();
    },
  };
  const kinds = Object.keys(ways);
  const kind = random.pick([...kinds, 'add', 'check off', 'undo'])!;
  await ways[kind]!();
  return kind;
}

const openTitles = (page: Page): Promise<string[]> =>
  page
    .getByRole('main')
    .getByRole('checkbox', { name: /^Check off/ })
    .evaluateAll((all) => all.map((one) => one.getAttribute('aria-label')!.replace(/^Check off “(.*)”$/, '$1')).sort());

async function openOnServer(page: Page, running: RunningKotiva): Promise<string[]> {
  const rows = (await everythingSeen(page, running)) as unknown as { noun: string; row: Record<string, string | null> }[];
  const latest = new Map(rows.map(({ noun, row }) => [`${noun} ${row['id']}`, { noun, row }]));
  const all = [...latest.values()];
  const isDone = (item: string) => all.some(({ noun, row }) => noun === 'part' && row['itemId'] === item && row['standing'] === 'completed');
  return all.flatMap(({ noun, row }) => (noun === 'item' && row['removedAt'] === null && !isDone(row['id']!) ? [row['title']!] : [])).sort();
}

test('clumsy hands on two devices of one person end with the same on both, and on the server', async ({ empty, devices }) => {
  test.setTimeout(60_000 + SEEDS * 60_000);
  const phone: Hand = { name: 'phone', page: await devices.open(PHONE, { installed: true }), offline: false };
  const desk: Hand = { name: 'desk', page: await devices.open(WIDE, { installed: true }), offline: false };
  for (const { page } of [phone, desk]) page.setDefaultTimeout(10_000);
  await enter(phone.page, empty, '/api/accounts');
  await phone.page.getByLabel(t('house.name')).fill('Kaislaranta');
  await phone.page.getByRole('button', { name: t('house.makeIt') }).click();
  await expect(phone.page.getByRole('navigation')).toBeVisible();
  await enter(desk.page, empty, '/api/session');
  await expect(desk.page.getByRole('navigation')).toBeVisible();
  for (const { page } of [phone, desk]) await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));

  for (let seed = 1; seed <= SEEDS; seed++) {
    const random = new Random(seed);
    const done: string[] = [];
    await phone.page.goto(`${empty.base}/lists`);
    await phone.page.getByRole('button', { name: t('lists.make') }).click();
    await phone.page.getByRole('dialog').getByLabel(t('list.name')).fill(`Shore ${seed}`);
    await phone.page
      .getByRole('dialog')
      .getByRole('button', { name: t('lists.makeIt') })
      .click();
    await expect(phone.page.getByRole('heading', { name: `Shore ${seed}` })).toBeVisible();
    // what was said of making it, with its undo, goes
    await phone.page.reload();
    await desk.page.goto(phone.page.url());
    await expect(desk.page.getByRole('heading', { name: `Shore ${seed}` })).toBeVisible();
    for (let nth = 0; nth < ACTIONS; nth++) {
      const hand = random.chance(0.5) ? phone : desk;
      if (random.chance(0.2)) {
        hand.offline = !hand.offline;
        if (hand.offline) await goOffline(hand.page);
        else await hand.page.context().setOffline(false);
        done.push(`${hand.name} ${hand.offline ? 'offline' : 'online'}`);
        continue;
      }
      // a line typed before its list is there goes where one was
      await expect(hand.page.getByRole('heading', { name: `Shore ${seed}` }), done.join(', ')).toBeVisible();
      done.push(`${hand.name} ${await act(hand, random, `thing ${seed}.${nth}`)}`);
    }
    for (const hand of [phone, desk]) {
      hand.offline = false;
      await hand.page.context().setOffline(false);
      await expect(hand.page.getByText(/waits? (here )?to be sent/), done.join(', ')).toBeHidden({ timeout: 40_000 });
    }
    const ofSeed = (titles: string[]) => titles.filter((title) => title.includes(` ${seed}.`));
    // what is on its way arrives while this is looked at
    const differing = async ({ page }: Hand) => {
      const [onPage, onServer] = [ofSeed(await openTitles(page)), ofSeed(await openOnServer(page, empty))];
      return [
        ...onPage.filter((one) => !onServer.includes(one)).map((one) => `only shown: ${one}`),
        ...onServer.filter((one) => !onPage.includes(one)).map((one) => `not shown: ${one}`),
      ];
    };
    for (const hand of [phone, desk]) {
      const same = (words: string) => expect.poll(() => differing(hand), { message: `${words} seed ${seed}: ${done.join(', ')}`, timeout: 30_000 }).toEqual([]);
      await same(hand.name);
      await hand.page.reload();
      await same(`${hand.name} after a reload`);
    }
  }
});
