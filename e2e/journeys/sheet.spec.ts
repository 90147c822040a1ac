import { expect, type Locator, type Page } from '@playwright/test';
import { enterDemo, PHONE, test } from './house.ts';
import { Thumb } from './thumb.ts';
import { t } from './words.ts';

/** What is set most often on an item is three taps away from its sheet, and never below the fold. */

const sheetOf = (page: Page) => page.getByRole('dialog');

async function openNew(page: Page, title: string): Promise<Locator> {
  const line = page.getByRole('textbox', { name: t('capture.line') });
  await line.fill(`${title} today`);
  await line.press('Enter');
  await page
    .getByRole('button', { name: new RegExp(`^${title}`) })
    .first()
    .click();
  await expect(sheetOf(page)).toBeVisible();
  return sheetOf(page);
}

test('a deadline, a rule and a reminder are each set within three taps, from what is in sight', async ({ demo, devices }) => {
  const page = await devices.open(PHONE);
  await enterDemo(page, demo, 'Petri');
  const sheet = await openNew(page, 'Grease the crane');
  const button = (name: string | RegExp) => sheet.getByRole('button', { name, exact: true });

  const due = new Thumb(page);
  await due.tap(button(t('sentence.panel.due')));
  await due.tap(sheet.getByRole('radio', { name: t('date.tomorrow'), exact: true }));
  await due.tap(button('Set'));
  await expect(button(/^tomorrow/)).toBeVisible();
  expect(due.taps).toBeLessThanOrEqual(3);

  const reminder = new Thumb(page);
  await reminder.tap(button('Remind me'));
  await reminder.tap(button(/^This evening/));
  await expect(sheet.getByText(t('sentence.add.reminders'))).toBeVisible();
  expect(reminder.taps).toBeLessThanOrEqual(3);
  await page.keyboard.press('Escape');

  const rule = new Thumb(page);
  const second = await openNew(page, 'Sweep the slip');
  await rule.tap(second.getByRole('button', { name: t('sentence.panel.rule') }));
  await rule.tap(second.getByRole('radio', { name: t('rule.kind.weeks') }));
  await rule.tap(second.getByRole('button', { name: t('rule.save') }));
  await expect(second.getByText(/every (Mon|Tue|Wed|Thu|Fri|Sat|Sun)|weekly|every week/i).first()).toBeVisible();
  expect(rule.taps).toBeLessThanOrEqual(3);
});

test('what is mine is taken, answered and told how far it is from what is in sight', async ({ demo, devices }) => {
  const page = await devices.open(PHONE);
  await enterDemo(page, demo, 'Aino');
  await page
    .getByRole('button', { name: /^Confirm 18 beds/ })
    .first()
    .click();
  const sheet = sheetOf(page);
  const thumb = new Thumb(page);
  await thumb.tap(sheet.getByRole('button', { name: t('answer.take'), exact: true }));
  await thumb.tap(sheet.getByRole('button', { name: t('answer.howFar') }));
  // in the middle of it
  await thumb.tap(sheet.getByRole('slider', { name: t('answer.howFar') }));
  await expect(sheet.getByText(/in progress, (49|50|51)%/).first()).toBeVisible();
  expect(thumb.taps).toBeLessThanOrEqual(3);
});
