import { expect } from '@playwright/test';
import { enterDemo, visit, openList, PHONE, test, WIDE } from './house.ts';
import { t } from './words.ts';

test(
  'a project: who answers for it is told, its lists and items are gathered, a helper sees of it what is theirs, and it is finished',
  { tag: '@deep' },
  async ({ demo, devices }) => {
    const [aino, petri, tapio] = [await devices.open(WIDE), await devices.open(PHONE), await devices.open(PHONE)];
    await enterDemo(aino, demo, 'Aino');
    await enterDemo(petri, demo, 'Petri');
    await enterDemo(tapio, demo, 'Tapio');
    await visit(aino, '/projects');
    await aino.getByRole('button', { name: t('projects.make') }).click();
    const sheet = aino.getByRole('dialog');
    await sheet.getByLabel(t('project.name'), { exact: true }).fill('Winter quiet');
    await sheet.getByLabel(t('project.beginsOn')).fill('2027-05-01');
    await sheet.getByLabel(t('project.endsOn')).fill('2027-04-01');
    await sheet.getByRole('checkbox', { name: /^Petri/ }).click();
    await sheet.getByRole('button', { name: t('projects.makeIt') }).click();
    // the wrong way round: said there, and nothing typed is lost
    await expect(sheet.getByRole('alert')).toContainText('before it begins');
    await sheet.getByLabel(t('project.beginsOn')).fill('');
    await sheet.getByRole('button', { name: t('projects.makeIt') }).click();
    await expect(aino.getByRole('heading', { level: 1, name: 'Winter quiet' })).toBeVisible();
    const address = aino.url();

    await openList(aino, 'Boathouse');
    await aino.getByRole('button', { name: t('list.more') }).click();
    await aino.getByRole('menuitem', { name: t('project.put') }).click();
    await sheet.getByRole('checkbox', { name: 'Winter quiet' }).click();
    await expect(sheet.getByText(t('said.projectIn', { title: 'Boathouse', project: 'Winter quiet' }))).toBeVisible();
    await aino.keyboard.press('Escape');

    // Petri is told, and reads how far it is; what is his he finds one tap from it
    await petri.getByRole('button', { name: new RegExp(`^${t('notices.button', { count: 0 }).split(',')[0]}`) }).click();
    await petri
      .getByRole('dialog', { name: t('notices.title') })
      .getByText(/Winter quiet/)
      .click();
    await expect(petri.getByRole('heading', { level: 1, name: 'Winter quiet' })).toBeVisible();
    await expect(petri.getByText(t('project.ofSeen'))).toBeVisible();
    await petri
      .getByRole('button', { name: /^Winter storage for the boats/ })
      .first()
      .click();
    await petri
      .getByRole('dialog')
      .getByRole('link', { name: t('item.ofProject', { name: 'Winter quiet' }) })
      .click();
    await expect(petri.getByRole('dialog')).toBeHidden();

    // a helper sees the project by the list he sees; he changes nothing of it
    await tapio.goto(address);
    await expect(tapio.getByRole('heading', { level: 1, name: 'Winter quiet' })).toBeVisible();
    await tapio.getByRole('button', { name: t('project.more', { name: 'Winter quiet' }) }).click();
    await expect(tapio.getByRole('menuitem')).toHaveText([t('project.print')]);

    await petri.getByRole('button', { name: t('project.more', { name: 'Winter quiet' }) }).click();
    await petri.getByRole('menuitem', { name: t('project.finish') }).click();
    await petri.getByRole('button', { name: t('project.finishIt') }).click();
    await expect(petri.getByRole('alert')).toHaveText(t('reason.project-open'));
    await petri.getByRole('radio', { name: t('project.open.stays') }).click();
    await petri.getByRole('button', { name: t('project.finishIt') }).click();
    await visit(aino, '/projects');
    await expect(aino.getByText(t('projects.finished', { count: 1 }))).toBeVisible();
  },
);
