import { expect } from '@playwright/test';
import { enterDemo, visit, PHONE, test, WIDE } from './house.ts';
import { t } from './words.ts';

test('the coming week is shared out: the load of each before and after, taken but for one line, and back again', async ({ demo, devices }) => {
  const aino = await devices.open(WIDE);
  await enterDemo(aino, demo, 'Aino');
  await aino.getByRole('link', { name: t('nav.calendar') }).click();
  await aino.getByRole('button', { name: t('shareOut.title') }).click();
  await expect(aino.getByRole('img', { name: /^before / })).not.toHaveCount(0);
  const lines = aino.getByRole('checkbox');
  await expect(lines).not.toHaveCount(0);
  const many = await lines.count();
  const left = (await lines.first().innerText()).split('\n')[0]!;
  await lines.first().click();
  await expect(lines.first()).not.toBeChecked();
  await aino.getByRole('button', { name: `Accept these ${many - 1}` }).click();
  await expect(aino.getByText(`${many - 1} items of the week were handed out`)).toBeVisible();
  // what was left is still nobody's, and is proposed again
  await expect(aino.getByRole('checkbox', { name: new RegExp(`^${left.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}`) })).toBeChecked();
  await expect(aino.getByRole('button', { name: 'Accept this one' })).toBeVisible();

  await aino.getByRole('button', { name: t('common.undo') }).click();
  await expect(lines).toHaveCount(many);
});

test('what was given out stands with whoever got it', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await visit(aino, '/share-out');
  const line = aino.getByRole('checkbox').filter({ hasText: 'Marek, ' }).first();
  await expect(line).toBeVisible();
  const title = (await line.innerText()).split('\n')[0]!;
  const marek = await devices.open(PHONE);
  await enterDemo(marek, demo, 'Marek');
  await aino.getByRole('button', { name: /^Accept (these|this)/ }).click();
  await marek.getByRole('link', { name: t('nav.calendar') }).click();
  await marek.getByRole('radio', { name: t('calendar.view.list') }).click();
  await expect(marek.getByText(title, { exact: true }).first()).toBeVisible();
});

test('load: managers see everyone’s four weeks as a chart and a table, a member their own', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await visit(aino, '/load');
  await expect(aino.getByRole('img', { name: /^Workload of Marek, four weeks: / })).toBeVisible();
  await aino.getByRole('button', { name: t('load.table') }).click();
  await expect(aino.getByRole('row')).toHaveCount(29);
  await expect(aino.getByRole('columnheader', { name: 'Marek' })).toBeVisible();
  // Oona's days away
  await expect(aino.getByRole('cell', { name: /^away/ })).not.toHaveCount(0);

  const oona = await devices.open(PHONE);
  await enterDemo(oona, demo, 'Oona');
  await visit(oona, '/load');
  await expect(oona.getByRole('img', { name: /^Workload of Oona/ })).toBeVisible();
  await expect(oona.getByRole('img', { name: /^Workload of/ })).toHaveCount(1);
});
