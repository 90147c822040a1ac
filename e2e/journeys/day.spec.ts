import { expect, type Page } from '@playwright/test';
import { enterDemo, PHONE, test, WIDE } from './house.ts';
import { starting, t } from './words.ts';

const bandOf = (page: Page, name: string) => page.getByRole('row').filter({ has: page.getByRole('rowheader').getByText(name, { exact: true }) });
const arrange = (page: Page) => page.getByRole('button', { name: /View/ });

test('on the day sheet a thing is dragged from one band to another, with a word: it is handed over', async ({ demo, devices }) => {
  // tall enough for every band
  const aino = await devices.open({ width: 1280, height: 1300 });
  const leila = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(leila, demo, 'Leila');
  const coffee = aino.getByText('Polish the big coffee pot');
  await expect(bandOf(aino, 'Aino').getByText('Polish the big coffee pot')).toBeVisible();
  await coffee.hover();
  await aino.mouse.down();
  const target = (await bandOf(aino, 'Leila').boundingBox())!;
  await aino.mouse.move(target.x + target.width / 2, target.y + target.height / 2, { steps: 12 });
  await aino.mouse.up();
  const sheet = aino.getByRole('dialog');
  await expect(sheet.getByRole('heading', { name: 'Hand “Polish the big coffee pot” to Leila' })).toBeVisible();
  await sheet.getByLabel('Message (optional)').fill('Only with the soft cloth');
  await sheet.getByRole('button', { name: t('hand.over') }).click();
  await leila.getByRole('button', { name: t('sort.sort'), exact: true }).click();
  const item = leila.getByRole('button', { name: 'Polish the big coffee pot', exact: true });
  if (await item.isHidden()) await leila.getByText('Polish the big coffee pot').click();
  await expect(leila.getByText('Only with the soft cloth', { exact: false }).first()).toBeVisible();
  // undone before she answered, it is Aino's again
  await aino.getByRole('button', { name: t('common.undo') }).click();
  await expect(bandOf(aino, 'Aino').getByText('Polish the big coffee pot')).toBeVisible();
});

test('by keyboard a thing goes from band to band, and Escape leaves it where it was', async ({ demo, devices }) => {
  const aino = await devices.open(WIDE);
  await enterDemo(aino, demo, 'Aino');
  const handle = aino.getByRole('button', { name: '“Ask about the solar grant”, Aino: move to someone else' });
  await handle.press('Space');
  await expect(aino.getByText('Over Aino.')).toBeAttached();
  await aino.keyboard.press('ArrowDown');
  await expect(aino.getByText('Over Petri.')).toBeAttached();
  await aino.keyboard.press('Escape');
  await expect(aino.getByText(t('drag.left'))).toBeAttached();
  await expect(aino.getByRole('dialog')).toBeHidden();
  await handle.press('Space');
  await expect(aino.getByText('Over Aino.')).toBeAttached();
  await aino.keyboard.press('ArrowDown');
  await expect(aino.getByText('Over Petri.')).toBeAttached();
  await aino.keyboard.press('Space');
  await expect(aino.getByRole('dialog').getByRole('heading', { name: 'Hand “Ask about the solar grant” to Petri' })).toBeVisible();
});

