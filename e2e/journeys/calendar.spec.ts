import { expect, type Page } from '@playwright/test';
import { enterDemo, PHONE, test, WIDE } from './house.ts';

async function add(page: Page, words: string): Promise<void> {
  const line = page.getByRole('textbox', { name: 'What needs doing?' });
  await line.fill(words);
  await line.press('Enter');
  await expect(line).toHaveValue('');
}

const day = (page: Page, name: RegExp) => page.getByRole('button', { name });

test('chores to come stand in the calendar; one of them alone is moved, given away, left out', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await add(aino, 'Wash the boat covers every other Friday from 4 Dec 2026');
  await aino.getByRole('link', { name: 'Calendar' }).click();
  while (await aino.getByRole('heading', { name: 'December 2026' }).isHidden()) await aino.getByRole('button', { name: 'The next month' }).click();
  await day(aino, /^Friday,? 18 December 2026/).click();
  const menu = aino.getByRole('button', { name: 'More on “Wash the boat covers”' });
  await expect(aino.getByText('every 2 weeks on Friday')).toBeVisible();

  await menu.click();
  await aino.getByRole('menuitem', { name: 'Give it to somebody, this once' }).click();
  await aino.getByRole('dialog').getByRole('button', { name: 'Eetu', exact: true }).click();
  await expect(aino.getByText('Eetu · every 2 weeks on Friday')).toBeVisible();

  await menu.click();
  await aino.getByRole('menuitem', { name: 'Move only this one' }).click();
  const sheet = aino.getByRole('dialog');
  await sheet.getByLabel(/words/i).fill('21 Dec 2026');
  await sheet.getByLabel(/words/i).press('Enter');
  await sheet.getByRole('button', { name: 'Move it there' }).click();
  await expect(menu).toHaveCount(0);
  await day(aino, /^Monday,? 21 December 2026/).click();
  await expect(aino.getByText('Eetu · every 2 weeks on Friday')).toBeVisible();

  await menu.click();
  await aino.getByRole('menuitem', { name: 'Leave this one out' }).click();
  await expect(menu).toHaveCount(0);
  await aino.getByRole('button', { name: 'Undo' }).click();
  await expect(menu).toBeVisible();
});

test('what is typed on a day is planned for it, and is checked off there', async ({ demo, devices }) => {
  const aino = await devices.open(WIDE);
  await enterDemo(aino, demo, 'Aino');
  await aino.keyboard.press('4');
  await expect(aino.getByRole('heading', { name: 'Calendar' })).toBeVisible();
  await aino.getByRole('button', { name: 'The next month' }).click();
  await aino.getByRole('button', { name: 'The next month' }).click();
  await add(aino, 'Count the towels');
  await expect(aino.getByText('you planned it for this day')).toBeVisible();
  await aino.getByRole('checkbox', { name: 'Check off “Count the towels”' }).click();
  await expect(aino.getByText('Checked off “Count the towels”')).toBeVisible();
});
