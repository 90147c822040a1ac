import { expect } from '@playwright/test';
import { PHONE, test } from './house.ts';
import { Thumb } from './thumb.ts';
import { starting, t } from './words.ts';

/** From nothing to a house that works, on a phone: at most so many taps, none of them to something out of sight. */
const MOST_TAPS = 35;

test(`first use: account, house, a list of three, an invitation, a handover, a weekly chore, a reminder at a place: ${MOST_TAPS} taps`, async ({
  empty,
  devices,
}) => {
  const page = await devices.open(PHONE, { at: { latitude: 62.3, longitude: 27.1, accuracy: 12 } });
  const thumb = new Thumb(page);
  const button = (name: string | RegExp) => page.getByRole('button', { name, exact: true });
  const dialog = page.getByRole('dialog');
  await page.goto(empty.base);

  // who is new first: the name is ready to type
  await expect(page.getByLabel(t('account.yourName'))).toBeFocused();
  await page.keyboard.type('Sanna');
  await thumb.tap(page.getByLabel(t('account.email')));
  await page.keyboard.type('sanna@example.org');
  await thumb.tap(page.getByLabel(t('account.password')));
  await page.keyboard.type('long enough words');
  await page.keyboard.press('Enter');

  await expect(page.getByLabel(t('house.name'))).toBeFocused();
  await page.keyboard.type('Rantala');
  // an impatient second Enter makes no second house
  await page.keyboard.press('Enter');
  await page.keyboard.press('Enter');

  // the first day shows the hints as things to do, and the line
  await expect(page.getByRole('region', { name: t('hints.list') }).getByText(t('hints.add.home'))).toBeVisible();

  expect(((await (await page.request.get(`${empty.base}/api/me`)).json()) as { houses: unknown[] }).houses).toHaveLength(1);

  await thumb.tap(page.getByRole('link', { name: t('nav.lists') }));
  await thumb.tap(button(t('lists.make')).first());
  await page.keyboard.type('Spring');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'Spring' })).toBeVisible();
  await thumb.tap(page.getByRole('textbox', { name: t('capture.line') }));
  for (const title of ['Rake the yard', 'Wash the windows', 'Buy seedlings']) {
    await page.keyboard.type(title);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('main').getByText(title, { exact: true })).toBeVisible();
  }

  await thumb.tap(page.getByRole('link', { name: t('nav.more') }));
  await thumb.tap(button(t('invite.make')));
  await expect(dialog.getByText('They can open: Spring.', { exact: false })).toBeVisible();
  await thumb.tap(dialog.getByRole('button', { name: t('invite.makeLink') }));
  const link = await dialog.getByLabel(t('invite.link')).inputValue();
  await thumb.tap(dialog.getByRole('button', { name: t('invite.copy') }));
  await page.keyboard.press('Escape');

  const other = await devices.open(PHONE);
  await other.goto(link);
  await other.getByLabel(t('account.yourName')).fill('Onni');
  await other.getByLabel(t('account.email')).fill('onni@example.org');
  await other.getByLabel(t('account.password')).fill('long enough words');
  await other.keyboard.press('Enter');
  await other.getByRole('button', { name: t('join.join') }).click();
  // what was prepared for them is what they see first
  await expect(other.getByRole('heading', { level: 1, name: 'Spring' })).toBeVisible();

  // handed over with a deadline, in the words one would say
  await thumb.tap(page.getByRole('textbox', { name: t('capture.line') }));
  await page.keyboard.type('Ask Onni to order the timber by Friday');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/handed it to Onni/)).toBeVisible();
  await other.getByRole('link', { name: t('nav.today') }).click();
  await expect(other.getByText(t('sort.bar', { count: 1 }))).toBeVisible();

  await thumb.tap(page.getByRole('link', { name: t('nav.lists') }));
  await thumb.tap(page.getByRole('button', { name: /^Spring/ }));
  await thumb.tap(page.getByRole('button', { name: 'Wash the windows' }).first());
  await thumb.tap(dialog.getByRole('button', { name: t('sentence.panel.rule'), exact: true }));
  await thumb.tap(dialog.getByRole('radio', { name: t('rule.kind.weeks') }));
  await thumb.tap(dialog.getByRole('button', { name: t('rule.save') }));
  await expect(page.getByText(/now repeats/)).toBeVisible();
  await thumb.tap(dialog.getByRole('button', { name: t('common.close') }).first());

  await thumb.tap(page.getByRole('button', { name: 'Buy seedlings' }).first());
  await thumb.tap(dialog.getByRole('button', { name: t('sentence.panel.reminders'), exact: true }));
  await thumb.tap(dialog.getByRole('button', { name: t('alarm.atPlace') }));
  await thumb.tap(dialog.getByRole('button', { name: t('place.new') }));
  const place = dialog.last();
  await thumb.tap(place.getByLabel(t('place.name')));
  await page.keyboard.type('Garden shop');
  await thumb.tap(place.getByRole('button', { name: t('place.iAmHere') }));
  await expect(place.getByText(starting('place.lookedWithin'))).toBeVisible();
  await thumb.tap(place.getByRole('button', { name: t('common.save') }));
  await thumb.tap(dialog.getByRole('button', { name: t('alarm.lookHere') }));
  await thumb.tap(dialog.getByRole('button', { name: t('alarm.setThere') }));
  await expect(dialog.getByText('at Garden shop').first()).toBeVisible();

  expect(thumb.taps).toBeLessThanOrEqual(MOST_TAPS);
  test.info().annotations.push({ type: 'taps', description: String(thumb.taps) });
});
