import { expect, type Page } from '@playwright/test';
import { enterDemo, PHONE, test } from './house.ts';

const SEEDLINGS = 'Water the seedlings';
const row = (page: Page) => page.getByRole('button', { name: new RegExp(`^${SEEDLINGS}`) });

async function add(page: Page, words: string): Promise<void> {
  const line = page.getByRole('textbox', { name: 'What needs doing?' });
  await line.fill(words);
  await line.press('Enter');
  await expect(line).toHaveValue('');
}

/** The week ahead is folded on Today until one looks. */
async function unfoldAhead(page: Page): Promise<void> {
  const fold = page.getByRole('button', { name: /^Next 7 days/ });
  if ((await fold.getAttribute('aria-expanded')) === 'false') await fold.click();
}

test('a chore in turns: checked off, the next stands there at once with who is next; undone, it goes again', async ({ demo, devices }) => {
  const [aino, petri, oona] = [await devices.open(PHONE), await devices.open(PHONE), await devices.open(PHONE)];
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(petri, demo, 'Petri');
  await enterDemo(oona, demo, 'Oona');
  await unfoldAhead(oona);
  await add(aino, `${SEEDLINGS} every day at 20:00`);
  await row(aino).click();
  const sheet = aino.getByRole('dialog');
  await sheet.getByRole('button', { name: /Change how it comes back/ }).click();

  // what it means is said before anything is saved, also what is wrong with it
  await sheet.getByLabel('Every so many days').fill('0');
  await expect(sheet.getByText('Write a whole number from 1 on.')).toBeVisible();
  await sheet.getByLabel('Every so many days').fill('2');
  await expect(sheet.getByText('Every 2 days at 20:00')).toBeVisible();
  await sheet.getByRole('radio', { name: 'A rule of one’s own' }).click();
  await sheet.getByLabel('The rule, as RFC 5545 writes it').fill('FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=31');
  await expect(sheet.getByText('By this rule it would never come.')).toBeVisible();
  await expect(sheet.getByRole('button', { name: 'Change this and all that follow' })).toBeDisabled();
  await sheet.getByRole('radio', { name: 'Every few days' }).click();
  await sheet.getByLabel('Every so many days').fill('1');
  for (const name of ['Petri', 'Oona', 'Eetu']) await sheet.getByRole('checkbox', { name, exact: true }).click();
  await sheet.getByRole('radio', { name: 'In turns' }).click();
  await sheet.getByRole('button', { name: 'Change this and all that follow' }).click();
  await expect(sheet.getByText('It is Petri’s turn.')).toBeVisible();

  await petri.getByRole('checkbox', { name: `Check off “${SEEDLINGS}”` }).click();
  await expect(row(oona)).toBeVisible();
  await petri.getByRole('button', { name: 'Undo' }).click();
  await expect(row(oona)).toHaveCount(0);
  await petri.getByRole('checkbox', { name: `Check off “${SEEDLINGS}”` }).click();
  await expect(row(oona)).toBeVisible();

  // she has begun with hers: he is asked before it is taken from her
  await row(oona).click();
  await oona.getByRole('dialog').getByRole('button', { name: 'Take it' }).click();
  await oona.keyboard.press('Escape');
  await petri.getByRole('button', { name: /^Done today/ }).click();
  await petri.getByRole('checkbox', { name: `Uncheck “${SEEDLINGS}”` }).click();
  await expect(petri.getByText(`Somebody has begun with the next “${SEEDLINGS}” already.`)).toBeVisible();
  await petri.getByRole('button', { name: 'Keep both' }).click();
  await expect(petri.getByRole('checkbox', { name: `Check off “${SEEDLINGS}”` })).toBeVisible();
  await expect(row(oona)).toBeVisible();
});

