import { expect, type Page } from '@playwright/test';
import { decidesHere, enterDemo, PHONE, test, WIDE } from './house.ts';
import { starting, t } from './words.ts';

const lineOf = (page: Page) => page.getByRole('textbox', { name: t('capture.line') });
const chipsOf = (page: Page) => page.getByRole('group', { name: t('capture.understood') });

async function type(page: Page, words: string): Promise<void> {
  await lineOf(page).fill(words);
  await lineOf(page).press('Enter');
  await expect(lineOf(page)).toHaveValue('');
}

async function paste(page: Page, text: string): Promise<void> {
  await lineOf(page).focus();
  await page.evaluate((words) => navigator.clipboard.writeText(words), text);
  await page.keyboard.press('Control+V');
}

test('a line in words becomes chips; a wrong guess is taken back; Enter adds and the field is ready', async ({ demo, devices }) => {
  const noor = await devices.open(PHONE);
  const leila = await devices.open(PHONE);
  await enterDemo(noor, demo, 'Noor');
  await enterDemo(leila, demo, 'Leila');
  await noor.getByRole('link', { name: t('nav.lists') }).click();
  const line = lineOf(noor);
  await line.fill('Ask Leila to order 40 candles by Friday 15 min #shop');
  await expect(chipsOf(noor).getByRole('button')).toHaveCount(4);
  await expect(noor.getByText('Becomes “Order 40 candles”. Press Enter to add.')).toBeVisible();
  await chipsOf(noor).getByRole('button', { name: 'Not “15 min”' }).click();
  await expect(noor.getByText('Becomes “Order 40 candles 15 min”. Press Enter to add.')).toBeVisible();
  await line.press('Enter');
  await expect(line).toHaveValue('');
  await expect(line).toBeFocused();
  await leila.getByRole('button', { name: t('sort.sort'), exact: true }).click();
  await expect(leila.getByRole('button', { name: 'Order 40 candles 15 min', exact: true })).toBeVisible();
});

test('what contradicts itself is asked, never guessed', async ({ demo, devices }) => {
  const page = await devices.open(PHONE);
  await enterDemo(page, demo, 'Aino');
  await page.getByRole('link', { name: t('nav.lists') }).click();
  const line = lineOf(page);
  await line.fill('Invoice by 31 Feb');
  await expect(page.getByText('There is no 31 Feb.', { exact: false })).toBeVisible();
  await line.press('Enter');
  await expect(page.getByText(t('capture.answerFirst'))).toBeVisible();
  await expect(line).toHaveValue('Invoice by 31 Feb');
  await page.getByRole('button', { name: t('capture.leaveOut') }).click();
  await expect(line).toHaveValue('Invoice ');
  await line.press('Enter');
  await expect(page.getByText('Added “Invoice”.')).toBeVisible();
});

test('eleven pasted lines are eleven things, two with steps; said before, undone as one', async ({ demo, devices }) => {
  const page = await devices.open(PHONE);
  await enterDemo(page, demo, 'Noor');
  await page.getByRole('link', { name: t('nav.lists') }).click();
  const lines = [
    '- Check the jackets',
    '  - small sizes',
    '  - whistles',
    '- Oars',
    '1. Sweep',
    '2. Air the sails',
    '[ ] Bilge',
    '[x] Rope',
    '* Paddles',
    '  * count them',
    'Coffee',
  ];
  await paste(page, `${lines.join('\n')}\n\n`);
  await expect(page.getByRole('heading', { name: '11 items' })).toBeVisible();
  await page.getByRole('button', { name: 'Add all 11' }).click();
  await expect(page.getByText('Added 11 items.')).toBeVisible();
  await page.getByRole('link', { name: t('nav.today') }).click();
  await expect(page.getByRole('region', { name: t('sort.title') })).toContainText('to sort');
  await page.getByRole('button', { name: t('common.undo') }).click();
  await page.getByRole('button', { name: t('find.title'), exact: true }).click();
  await page.getByRole('textbox', { name: t('find.words') }).fill('Bilge');
  await expect(page.getByText('Nothing open matches “Bilge”.')).toBeVisible();
});

test('to sort: one by one, nine at once onto the shelf, one undo brings all nine back; by keyboard too', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await aino.getByRole('button', { name: t('sort.sort'), exact: true }).click();
  await expect(aino.getByText('4 things to decide about')).toBeVisible();
  for (let nth = 1; nth <= 10; nth++) await type(aino, `Thought ${nth}`);
  await expect(aino.getByText('14 things to decide about')).toBeVisible();
  // the oldest stands open; what it needs is at hand
  await aino
    .getByRole('group', { name: 'What to do with it' })
    .getByRole('button', { name: t('nav.today') })
    .click();
  await expect(aino.getByText('13 things to decide about')).toBeVisible();
  await aino.getByRole('button', { name: t('sort.select') }).click();
  for (let nth = 1; nth <= 9; nth++) await aino.getByRole('checkbox', { name: `Select “Thought ${nth}”` }).click();
  await aino
    .getByRole('group', { name: 'What to do with these 9' })
    .getByRole('button', { name: t('decide.shelf') })
    .click();
  await expect(aino.getByText('4 things to decide about')).toBeVisible();
  await aino.getByRole('button', { name: t('common.undo') }).click();
  await expect(aino.getByText('13 things to decide about')).toBeVisible();

  const desk = await devices.open(WIDE);
  await enterDemo(desk, demo, 'Aino');
  await desk.getByRole('button', { name: t('sort.sort'), exact: true }).press('Enter');
  await expect(desk.getByText('13 things to decide about')).toBeVisible();
  // past what was handed over, which can’t be shelved
  for (const key of ['j', 'j', 'j', 'j', 's', 't', 'x', 'j', 'x', 's']) await desk.keyboard.press(key);
  await expect(desk.getByText('9 things to decide about')).toBeVisible();
  await expect(aino.getByText('9 things to decide about')).toBeVisible();
});

