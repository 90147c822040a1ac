import { expect } from '@playwright/test';
import { enterDemo, visit, hearsTheTime, PHONE, test, WIDE } from './house.ts';
import { starting, t } from './words.ts';

/** A picture that is nothing but black. */
const BLACK = Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAAAAAA6fptVAAAACklEQVR4nGNgAAAAAgABSK+kcQAAAABJRU5ErkJggg==', 'base64');

test(
  'one’s own accent and weave are there on another device; a picture stays on its own, and goes with signing out',
  { tag: '@deep' },
  async ({ demo, devices }) => {
    const [phone, wide] = [await devices.open(PHONE), await devices.open(WIDE)];
    for (const page of [phone, wide]) await enterDemo(page, demo, 'Aino');
    const other = await devices.open(WIDE);
    await enterDemo(other, demo, 'Petri');
    await visit(phone, '/settings/device');
    await phone.getByRole('radio', { name: t('colour.plum') }).click();
    await phone.getByRole('radio', { name: t('pattern.twill') }).click();
    await expect(wide.locator('html[data-accent=plum][data-backdrop=weave]')).toHaveCount(1);
    const choosing = phone.waitForEvent('filechooser');
    await phone.getByRole('button', { name: t('looks.choose') }).click();
    await (await choosing).setFiles({ name: 'dark.png', mimeType: 'image/png', buffer: BLACK });
    await expect(phone.locator('html[data-backdrop=picture]')).toHaveCount(1);
    await phone.reload();
    await expect(phone.locator('html[data-backdrop=picture]')).toHaveCount(1);
    const again = phone.waitForEvent('filechooser');
    await phone.getByRole('button', { name: t('looks.chooseOther') }).click();
    await (await again).setFiles({ name: 'not-a-picture.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
    await expect(phone.getByRole('alert').filter({ hasText: t('looks.unreadable') })).toBeVisible();
    await expect(wide.locator('html[data-backdrop=weave]')).toHaveCount(1);
    await expect(other.locator('html[data-accent]')).toHaveCount(0);
  },
);

test('minutes of focused work count down on every device of one’s own, and are told when they are over', { tag: '@deep' }, async ({ demo, devices }) => {
  const [phone, wide] = [await devices.open(PHONE), await devices.open(WIDE)];
  for (const page of [phone, wide]) await enterDemo(page, demo, 'Aino');
  const focus = (page: typeof phone) => page.getByRole('region', { name: t('stretch.title') });
  await phone
    .getByRole('button', { name: starting('arrange.usual') })
    .first()
    .click();
  await phone.getByRole('button', { name: t('stretch.title') }).click();
  await phone.getByRole('radio', { name: '15 min' }).click();
  await phone.getByRole('button', { name: t('stretch.start'), exact: true }).click();
  for (const page of [phone, wide]) await expect(focus(page)).toContainText('15 min');
  await wide.reload();
  await expect(focus(wide)).toContainText('15 min');
  await demo.advance('PT5M');
  for (const page of [phone, wide]) await hearsTheTime(page, demo);
  await expect(focus(phone)).toContainText('10 min');
  await demo.advance('PT11M');
  for (const page of [phone, wide]) await hearsTheTime(page, demo);
  for (const page of [phone, wide]) await expect(focus(page)).toHaveCount(0);
  await phone.getByRole('button', { name: /^Notifications/ }).click();
  await expect(phone.getByRole('dialog').getByText(t('notice.stretch-over', { minutes: 15, count: 0 }))).toBeVisible();
});

test('everything but the list folds away and stays so, by keys too, until it is unfolded', async ({ demo, devices }) => {
  const page = await devices.open(WIDE);
  await enterDemo(page, demo, 'Aino');
  const bar = page.getByRole('link', { name: t('nav.lists'), exact: true });
  await visit(page, '/settings/device');
  await page.getByRole('checkbox', { name: t('arrange.onlyList') }).click();
  await expect(bar).toHaveCount(0);
  await page.goto(demo.base);
  await page.getByRole('navigation').waitFor();
  await expect(bar).toHaveCount(0);
  await page.keyboard.press('n');
  await expect(page.getByRole('textbox', { name: t('capture.line') })).toBeFocused();
  await page.keyboard.type('Wax the skis');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Wax the skis/ }).first()).toBeVisible();
  await page.getByRole('button', { name: t('nav.label') }).click();
  await page.getByRole('menuitem', { name: t('nav.unfold') }).click();
  await expect(bar).toBeVisible();
});