test('this one is left out, and then the rule goes: what is there stays as a plain item', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await unfoldAhead(aino);
  await add(aino, `${SEEDLINGS} every day at 20:00`);
  await expect(row(aino)).toBeVisible();
  const sheet = aino.getByRole('dialog');
  const openRule = async () => {
    await row(aino).click();
    await sheet.getByRole('button', { name: /Change how it comes back/ }).click();
  };
  await openRule();
  await sheet.getByRole('button', { name: 'Leave this one out' }).click();
  await expect(aino.getByText(`Left out this one of “${SEEDLINGS}”`)).toBeVisible();
  await aino.keyboard.press('Escape');
  await openRule();
  await sheet.getByRole('button', { name: 'Keep this one, no more after it' }).click();
  await expect(sheet.getByRole('button', { name: /Change how it comes back/ })).toHaveCount(0);
  await aino.keyboard.press('Escape');
  await demo.advance('P3D');
  await expect(row(aino)).toHaveCount(1);
});

test('by the clock the next comes when its day begins, on devices that are open', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await add(aino, `${SEEDLINGS} every day`);
  await expect(row(aino)).toHaveCount(1);
  await demo.advance('P1D');
  await expect(row(aino)).toHaveCount(2);
});

test('the page of a chore: how well it was kept, who did which step, another rule, and no more of it', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await aino.getByRole('link', { name: 'Calendar' }).click();
  await aino.getByRole('button', { name: 'More on the calendar' }).click();
  await aino.getByRole('menuitem', { name: 'Chores' }).click();
  await aino.getByRole('button', { name: /^Opening round/ }).click();
  await expect(aino.getByText(/^\d+ of \d+ in 4 weeks$/)).toBeVisible();
  await aino.getByRole('radio', { name: '13 weeks' }).click();
  await expect(aino.getByText(/^\d+ of \d+ in 13 weeks$/)).toBeVisible();
  await aino.getByRole('button', { name: /^What was/ }).click();
  await expect(aino.getByText(/Coffee on: (Marek|Noor)/).first()).toBeVisible();

  await aino.getByRole('button', { name: 'More on “Opening round”' }).click();
  await aino.getByRole('menuitem', { name: 'Change how it comes back' }).click();
  const sheet = aino.getByRole('dialog');
  await sheet.getByLabel('Every so many days').fill('2');
  await expect(sheet.getByText('Every 2 days', { exact: true })).toBeVisible();
  await aino.keyboard.press('Escape');

  await aino.getByRole('button', { name: 'More on “Opening round”' }).click();
  await aino.getByRole('menuitem', { name: 'No more of it from now on' }).click();
  await expect(aino.getByText('No more of “Opening round” from here on')).toBeVisible();
  await expect(aino.getByText('To come')).toHaveCount(0);
  await aino.getByRole('button', { name: 'Undo' }).click();
  await expect(aino.getByText('To come')).toBeVisible();
});

test('a plain item comes back from its sheet: the last workday of each quarter, clear of days off, seen before it is saved', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  const year = Number((await demo.now()).slice(0, 4)) + 1;
  await add(aino, 'Count the keys');
  await aino.getByText('Count the keys', { exact: true }).first().click();
  const sheet = aino.getByRole('dialog');
  await sheet.getByRole('button', { name: 'Add to it' }).click();
  await sheet.getByRole('button', { name: 'It comes back', exact: true }).click();
  await sheet.getByRole('radio', { name: 'By months' }).click();
  await sheet.getByLabel('Every so many months').fill('3');
  await sheet.getByRole('radio', { name: 'The last workday' }).click();
  await sheet.getByLabel('From', { exact: true }).fill(`${year}-03-01`);
  await sheet.getByRole('button', { name: 'Days off, missed ones, when it stops' }).click();
  await sheet.getByRole('radio', { name: 'The workday before' }).click();
  await expect(sheet.getByText('Every 3 months on the last workday, moved before a day off')).toBeVisible();
  await expect(sheet.getByText(/^Then: /)).toHaveText(/(Mar|Jun|Sept|Dec).* · .*(Mar|Jun|Sept|Dec)/);
  await sheet.getByRole('button', { name: 'Let it come back' }).click();
  await expect(aino.getByText('“Count the keys” comes back from now on')).toBeVisible();
  await expect(sheet.getByRole('button', { name: /Change how it comes back/ })).toBeVisible();
});
