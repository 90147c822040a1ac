import { expect, type Page } from '@playwright/test';
import { enterDemo, PHONE, test, WIDE } from './house.ts';
import { t } from './words.ts';

const sheet = (page: Page) => page.getByRole('dialog');
const more = (page: Page) => sheet(page).getByRole('button', { name: t('item.more') });

/** A thing of Aino’s own, added in the line and opened. */
async function openNew(page: Page, title: string): Promise<void> {
  const line = page.getByRole('textbox', { name: t('capture.line') });
  await line.fill(title);
  await line.press('Enter');
  await page
    .getByRole('button', { name: new RegExp(`^${title}`) })
    .first()
    .click();
  await expect(sheet(page)).toBeVisible();
}

async function openBoathouse(page: Page): Promise<void> {
  await page.getByRole('link', { name: t('nav.lists'), exact: true }).click();
  await page
    .getByRole('button', { name: /^Boathouse/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { level: 1, name: 'Boathouse' })).toBeVisible();
}

/** The page answers: what is tapped is what lies under the finger. */
async function answers(page: Page): Promise<void> {
  await page.getByRole('link', { name: t('nav.lists'), exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name: t('nav.lists') })).toBeVisible();
}

test('what a key opens over an open menu closes the menu: afterwards the page answers', async ({ demo, devices }) => {
  const page = await devices.open(WIDE);
  await enterDemo(page, demo, 'Aino');
  await openNew(page, 'Wax the skis');
  await more(page).click();
  await expect(page.getByRole('menu')).toBeVisible();
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('dialog', { name: t('palette.title') })).toBeVisible();
  await expect(page.getByRole('menu')).toHaveCount(0);
  await page.keyboard.press('Escape');
  await expect(more(page)).toBeVisible();
  await page.keyboard.press('Escape');
  await answers(page);
});

test('a tap from a title that is being typed into the field for a comment is taken: what is typed next stands there', async ({ demo, devices }) => {
  const page = await devices.open(WIDE);
  await enterDemo(page, demo, 'Aino');
  await openNew(page, 'Wax the skis');
  await sheet(page).getByText('Wax the skis', { exact: true }).click();
  await page.keyboard.type(' again');
  const field = sheet(page).getByRole('textbox', { name: t('item.saySomething') });
  const box = (await field.boundingBox())!;
  await page.mouse.click(box.x + 40, box.y + box.height / 2);
  await page.keyboard.type('lots of wax');
  await expect(field).toHaveValue('lots of wax');
});

for (const [name, size] of [
  ['phone', PHONE],
  ['wide', WIDE],
] as const) {
  test(`Escape closes the menu, then the sheet, and the page answers again: ${name}`, async ({ demo, devices }) => {
    const page = await devices.open(size);
    await enterDemo(page, demo, 'Aino');
    await openNew(page, 'Polish the bell');
    await more(page).click();
    await expect(page.getByRole('menu')).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('menu')).toHaveCount(0);
    await expect(sheet(page)).toBeVisible();
    await more(page).click();
    await page.getByRole('menuitem').first().waitFor();
    await page.keyboard.press('Escape');
    await page.keyboard.press('Escape');
    await expect(sheet(page)).toHaveCount(0);
    await answers(page);
  });

  test(`what is said over an open sheet can be read and tapped there: ${name}`, async ({ demo, devices }) => {
    const page = await devices.open(size);
    await enterDemo(page, demo, 'Aino');
    await openNew(page, 'Polish the bell');
    await more(page).click();
    await page.getByRole('menuitem', { name: t('item.noNudges') }).click();
    await sheet(page)
      .getByRole('button', { name: t('common.undo') })
      .click();
    await more(page).click();
    await expect(page.getByRole('menuitem', { name: t('item.noNudges') })).toBeVisible();
    // what is said when the sheet goes stays on the page
    await page.getByRole('menuitem', { name: t('item.remove') }).click();
    await expect(sheet(page)).toHaveCount(0);
    await page.getByRole('button', { name: t('common.undo') }).click();
    await expect(page.getByRole('button', { name: /^Polish the bell/ }).first()).toBeVisible();
  });
}

test('Back closes the sheet and leaves the list under it as it was; the next leaves the list', async ({ demo, devices }) => {
  const page = await devices.open(PHONE);
  await enterDemo(page, demo, 'Aino');
  await openBoathouse(page);
  const row = page.getByRole('button', { name: /^Drain the rain barrel/ }).first();
  await row.click();
  await expect(sheet(page)).toBeVisible();
  await page.goBack();
  await expect(sheet(page)).toHaveCount(0);
  await expect(page.getByRole('heading', { level: 1, name: 'Boathouse' })).toBeVisible();
  // a quick hand: without a key between, a second tap in the same place within half a second goes nowhere
  await page.keyboard.press('Shift');
  // with a menu open only the menu goes
  await row.click();
  await more(page).click();
  await page.getByRole('menuitem').first().waitFor();
  await page.goBack();
  await expect(page.getByRole('menu')).toHaveCount(0);
  await expect(sheet(page)).toBeVisible();
  await page.goBack();
  await expect(sheet(page)).toHaveCount(0);
  // closed by hand it is no step either
  await row.click();
  await expect(sheet(page)).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(sheet(page)).toHaveCount(0);
  await page.goBack();
  await expect(page.getByRole('heading', { level: 1, name: t('nav.lists') })).toBeVisible();
});

