import { expect, type Locator, type Page } from '@playwright/test';
import { enterDemo, visit, PHONE, test, WIDE } from './house.ts';
import { carry, columnOf, drag, headNames, heads, layout } from './views.ts';
import { t } from './words.ts';

const firstTitles = async (page: Page) => (await page.getByRole('rowheader').allInnerTexts()).slice(0, 4).map((text) => text.split('\n')[0]!);

test('as a table: columns sorted by a tap, moved, widened, chosen; kept on every wide screen, and on the phone as on a phone', async ({ demo, devices }) => {
  const aino = await devices.open(WIDE);
  await enterDemo(aino, demo, 'Aino');
  await visit(aino, '/whole');
  await layout(aino, 'table').click();
  await expect.poll(() => headNames(aino)).toEqual(['title', 'person', 'due', 'list', 'tag'].map((id) => t(`column.${id as 'due'}`)));
  // only what is in sight is drawn, and it is said how many there are
  const rows = Number(await aino.getByRole('table').getAttribute('aria-rowcount'));
  expect(rows).toBeGreaterThan(200);
  expect(await aino.getByRole('rowheader').count()).toBeLessThan(60);

  await heads(aino).filter({ hasText: t('column.title') }).getByRole('button').first().click(); // prettier-ignore
  await expect(heads(aino).first()).toHaveAttribute('aria-sort', 'ascending');
  const ascending = await firstTitles(aino);
  expect(ascending).toEqual([...ascending].sort(new Intl.Collator('en', { numeric: true, sensitivity: 'base' }).compare));
  await heads(aino).filter({ hasText: t('column.title') }).getByRole('button').first().click(); // prettier-ignore
  await expect(heads(aino).first()).toHaveAttribute('aria-sort', 'descending');
  await expect.poll(() => firstTitles(aino)).not.toEqual(ascending);

  // dragged by its head to the front; by keyboard back again
  await drag(aino, heads(aino).filter({ hasText: t('column.list') }), heads(aino).filter({ hasText: t('column.person') })); // prettier-ignore
  await expect.poll(() => headNames(aino)).toEqual(['title', 'list', 'person', 'due', 'tag'].map((id) => t(`column.${id as 'due'}`)));
  await aino.getByRole('button', { name: t('column.drag', { name: t('column.list') }) }).focus();
  await carry(aino, 'ArrowRight', t('column.person'));
  await expect.poll(() => headNames(aino)).toEqual(['title', 'person', 'list', 'due', 'tag'].map((id) => t(`column.${id as 'due'}`)));

  // wider by its edge: by pointer, and by keyboard
  const edge = aino.getByRole('separator', { name: t('column.width', { name: t('column.person') }) });
  const widthOf = async () => Number(await edge.getAttribute('aria-valuenow'));
  const before = await widthOf();
  const box = (await edge.boundingBox())!;
  await aino.mouse.move(box.x + 6, box.y + 20);
  await aino.mouse.down();
  await aino.mouse.move(box.x + 76, box.y + 20, { steps: 6 });
  await aino.mouse.up();
  await expect.poll(widthOf).toBe(before + 70);
  await edge.focus();
  await aino.keyboard.press('ArrowLeft');
  await expect.poll(widthOf).toBe(before + 50);

  // another column
  await aino.getByRole('button', { name: t('column.choose'), exact: true }).click();
  await aino.getByRole('checkbox', { name: t('column.importance') }).click();
  await aino.getByRole('button', { name: t('common.done'), exact: true }).click();
  await expect.poll(() => headNames(aino)).toEqual(['title', 'person', 'list', 'due', 'tag', 'importance'].map((id) => t(`column.${id as 'due'}`)));

  // the same on her other wide screen; on her phone it is as she had it there
  const other = await devices.open(WIDE);
  await enterDemo(other, demo, 'Aino');
  await visit(other, '/whole');
  await expect.poll(() => headNames(other)).toEqual(['title', 'person', 'list', 'due', 'tag', 'importance'].map((id) => t(`column.${id as 'due'}`)));
  await expect.poll(() => firstTitles(other)).toEqual(await firstTitles(aino));
  const phone = await devices.open(PHONE);
  await enterDemo(phone, demo, 'Aino');
  await visit(phone, '/whole');
  await expect(phone.locator('[data-row]').first()).toBeVisible();
  await expect(phone.getByRole('table')).toHaveCount(0);
});