test('load is measured against the hours of the day; a manager sets them, a helper sees only their own', async ({ demo, devices }) => {
  const aino = await devices.open(WIDE);
  const leila = await devices.open(WIDE);
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(leila, demo, 'Leila');
  await expect(bandOf(aino, 'Leila').getByText(/ of \d/)).toBeVisible();
  await expect(bandOf(leila, 'Leila').getByText(/ of \d/)).toBeVisible();
  await expect(leila.getByRole('rowheader').getByText(/ h$/)).toHaveCount(1);
  await aino.getByRole('link', { name: t('nav.more'), exact: true }).click();
  await aino.getByRole('button', { name: starting('people.title') }).click();
  await aino.getByRole('button', { name: 'Edit Leila' }).click();
  const sheet = aino.getByRole('dialog');
  await sheet.getByRole('button', { name: 'Leila’s available hours' }).click();
  for (const day of ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']) await sheet.getByLabel(day, { exact: true }).fill('0,5');
  await sheet.getByLabel('Mon', { exact: true }).fill('much');
  await sheet
    .getByRole('button', { name: t('common.save') })
    .first()
    .click();
  await expect(sheet.getByText(t('capacity.notHours'))).toBeVisible();
  await expect(sheet.getByLabel('Tue', { exact: true })).toHaveValue('0,5');
  await sheet.getByLabel('Mon', { exact: true }).fill('0.5');
  await sheet
    .getByRole('button', { name: t('common.save') })
    .first()
    .click();
  await expect(bandOf(leila, 'Leila').getByText(/ of 0.5 h$/)).toBeVisible();
});

test('a day with a limit: the rest waits folded, and the next best is offered when it is done', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await arrange(aino).click();
  await aino
    .getByRole('radiogroup', { name: t('cap.label') })
    .getByRole('radio', { name: '3', exact: true })
    .click();
  await aino.getByRole('radio', { name: t('group.none') }).click();
  await aino.getByRole('button', { name: t('common.done'), exact: true }).click();
  await expect(aino.getByRole('button', { name: /more for today, over your limit$/ })).toBeVisible();
  const knots = aino.getByRole('checkbox', { name: /^Check off/ });
  await expect(knots).toHaveCount(3);
  for (let left = 2; left >= 0; left--) {
    await knots.first().click();
    if (left > 0) await expect(knots).toHaveCount(left);
    // a tap on what moved up within half a second is the second of two; after a key it is meant
    await aino.keyboard.press('Shift');
  }
  await expect(aino.getByRole('heading', { name: t('today.next') })).toBeVisible();
  // the choice is remembered on another device
  const desk = await devices.open(PHONE);
  await enterDemo(desk, demo, 'Aino');
  await expect(desk.getByRole('heading', { name: t('today.next') })).toBeVisible();
});

test('what is so now narrows Today at once, and brings up what it makes possible', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  const call = aino.getByRole('button', { name: /^Call the engine workshop/ });
  const quiet = aino.getByRole('button', { name: /^Compare the electricity tariffs/ });
  await expect(call).toBeVisible();
  await expect(quiet).toBeVisible();
  await aino.getByRole('button', { name: /^Right now/ }).click();
  await aino.getByRole('checkbox', { name: 'phone in hand' }).click();
  await expect(call).toBeVisible();
  await expect(quiet).toBeHidden();
  await expect(aino.getByRole('heading', { name: 'Possible now: phone in hand' })).toBeVisible();
  // undated, in a list nobody looks at today
  await expect(aino.getByRole('button', { name: /^Find out who mends fish traps/ })).toBeVisible();
  await aino.getByRole('checkbox', { name: 'phone in hand' }).click();
  await expect(quiet).toBeVisible();
});

test('narrowed to somebody, what is typed is for them', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  const eetu = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(eetu, demo, 'Eetu');
  await aino
    .getByRole('group', { name: t('people.strip') })
    .getByRole('button', { name: /^Eetu/ })
    .click();
  const line = aino.getByRole('textbox', { name: t('capture.line') });
  await line.fill('Salt for the steps');
  await expect(aino.getByText('Goes to Eetu, for today')).toBeVisible();
  await line.press('Enter');
  await expect(eetu.getByRole('region', { name: t('sort.title') })).toContainText('from Aino');
});

test('a swipe uncovers the words of a row, and does nothing by itself', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  const row = aino.locator('.swipe-row').filter({ hasText: 'Ask about the solar grant' });
  const tomorrow = row.getByRole('button', { name: t('row.tomorrow') });
  const inSight = () => tomorrow.evaluate((button) => button.getBoundingClientRect().left < window.innerWidth);
  expect(await inSight()).toBe(false);
  await row.evaluate((swipe) => swipe.scrollTo({ left: swipe.scrollWidth }));
  expect(await inSight()).toBe(true);
  await expect(aino.getByText(/^Planned for tomorrow|to tomorrow/)).toBeHidden();
  await tomorrow.click();
  // it is among the days ahead, where there is no tomorrow to put it to
  await expect(tomorrow).toHaveCount(0);
  await expect(aino.getByRole('button', { name: t('common.undo') })).toBeVisible();
});
