import { expect } from '@playwright/test';
import { enterDemo, test, WIDE } from './house.ts';

test('a day by keyboard alone: add, find, go through rows, check off, undo, hand over, plan, order, sort', async ({ demo, devices }) => {
  const page = await devices.open(WIDE);
  await enterDemo(page, demo, 'Aino');
  const { keyboard } = page;
  const focused = () => page.evaluate(() => document.activeElement?.textContent ?? '');
  await page.locator('body').press('n');
  await keyboard.type('Ask Leila to dust the lamps by Friday');
  await keyboard.press('Enter');
  await expect(page.getByText('Added “Dust the lamps” and handed it to Leila.', { exact: false })).toBeVisible();
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());

  // to a list, through its rows
  await keyboard.press('2');
  await expect(page.getByRole('heading', { level: 1, name: 'Lists' })).toBeVisible();
  await page.getByRole('button', { name: /^Boathouse/ }).focus();
  await keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'Boathouse' })).toBeVisible();
  await keyboard.press('j');
  const first = await focused();
  await keyboard.press('j');
  expect(await focused()).not.toBe(first);
  await keyboard.press('k');
  expect(await focused()).toBe(first);

  // Drain the rain barrel is nobody's: it is checked off and taken back
  await page.getByRole('button', { name: /^Drain the rain barrel/ }).focus();
  await keyboard.press('Space');
  await expect(page.getByText('Checked off “Drain the rain barrel”.', { exact: false })).toBeVisible();
  await expect(page.getByRole('dialog')).toBeHidden();
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await keyboard.press('z');
  await expect(page.getByRole('checkbox', { name: 'Check off “Drain the rain barrel”' })).toBeVisible();

  // down past the next one
  await page.getByRole('button', { name: /^Drain the rain barrel/ }).focus();
  await keyboard.press('Alt+ArrowDown');
  await expect(page.getByText('Moved.', { exact: true })).toBeVisible();

  // a plan and a handover from the row
  await page.getByRole('button', { name: /^Drain the rain barrel/ }).focus();
  await keyboard.press('l');
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('In words').fill('tomorrow');
  await keyboard.press('Enter');
  await sheet.getByRole('button', { name: 'Plan it' }).focus();
  await keyboard.press('Enter');
  await expect(page.getByText(/^Planned for tomorrow/)).toBeVisible();
  await keyboard.press('Escape');
  await expect(sheet).toBeHidden();
  await page.getByRole('button', { name: /^Patch the inflatable/ }).focus();
  await keyboard.press('h');
  await sheet.getByRole('checkbox', { name: /Tapio/ }).focus();
  await keyboard.press('Space');
  await sheet.getByRole('button', { name: 'Hand over', exact: true }).focus();
  await keyboard.press('Enter');
  await expect(page.getByText('to Tapio', { exact: false }).first()).toBeVisible();
  await keyboard.press('Escape');

  // the keys are told, and can be switched off
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await keyboard.press('?');
  await expect(sheet.getByRole('heading', { name: 'Keys' })).toBeVisible();
  await keyboard.press('Escape');
  await keyboard.press('5');
  await page.getByRole('checkbox', { name: /^Single keys do things/ }).focus();
  await keyboard.press('Space');
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await keyboard.press('1');
  await expect(page.getByRole('heading', { level: 1, name: 'More' })).toBeVisible();
});