test('as a board: handed over by dragging, by keyboard and by menu, seen on the other screen, and undone', async ({ demo, devices }) => {
  const aino = await devices.open(WIDE);
  const petri = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(petri, demo, 'Petri');
  const boats = JSON.stringify({ match: 'all', state: 'open', conditions: [{ of: 'words', words: 'rope', not: false }] });
  await visit(aino, `/whole?narrow=${encodeURIComponent(boats)}`);
  await layout(aino, 'board').click();
  const nobodys = columnOf(aino, t('board.without.person'));
  const petris = columnOf(aino, 'Petri');
  const rope = (column: Locator) => column.getByRole('button', { name: /^New rope for the mooring/ });
  await expect(rope(nobodys)).toBeVisible();
  await drag(aino, rope(nobodys), petris);
  const sheet = aino.getByRole('dialog');
  await sheet.getByLabel(t('sheet.message')).fill('Before the ice, please');
  await sheet.getByRole('button', { name: t('hand.over'), exact: true }).click();
  await expect(rope(petris)).toBeVisible();
  await expect(rope(nobodys)).toHaveCount(0);
  await visit(petri, '/whole');
  await petri.getByRole('button', { name: /^New rope for the mooring/ }).click();
  await expect(petri.getByText('Before the ice, please').first()).toBeVisible();

  // by its menu: to nobody, and taken back
  await petris.getByRole('button', { name: t('row.more', { title: 'New rope for the mooring' }) }).click();
  await aino.getByRole('menuitem', { name: t('board.moveTo', { column: t('board.without.person') }) }).click();
  await expect(rope(nobodys)).toBeVisible();
  await aino.getByRole('button', { name: t('common.undo') }).click();
  await expect(rope(petris)).toBeVisible();

  // by importance, with the keyboard
  await aino.getByRole('button', { name: starts('arrange') }).click();
  await aino.getByRole('radio', { name: t('boardBy.importance'), exact: true }).click();
  await aino.getByRole('button', { name: t('common.done'), exact: true }).click();
  const normal = columnOf(aino, t('board.importance.0'));
  await expect(rope(normal)).toBeVisible();
  await aino.getByRole('button', { name: t('board.drag', { title: 'New rope for the mooring' }) }).focus();
  await carry(aino, 'ArrowLeft', t('board.importance.1'));
  await expect(rope(columnOf(aino, t('board.importance.1')))).toBeVisible();
  await expect(petri.getByRole('dialog').getByText(t('importance.1'))).toBeVisible();
});

test('as tiles and on a calendar; a kept view begins for everybody as it was kept', { tag: '@deep' }, async ({ demo, devices }) => {
  const aino = await devices.open(WIDE);
  await enterDemo(aino, demo, 'Aino');
  const narrow = JSON.stringify({ match: 'all', state: 'open', conditions: [{ of: 'date', field: 'due', span: { kind: 'next', days: 14 }, not: false }] });
  await visit(aino, `/whole?narrow=${encodeURIComponent(narrow)}`);
  await layout(aino, 'tiles').click();
  await expect(aino.locator('.tiles').first()).toBeVisible();
  await aino.locator('.tiles [data-row]').first().click();
  await expect(aino.getByRole('dialog')).toBeVisible();
  await aino.keyboard.press('Escape');
  await layout(aino, 'calendar').click();
  await expect(aino.getByRole('button', { name: t('calendar.after.month') })).toBeVisible();
  await aino.getByRole('button', { name: t('view.save') }).click();
  await aino
    .getByRole('dialog')
    .getByRole('checkbox', { name: t('view.shared') })
    .click();
  await aino.getByRole('dialog').getByLabel(t('view.name')).fill('Two weeks');
  await aino.keyboard.press('Enter');
  await expect(aino.getByRole('heading', { level: 1, name: 'Two weeks' })).toBeVisible();
  await expect(layout(aino, 'calendar')).toBeChecked();
  const leila = await devices.open(WIDE);
  await enterDemo(leila, demo, 'Leila');
  await leila.getByRole('link', { name: t('nav.lists') }).click();
  await leila.getByRole('button', { name: /^Two weeks/ }).click();
  await expect(layout(leila, 'calendar')).toBeChecked();
  // what she changes is hers
  await layout(leila, 'rows').click();
  await expect(layout(leila, 'rows')).toBeChecked();
  await aino.reload();
  await expect(layout(aino, 'calendar')).toBeChecked();
});

const starts = (what: 'arrange'): RegExp => new RegExp(t(`${what}.arrange`));