test('Back closes any sheet and any menu alone, also after others were closed by hand; then it leaves the page', async ({ demo, devices }) => {
  const page = await devices.open(PHONE);
  await enterDemo(page, demo, 'Aino');
  await openBoathouse(page);
  const listMenu = page
    .getByRole('main')
    .getByRole('button', { name: /^More on/ })
    .first();
  for (const byHand of [true, false]) {
    await listMenu.click();
    await page.getByRole('menuitem').first().waitFor();
    if (byHand) await page.keyboard.press('Escape');
    else await page.goBack();
    await expect(page.getByRole('menu')).toHaveCount(0);
    await listMenu.click();
    await page.getByRole('menuitem', { name: t('list.share') }).click();
    await expect(sheet(page)).toBeVisible();
    if (byHand) await page.keyboard.press('Escape');
    else await page.goBack();
    await expect(sheet(page)).toHaveCount(0);
    await expect(page.getByRole('heading', { level: 1, name: 'Boathouse' })).toBeVisible();
  }
  await page.goBack();
  await expect(page.getByRole('heading', { level: 1, name: t('nav.lists') })).toBeVisible();
});

test('an open sheet is part of the address: a reload and a link open it over its page, and Back closes it', async ({ demo, devices }) => {
  const page = await devices.open(PHONE);
  await enterDemo(page, demo, 'Aino');
  await openBoathouse(page);
  await page.getByRole('button', { name: t('list.more') }).click();
  await page.getByRole('menuitem', { name: t('list.share') }).click();
  await expect(sheet(page)).toBeVisible();
  const address = page.url();
  await page.reload();
  await expect(sheet(page)).toBeVisible();
  // the address one is at, gone to again, is no step more
  await page.evaluate(() => window.location.assign(window.location.href));
  await expect(sheet(page)).toBeVisible();
  await page.goBack();
  await expect(sheet(page)).toHaveCount(0);
  await expect(page.getByRole('heading', { level: 1, name: 'Boathouse' })).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('heading', { level: 1, name: t('nav.lists') })).toBeVisible();
  // a link opens what its reader may open, and nothing else
  for (const [name, opens] of [
    ['Petri', 1],
    ['Leila', 0],
  ] as const) {
    const other = await devices.open(WIDE);
    await enterDemo(other, demo, name);
    await other.goto(address);
    await expect(other.getByRole('heading', { level: 1, name: opens ? 'Boathouse' : t('list.gone') })).toBeVisible();
    await expect(sheet(other)).toHaveCount(opens);
    if (!opens) continue;
    await other.goBack();
    await expect(sheet(other)).toHaveCount(0);
    await expect(other).toHaveURL(address.replace(/#.*/, ''));
  }
});

test('a link that leads straight to a thing lays its page beneath', async ({ demo, devices }) => {
  const page = await devices.open(PHONE);
  await enterDemo(page, demo, 'Aino');
  await openBoathouse(page);
  await page
    .getByRole('button', { name: /^Drain the rain barrel/ })
    .first()
    .click();
  const address = page.url();
  expect(address).toContain('item=');
  await page.goto(`${demo.base}/lists`);
  await page.goto(address);
  await expect(sheet(page)).toBeVisible();
  await page.goBack();
  await expect(sheet(page)).toHaveCount(0);
  await expect(page.getByRole('heading', { level: 1, name: 'Boathouse' })).toBeVisible();
});

test('focus goes back to the row a sheet was opened from', async ({ demo, devices }) => {
  const page = await devices.open(WIDE);
  await enterDemo(page, demo, 'Aino');
  await openBoathouse(page);
  const row = page.getByRole('button', { name: /^Drain the rain barrel/ }).first();
  await row.focus();
  await page.keyboard.press('Enter');
  await expect(sheet(page)).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(sheet(page)).toHaveCount(0);
  await expect(row).toBeFocused();
});

test('at twice its size every destination can be read and reached: no word is broken, nothing goes off to the side', async ({ demo, devices }) => {
  const page = await devices.open({ width: 195, height: 422 });
  await enterDemo(page, demo, 'Aino');
  for (const name of ['Lists', 'Follow-up', 'Calendar', 'More', 'Today']) {
    await page
      .getByRole('navigation')
      .getByRole('button', { name: t('nav.label') })
      .click();
    await page.getByRole('menuitem', { name, exact: true }).click();
    await expect(page.getByRole('navigation').getByText(name, { exact: true })).toBeVisible();
    const head = page.getByRole('main').getByRole('heading', { level: 1 });
    await expect(head).toBeVisible();
    const { height, sideways } = await head.evaluate((one) => ({
      height: one.getBoundingClientRect().height,
      sideways: document.documentElement.scrollWidth - window.innerWidth,
    }));
    expect({ name, lines: Math.round(height / 30) <= 2, sideways }).toEqual({ name, lines: true, sideways: 0 });
  }
  // the line comes when it is asked for, ready to type
  await page.getByRole('button', { name: t('capture.line') }).click();
  await expect(page.getByRole('textbox', { name: t('capture.line') })).toBeFocused();
  await page.keyboard.type('Polish the bell');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Added “Polish the bell”.', { exact: false })).toBeVisible();
});

test('the second of two taps on a sheet’s last button goes nowhere, whatever has come to lie beneath it', async ({ demo, devices }) => {
  const page = await devices.open(PHONE);
  await enterDemo(page, demo, 'Aino');
  await openBoathouse(page);
  const address = page.url();
  await page.getByRole('button', { name: /View/ }).click();
  const done = sheet(page).getByRole('button', { name: t('common.done'), exact: true });
  const { x, y, width, height } = (await done.boundingBox())!;
  const under = { x: x + width / 2, y: y + height / 2 };
  await page.mouse.click(under.x, under.y, { clickCount: 2 });
  await expect(sheet(page)).toHaveCount(0);
  expect(page.url()).toBe(address);
  // later, the same place answers again
  await expect
    .poll(async () => {
      await page.mouse.click(under.x, under.y);
      return page.url();
    })
    .not.toBe(address);
});
