import { expect, type Page } from '@playwright/test';
import { enterDemo, visit, PHONE, test, WIDE } from './house.ts';
import { t } from './words.ts';

const tap = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).click();

test('what was thought out once is used: what is missing says so, it is all there on the other device, and one undo takes it back', async ({
  demo,
  devices,
}) => {
  const [aino, marek] = [await devices.open(WIDE), await devices.open(PHONE)];
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(marek, demo, 'Marek');
  await visit(aino, '/templates');
  await aino.getByRole('button', { name: /^A wedding weekend/ }).click();
  await tap(aino, t('template.use'));
  const sheet = aino.getByRole('dialog');
  await tap(aino, t('template.makeIt'));
  await expect(sheet.getByText(t('template.missing', { names: 'Saturday, couple, guests, cook and driver' }))).toBeVisible();
  await sheet.getByLabel('Saturday').fill('2027-03-27');
  await sheet.getByLabel('Couple').fill('Elsa and Ville');
  await sheet.getByLabel('Guests').fill('48');
  await sheet
    .getByRole('group', { name: 'cook' })
    .getByRole('checkbox', { name: /^Marek/ })
    .click();
  await sheet.getByRole('checkbox', { name: t('template.nobodyYet') }).last().click(); // prettier-ignore
  await expect(sheet.getByLabel(t('template.listName'))).toHaveValue('A wedding weekend for Elsa and Ville');
  await tap(aino, t('template.makeIt'));
  await expect(aino.getByRole('heading', { level: 1, name: 'A wedding weekend for Elsa and Ville' })).toBeVisible();
  await expect(aino.getByText('Lay the tables for 48')).toBeVisible();

  // Marek was told once, and has what a cook has
  await marek.getByRole('button', { name: new RegExp(`^${t('notices.button', { count: 0 }).split(',')[0]}`) }).click();
  await marek
    .getByRole('dialog', { name: t('notices.title') })
    .getByText(/A wedding weekend for Elsa and Ville/)
    .click();
  await expect(marek.getByRole('dialog', { name: 'Order flour and cream for 48' })).toBeVisible();

  await tap(aino, t('common.undo'));
  await expect(aino.getByText('Lay the tables for 48')).toBeHidden();
  await expect(marek.getByRole('dialog', { name: 'Order flour and cream for 48' })).toBeHidden();
});

test('a list is kept as a template, changed on its page, and used again; what is made stands by itself', { tag: '@deep' }, async ({ demo, devices }) => {
  const page = await devices.open(PHONE);
  await enterDemo(page, demo, 'Aino');
  await visit(page, '/lists');
  await page
    .getByRole('button', { name: /^Boathouse/ })
    .first()
    .click();
  await page.getByRole('button', { name: t('list.more') }).click();
  await page.getByRole('menuitem', { name: t('template.keep') }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel(t('template.name'), { exact: true }).fill('Closing the boathouse');
  await tap(page, t('template.keepIt'));
  await expect(page.getByRole('heading', { level: 1, name: 'Closing the boathouse' })).toBeVisible();
  await page.getByRole('button', { name: /^Drain the rain barrel/ }).click();
  await sheet.getByLabel(t('template.itemTitle')).fill('Drain the barrel of {year}');
  await sheet.getByRole('button', { name: t('common.save') }).click();
  await expect(page.getByText(/^Drain the barrel of \{year\}$/)).toBeVisible();
  await tap(page, t('template.use'));
  await sheet.getByLabel('Its day', { exact: true }).fill('2027-11-30');
  await sheet.getByLabel('Year').fill('2027');
  await sheet.getByLabel(t('template.listName')).fill('Boathouse');
  await tap(page, t('template.makeIt'));
  await expect(sheet.getByText(t('reason.list-name-taken', { name: 'Boathouse', other: 'Boathouse 2' }))).toBeVisible();
  await sheet.getByLabel(t('template.listName')).fill('Boathouse 2027');
  await tap(page, t('template.makeIt'));
  await expect(page.getByRole('heading', { level: 1, name: 'Boathouse 2027' })).toBeVisible();
  await expect(page.getByText('Drain the barrel of 2027')).toBeVisible();
});
