import { expect } from '@playwright/test';
import { enterDemo, visit, PHONE, test, WIDE } from './house.ts';
import { t } from './words.ts';

test(
  'a group is made, whoever is put into it is told, and what is typed for it is with each of them until one does it',
  { tag: '@deep' },
  async ({ demo, devices }) => {
    const [aino, tapio, marek] = [await devices.open(WIDE), await devices.open(PHONE), await devices.open(PHONE)];
    await enterDemo(aino, demo, 'Aino');
    await enterDemo(tapio, demo, 'Tapio');
    await enterDemo(marek, demo, 'Marek');
    await visit(aino, '/people');
    await aino.getByRole('button', { name: t('groups.make') }).click();
    const sheet = aino.getByRole('dialog');
    await sheet.getByLabel(t('groups.name')).fill('Tapio');
    for (const who of ['Tapio', 'Marek']) await sheet.getByRole('checkbox', { name: who }).click();
    await sheet.getByRole('button', { name: t('common.save') }).click();
    await expect(sheet.getByText(t('reason.name-taken', { name: 'Tapio' }))).toBeVisible();
    await sheet.getByLabel(t('groups.name')).fill('Drivers');
    await sheet.getByRole('button', { name: t('common.save') }).click();
    await expect(aino.getByRole('button', { name: /^Drivers/ })).toBeVisible();
    await tapio.getByRole('button', { name: /^Notifications/ }).click();
    await expect(tapio.getByText('Aino put you in the group “Drivers”').last()).toBeVisible();
    await tapio.keyboard.press('Escape');

    // typed in the line, with the beginning of its name
    const line = aino.getByRole('textbox', { name: t('capture.line') });
    await line.fill('Fetch the cellist today @dri');
    await aino.getByRole('button', { name: 'Drivers', exact: true }).click();
    await line.press('Enter');
    for (const page of [tapio, marek]) {
      await page.goto(demo.base);
      await expect(page.getByRole('button', { name: /^Fetch the cellist/ }).first()).toBeVisible();
    }
    await tapio
      .getByRole('checkbox', { name: t('knot.tie', { title: 'Fetch the cellist' }) })
      .first()
      .click();
    await expect(marek.getByRole('checkbox', { name: t('knot.tie', { title: 'Fetch the cellist' }) })).toHaveCount(0);
  },
);
