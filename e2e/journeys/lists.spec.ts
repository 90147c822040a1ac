import { expect, type Locator, type Page } from '@playwright/test';
import { enterDemo, goOffline, PHONE, test, WIDE } from './house.ts';
import { t } from './words.ts';

async function openList(page: Page, name: string): Promise<void> {
  await page.getByRole('link', { name: t('nav.lists') }).click();
  await page.getByRole('button', { name: new RegExp(`^${name}`) }).click();
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
}

async function arranged(page: Page, ...choices: string[]): Promise<void> {
  await page.getByRole('button', { name: /View/ }).click();
  for (const name of choices) await page.getByRole('radio', { name, exact: true }).click();
  await page.getByRole('button', { name: t('common.done'), exact: true }).click();
}

const titlesIn = (scope: Page | Locator) => scope.locator('[data-row]').evaluateAll((rows) => rows.map((row) => row.firstElementChild!.textContent));

test('a list put together by person and sorted by deadline stays so, for that person, on every device', { tag: '@deep' }, async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  const petri = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(petri, demo, 'Petri');
  await openList(aino, 'Boathouse');
  await openList(petri, 'Boathouse');
  await expect(petri.getByRole('heading', { name: 'Before winter' })).toBeVisible();
  await arranged(aino, 'By person', 'by deadline', 'Title only');
  await expect(aino.getByRole('heading', { name: 'Tapio' })).toBeVisible();
  await expect(aino.getByRole('heading', { name: 'Before winter' })).toBeHidden();
  await expect(aino.getByText('#boats')).toBeHidden();
  const desk = await devices.open(WIDE);
  await enterDemo(desk, demo, 'Aino');
  await openList(desk, 'Boathouse');
  await expect(desk.getByRole('heading', { name: 'Tapio' })).toBeVisible();
  await expect(petri.getByRole('heading', { name: 'Before winter' })).toBeVisible();
  // what is added lands in its place by itself
  await arranged(desk, 'No groups', 'by deadline');
  await desk.getByRole('textbox', { name: t('capture.line') }).fill('Look for the long oars by tomorrow');
  await desk.getByRole('textbox', { name: t('capture.line') }).press('Enter');
  await expect.poll(async () => (await titlesIn(desk)).includes('Look for the long oars')).toBe(true);
  const order = ['Replace the third plank of the jetty', 'Varnish the jetty rail', 'Look for the long oars', 'Cover the rowing boats'];
  expect((await titlesIn(desk)).filter((title) => order.includes(title!))).toEqual(order);
});

test('steps go in and out by menu, by keyboard and by dragging, and become items of their own', async ({ demo, devices }) => {
  const aino = await devices.open(WIDE);
  const other = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(other, demo, 'Petri');
  await openList(aino, 'Boathouse');
  await openList(other, 'Boathouse');
  await aino.getByRole('button', { name: /^Varnish the jetty rail/ }).click();
  await other.getByRole('button', { name: /^Varnish the jetty rail/ }).click();
  const sheet = aino.getByRole('dialog');
  const steps = () => titlesIn(other.getByRole('dialog'));
  const insetOf = (page: Page, title: string) =>
    page
      .getByRole('dialog')
      .getByRole('button', { name: new RegExp(`^${title}`) })
      .evaluate((row) => Math.round(row.getBoundingClientRect().left));
  const inset = await insetOf(other, 'First coat');
  const more = async (title: string, way: string) => {
    await sheet.getByRole('button', { name: `More on “${title}”` }).click();
    await aino.getByRole('menuitem', { name: way }).click();
  };
  await more('Second coat', 'Make it a step of the one above');
  await expect.poll(() => insetOf(other, 'Second coat')).toBeGreaterThan(inset);
  await expect.poll(steps).toEqual(['Sand it', 'Clean the dust off', 'First coat', 'Second coat', 'Put the sign back']);
  // by keyboard: out again, and up past the first coat
  await sheet.getByRole('button', { name: /^Second coat/ }).focus();
  await aino.keyboard.press('Alt+ArrowLeft');
  await expect.poll(() => insetOf(other, 'Second coat')).toBe(inset);
  await sheet.getByRole('button', { name: /^Second coat/ }).focus();
  await aino.keyboard.press('Alt+ArrowUp');
  await expect.poll(steps).toEqual(['Sand it', 'Clean the dust off', 'Second coat', 'First coat', 'Put the sign back']);
  // by dragging: down past the next, and a level in
  const handle = sheet.getByRole('button', { name: 'Drag “Second coat” to another place' });
  const [from, to] = [(await handle.boundingBox())!, (await sheet.getByRole('button', { name: /^First coat/ }).boundingBox())!];
  await handle.hover();
  await aino.mouse.down();
  await aino.mouse.move(from.x + 20, from.y + 30, { steps: 5 });
  await aino.mouse.move(from.x + 36, to.y + to.height / 2, { steps: 10 });
  await aino.mouse.up();
  await expect.poll(steps).toEqual(['Sand it', 'Clean the dust off', 'First coat', 'Second coat', 'Put the sign back']);
  await expect.poll(() => insetOf(other, 'Second coat')).toBeGreaterThan(inset);
  await more('Put the sign back', 'Make it an item of its own');
  await expect(sheet.getByRole('button', { name: /^Put the sign back/ })).toBeHidden();
  await other
    .getByRole('dialog')
    .getByRole('button', { name: t('common.close') })
    .click();
  await expect(other.getByRole('button', { name: /^Put the sign back/ })).toBeVisible();
});

