import { expect } from '@playwright/test';
import { enterDemo, PHONE, test, WIDE } from './house.ts';
import { starting, t } from './words.ts';

test('who does not look is asked by itself, not at night, and the giver sees when next', async ({ demo, devices }) => {
  const aino = await devices.open(WIDE);
  const leila = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(leila, demo, 'Leila');
  await aino.getByRole('textbox', { name: t('capture.line') }).fill('Ask Leila to look for the blue lantern');
  await aino.getByRole('textbox', { name: t('capture.line') }).press('Enter');
  await aino.getByRole('link', { name: t('nav.followUp') }).click();
  const row = aino.getByRole('row').filter({ hasText: 'Look for the blue lantern' });
  await expect(row).toContainText('next nudge');

  // three days on, its time has come; in the night it waited for the morning
  await demo.advance('P4D');
  await leila.getByRole('button', { name: /^Notifications, / }).click();
  await expect(
    leila
      .getByRole('dialog')
      .getByText(/blue lantern.*going/)
      .first(),
  ).toBeVisible();
  await expect(row).toContainText('nudged');
  await expect(aino.getByRole('heading', { name: t('follow.group.silent') })).toBeVisible();

  // an answer is a sign of life: it is in hand again
  await leila
    .getByRole('dialog')
    .getByRole('button', { name: t('common.close') })
    .click();
  await leila.getByRole('button', { name: t('sort.sort'), exact: true }).click();
  await leila.getByRole('button', { name: /^Look for the blue lantern/ }).click();
  await leila.getByRole('button', { name: 'Take it: Look for the blue lantern' }).click();
  const inHand = aino.getByRole('rowgroup').filter({ has: aino.getByRole('heading', { name: t('follow.group.in-hand') }) });
  await expect(inHand).toContainText('Look for the blue lantern');
});

test('a nudge by hand on a day off waits for the end of it, and that is said', async ({ demo, devices }) => {
  const aino = await devices.open(WIDE);
  const tapio = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(tapio, demo, 'Tapio');
  // Tapio is left in peace today and tomorrow
  await tapio.getByRole('link', { name: t('nav.more'), exact: true }).click();
  await tapio.getByRole('button', { name: starting('profile.title') }).click();
  await tapio.getByRole('button', { name: t('rest.own') }).click();
  const dayOf = (ms: number) => new Date(ms).toLocaleDateString('en-GB', { weekday: 'short', timeZone: 'Europe/Helsinki' });
  const now = Date.parse(await demo.now());
  for (const ahead of [0, 1]) await tapio.getByRole('checkbox', { name: dayOf(now + ahead * 86_400_000), exact: true }).click();
  await tapio
    .getByRole('button', { name: t('common.save') })
    .first()
    .click();
  await expect(tapio.getByText(t('note.saved'))).toBeVisible();
  await aino.getByRole('link', { name: t('nav.followUp') }).click();
  await aino.getByRole('button', { name: 'More on “Winter storage for the boats”' }).click();
  await aino.getByRole('menuitem', { name: t('nudge.now') }).click();
  // asked today or not, by the day this runs on
  await aino
    .getByRole('dialog')
    .getByRole('button', { name: /^(Nudge|Nudge again)$/ })
    .click();
  await expect(aino.getByText('Tapio has quiet time now and will be asked when it ends.', { exact: false })).toBeVisible();
});