test('at midnight what is due in a week steps ahead, and what is for today into today, on open devices', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await demo.toLastMinuteOfDay();
  const enquiry = aino.locator('.row', { hasText: 'Answer the wedding enquiry' });
  const ahead = aino.getByRole('button', { name: /more in the next 7 days$/ });
  const before = await ahead.innerText();
  await expect(enquiry).toContainText('tomorrow');
  await demo.advance('PT2M');
  await expect(enquiry).toContainText('today');
  await expect(ahead).not.toHaveText(before);
});

test('what fits twenty minutes, and a plan moved with a line for the history', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await aino.getByRole('button', { name: t('fits.title') }).click();
  const minutes = aino.getByRole('slider', { name: t('fits.minutes') });
  await minutes.press('Home');
  await expect(aino.getByRole('heading', { name: 'Best for 5 min' })).toBeVisible();
  for (let stops = 0; stops < 3; stops++) await minutes.press('ArrowRight');
  // the answer is in sight while conditions change
  await expect(aino.getByRole('heading', { name: 'Best for 20 min' })).toBeInViewport();
  await aino.getByRole('button', { name: starting('fits.anyEnergy') }).click();
  await aino
    .getByRole('radiogroup', { name: t('fits.energy') })
    .getByRole('radio', { name: t('energy.low') })
    .click();
  await aino
    .getByRole('radiogroup', { name: t('fits.place') })
    .getByRole('radio', { name: 'Quay' })
    .click();
  await aino
    .getByRole('group', { name: t('fits.situations') })
    .getByRole('checkbox', { name: 'phone in hand' })
    .click();
  await expect(aino.getByRole('heading', { name: 'Best for 20 min' })).toBeVisible();
  // late comes before everything
  await expect(aino.getByRole('button', { name: /^Send the lodging form/ }).first()).toBeVisible();

  await aino.getByRole('link', { name: t('nav.today') }).click();
  await aino.getByRole('button', { name: /^Call the engine workshop/ }).click();
  const sheet = aino.getByRole('dialog');
  await sheet.getByRole('checkbox', { name: 'Check off “Send the photos”' }).click();
  await sheet.getByRole('button', { name: /Change the plan/ }).click();
  await sheet.getByLabel(t('due.words')).fill('in 3 days');
  await sheet.getByLabel(t('plan.entry')).fill('sent the photos');
  await sheet.getByRole('button', { name: t('plan.set') }).click();
  await expect(aino.getByText(/^Planned for /)).toBeVisible();
  await sheet.getByRole('button', { name: /^What happened/ }).click();
  await expect(sheet.getByText('wrote: “sent the photos”', { exact: false })).toBeVisible();
  await sheet.getByRole('button', { name: t('common.close') }).click();
  await expect(aino.getByRole('button', { name: /^Call the engine workshop/ })).toBeHidden();
});

test('minutes that are no minutes, and a day that is no day, are said beside the field', async ({ demo, devices }) => {
  const page = await devices.open(PHONE);
  await enterDemo(page, demo, 'Aino');
  await page.getByText('Varnish the jetty rail').first().click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('button', { name: /Minutes$/ }).click();
  for (const wrong of ['-5', 'twenty']) {
    await sheet.getByLabel(t('effort.other')).fill(wrong);
    await sheet.getByRole('button', { name: t('due.set'), exact: true }).click();
    await expect(sheet.getByText(t('effort.notANumber'))).toBeVisible();
    await expect(sheet.getByLabel(t('effort.other'))).toHaveValue(wrong);
  }
  await sheet.getByRole('button', { name: /Change the deadline/ }).click();
  await sheet.getByLabel(t('due.words')).fill('whenever');
  await sheet.getByLabel(t('due.words')).press('Enter');
  await expect(sheet.getByText('We couldn’t read that as a date.', { exact: false })).toBeVisible();
});

