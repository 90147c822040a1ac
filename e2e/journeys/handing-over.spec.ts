import { expect, type Locator, type Page } from '@playwright/test';
import { PHONE, test, WIDE, type Devices, type RunningKotiva } from './house.ts';
import { t } from './words.ts';

const JACKETS = 'Check the life jackets';

async function signUp(page: Page, name: string): Promise<void> {
  await page.getByLabel(t('account.yourName')).fill(name);
  await page.getByLabel(t('account.email')).fill(`${name.toLowerCase()}@example.org`);
  await page.getByLabel(t('account.password')).fill('long enough');
  await page.getByRole('button', { name: t('account.make') }).click();
}

/** Aino invites; whoever opens the link signs up and joins. */
async function invite(aino: Page, devices: Devices, name: string, role: 'member' | 'helper', size = PHONE): Promise<Page> {
  await aino.getByRole('link', { name: t('nav.more') }).click();
  await aino.getByRole('button', { name: t('invite.make') }).click();
  const dialog = aino.getByRole('dialog');
  await dialog.getByRole('radio', { name: role, exact: true }).click();
  await dialog.getByRole('button', { name: t('invite.makeLink') }).click();
  // the link is there at once, to be passed on
  const link = await dialog.getByLabel(t('invite.link')).inputValue();
  await dialog.getByRole('button', { name: t('common.close') }).click();
  await expect(dialog).toBeHidden();
  const page = await devices.open(size);
  await page.goto(link);
  await expect(page.getByText(`Aino invites you to join as ${role}.`)).toBeVisible();
  await signUp(page, name);
  // so soon after the tap before it, in its place, another would be taken for its second
  await page.getByRole('button', { name: t('join.join') }).press('Enter');
  await expect(page.getByRole('navigation')).toBeVisible();
  // used up: it is no longer among the open invitations
  await expect(aino.getByLabel(t('invite.link'))).toHaveCount(0);
  return page;
}

async function makeHouse(running: RunningKotiva, devices: Devices): Promise<Page> {
  const aino = await devices.open(WIDE);
  await aino.goto(running.base);
  await signUp(aino, 'Aino');
  await aino.getByLabel(t('house.name')).fill('Kaislaranta');
  await aino.getByRole('button', { name: t('house.makeIt') }).click();
  await expect(aino.getByRole('heading', { level: 1 })).toBeVisible();
  await aino.getByRole('link', { name: t('nav.lists') }).click();
  await aino.getByRole('button', { name: /First steps/ }).click();
  await expect(aino.getByText(t('hints.follow'))).toBeVisible();
  return aino;
}

async function makeList(aino: Page): Promise<void> {
  await aino.getByRole('link', { name: t('nav.lists') }).click();
  await aino.getByRole('button', { name: t('lists.make') }).click();
  const dialog = aino.getByRole('dialog');
  await dialog.getByRole('button', { name: t('lists.makeIt') }).click();
  await expect(dialog.getByText(t('reason.title-empty'))).toBeVisible();
  await dialog.getByLabel(t('list.name')).fill('Opening the boathouse');
  await dialog.getByRole('button', { name: t('list.further') }).click();
  await dialog.getByLabel(t('list.sections')).fill('On the water\nOn land');
  await dialog.getByRole('button', { name: t('lists.makeIt') }).click();
  await expect(aino.getByRole('heading', { level: 1, name: 'Opening the boathouse' })).toBeVisible();
  const line = aino.getByRole('textbox', { name: t('capture.line') });
  for (const title of [JACKETS, 'Sweep the floor', 'Put out the oars']) {
    await line.fill(title);
    await line.press('Enter');
    await expect(line).toHaveValue('');
    await expect(aino.getByRole('button', { name: new RegExp(`^${title}`) })).toBeVisible();
  }
}

const knotWords = (page: Page | Locator, words: string) => page.getByText(words, { exact: false });

test.use({ ownProcess: true });

