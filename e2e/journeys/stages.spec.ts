import { expect, type Page } from '@playwright/test';
import { enterDemo, visit, PHONE, test, WIDE } from './house.ts';
import { t } from './words.ts';

const counts = (page: Page) => page.getByRole('list', { name: t('stages.title') });

test('stages of a list: set once, moved on the phone, counted on the other screen, grouped, and done by the last', async ({ demo, devices }) => {
  const [aino, tapio] = [await devices.open(WIDE), await devices.open(PHONE)];
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(tapio, demo, 'Tapio');
  for (const page of [aino, tapio]) {
    await visit(page, '/lists');
    await page
      .getByRole('button', { name: /^Boathouse/ })
      .first()
      .click();
    await expect(page.getByRole('heading', { level: 1, name: 'Boathouse' })).toBeVisible();
  }
  await aino.getByRole('button', { name: t('list.more') }).click();
  await aino.getByRole('menuitem', { name: t('stages.title') }).click();
  const sheet = aino.getByRole('dialog');
  for (const [nth, name] of ['Wished', 'Priced', 'In place'].entries()) {
    await sheet.getByRole('button', { name: t('stages.add') }).click();
    await sheet.getByLabel(t('stages.one', { count: nth + 1 })).fill(name);
  }
  await sheet.getByRole('checkbox', { name: t('stages.doneOf', { name: 'In place' }) }).click();
  await sheet.getByRole('button', { name: t('common.save') }).click();
  await expect(counts(aino).getByText('Priced 0')).toBeVisible();
  await expect(counts(tapio).getByText('Priced 0')).toBeVisible();

  // his own he moves from its sentence
  await tapio
    .getByRole('button', { name: /^Winter storage for the boats/ })
    .first()
    .click();
  const item = tapio.getByRole('dialog', { name: 'Winter storage for the boats' });
  await item.getByRole('button', { name: t('sentence.wordLabel', { words: 'Wished', label: t('sentence.panel.stage') }) }).click();
  await item.getByRole('radio', { name: 'Priced' }).click();
  await expect(counts(aino).getByText('Priced 1')).toBeVisible();

  // grouped by stage, it stands under its name
  await aino.getByRole('button', { name: new RegExp(`^${t('arrange.arrange')}`) }).click();
  await sheet.getByRole('radio', { name: t('group.stage') }).click();
  await sheet.getByRole('button', { name: t('common.done') }).click();
  await expect(aino.getByRole('heading', { name: /^Priced/ })).toBeVisible();

  // into the one that means done: it is ticked
  await item.getByRole('button', { name: t('sentence.wordLabel', { words: 'Priced', label: t('sentence.panel.stage') }) }).click();
  await item.getByRole('radio', { name: 'In place' }).click();
  await expect(counts(aino).getByText(/^In place [1-9]/)).toBeVisible();
  await expect(counts(aino).getByText('Priced 0')).toBeVisible();
});
