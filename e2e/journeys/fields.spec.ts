import { expect, type Page } from '@playwright/test';
import { enterDemo, visit, PHONE, test, WIDE } from './house.ts';
import { t } from './words.ts';

const sheet = (page: Page, name?: string) => page.getByRole('dialog', name ? { name } : {});

async function openBoathouse(page: Page, base: string): Promise<void> {
  await visit(page, '/lists');
  await page
    .getByRole('button', { name: /^Boathouse/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { level: 1, name: 'Boathouse' })).toBeVisible();
}

async function openItem(page: Page, title: string): Promise<void> {
  await page
    .getByRole('button', { name: new RegExp(`^${title}`) })
    .first()
    .click();
  await expect(sheet(page, title)).toBeVisible();
}

async function addField(page: Page, kind: 'number' | 'date' | 'choice', name: string, more: () => Promise<void> = async () => {}): Promise<void> {
  await sheet(page)
    .getByRole('button', { name: t('fields.add') })
    .click();
  await sheet(page)
    .getByRole('radio', { name: t(`fields.kind.${kind}`), exact: true })
    .click();
  await sheet(page).getByLabel(t('fields.name')).fill(name);
  await more();
  await sheet(page)
    .getByRole('button', { name: t('common.save') })
    .click();
  await expect(sheet(page).getByRole('button', { name: new RegExp(`^${name}`) })).toBeVisible();
}

test(
  'a list’s own fields: made on one screen, filled in on the other, on the item’s sentence, in the table, sorted, filtered and undone',
  { tag: '@deep' },
  async ({ demo, devices }) => {
    const [aino, petri] = [await devices.open(WIDE), await devices.open(PHONE)];
    await enterDemo(aino, demo, 'Aino');
    await enterDemo(petri, demo, 'Petri');
    for (const page of [aino, petri]) await openBoathouse(page, demo.base);
    await aino.getByRole('button', { name: t('list.more') }).click();
    await aino.getByRole('menuitem', { name: t('fields.title') }).click();
    await addField(aino, 'number', 'Depth', () => sheet(aino).getByLabel(t('fields.unit')).fill('m'));
    await addField(aino, 'date', 'Paid until');
    await addField(aino, 'choice', 'Wood', async () => {
      await sheet(aino)
        .getByLabel(t('fields.choice', { count: 1 }))
        .fill('Larch');
      await sheet(aino)
        .getByRole('button', { name: t('fields.choiceAdd') })
        .click();
      await sheet(aino)
        .getByLabel(t('fields.choice', { count: 2 }))
        .fill('Pine');
    });
    await sheet(aino)
      .getByRole('button', { name: t('common.done') })
      .click();

    // on the phone: a number that is none stays in its field with what to do; then all three in one action
    await openItem(petri, 'Varnish the jetty rail');
    const item = sheet(petri, 'Varnish the jetty rail');
    await item.getByRole('button', { name: t('sentence.addLabel') }).click();
    await item.getByRole('button', { name: t('sentence.panel.fields'), exact: true }).click();
    await item.getByLabel('Depth (m)').fill('deep');
    await item.getByLabel('Paid until').fill('2027-06-20');
    await item.getByRole('radio', { name: 'Larch' }).click();
    await item.getByRole('button', { name: t('common.save') }).click();
    await expect(item.getByText(t('reason.field-number'))).toBeVisible();
    await item.getByLabel('Depth (m)').fill('2,5');
    await item.getByRole('button', { name: t('common.save') }).click();
    const depth = (page: Page) =>
      sheet(page, 'Varnish the jetty rail').getByRole('button', {
        name: t('sentence.wordLabel', { words: '2.5 m', label: t('sentence.panel.fields') }),
      });
    await expect(depth(petri)).toBeVisible();

    // on the other screen a moment later; typed there, it is there
    await openItem(aino, 'Varnish the jetty rail');
    await expect(depth(aino)).toBeVisible();
    await aino.keyboard.press('Escape');
    await openItem(aino, 'Cover the rowing boats');
    const boats = sheet(aino, 'Cover the rowing boats');
    await boats.getByRole('button', { name: t('sentence.addLabel') }).click();
    await boats.getByRole('button', { name: t('sentence.panel.fields'), exact: true }).click();
    await boats.getByLabel('Depth (m)').fill('0.4');
    await boats.getByLabel('Depth (m)').press('Enter');
    await expect(boats.getByRole('button', { name: /^0\.4 m/ })).toBeVisible();
    await aino.keyboard.press('Escape');

    // everything of the list as a table, with the column, sorted by a tap on its head: what says nothing comes last
    await aino.getByRole('button', { name: t('filter.narrow') }).click();
    await aino.getByRole('radio', { name: t('layout.table') }).click();
    await aino.getByRole('button', { name: t('column.choose') }).click();
    await sheet(aino)
      .getByRole('switch', { name: 'Depth' })
      .or(sheet(aino).getByRole('checkbox', { name: 'Depth' }))
      .click();
    await sheet(aino)
      .getByRole('button', { name: t('common.done') })
      .click();
    const cells = (nth: number) => aino.getByRole('row').nth(nth);
    await aino.getByRole('columnheader').getByRole('button', { name: 'Depth', exact: true }).click();
    await expect(cells(1)).toContainText('0.4 m');
    await expect(cells(2)).toContainText('2.5 m');
    await aino.getByRole('columnheader').getByRole('button', { name: 'Depth', exact: true }).click();
    await expect(cells(1)).toContainText('2.5 m');

    // narrowed by it, said in words
    await aino
      .getByRole('button', { name: t('filter.narrow'), exact: true })
      .first()
      .click();
    await sheet(aino)
      .getByRole('button', { name: new RegExp(`^${t('filter.kind.field')}`) })
      .click();
    await sheet(aino).getByRole('radio', { name: 'Depth' }).click();
    await sheet(aino).getByLabel(t('filter.field.atLeast')).fill('1');
    await sheet(aino)
      .getByRole('button', { name: t('filter.show', { count: 1 }) })
      .click();
    await expect(aino.getByText(t('filter.field.least', { name: 'Depth', least: '1' })).first()).toBeVisible();

    // emptied on the phone it is out of what was narrowed, and taken back it is there again
    await depth(petri).click();
    await item.getByLabel('Depth (m)').fill('');
    await item.getByRole('button', { name: t('common.save') }).click();
    await expect(aino.getByRole('row')).toHaveCount(0);
    await petri
      .getByRole('button', { name: t('common.undo') })
      .last()
      .click();
    await expect(cells(1)).toContainText('2.5 m');
  },
);
