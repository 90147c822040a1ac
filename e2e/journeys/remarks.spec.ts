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

test('who can’t see it is asked about first: the giver, asked, lets them in; they reply, and it is ended', async ({ demo, devices }) => {
  const [aino, leila, petri] = [await devices.open(WIDE), await devices.open(PHONE), await devices.open(PHONE)];
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(leila, demo, 'Leila');
  await enterDemo(petri, demo, 'Petri');
  const line = aino.getByRole('textbox', { name: t('capture.line') });
  await line.fill(`${TITLE} @Leila`);
  await line.press('Enter');
  await expect(line).toHaveValue('');
  const openFromBell = async (page: Page) => {
    await page.getByRole('button', { name: new RegExp(`^${t('notices.button', { count: 0 }).split(',')[0]}`) }).click();
    await page
      .getByRole('dialog', { name: t('notices.title') })
      .getByText(new RegExp(TITLE))
      // above it may stand what one did last
      .last()
      .click();
    await expect(sheetOf(page)).toBeVisible();
  };
  const tapIn = (page: Page, name: string) => sheetOf(page).getByRole('button', { name, exact: true }).click(); // prettier-ignore

  await openFromBell(leila);
  await send(leila, '@Petri which valve is it?');
  // nothing is sent before it is answered, and nothing typed is lost
  await expect(sheetOf(leila).getByLabel(t('item.saySomething'))).toHaveValue('@Petri which valve is it?');
  await tapIn(leila, t('remark.askAndSend', { giver: 'Aino' }));
  await expect(sheetOf(leila).getByLabel(t('item.saySomething'))).toHaveValue('');

  await openFromBell(aino);
  await tapIn(aino, t('remark.letIn', { name: 'Petri' }));
  await expect(sheetOf(aino).getByText(t('guest.here', { name: 'Petri', giver: 'Aino' }))).toBeVisible();
  await openFromBell(petri);
  await send(petri, 'The brass one');
  await expect(sheetOf(leila).getByText('The brass one')).toBeVisible();

  await tapIn(aino, t('guest.end', { name: 'Petri' }));
  await expect(sheetOf(petri).getByText('The brass one')).toBeHidden();
  await expect(sheetOf(leila).getByText('The brass one')).toBeVisible();
});
