import { expect } from '@playwright/test';
import { enterDemo, visit, hearsTheTime, openList, PHONE, test, WIDE } from './house.ts';
import { columnOf, countOn, drag, fold, headNames, heads, layout, narrow, offered, sheetOf, show } from './views.ts';
import { t } from './words.ts';

const VIEW = 'Boats before the ice';
const rowOf = (page: import('@playwright/test').Page, title: string) => page.getByRole('button', { name: new RegExp(`^${title}`) }).first(); // prettier-ignore

test(
  'everything is narrowed, kept, shared, laid out, found, looked back over and gone through: three people, four devices',
  { tag: '@deep' },
  async ({ demo, devices }) => {
    const aino = await devices.open(WIDE);
    await enterDemo(aino, demo, 'Aino');
    await openList(aino, 'Boathouse');
    await aino.getByRole('button', { name: t('list.more') }).click();
    await aino.getByRole('menuitem', { name: t('list.share') }).click();
    const leilas = sheetOf(aino).getByRole('radiogroup', { name: t('share.accessOf', { name: 'Leila' }) });
    await leilas.getByRole('radio', { name: t('access.edit') }).or(leilas.getByRole('radio', { name: t('access.check') })).last().click(); // prettier-ignore
    await aino.keyboard.press('Escape');

    // both tags find less than one, one or the other more; turned round it is the rest
    await visit(aino, '/whole');
    await narrow(aino).click();
    await fold(aino, t('filter.kind.list')).click();
    await sheetOf(aino).getByRole('checkbox', { name: 'Boathouse' }).click();
    await fold(aino, t('filter.kind.tag')).click();
    await sheetOf(aino).getByRole('checkbox', { name: '#boats' }).click();
    const boats = await offered(aino);
    await fold(aino, t('filter.kind.due')).click();
    await sheetOf(aino).getByRole('radio', { name: t('filter.span.next') }).click(); // prettier-ignore
    await sheetOf(aino).getByLabel(t('filter.days')).fill('10');
    const within = await offered(aino);
    expect(within).toBeLessThan(boats);
    await sheetOf(aino).getByRole('checkbox', { name: t('filter.notSwitch') }).last().click(); // prettier-ignore
    // what has no deadline is neither within ten days nor later
    await expect.poll(() => offered(aino)).not.toBe(within);
    expect(await offered(aino)).toBeLessThan(boats - within);
    await show(aino).click();
    const notSoon = t('filter.not', { what: t('filter.next_other' as never, { what: t('filter.date.due'), count: 10 }) });
    await aino.getByRole('button', { name: t('filter.remove', { what: notSoon }) }).click();
    await expect.poll(() => countOn(aino)).toBe(boats);
    await aino.getByRole('button', { name: t('view.save') }).click();
    await sheetOf(aino).getByRole('checkbox', { name: t('view.shared') }).click(); // prettier-ignore
    await sheetOf(aino).getByLabel(t('view.name')).fill(VIEW);
    await aino.keyboard.press('Enter');
    await expect(aino.getByRole('heading', { level: 1, name: VIEW })).toBeVisible();

    // among Leila's lists; what she types takes over what it demands, and stands on Aino's screen
    const leila = await devices.open(PHONE);
    await enterDemo(leila, demo, 'Leila');
    await leila.getByRole('link', { name: t('nav.lists') }).click();
    await rowOf(leila, VIEW).click();
    await expect(leila.getByRole('heading', { level: 1, name: VIEW })).toBeVisible();
    for (const title of ['Oil the rowlocks', 'Air the sails']) {
      await leila.getByRole('textbox', { name: t('capture.line') }).fill(title);
      await leila.getByRole('textbox', { name: t('capture.line') }).press('Enter');
      await expect(rowOf(aino, title)).toBeVisible();
    }
    await expect.poll(() => countOn(aino)).toBe(boats + 2);
    await leila.getByRole('button', { name: t('view.more', { name: VIEW }) }).click();
    await leila.getByRole('menuitem', { name: t('view.onToday') }).click();

    // checked off by Petri it leaves both screens
    const petri = await devices.open(PHONE);
    await enterDemo(petri, demo, 'Petri');
    await openList(petri, 'Boathouse');
    await petri.getByRole('checkbox', { name: t('knot.tie', { title: 'Air the sails' }) }).click();
    for (const page of [aino, leila]) await expect(page.getByRole('button', { name: /^Air the sails/ })).toHaveCount(0);
    await leila.getByRole('link', { name: t('nav.today') }).click();
    await expect(leila.getByRole('button', { name: new RegExp(`^${VIEW}: ${boats + 1} items`) })).toBeVisible();

    // as a table, a board and tiles; the next morning as she left it, on her phone as on a phone
    await layout(aino, 'table').click();
    await drag(aino, heads(aino).filter({ hasText: t('column.list') }), heads(aino).filter({ hasText: t('column.person') })); // prettier-ignore
    await expect.poll(async () => (await headNames(aino))[1]).toBe(t('column.list'));
    await heads(aino).filter({ hasText: t('column.title') }).getByRole('button').first().click(); // prettier-ignore
    await expect(heads(aino).first()).toHaveAttribute('aria-sort', 'ascending');
    await layout(aino, 'board').click();
    await drag(aino, columnOf(aino, t('board.without.person')).getByRole('button', { name: /^Oil the rowlocks/ }), columnOf(aino, 'Petri'));
    await sheetOf(aino)
      .getByRole('button', { name: t('hand.over'), exact: true })
      .click();
    await expect(columnOf(aino, 'Petri').getByRole('button', { name: /^Oil the rowlocks/ })).toBeVisible();
    await layout(aino, 'tiles').click();
    await expect(aino.locator('.tiles').first()).toBeVisible();
    await demo.toLastMinuteOfDay();
    await demo.advance('PT8H');
    await aino.reload();
    await expect(layout(aino, 'tiles')).toBeChecked();
    await layout(aino, 'table').click();
    await expect.poll(async () => (await headNames(aino))[1]).toBe(t('column.list'));
    const phone = await devices.open(PHONE);
    await enterDemo(phone, demo, 'Aino');
    await phone.getByRole('link', { name: t('nav.lists') }).click();
    await rowOf(phone, VIEW).click();
    await expect(phone.locator('[data-row]').first()).toBeVisible();
    await expect(phone.getByRole('table')).toHaveCount(0);

    // a word that only something done has
    await visit(phone, '/find');
    await phone.getByLabel(t('find.words')).fill('sails');
    await expect(phone.getByText(t('find.onlyDone', { count: 1 }))).toBeVisible();
    await phone.getByRole('button', { name: t('find.showDone', { count: 1 }) }).click();
    await expect(rowOf(phone, 'Air the sails')).toBeVisible();

    // on Monday: the week before, what was done just outside it is not in it; then half of the review, and in the evening the rest
    await demo.advance('P5D');
    await hearsTheTime(aino, demo);
    await visit(aino, '/looking-back?span=lastWeek');
    await expect(rowOf(aino, 'Air the sails')).toBeAttached();
    await expect(aino.getByText(/with a deadline on time \(\d+%\)|none had a deadline/)).toBeVisible();
    await visit(aino, '/looking-back?span=week');
    await expect(aino.getByRole('heading', { level: 1, name: t('back.title') })).toBeVisible();
    await expect(aino.getByRole('button', { name: /^Air the sails/ })).toHaveCount(0);
    await visit(aino, '/weekly-review');
    for (const pile of ['late', 'needs-you', 'silent'] as const) await aino.getByRole('button', { name: t('review.next', { pile: t(`review.pile.${pile}`) }) }).click(); // prettier-ignore
    await expect(aino.getByRole('heading', { name: t('review.pile.silent') })).toBeVisible();
    await demo.advance('PT9H');
    await aino.goto(demo.base);
    await visit(aino, '/weekly-review');
    await expect(aino.getByText(t('review.at', { nth: 4, of: 8 }))).toBeVisible();
    await expect(aino.getByRole('heading', { name: t('review.pile.silent') })).toBeVisible();
  },
);
