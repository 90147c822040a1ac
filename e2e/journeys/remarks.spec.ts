import { expect, type Page } from '@playwright/test';
import { enterDemo, PHONE, test, WIDE } from './house.ts';
import { t } from './words.ts';

const TITLE = 'Water under the sauna boiler';
const sheetOf = (page: Page) => page.getByRole('dialog', { name: TITLE });
const send = async (page: Page, words: string) => {
  await sheetOf(page).getByLabel(t('item.saySomething')).fill(words);
  await sheetOf(page)
    .getByRole('button', { name: t('item.say'), exact: true })
    .click();
};
const more = (page: Page, text: string) => sheetOf(page).getByRole('button', { name: t('remark.more', { text }) });

test('a question is asked, answered and put right on three devices; who is addressed is told, once, and nobody else', async ({ demo, devices }) => {
  const [aino, leila, tapio] = [await devices.open(WIDE), await devices.open(PHONE), await devices.open(PHONE)];
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(leila, demo, 'Leila');
  await enterDemo(tapio, demo, 'Tapio');
  const line = aino.getByRole('textbox', { name: t('capture.line') });
  await line.fill(`${TITLE} @Leila @Tapio`);
  await line.press('Enter');
  await expect(line).toHaveValue('');

  for (const page of [leila, tapio]) {
    await page.getByRole('button', { name: new RegExp(`^${t('notices.button', { count: 0 }).split(',')[0]}`) }).click();
    await page
      .getByRole('dialog', { name: t('notices.title') })
      .getByText(new RegExp(TITLE))
      .first()
      .click();
    await expect(sheetOf(page)).toBeVisible();
  }
  await send(leila, 'Which valve is it?');
  await more(tapio, 'Which valve is it?').click();
  await tapio.getByRole('menuitem', { name: t('remark.answer') }).click();
  await expect(sheetOf(tapio).getByText(t('remark.answering', { name: 'Leila', text: 'Which valve is it?' }))).toBeVisible();
  await send(tapio, 'The lfet one');
  await expect(sheetOf(leila).getByText('The lfet one')).toBeVisible();
  await more(tapio, 'The lfet one').click();
  await tapio.getByRole('menuitem', { name: t('remark.correct') }).click();
  await sheetOf(tapio)
    .getByRole('textbox', { name: t('remark.text'), exact: true })
    .fill('The left one');
  await sheetOf(tapio)
    .getByRole('button', { name: t('common.save') })
    .click();
  await expect(sheetOf(leila).getByText('The left one')).toBeVisible();
  await expect(sheetOf(leila).getByText(new RegExp(`· ${t('remark.corrected')}$`))).toBeVisible();
  await expect(sheetOf(leila).getByText(t('remark.answers', { name: 'Leila', text: 'Which valve is it?' }))).toBeVisible();

  // Leila addresses Tapio by a name that is offered, and Petri, who can't see it
  const field = sheetOf(leila).getByLabel(t('item.saySomething'));
  await field.fill('Thanks @Ta');
  await sheetOf(leila)
    .getByRole('group', { name: t('remark.names') })
    .getByRole('button', { name: 'Tapio' })
    .click();
  await expect(field).toHaveValue('Thanks @Tapio ');
  await sheetOf(leila)
    .getByRole('button', { name: t('item.say'), exact: true })
    .click();
  await expect(sheetOf(tapio).getByText('Thanks @Tapio')).toBeVisible();

  // taken back it is gone elsewhere, and comes again with Undo
  await more(leila, 'Thanks @Tapio').click();
  await leila.getByRole('menuitem', { name: t('remark.takeBack') }).click();
  await expect(sheetOf(tapio).getByText('Thanks @Tapio')).toBeHidden();
  await sheetOf(leila)
    .getByRole('button', { name: t('common.undo') })
    .click();
  await expect(sheetOf(tapio).getByText('Thanks @Tapio')).toBeVisible();
});
