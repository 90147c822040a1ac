import { expect } from '@playwright/test';
import { enterDemo, goOffline, PHONE, test, WIDE } from './house.ts';
import { t } from './words.ts';

/** Where one stands: whose time it is, what is not sent, since when a screen is as it is; and pages for what is not there. */

test('without a network a row says that it is not sent yet, and the screen since when it is as it is; then neither', async ({ demo, devices }) => {
  const page = await devices.open(PHONE);
  await enterDemo(page, demo, 'Aino');
  await expect(page.getByText('Last updated', { exact: false })).toHaveCount(0);
  await goOffline(page);
  const line = page.getByRole('textbox', { name: t('capture.line') });
  await line.fill('Order a bell for today');
  await line.press('Enter');
  const row = page.getByRole('button', { name: /^Order a bell/ }).first();
  await expect(row).toContainText(t('row.unsent'));
  await expect(page.getByText(/Last updated today \d\d:\d\d/)).toBeVisible();
  await page.context().setOffline(false);
  await expect(row).not.toContainText(t('row.unsent'), { timeout: 30_000 });
  await expect(page.getByText('Last updated', { exact: false })).toHaveCount(0);
});

test('a device in another zone says whose time it shows; one at home says nothing', async ({ demo, devices }) => {
  const away = await devices.open(PHONE, { zone: 'America/New_York' });
  await enterDemo(away, demo, 'Aino');
  await expect(away.getByText(/^Times are in Helsinki time, \d+ h ahead of this device\.$/)).toBeVisible();
  const home = await devices.open(WIDE);
  await enterDemo(home, demo, 'Aino');
  await expect(home.getByText('Times are in Helsinki time', { exact: false })).toHaveCount(0);
});

test('where the server can’t be asked there is a page of ours, which goes on once it can', async ({ demo, devices }) => {
  const page = await devices.open(PHONE);
  await page.route('**/api/me', (route) => route.abort());
  await page.goto(demo.base);
  await expect(page.getByRole('heading', { name: t('away.title') })).toBeVisible();
  await page.unroute('**/api/me');
  await page.getByRole('button', { name: t('common.tryAgain') }).click();
  await expect(page.getByRole('heading', { name: t('away.title') })).toHaveCount(0);
  await expect(page.getByRole('button', { name: /sign in/i }).first()).toBeVisible();
});

test('a screen that can’t be drawn is a page of ours that leads back; what was typed is still there', async ({ demo, devices }) => {
  const page = await devices.open(PHONE);
  await enterDemo(page, demo, 'Aino');
  const line = page.getByRole('textbox', { name: t('capture.line') });
  await line.fill('Polish the bell');
  // the device's own store of words breaks under the next screen that is drawn with it
  await page.getByRole('link', { name: t('nav.calendar'), exact: true }).evaluate((link: HTMLElement) => {
    const fails = () => {
      throw new RangeError('no such zone');
    };
    Object.defineProperty(Intl.DateTimeFormat.prototype, 'format', { get: () => fails });
    Intl.DateTimeFormat.prototype.formatToParts = fails;
    link.click();
  });
  await expect(page.getByRole('heading', { name: t('broke.title') })).toBeVisible();
  await page.getByRole('button', { name: t('broke.again') }).click();
  await expect(line).toHaveValue('Polish the bell');
});

test('a newer version than the one that is open says so, and is one tap away', async ({ demo, devices }) => {
  const page = await devices.open(PHONE, { installed: true });
  await enterDemo(page, demo, 'Aino');
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  // the first worker takes over a page that needs no other; the next one is another version
  await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
  await expect(page.getByText(t('line.renewed'))).toHaveCount(0);
  await page.evaluate(() => void navigator.serviceWorker.dispatchEvent(new Event('controllerchange')));
  await expect(page.getByText(t('line.renewed'))).toBeVisible();
  const reloaded = page.waitForEvent('load');
  await page.getByText(t('line.renewed')).locator('xpath=..').getByRole('button').click();
  await reloaded;
  await expect(page.getByRole('navigation')).toBeVisible();
  await expect(page.getByText(t('line.renewed'))).toHaveCount(0);
});