test('a line far too long scrolls in its field: what is wrong with it, and everything else, can be read and reached', async ({ demo, devices }) => {
  const page = await devices.open(PHONE);
  await enterDemo(page, demo, 'Aino');
  await decidesHere(page);
  const typed = 'Oil the gate by the old pier '.repeat(200).trimEnd();
  await lineOf(page).fill(typed);
  await lineOf(page).press('Enter');
  const said = page.getByRole('alert').filter({ hasText: t('reason.too-long', { max: 500 }) });
  await expect(said).toBeInViewport();
  await expect(lineOf(page)).toHaveValue(typed);
  await expect(page.getByRole('heading', { level: 1 })).toBeInViewport();
  await page.getByRole('link', { name: t('nav.lists') }).click();
  await expect(page.getByRole('heading', { level: 1, name: t('nav.lists') })).toBeVisible();
  await expect(lineOf(page)).toHaveValue(typed);
});

test('a shortcut opens ready to type; what another application shares is to be sorted, once', async ({ demo, devices }) => {
  const page = await devices.open(PHONE);
  await enterDemo(page, demo, 'Aino');
  await page.goto(`${demo.base}/?add=1`);
  await expect(lineOf(page)).toBeFocused();
  await page.goto(`${demo.base}/share?title=Price%20of%20moss&url=https%3A%2F%2Fexample.org%2Fmoss`);
  await expect(page.getByRole('button', { name: 'Price of moss', exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByText('5 things to decide about')).toBeVisible();
});

test('a key adds from elsewhere as its owner, until it is withdrawn', async ({ demo, devices }) => {
  const page = await devices.open(PHONE);
  await enterDemo(page, demo, 'Aino');
  await page.getByRole('link', { name: t('nav.more'), exact: true }).click();
  await page.getByRole('button', { name: starting('settings.data') }).click();
  await page.getByRole('button', { name: /^Add from other apps/ }).click();
  await page.getByLabel(t('tokens.name')).fill('kitchen tablet');
  await page.getByRole('button', { name: t('tokens.make') }).click();
  const key = await page.getByLabel(t('tokens.key')).inputValue();
  const send = () => fetch(`${demo.base}/api/capture`, { method: 'POST', body: 'Oil the hinges tomorrow', headers: { authorization: `Bearer ${key}` } });
  expect((await send()).status).toBe(201);
  await page.getByRole('button', { name: 'Delete: kitchen tablet' }).click();
  await expect(page.getByRole('button', { name: 'Delete: kitchen tablet' })).toBeHidden();
  expect((await send()).status).toBe(401);
  await page.getByRole('link', { name: t('nav.today') }).click();
  await page.getByRole('button', { name: /more in the next 7 days$/ }).click();
  await expect(page.getByRole('button', { name: /^Oil the hinges/ })).toBeVisible();
});

test('ten thousand pasted lines: how far it is, stopped on the way, and all of it undone as one', { tag: '@deep' }, async ({ demo, devices }) => {
  test.setTimeout(240_000);
  const page = await devices.open(WIDE);
  await enterDemo(page, demo, 'Aino');
  await page.getByRole('link', { name: t('nav.lists') }).click();
  await paste(page, Array.from({ length: 10_000 }, (_, nth) => `Screw number ${nth + 1}`).join('\n'));
  await page.getByRole('button', { name: 'Add all 10000' }).click();
  await expect(page.getByRole('status').getByText(/^\d+ of 10000$/)).toBeVisible();
  await page.getByRole('button', { name: t('paste.stop') }).click();
  const said = page.getByText(/^Added \d+ items\./);
  await expect(said).toBeVisible({ timeout: 60_000 });
  const made = Number(/\d+/.exec(await said.innerText())![0]);
  expect(made).toBeGreaterThan(0);
  expect(made).toBeLessThan(10_000);
  await page.getByRole('button', { name: t('common.undo') }).click();
  await page.getByRole('button', { name: t('find.title'), exact: true }).click();
  await page.getByRole('textbox', { name: t('find.words') }).fill('Screw number');
  await expect(page.getByText('Nothing open matches “Screw number”.')).toBeVisible({ timeout: 60_000 });
});

test('to somebody who can’t open the list nothing goes before it is said what they see', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  const leila = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(leila, demo, 'Leila');
  await leila.getByRole('link', { name: t('nav.lists') }).click();
  await expect(leila.getByText('Spring ideas')).toBeHidden();
  await aino.getByRole('link', { name: t('nav.lists') }).click();
  await aino.getByRole('button', { name: /^Spring ideas/ }).click();
  const line = lineOf(aino);
  await line.fill('Ask Leila to measure the hammock hooks');
  await expect(aino.getByText('Leila can’t see Spring ideas. What should they see?')).toBeVisible();
  await line.press('Enter');
  await expect(aino.getByText(t('ways.first'))).toBeVisible();
  await expect(line).toHaveValue('Ask Leila to measure the hammock hooks');
  await aino.getByRole('radio', { name: 'All of Spring ideas, so they can check things off' }).click();
  await line.press('Enter');
  await expect(line).toHaveValue('');
  await expect(leila.getByText('Spring ideas')).toBeVisible();
  await leila.getByRole('link', { name: t('nav.today') }).click();
  await expect(leila.getByRole('region', { name: t('sort.title') })).toContainText('from Aino');
});