test('several chosen move together while the network goes: all of them, once', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  const petri = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(petri, demo, 'Petri');
  await openList(aino, 'Boathouse');
  await openList(petri, 'Yard and tools');
  const three = ['Drain the rain barrel', 'Patch the inflatable', 'New hinges for the oar locker'];
  await aino.getByRole('button', { name: /^Drain the rain barrel/ }).click({ delay: 700 });
  await expect(aino.getByText('1 selected')).toBeVisible();
  for (const title of three.slice(1)) await aino.getByRole('checkbox', { name: new RegExp(`^${title}`) }).click();
  await goOffline(aino);
  const decisions = aino.getByRole('group', { name: 'What to do with these 3' });
  await decisions.getByRole('button', { name: t('decide.list'), exact: true }).click();
  await aino.getByRole('button', { name: 'Yard and tools', exact: true }).click();
  await expect(aino.getByText('3 items: moved to Yard and tools.')).toBeVisible();
  for (const title of three) await expect(petri.getByRole('button', { name: new RegExp(`^${title}`) })).toBeHidden();
  await aino.context().setOffline(false);
  for (const title of three) await expect(petri.getByRole('button', { name: new RegExp(`^${title}`) })).toHaveCount(1);
  // a copy is a second one: the first stays where it is
  await petri.getByRole('button', { name: /^Patch the inflatable/ }).click({ delay: 700 });
  await petri.getByRole('button', { name: t('decide.copy'), exact: true }).click();
  await petri.getByRole('button', { name: 'Boathouse', exact: true }).click();
  await expect(petri.getByText('“Patch the inflatable”: copied to Boathouse.')).toBeVisible();
  await expect(aino.getByRole('button', { name: /^Patch the inflatable/ })).toBeVisible();
  await expect(petri.getByRole('button', { name: /^Patch the inflatable/ })).toBeVisible();
});

test('what is done is cleared out of sight and shown again; a list begins from the start', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  const petri = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(petri, demo, 'Petri');
  await openList(aino, 'Boathouse');
  await openList(petri, 'Boathouse');
  await expect(petri.getByRole('button', { name: '2 done', exact: true })).toBeVisible();
  await aino.getByRole('button', { name: t('list.more') }).click();
  await aino.getByRole('menuitem', { name: 'Hide 2 done items' }).click();
  await expect(petri.getByRole('button', { name: '2 done', exact: true })).toBeHidden();
  await petri.getByRole('button', { name: '2 more done, hidden' }).click();
  await expect(petri.getByText('Oil the boathouse doors')).toBeVisible();
  await aino.getByRole('button', { name: t('list.more') }).click();
  await aino.getByRole('menuitem', { name: t('list.useAgain') }).click();
  await expect(aino.getByText('“Boathouse” starts over.')).toBeVisible();
  await expect(petri.getByRole('button', { name: /more done, hidden/ })).toBeHidden();
  await expect(petri.getByRole('checkbox', { name: 'Check off “Oil the boathouse doors”' })).toBeVisible();
  await aino.getByRole('button', { name: t('common.undo') }).click();
  await expect(petri.getByRole('button', { name: '2 more done, hidden' })).toBeVisible();
});