test('an item for two is handed over, followed and checked off; nothing is lost when the server dies', async ({ empty, devices }) => {
  const aino = await makeHouse(empty, devices);
  const leila = await invite(aino, devices, 'Leila', 'helper');
  const noor = await invite(aino, devices, 'Noor', 'helper');
  const eetu = await invite(aino, devices, 'Eetu', 'member');
  await makeList(aino);

  // handed to Leila and Noor, each, due tomorrow 17:00, with a message
  await aino.getByRole('button', { name: new RegExp(`^${JACKETS}`) }).click();
  const sheet = aino.getByRole('dialog');
  await sheet.getByRole('button', { name: t('hand.over'), exact: true }).click();
  await sheet.getByRole('button', { name: t('hand.over'), exact: true }).click();
  await expect(sheet.getByText(t('hand.chooseSomeone'))).toBeVisible();
  await sheet.getByRole('checkbox', { name: 'Leila' }).click();
  await expect(sheet.getByText(t('hand.seesOnlyThis'))).toBeVisible();
  await sheet.getByRole('checkbox', { name: 'Noor' }).click();
  await sheet.getByRole('radio', { name: t('policy.each') }).click();
  await sheet.getByRole('radio', { name: t('date.tomorrow') }).click();
  await sheet.getByLabel(t('due.hour')).fill('17:00');
  await sheet.getByLabel(t('nudge.words')).fill("count the children's sizes too");
  // neither can open the list: nothing is handed over before it is said what they see
  await sheet.getByRole('button', { name: t('hand.over'), exact: true }).click();
  await expect(sheet.getByText(t('ways.first'))).toBeVisible();
  await sheet.getByRole('radio', { name: t('ways.item') }).click();
  await sheet.getByRole('button', { name: t('hand.over'), exact: true }).click();
  await expect(sheet.getByText(t('knot.unseen')).first()).toBeVisible();

  // on Leila's phone without a reload, with the message
  await expect(leila.getByRole('region', { name: t('sort.title') }).getByText('1 to sort, from Aino')).toBeVisible();
  await leila.getByRole('button', { name: t('sort.sort'), exact: true }).click();
  await expect(leila.getByText(JACKETS)).toBeVisible();
  await expect(leila.getByText("count the children's sizes too")).toBeVisible();
  await expect(leila.getByText('Sweep the floor')).toHaveCount(0);

  // opened: Aino sees that it was seen
  await leila.getByRole('button', { name: `Reply: ${JACKETS}` }).click();
  await expect(knotWords(sheet, 'no reply yet')).toBeVisible();
  await leila
    .getByRole('dialog')
    .getByRole('button', { name: t('answer.take') })
    .click();
  await expect(knotWords(sheet, 'took it')).toBeVisible();
  await leila
    .getByRole('dialog')
    .getByRole('button', { name: t('common.close') })
    .click();
  await leila.getByRole('link', { name: t('nav.today') }).click();
  // nothing is for today, so it is offered as the next best
  await expect(leila.getByRole('heading', { name: t('today.next') })).toBeVisible();
  await leila.getByRole('checkbox', { name: `Check off “${JACKETS}”` }).click();
  await expect(sheet.getByText('1 of 2')).toBeVisible();
  await expect(knotWords(sheet, 'checked off')).toBeVisible();
  await aino.keyboard.press('Escape');

  // Noor can't: it needs Aino, who passes it to Eetu
  await noor.getByRole('button', { name: t('sort.sort'), exact: true }).click();
  await noor.getByRole('button', { name: `Reply: ${JACKETS}` }).click();
  const noorSheet = noor.getByRole('dialog');
  await noorSheet.getByRole('button', { name: t('answer.cant') }).click();
  await noorSheet.getByLabel(/Why not/).fill('I am away on Friday');
  await noorSheet.getByRole('button', { name: t('answer.cant') }).click();
  await aino.getByRole('link', { name: t('nav.followUp') }).click();
  await expect(aino.getByRole('heading', { name: t('follow.group.needs-you') })).toBeVisible();
  await expect(aino.getByText('Noor can’t: “I am away on Friday”')).toBeVisible();
  await aino.getByRole('button', { name: `Pass on: ${JACKETS}` }).click();
  await sheet.getByRole('checkbox', { name: 'Eetu' }).click();
  await sheet.getByRole('radio', { name: t('ways.item') }).click();
  await sheet.getByRole('button', { name: t('part.passOn') }).click();
  await aino.getByText(JACKETS, { exact: true }).first().click();
  await expect(sheet.getByText('couldn’t, passed on to Eetu')).toBeVisible();
  await aino.keyboard.press('Escape');
  await eetu.getByRole('button', { name: t('sort.sort'), exact: true }).click();
  await expect(eetu.getByRole('button', { name: `Take it: ${JACKETS}` })).toBeVisible();

  // the server is killed and started again: all is there, the devices come back by themselves
  await empty.kill();
  await expect(eetu.getByText(/You’re offline/)).toBeVisible();
  await eetu.getByRole('button', { name: `Take it: ${JACKETS}` }).click();
  await eetu.getByRole('link', { name: t('nav.today') }).click();
  await expect(eetu.getByRole('heading', { name: t('today.next') })).toBeVisible();
  await eetu.getByRole('checkbox', { name: `Check off “${JACKETS}”` }).click();
  await expect(eetu.getByText(/2 changes are waiting/)).toBeVisible();
  await empty.up();
  await expect(eetu.getByText(/You’re offline/)).toBeHidden({ timeout: 40_000 });
  await expect(aino.getByRole('heading', { name: t('follow.group.back') })).toBeVisible({ timeout: 40_000 });

  // done: the list's band moves
  await aino.getByRole('link', { name: t('nav.lists') }).click();
  await expect(aino.getByRole('button', { name: /^Opening the boathouse/ })).toBeVisible();
  await expect(aino.getByText('1 of 3')).toBeVisible();

  // by mistake and back: the part returns to where it stood
  await eetu.getByRole('button', { name: /^Done today/ }).click();
  await eetu.getByRole('checkbox', { name: `Uncheck “${JACKETS}”` }).click();
  await expect(aino.getByText('0 of 3')).toBeVisible();
  await expect(eetu.getByRole('checkbox', { name: `Check off “${JACKETS}”` })).toBeVisible();
  await aino.getByRole('link', { name: t('nav.followUp') }).click();
  await aino.getByText(JACKETS).click();
  await expect(knotWords(sheet, 'took it')).toBeVisible();
});
