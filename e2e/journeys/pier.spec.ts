import { expect, type Page } from '@playwright/test';
import { enterDemo, visit, openList, PHONE, test, WIDE } from './house.ts';
import { starting, t } from './words.ts';

/** A project seen whole: out of three lists, with a talk's notes and two offers, its stages moved elsewhere, until it is finished. */

const PROJECT = 'The new pier';
const sheet = (page: Page) => page.getByRole('dialog').last();
const tapIn = (page: Page, name: string | RegExp) => sheet(page).getByRole('button', { name }).first().click(); // prettier-ignore

async function openProject(page: Page, base: string): Promise<void> {
  await visit(page, '/projects');
  await page.getByRole('button', { name: new RegExp(`^${PROJECT}`) }).click();
  await expect(page.getByRole('heading', { level: 1, name: PROJECT })).toBeVisible();
}

/** What is with its items is counted there too. */
const filesOf = (page: Page) => page.getByRole('button', { name: /^(\d+ files?|Add files)$/ });

async function putIn(page: Page): Promise<void> {
  await sheet(page).getByRole('checkbox', { name: PROJECT }).click();
  await page.keyboard.press('Escape');
}

test(
  'the new pier: gathered, moved on by stages, told how far it is to who answers for it, and filed away when it is done',
  { tag: '@deep' },
  async ({ demo, devices }) => {
    const [aino, petri, tapio] = [await devices.open(WIDE), await devices.open(PHONE), await devices.open(PHONE)];
    await enterDemo(aino, demo, 'Aino');
    await enterDemo(petri, demo, 'Petri');
    await enterDemo(tapio, demo, 'Tapio');

    // two more lists, and what was talked about with Petri
    for (const list of ['Boathouse', 'Winter weeks']) {
      await openList(aino, list);
      await aino.getByRole('button', { name: t('list.more') }).click();
      await aino.getByRole('menuitem', { name: t('project.put') }).click();
      await putIn(aino);
    }
    await visit(aino, '/people');
    await aino
      .getByRole('button', { name: /^Petri/ })
      .first()
      .click();
    await aino.getByRole('button', { name: t('templates.notesFrom') }).click();
    await tapIn(aino, /^After the season/);
    await tapIn(aino, t('template.startNotes'));
    await expect(sheet(aino).getByText(t('template.missing', { names: 'season' }))).toBeVisible();
    await sheet(aino).getByRole('textbox', { name: 'Season' }).fill('autumn');
    await tapIn(aino, t('template.startNotes'));
    await expect(sheet(aino).getByRole('heading', { name: 'What went well in autumn' })).toBeVisible();
    await tapIn(aino, t('note.further'));
    await sheet(aino).getByRole('checkbox', { name: t('note.share') }).or(sheet(aino).getByRole('switch', { name: t('note.share') })).click(); // prettier-ignore
    await tapIn(aino, t('project.put'));
    await putIn(aino);
    await aino.keyboard.press('Escape');

    // Petri adds the offers; Aino has them beside what they are for
    await openProject(petri, demo.base);
    await filesOf(petri).click();
    const offers = ['Offer of the carpenter.pdf', 'Offer of the yard.pdf'];
    await petri
      .locator(`input[type=file][aria-label="${t('files.choose')}"]`)
      .setInputFiles(offers.map((name) => ({ name, mimeType: 'application/pdf', buffer: Buffer.from('%PDF-1.7\n') })));
    await openProject(aino, demo.base);
    await filesOf(aino).click();
    for (const name of offers) await expect(aino.getByRole('link', { name: t('files.open', { name }) })).toBeVisible();

    // Tapio moves one on; the board counts it
    await openList(aino, 'Spring ideas');
    await aino.getByRole('button', { name: t('filter.narrow') }).click();
    await aino.getByRole('radio', { name: t('layout.board') }).click();
    await openList(tapio, 'Spring ideas');
    await tapio
      .getByRole('button', { name: /^A bench at the point/ })
      .first()
      .click();
    await tapIn(tapio, t('answer.take'));
    await tapio
      .getByRole('dialog')
      .getByRole('button', { name: t('sentence.wordLabel', { words: 'Wished', label: t('sentence.panel.stage') }) })
      .click();
    await tapio.getByRole('dialog').getByRole('radio', { name: 'Priced' }).click();
    await openProject(aino, demo.base);
    await aino.getByRole('radio', { name: t('group.stage') }).click();
    await expect(aino.getByRole('heading', { name: /^Priced/ })).toBeVisible();

    // whoever answers for it reads on the phone how far it is, what is next, what was said
    await expect(petri.getByText(t('project.ofSeen'))).toBeVisible();
    await expect(petri.getByText(t('project.dates'))).toBeVisible();
    await expect(petri.getByText(t('project.notes'))).toBeVisible();
    await expect(petri.getByText('What went well in autumn')).toBeVisible();

    // finished: what is open is asked about, and it is filed away with what was done
    await petri.getByRole('button', { name: t('project.more', { name: PROJECT }) }).click();
    await petri.getByRole('menuitem', { name: t('project.finish') }).click();
    await tapIn(petri, t('project.finishIt'));
    await expect(petri.getByRole('alert')).toHaveText(t('reason.project-open'));
    await petri.getByRole('radio', { name: t('project.open.is-filed') }).click();
    await tapIn(petri, t('project.finishIt'));
    await visit(aino, '/projects');
    await aino.getByText(t('projects.finished', { count: 1 })).click();
    await aino.getByRole('button', { name: new RegExp(`^${PROJECT}`) }).click();
    await aino.getByRole('button', { name: t('project.lookBack') }).click();
    await expect(aino.getByRole('heading', { level: 1, name: t('back.title') })).toBeVisible();
  },
);

test('a step names its item, and the item its project', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await openProject(aino, demo.base);
  await aino
    .getByRole('button', { name: /^Breakfast on the jetty/ })
    .first()
    .click();
  await sheet(aino).getByLabel(t('item.addStep')).fill('Tables that fold');
  await sheet(aino).getByLabel(t('item.addStep')).press('Enter');
  await tapIn(aino, /^Tables that fold/);
  await expect(sheet(aino).getByRole('link', { name: starting('item.stepOf') })).toBeVisible();
  await sheet(aino).getByRole('link', { name: starting('item.stepOf') }).click(); // prettier-ignore
  await expect(sheet(aino).getByRole('link', { name: t('item.ofProject', { name: PROJECT }) })).toBeVisible();
});
