import { expect, type Page } from '@playwright/test';
import { enterDemo, everythingSeen, PHONE, test, WIDE, type RunningKotiva } from './house.ts';
import { starting, t } from './words.ts';

/** Under More: notifications of this device switched on, and what the browser says to it. */
async function switchOn(page: Page): Promise<void> {
  await page.getByRole('link', { name: t('nav.more') }).click();
  await page.getByRole('button', { name: `${t('notify.title')} ${t('more.sub.notifications')}` }).click();
  await page.getByRole('checkbox', { name: /Notifications on this device/ }).click();
}

async function handOver(page: Page, title: string, to: string): Promise<void> {
  const line = page.getByRole('textbox', { name: t('capture.line') });
  await line.fill(`Ask ${to} to ${title}`);
  await line.press('Enter');
  await expect(line).toHaveValue('');
  await page.getByText(`Added “${title}” and handed it to ${to}.`).waitFor();
}

/** What lies on the simulated phones: the page of the stand-ins, in a browser of its own. */
async function phones(page: Page, running: RunningKotiva): Promise<void> {
  await page.goto(`${running.base}/simulate/phones`);
}

test('handed over while the application is closed: told on the phone, taken from there, and a question answered from there', async ({ demo, devices }) => {
  const leila = await devices.open(PHONE, { notifications: true });
  await enterDemo(leila, demo, 'Leila');
  await switchOn(leila);
  await leila.getByRole('button', { name: t('notify.try.push') }).click();
  await expect(leila.getByText(t('notify.tested'))).toBeVisible();
  await leila.close();

  const aino = await devices.open(PHONE, { notifications: true });
  await enterDemo(aino, demo, 'Aino');
  await switchOn(aino);
  await aino.getByRole('link', { name: t('nav.today') }).click();
  await handOver(aino, 'Polish the bell', 'Leila');
  const outside = await devices.open(WIDE);
  await phones(outside, demo);
  await expect(outside.getByRole('heading', { name: 'Test from Kotiva' })).toBeVisible();
  // as long as it can be undone, nothing has left
  await expect(outside.getByText('Aino handed you “Polish the bell”')).toHaveCount(0);
  await demo.advance('PT1M');
  await phones(outside, demo);
  const notification = outside.getByRole('article').filter({ hasText: 'Aino handed you “Polish the bell”' });
  await notification.getByRole('button', { name: t('answer.take') }).click();
  await expect(notification).toHaveCount(0);
  await aino.getByRole('link', { name: t('nav.followUp') }).click();
  await aino.getByRole('button', { name: /^Polish the bell/ }).click();
  await expect(
    aino
      .getByRole('dialog')
      .getByText(/took it/)
      .first(),
  ).toBeVisible();
  await aino.keyboard.press('Escape');

  // Leila is back and asks; Aino answers from the notification
  const again = await devices.open(PHONE);
  await enterDemo(again, demo, 'Leila');
  await again.goto(`${demo.base}/`);
  await again
    .getByRole('button', { name: /^Polish the bell/ })
    .first()
    .click();
  await again
    .getByRole('dialog')
    .getByRole('button', { name: t('answer.askBack') })
    .click();
  await again
    .getByRole('dialog')
    .getByRole('textbox', { name: /What do you want to know/ })
    .fill('The old one or the new one?');
  await again
    .getByRole('dialog')
    .getByRole('button', { name: t('answer.askBack') })
    .last()
    .click();
  // it has arrived: the clock may go on
  await aino
    .getByRole('button', { name: /^Polish the bell/ })
    .first()
    .click();
  await expect(aino.getByRole('dialog').getByText('The old one or the new one?').first()).toBeVisible();
  await aino.keyboard.press('Escape');
  await demo.advance('PT1M');
  await phones(outside, demo);
  const question = outside.getByRole('article').filter({ hasText: 'Leila has a question about “Polish the bell”' });
  await expect(question).toContainText('The old one or the new one?');
  await question.getByRole('textbox').fill('The new one, by the door');
  await question.getByRole('button', { name: t('answer.answer') }).click();
  await expect(again.getByText('The new one, by the door')).toBeVisible();
});

