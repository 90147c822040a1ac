import { expect, type Page } from '@playwright/test';
import { enterDemo, visit, PHONE, test, WIDE } from './house.ts';
import { t } from './words.ts';

async function openItem(page: Page, base: string, title: string) {
  await visit(page, '/lists');
  await page
    .getByRole('button', { name: /^Boathouse/ })
    .first()
    .click();
  await page
    .getByRole('button', { name: new RegExp(`^${title}`) })
    .first()
    .click();
  const sheet = page.getByRole('dialog', { name: title });
  await expect(sheet).toBeVisible();
  return sheet;
}

test('what has to be done first: said in two taps, refused the other way round, and it goes on by itself when that is done elsewhere', async ({
  demo,
  devices,
}) => {
  const [aino, tapio] = [await devices.open(PHONE), await devices.open(WIDE)];
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(tapio, demo, 'Tapio');
  const [first, then] = ['Replace the third plank of the jetty', 'Cover the rowing boats'];
  const sheet = await openItem(aino, demo.base, then);
  await sheet.getByRole('button', { name: t('sentence.addLabel') }).click();
  await sheet.getByRole('button', { name: t('sentence.panel.waiting'), exact: true }).click();
  await sheet.getByRole('radio', { name: t('wait.kind.item') }).click();
  await sheet.getByRole('button', { name: t('wait.mark') }).click();
  await expect(sheet.getByText(t('wait.chooseItem'))).toBeVisible();
  await sheet.getByLabel(t('wait.onItem')).fill('third pl');
  await sheet
    .getByRole('button', { name: new RegExp(`^${first}`) })
    .last()
    .click();
  await sheet.getByRole('button', { name: t('wait.mark') }).click();
  await expect(sheet.getByText(t('wait.for', { words: `“${first}”` })).last()).toBeVisible();
  await expect(sheet.getByText(t('wait.byItself'))).toBeVisible();

  // from one to the other and back; the other way round the way is named
  await sheet.getByRole('button', { name: t('wait.openIt', { title: `“${first}”` }) }).click();
  const firstSheet = aino.getByRole('dialog', { name: first });
  await expect(firstSheet.getByText(t('wait.waitedFor', { title: then }))).toBeVisible();

  // done by Tapio: Aino is told, and nothing is in the way any more
  await visit(tapio, '/lists');
  await tapio
    .getByRole('button', { name: /^Boathouse/ })
    .first()
    .click();
  await tapio
    .getByRole('checkbox', { name: t('knot.tie', { title: first }) })
    .first()
    .click();
  await expect(firstSheet.getByText(t('wait.waitedFor', { title: then }))).toHaveCount(0);
  await firstSheet.getByRole('button', { name: t('common.close') }).click();
  await openItem(aino, demo.base, then);
  await expect(sheet.getByText(t('wait.byItself'))).toHaveCount(0);
});
