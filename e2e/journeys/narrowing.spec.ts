import { expect } from '@playwright/test';
import { enterDemo, visit, PHONE, test, WIDE } from './house.ts';
import { countOn, fold, narrow, offered, sheetOf, show } from './views.ts';
import { t } from './words.ts';

test('narrowed by tags, a deadline and its opposite, kept for the house, and used on another device', { tag: '@deep' }, async ({ demo, devices }) => {
  const aino = await devices.open(WIDE);
  await enterDemo(aino, demo, 'Aino');
  await visit(aino, '/whole');
  await expect(narrow(aino)).toBeVisible();
  const all = await countOn(aino);
  await narrow(aino).click();
  await fold(aino, t('filter.kind.tag')).click();
  await sheetOf(aino).getByRole('checkbox', { name: '#boats' }).click();
  const boats = await offered(aino);
  expect(boats).toBeGreaterThan(0);
  expect(boats).toBeLessThan(all);
  // one or the other finds more, both find less
  await sheetOf(aino).getByRole('checkbox', { name: '#calls' }).click();
  await expect.poll(() => offered(aino)).toBeGreaterThan(boats);
  await sheetOf(aino).getByRole('checkbox', { name: '#calls' }).click();
  await fold(aino, t('filter.kind.due')).click();
  await sheetOf(aino)
    .getByRole('radio', { name: t('filter.span.none') })
    .click();
  await expect(sheetOf(aino).getByText('open, #boats and no deadline')).toBeVisible();
  await show(aino).click();
  await expect(aino.getByRole('button', { name: t('filter.change', { what: '#boats' }) })).toBeVisible();
  const undated = await countOn(aino);

  // the opposite: with what was found before it is all of them
  await aino.getByRole('button', { name: t('filter.change', { what: t('filter.none.due') }) }).click();
  await sheetOf(aino)
    .getByRole('checkbox', { name: t('filter.notSwitch') })
    .last()
    .click();
  await show(aino).click();
  await expect.poll(() => countOn(aino)).toBe(boats - undated);
  await aino.getByRole('button', { name: t('filter.remove', { what: t('filter.not', { what: t('filter.none.due') }) }) }).click();
  await expect.poll(() => countOn(aino)).toBe(boats);

  // it is part of the address, and kept under a name for everybody
  await aino.reload();
  await expect(aino.getByRole('button', { name: t('filter.change', { what: '#boats' }) })).toBeVisible();
  await aino.getByRole('button', { name: t('view.save') }).click();
  await sheetOf(aino)
    .getByRole('checkbox', { name: t('view.shared') })
    .click();
  await sheetOf(aino).getByLabel(t('view.name')).fill('Boats before the ice');
  await aino.keyboard.press('Enter');
  await expect(aino.getByRole('heading', { level: 1, name: 'Boats before the ice' })).toBeVisible();
  await expect.poll(() => countOn(aino)).toBe(boats);

  const petri = await devices.open(PHONE);
  await enterDemo(petri, demo, 'Petri');
  await petri.getByRole('link', { name: t('nav.lists') }).click();
  await petri.getByRole('button', { name: /^Boats before the ice/ }).click();
  // what is typed takes over what it demands
  await petri.getByRole('textbox', { name: t('capture.line') }).fill('Oil the rowlocks');
  await expect(petri.getByText(t('capture.filtered', { what: '#boats' }))).toBeVisible();
  await petri.keyboard.press('Enter');
  await expect(petri.getByRole('button', { name: /^Oil the rowlocks/ })).toBeVisible();
  // in nobody's list it is Petri's alone; what both see leaves both screens once it is done
  const before = await countOn(aino);
  await petri.getByRole('checkbox', { name: 'Check off “New rope for the mooring”' }).click();
  await expect.poll(() => countOn(aino)).toBe(before - 1);
  await expect(petri.getByRole('button', { name: /^New rope for the mooring/ })).toHaveCount(0);

  // somebody who can't see them finds the view, and what they may see
  const leila = await devices.open(PHONE);
  await enterDemo(leila, demo, 'Leila');
  await leila.getByRole('link', { name: t('nav.lists') }).click();
  await leila.getByRole('button', { name: /^Boats before the ice/ }).click();
  await expect(leila.getByRole('heading', { level: 1, name: 'Boats before the ice' })).toBeVisible();
  // it is not hers to change, but she may have it on her day
  await leila.getByRole('button', { name: t('view.more', { name: 'Boats before the ice' }) }).click();
  await expect(leila.getByRole('menuitem', { name: t('view.remove') })).toHaveCount(0);
  await leila.getByRole('menuitem', { name: t('view.onToday') }).click();
  await leila.getByRole('link', { name: t('nav.today') }).click();
  await expect(leila.getByRole('button', { name: /^Boats before the ice: \d+ items?$/ })).toBeVisible();
});