test('a workshop without an account gets a mail, answers by its link without a script, and by a calendar’s reply', async ({ demo, devices, browser }) => {
  const aino = await devices.open(WIDE);
  await enterDemo(aino, demo, 'Aino');
  await aino.getByRole('link', { name: t('nav.more') }).click();
  await aino.getByRole('button', { name: starting('people.title') }).click();
  await aino.getByRole('button', { name: t('people.addWithout') }).click();
  const sheet = aino.getByRole('dialog');
  await sheet.getByLabel(t('account.name')).fill('Workshop');
  await sheet.getByLabel(t('contact.email')).fill('not an address');
  await sheet.getByRole('button', { name: t('mail.add'), exact: true }).click();
  await expect(sheet.getByText(t('contact.notAnAddress'))).toBeVisible();
  await sheet.getByLabel(t('contact.email')).fill('workshop@engines.example');
  await sheet.getByRole('button', { name: t('mail.add'), exact: true }).click();
  await expect(sheet).toBeHidden();
  for (const title of ['Repair the engine', 'Send the bill']) await handOver(aino, title, 'Workshop');
  await demo.advance('PT1M');

  const plain = await (await browser.newContext({ javaScriptEnabled: false, viewport: PHONE })).newPage();
  await plain.goto(`${demo.base}/simulate/mailbox`);
  await plain.getByRole('link', { name: 'Aino handed you “Repair the engine”' }).click();
  await plain.getByRole('link', { name: /\/o\// }).first().click();
  await expect(plain.getByRole('heading', { name: 'For Workshop' })).toBeVisible();
  const asked = plain.getByRole('article').filter({ hasText: 'Repair the engine' });
  await asked.getByRole('button', { name: t('answer.cant') }).click();
  await expect(plain.getByRole('alert')).toContainText('Write a few words');
  await asked.getByLabel(t('nudge.words')).fill('New gasket, runs well');
  await asked.getByRole('button', { name: t('item.checkOff') }).click();
  await expect(plain.getByRole('status')).toBeVisible();

  await plain.goto(`${demo.base}/simulate/mailbox`);
  await plain.getByRole('link', { name: 'Aino handed you “Send the bill”' }).click();
  await plain.getByRole('button', { name: 'accepted' }).click();
  await expect(plain.getByRole('status')).toHaveText(t('notify.tested'));

  await aino.getByRole('link', { name: t('nav.followUp') }).click();
  await aino.getByText('Repair the engine').first().click();
  await expect(aino.getByText('New gasket, runs well')).toBeVisible();
  await aino.keyboard.press('Escape');
  await aino.getByText('Send the bill').first().click();
  await expect(
    aino
      .getByRole('dialog')
      .getByText(/took it/)
      .first(),
  ).toBeVisible();
  await aino.keyboard.press('Escape');

  // withdrawn, the link opens nothing more
  const address = await linkIn(plain, demo);
  await aino.getByRole('link', { name: t('nav.more') }).click();
  await aino.getByRole('button', { name: starting('people.title') }).click();
  await aino.getByRole('button', { name: 'Edit Workshop' }).click();
  await aino.getByRole('button', { name: t('outside.title') }).click();
  await aino.getByRole('button', { name: t('outside.withdraw') }).click();
  await expect(aino.getByText(t('outside.withdrawn'))).toBeVisible();
  await plain.goto(address);
  await expect(plain.getByText('This link no longer works')).toBeVisible();
  await plain.context().close();
});

async function linkIn(page: Page, running: RunningKotiva): Promise<string> {
  await page.goto(`${running.base}/simulate/mailbox`);
  await page.getByRole('link', { name: 'Aino handed you “Repair the engine”' }).click();
  return (await page.getByRole('link', { name: /\/o\// }).first().getAttribute('href'))!;
}

test('a reminder typed in the line rings at its time, is put off, rings again, and is done from the bell', async ({ demo, devices }) => {
  const page = await devices.open(PHONE);
  await enterDemo(page, demo, 'Oona');
  const line = page.getByRole('textbox', { name: t('capture.line') });
  await line.fill('Return the sauna key on 24 Dec 2026 at 12:00 remind me 2 days before');
  await line.press('Enter');
  await expect(line).toHaveValue('');
  const bell = page.getByRole('button', { name: /^Notifications, / });
  const reminder = page.getByText('Reminder: “Return the sauna key”').first();
  await demo.moveTo('2026-12-22T09:59:00.000Z');
  await bell.click();
  await expect(reminder).toHaveCount(0);
  await page.keyboard.press('Escape');
  await demo.moveTo('2026-12-22T10:00:30.000Z');
  await bell.click();
  await expect(reminder).toBeVisible();
  const told = page.getByRole('dialog');
  await told.getByRole('button', { name: t('alarm.snooze'), exact: true }).click();
  await told.getByRole('button', { name: t('alarm.snooze.hour') }).click();
  await expect(page.getByRole('button', { name: t('alarm.snooze'), exact: true })).toHaveCount(0);
  // the hour is counted from now: it has to be on the server before it is over
  await expect.poll(async () => (await everythingSeen(page, demo)).some(({ noun, row }) => noun === 'alarm' && row.snoozedUntil)).toBe(true);
  await demo.advance('PT61M');
  await told.getByRole('button', { name: t('common.done'), exact: true }).click();
  await expect(page.getByText('Checked off “Return the sauna key”')).toBeVisible();
  await demo.advance('P3D');
  await expect(page.getByText('Reminder: “Return the sauna key”')).toHaveCount(2);
});

test('refused by the browser it is said, and everything waits inside', async ({ demo, devices }) => {
  const page = await devices.open(PHONE);
  await enterDemo(page, demo, 'Leila');
  await switchOn(page);
  await expect(page.getByText(/This browser blocks notifications/)).toBeVisible();
  await expect(page.getByRole('checkbox', { name: /Notifications on this device/ })).not.toBeChecked();
});
