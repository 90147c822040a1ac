import { expect } from '@playwright/test';
import { enterDemo, visit, PHONE, test, WIDE } from './house.ts';
import { t } from './words.ts';

const TITLE = 'Lay up the rowing boat';

test('lines become steps and come back; beside the list and as a page it is the same, and the choice stays', async ({ demo, devices }) => {
  const [aino, leila] = [await devices.open(WIDE), await devices.open(PHONE)];
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(leila, demo, 'Leila');
  const line = aino.getByRole('textbox', { name: t('capture.line') });
  await line.fill(`${TITLE} @Leila`);
  await line.press('Enter');
  await expect(line).toHaveValue('');
  await leila
    .getByRole('button', { name: new RegExp(`^${TITLE}`) })
    .first()
    .click();
  const sheet = leila.getByRole('dialog', { name: TITLE });
  await sheet.getByRole('button', { name: t('item.writeNotes') }).click();
  await sheet.getByRole('button', { name: t('notes.plain') }).click();
  await sheet.getByRole('textbox', { name: t('item.notes') }).fill('Before the ice\n- [x] oars\n- sail\n- rope');
  await sheet.getByRole('button', { name: t('common.save') }).click();

  // whoever it was handed to makes steps of them; the other device has them
  const address = new URL(leila.url());
  await aino.goto(`${demo.base}/items/${address.searchParams.get('item')}`);
  await expect(aino.getByText(new RegExp(`^${t('notes.changed', { name: 'Leila', when: '' })}`))).toBeVisible();
  await aino.getByText(new RegExp(`^${t('notes.changed', { name: 'Leila', when: '' })}`)).click();
  await expect(aino.getByText('- sail', { exact: true })).toBeVisible();
  await sheet.getByRole('button', { name: t('notes.toSteps') }).click();
  await sheet.getByRole('checkbox', { name: 'Before the ice' }).click();
  await sheet.getByRole('button', { name: t('notes.makeSteps', { count: 3 }) }).click();
  for (const title of ['oars', 'sail', 'rope']) await expect(aino.getByRole('button', { name: new RegExp(`^${title}`) })).toBeVisible();
  await aino.getByRole('button', { name: t('item.stepsMore') }).click();
  await aino.getByRole('menuitem', { name: t('item.stepsToNotes') }).click();
  await expect(sheet.getByText('rope')).toBeVisible();
  await expect(sheet.getByRole('button', { name: /^rope/ })).toHaveCount(0);

  // small beside the list, where the list stays in reach; so does the next one
  await aino.getByRole('button', { name: t('item.more') }).click();
  await aino.getByRole('menuitem', { name: t('item.size.beside') }).click();
  const beside = aino.getByRole('complementary', { name: TITLE });
  await expect(beside).toBeVisible();
  await visit(aino, '/follow-up');
  await aino.getByText(TITLE, { exact: true }).first().click();
  await expect(beside.getByText('Before the ice')).toBeVisible();
  await aino.keyboard.press('Escape');
  await expect(beside).toBeHidden();
  await expect(aino).toHaveURL(/\/follow-up$/);
});

test('notes are written formatted, two at once, and what one does not touch stays as it was typed', async ({ demo, devices }) => {
  const [aino, leila] = [await devices.open(WIDE), await devices.open(PHONE)];
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(leila, demo, 'Leila');
  const title = 'Lay up the sailing boat';
  const line = aino.getByRole('textbox', { name: t('capture.line') });
  await line.fill(`${title} @Leila\n# Mast  #\n* oil\n* [x] odd\n\n| a | b |\n|---|---|\n| 1 | 2 |`);
  await line.press('Enter');
  await expect(line).toHaveValue('');
  await leila
    .getByRole('button', { name: new RegExp(`^${title}`) })
    .first()
    .click();
  const sheet = leila.getByRole('dialog', { name: title });
  const address = new URL(leila.url());
  await aino.goto(`${demo.base}/items/${address.searchParams.get('item')}`);
  for (const page of [sheet, aino]) await page.getByRole('button', { name: t('item.changeNotes') }).click();
  const [hers, ainos] = [sheet.getByRole('textbox', { name: t('item.notes') }), aino.getByRole('textbox', { name: t('item.notes') })];
  // Leila, on the phone, below; Aino in the heading
  await hers.click();
  await leila.keyboard.press('Control+End');
  // a tap that comes right after the last letter, before anything of it is drawn, saves that letter too
  const save = await sheet.getByRole('button', { name: t('common.save') }).elementHandle();
  await hers.evaluate((root, button) => {
    const data = new DataTransfer();
    data.setData('text/plain', 'Raimo has **the long** drill.\n\n- ask him');
    root.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
    queueMicrotask(() => queueMicrotask(() => (button as HTMLElement).click()));
  }, save);
  await ainos.getByText('Mast').click();
  await aino.keyboard.press('End');
  await aino.keyboard.type(' and boom');
  await aino.getByRole('button', { name: t('common.save') }).click();
  await expect(sheet.getByRole('heading', { name: 'Mast and boom' })).toBeVisible();
  await expect(sheet.getByText('ask him')).toBeVisible();
  await aino.getByRole('button', { name: t('item.changeNotes') }).click();
  await aino.getByRole('button', { name: t('notes.plain') }).click();
  await expect(ainos).toHaveValue(
    /^# Mast and boom\n\* oil\n\* \[x\] odd\n\n\| a \| b \|\n\|---\|---\|\n\| 1 \| 2 \|\n\nRaimo has \*\*the long\*\* drill\.\n\n- ask him$/,
  );
});
