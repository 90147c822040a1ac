import { expect } from '@playwright/test';
import { enterDemo, goOffline, visit, PHONE, test, WIDE } from './house.ts';
import { t } from './words.ts';

test('a manager looks at what a helper sees, can change nothing there, and the helper reads of it', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await visit(aino, '/people');
  await aino.getByText('Leila', { exact: true }).last().click();
  await aino.getByRole('button', { name: t('seen.action', { name: 'Leila' }) }).click();
  await expect(aino.getByText(t('seen.readOnly', { name: 'Leila' }))).toBeVisible();
  const groceries = aino.getByRole('button', { name: /^Groceries · Can check off/ });
  await groceries.click();
  await expect(aino.getByText('Milk, 20 l')).toBeVisible();
  // what is Aino's alone, or Leila's own, is not there, and nothing can be checked off
  await expect(aino.getByRole('main').getByRole('checkbox')).toHaveCount(0);
  await expect(aino.getByRole('button', { name: /^Shelf/ })).toHaveCount(0);

  const leila = await devices.open(WIDE);
  await enterDemo(leila, demo, 'Leila');
  await visit(leila, '/activity');
  await expect(leila.getByText(t('activity.line', { name: 'Aino', what: t('did.person.lookAs', { name: 'Leila' }) }), { exact: false })).toHaveCount(1);
  // she is not shown what others see, by no button and by no address
  await leila.goto(aino.url());
  await expect(leila.getByText(t('problem.not-allowed'))).toBeVisible();
});

test('without a network that is said, and it comes by itself once there is one', { tag: '@deep' }, async ({ demo, devices }) => {
  const aino = await devices.open(PHONE, { installed: true });
  await enterDemo(aino, demo, 'Aino');
  await aino.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await visit(aino, '/people');
  await aino.getByText('Leila', { exact: true }).last().click();
  await expect(aino.getByRole('button', { name: t('seen.action', { name: 'Leila' }) })).toBeVisible();
  await goOffline(aino);
  await aino.getByRole('button', { name: t('seen.action', { name: 'Leila' }) }).click();
  await expect(aino.getByText(t('problem.offline')).or(aino.getByText(t('seen.offline')))).toBeVisible();
  await aino.context().setOffline(false);
  await expect(aino.getByRole('button', { name: /^Groceries · Can check off/ })).toBeVisible();
});