test('everything open, by list, by person and under one tag; what is typed there gets the tag', async ({ demo, devices }) => {
  const aino = await devices.open(WIDE);
  await enterDemo(aino, demo, 'Aino');
  await aino.getByRole('link', { name: t('nav.lists') }).click();
  await aino.getByRole('button', { name: /^Everything open/ }).click();
  await expect(aino.getByRole('heading', { name: 'Boathouse' })).toBeVisible();
  const count = async () => Number(/\d+/.exec(await aino.getByText(/^\d+ open$/).innerText())![0]);
  expect(await count()).toBeGreaterThanOrEqual(200);
  await arranged(aino, 'By person');
  await expect(aino.getByRole('heading', { name: t('group.without.person') })).toBeVisible();
  await aino.getByRole('button', { name: t('filter.narrow'), exact: true }).click();
  const sheet = aino.getByRole('dialog');
  await sheet.getByRole('button', { name: t('filter.kind.tag'), exact: true }).click();
  await sheet.getByRole('checkbox', { name: '#calls' }).click();
  await sheet.getByRole('button', { name: /^Show \d+ items?$/ }).click();
  const before = await count();
  await aino.getByRole('textbox', { name: t('capture.line') }).fill('Ring the chimney sweep');
  await expect(aino.getByText(t('capture.filtered', { what: '#calls' }))).toBeVisible();
  await aino.getByRole('textbox', { name: t('capture.line') }).press('Enter');
  await expect.poll(count).toBe(before + 1);
  await expect(aino.getByRole('button', { name: /^Ring the chimney sweep/ })).toBeVisible();
});

test('what was removed is kept for thirty days and brought back', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  const petri = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(petri, demo, 'Petri');
  await openList(petri, 'Boathouse');
  await openList(aino, 'Boathouse');
  await aino.getByRole('button', { name: /^Varnish the jetty rail/ }).click();
  await aino.getByRole('button', { name: t('item.more') }).click();
  await aino.getByRole('menuitem', { name: t('item.remove'), exact: true }).click();
  await expect(petri.getByRole('button', { name: /^Varnish the jetty rail/ })).toBeHidden();
  await aino.getByRole('link', { name: t('nav.lists') }).click();
  await aino.getByRole('button', { name: t('removed.open') }).click();
  await expect(aino.getByText('30 days left', { exact: false })).toBeVisible();
  await aino.getByRole('button', { name: 'Restore “Varnish the jetty rail”' }).click();
  const back = petri.getByRole('button', { name: /^Varnish the jetty rail/ });
  await expect(back).toBeVisible();
  await expect(back).toContainText('step 1 of 5');
});

test('the hints of a new house are put away in one go and don’t come back', async ({ empty, devices }) => {
  const page = await devices.open(PHONE);
  await page.goto(empty.base);
  await page.getByLabel(t('account.yourName')).fill('Aino');
  await page.getByLabel(t('account.email')).fill('aino@example.org');
  await page.getByLabel(t('account.password')).fill('long enough');
  await page.getByRole('button', { name: t('account.make') }).click();
  await page.getByLabel(t('house.name')).fill('Kaislaranta');
  await page.getByRole('button', { name: t('house.makeIt') }).click();
  await page.getByRole('link', { name: t('nav.lists') }).click();
  await page.getByRole('button', { name: /^First steps/ }).click();
  await page.getByRole('button', { name: t('tried.putAway') }).click();
  await expect(page.getByText(t('said.hintsAway'))).toBeVisible();
  await page.reload();
  await page.getByRole('link', { name: t('nav.lists') }).click();
  await expect(page.getByText(t('whole.title'))).toBeHidden();
  await expect(page.getByRole('button', { name: /^First steps/ })).toBeHidden();
});