test('what it can’t take over is said before Enter; done things are found; letting go is one tap', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await visit(aino, '/whole');
  const all = await countOn(aino);
  await narrow(aino).click();
  await fold(aino, t('filter.kind.due')).click();
  await sheetOf(aino)
    .getByRole('radio', { name: t('filter.span.next') })
    .click();
  await sheetOf(aino).getByLabel(t('filter.days')).fill('0');
  await expect(sheetOf(aino).getByText(t('filter.daysWrong', { most: 3660 }))).toBeVisible();
  await sheetOf(aino).getByLabel(t('filter.days')).fill('10');
  await show(aino).click();
  const said = t('filter.next_other' as never, { what: t('filter.date.due'), count: 10 });
  await expect(aino.getByRole('button', { name: t('filter.change', { what: said }) })).toBeVisible();
  await aino.getByRole('textbox', { name: t('capture.line') }).fill('Call the sweep');
  await expect(aino.getByText(t('capture.wontStand', { what: said }))).toBeVisible();
  await aino.getByRole('textbox', { name: t('capture.line') }).fill('');
  await aino.getByRole('button', { name: t('filter.clear') }).click();
  await expect.poll(() => countOn(aino)).toBe(all);

  await narrow(aino).click();
  await sheetOf(aino)
    .getByRole('radio', { name: t('filter.state.done'), exact: true })
    .click();
  await show(aino).click();
  await expect(aino.getByRole('heading', { level: 1, name: t('whole.titleAll') })).toBeVisible();
  await expect.poll(() => countOn(aino)).toBeGreaterThan(20);
});

test('everything in columns: no column stands empty, wherever one scrolls to', async ({ demo, devices }) => {
  const aino = await devices.open(WIDE);
  await enterDemo(aino, demo, 'Aino');
  await visit(aino, '/whole');
  const columns = aino.locator('.columns');
  await expect(columns.getByRole('heading', { name: 'Boathouse' })).toBeVisible();
  const empty = () =>
    aino.evaluate(() => {
      const inSight = (element: Element) => element.getBoundingClientRect().top < innerHeight && element.getBoundingClientRect().bottom > 0;
      return [...document.querySelectorAll('.columns .rows-together')].filter((rows) => rows.childElementCount === 0 && inSight(rows)).length;
    });
  const tallest = () =>
    aino.evaluate(() => Math.max(...[...document.querySelectorAll('.columns .rows-together')].map((rows) => rows.getBoundingClientRect().height)));
  for (let screenful = 0; screenful < 5; screenful++) {
    await expect.poll(empty).toBe(0);
    // rows that are drawn together stay in one column, and are as high as they are
    expect(await tallest()).toBeLessThan(2_400);
    await aino.mouse.move(600, 500);
    await aino.mouse.wheel(0, 700);
  }
});

test('Today, the calendar, Follow-up and what happened are narrowed alike; what is typed takes it over, and one tap lets go', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  const filterBy = async (tag: string) => {
    await aino.getByRole('button', { name: t('filter.narrow'), exact: true }).click();
    await fold(aino, t('filter.kind.tag')).click();
    await sheetOf(aino).getByRole('checkbox', { name: tag, exact: true }).click();
    await sheetOf(aino)
      .getByRole('button', { name: /^Show( \d+ items?)?$/ })
      .click();
    await expect(aino.getByRole('group', { name: t('filter.of') })).toContainText(tag);
  };
  await expect(aino.getByText('Polish the big coffee pot')).toBeVisible();
  await filterBy('#boats');
  await expect(aino.getByText('Polish the big coffee pot')).toBeHidden();
  await expect(aino.getByText('Varnish the jetty rail')).toBeVisible();
  // what is typed here carries the tag, and so stays in sight
  await aino.getByRole('textbox', { name: t('capture.line') }).fill('Oil the rowlocks');
  await aino.getByRole('textbox', { name: t('capture.line') }).press('Enter');
  await expect(aino.getByText('Oil the rowlocks').first()).toBeVisible();
  await aino.getByRole('button', { name: t('filter.clear') }).click();
  await expect(aino.getByText('Polish the big coffee pot')).toBeVisible();

  for (const [link, open] of [
    ['nav.calendar', 'filter.narrow'],
    ['nav.followUp', 'filter.narrow'],
  ] as const) {
    await aino.getByRole('link', { name: t(link) }).click();
    await expect(aino.getByRole('button', { name: t(open), exact: true })).toBeVisible();
    await filterBy('#boats');
    await aino.getByRole('button', { name: t('filter.clear') }).click();
  }
  await visit(aino, '/activity');
  await filterBy('#boats');
  await expect(aino.getByText('Oil the rowlocks').first()).toBeVisible();
  await expect(aino.getByText('Polish the big coffee pot')).toHaveCount(0);
});
