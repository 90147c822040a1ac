import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';
import { enterDemo, everythingSeen, visit, PHONE, test, WIDE } from './house.ts';
import { t } from './words.ts';

const WCAG = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

/** WCAG 2.2 AA on a page as it stands: nothing serious, nothing critical. Dark differs in its colours alone. */
async function expectAccessible(page: Page, where: string): Promise<void> {
  const dark = await page.evaluate(() => matchMedia('(prefers-color-scheme: dark)').matches);
  const axe = new AxeBuilder({ page })
    // there are no frames, and nobody reads what passes: a third of the time
    .setLegacyMode(true)
    .options({ resultTypes: ['violations'] })
    // marks lie where places lie, over each other too (WCAG 2.5.8 counts that as essential); each stands in the list beside the map
    .exclude('.map-touch');
  const { violations } = await (dark ? axe.withRules(['color-contrast']) : axe.withTags(WCAG)).analyze();
  const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
  expect
    .soft(
      serious.map(
        ({ id, nodes }) =>
          `${where}${dark ? ', dark' : ''}: ${id} ${nodes.map((node) => `${node.html.slice(0, 90)} ${node.any[0]?.message ?? ''}`).join(' | ')}`,
      ),
    )
    .toEqual([]);
}

/** Parts that only a wide screen draws lie on these: elsewhere the colours by night are those of the phone. */
const DRAWN_WIDE = ['sign in', 'today', 'item', 'lists', 'list', 'calendar', 'calendar: Week', 'load', 'more'];

/** The same by day and by night: the colours of the page follow those of the device while it is open. */
async function expectAccessibleInBoth(page: Page, where: string): Promise<void> {
  await expectAccessible(page, where);
  if (page.viewportSize()!.width === WIDE.width && !DRAWN_WIDE.includes(where)) return;
  const ground = () => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
  const light = await ground();
  await page.emulateMedia({ colorScheme: 'dark' });
  await expect.poll(ground, `${where}: its colours follow the device’s`).not.toBe(light);
  await expectAccessible(page, where);
  await page.emulateMedia({ colorScheme: 'light' });
  await expect.poll(ground).toBe(light);
}

for (const [size, dark] of [
  [PHONE, true],
  [WIDE, false],
] as const) {
  test(
    `reminders, talks and what happened can be read and used by everyone, ${dark ? 'dark on a phone' : 'light and wide'}`,
    { tag: dark ? [] : '@deep' },
    async ({ demo, devices }) => {
      const page = await devices.open(size, { dark });
      await enterDemo(page, demo, 'Aino');
      await page.getByText('Varnish the jetty rail').first().click();
      const sheet = page.getByRole('dialog');
      await sheet.getByRole('button', { name: t('sentence.addLabel') }).click();
      await sheet.getByRole('button', { name: t('sentence.panel.reminders') }).click();
      await sheet.getByRole('button', { name: t('alarm.own') }).click();
      await expectAccessible(page, 'reminding');
      await sheet.getByRole('button', { name: t('sentence.addLabel') }).click();
      await sheet.getByRole('button', { name: t('sentence.panel.waiting') }).click();
      await expectAccessible(page, 'waiting');
      await page.keyboard.press('Escape');
      await page.getByRole('link', { name: t('nav.followUp') }).click();
      await expectAccessible(page, 'follow-up');
      await page.getByRole('button', { name: t('narrow.label', { how: t('narrow.narrow') }) }).click();
      await expectAccessible(page, 'narrowing');
      await page.keyboard.press('Escape');
      await page.getByRole('link', { name: t('nav.more') }).click();
      await page.getByRole('button', { name: `${t('notify.title')} ${t('more.sub.notifications')}` }).click();
      await page.getByRole('button', { name: t('notify.what') }).click();
      await page.getByRole('button', { name: t('lastCall.title') }).click();
      await expectAccessible(page, 'notifications');
      await visit(page, '/settings/you');
      await page.getByRole('button', { name: t('away.own') }).click();
      await expectAccessible(page, 'you');
      await visit(page, '/people');
      await page
        .getByRole('button', { name: /^Tapio/ })
        .first()
        .click();
      await page.getByRole('button', { name: /^every Wed/ }).click();
      await expectAccessible(page, 'a person’s page');
      await page.getByRole('button', { name: t('note.start') }).click();
      await expect(page.getByRole('textbox', { name: t('note.text') })).toBeVisible();
      await expectAccessible(page, 'a note');
      await visit(page, '/activity');
      await expect(page.getByRole('button', { name: t('activity.older'), exact: true })).toBeVisible();
      await expectAccessible(page, 'what happened');
      await page.goto(`${demo.base}/simulate/mailbox`);
      await page
        .getByRole('link', { name: /Spark plugs/ })
        .first()
        .click();
      await expectAccessible(page, 'a mail');
      // it was sent by the house this one is a copy of
      const link = await page.getByRole('link', { name: /\/o\// }).first().getAttribute('href');
      await page.goto(`${demo.base}${new URL(link!).pathname}`);
      await expect(page.getByRole('heading', { name: 'For Engine workshop' })).toBeVisible();
      await expectAccessible(page, 'the page of somebody outside');
    },
  );
}

for (const [size, dark] of [
  [PHONE, true],
  [WIDE, false],
] as const) {
  test(
    `places, the map and rounds can be read and used by everyone, ${dark ? 'dark on a phone' : 'light and wide'}`,
    { tag: dark ? [] : '@deep' },
    async ({ demo, devices }) => {
      const page = await devices.open(size, { dark });
      await enterDemo(page, demo, 'Petri');
      await visit(page, '/places');
      await expect(page.getByRole('region', { name: t('map.places') }).getByRole('button', { name: /^Dairy/ })).toBeVisible();
      await page.getByRole('button', { name: t('here.say') }).click();
      await expectAccessible(page, 'places');
      await page
        .getByRole('group', { name: t('here.say') })
        .getByRole('button', { name: 'Village shop' })
        .click();
      await page.getByRole('button', { name: t('place.new') }).click();
      await page.getByRole('button', { name: t('hours.add') }).click();
      await page.getByRole('button', { name: t('place.degrees') }).click();
      await expectAccessible(page, 'a new place');
      await page.keyboard.press('Escape');
      await page
        .getByRole('button', { name: /^Village shop/ })
        .last()
        .click();
      await expect(page.getByText(t('here.youAre'))).toBeVisible();
      await expectAccessible(page, 'a place');
      await page.getByRole('link', { name: t('nav.today') }).click();
      const here = page.getByRole('region', { name: 'Here, at Village shop' });
      await expect(here).toBeVisible();
      await expectAccessible(page, 'here, on the day');
      await here.getByRole('button', { name: /^40 candles/ }).click();
      await page
        .getByRole('dialog')
        .getByRole('button', { name: /whoever gets to Village shop first/ })
        .click();
      await page
        .getByRole('dialog')
        .getByRole('button', { name: t('alarm.atPlace') })
        .click();
      await page
        .getByRole('dialog')
        .getByRole('radio', { name: t('alarm.crosser.first') })
        .click();
      await page
        .getByRole('dialog')
        .getByRole('button', { name: t('alarm.occasion') })
        .click();
      await expectAccessible(page, 'reminding at a place');
      await page.keyboard.press('Escape');
      await visit(page, '/round');
      await expect(page.getByText(/^Done at/)).toBeVisible();
      await page.getByRole('button', { name: /^From / }).click();
      await expectAccessible(page, 'planning a round');
      await page.getByRole('button', { name: t('round.start') }).click();
      await page.getByRole('button', { name: t('round.hand') }).click();
      await expectAccessible(page, 'on a round');
      await visit(page, '/phones');
      await page.getByRole('checkbox', { name: /^Tapio/ }).click();
      await expectAccessible(page, 'simulated phones');
      await visit(page, '/privacy');
      await expect(page.getByRole('heading', { name: t('privacy.server') })).toBeVisible();
      await expectAccessible(page, 'privacy');
    },
  );
}

for (const size of [PHONE, WIDE]) {
  test.setTimeout(300_000);
  test(
    `every screen can be read and used by everyone, by day and by night, ${size.width} wide`,
    { tag: size === PHONE ? [] : '@deep' },
    async ({ demo, devices }) => {
      const page = await devices.open(size);
      await page.goto(demo.base);
      await expect(page.getByText(t('account.demo'))).toBeVisible();
      await expectAccessibleInBoth(page, 'sign in');
      await enterDemo(page, demo, 'Aino');
      await expect(page.getByRole('region', { name: t('sort.title') })).toBeVisible();
      await expectAccessibleInBoth(page, 'today');
      await page.getByRole('textbox', { name: t('capture.line') }).fill('Ask Leila to order 40 candles by Friday 15 min #shop for Noor');
      await expect(page.getByRole('group', { name: t('capture.understood') })).toBeVisible();
      await expectAccessibleInBoth(page, 'typing');
      await page.getByRole('textbox', { name: t('capture.line') }).fill('');
      await page.getByRole('button', { name: t('sort.sort'), exact: true }).click();
      // the oldest is open; one handed over is taken or answered
      await page.getByRole('button', { name: /^Confirm 18 beds/ }).click();
      await expect(page.getByRole('button', { name: /^Take it/ })).toBeVisible();
      await expectAccessibleInBoth(page, 'to sort');
      await visit(page, '/fits');
      await expect(page.getByText(t('fits.minutes'))).toBeVisible();
      await expectAccessibleInBoth(page, 'fits now');
      await page.getByRole('button', { name: t('find.title'), exact: true }).click();
      await page.getByRole('textbox', { name: t('find.words') }).fill('room');
      await expect(page.getByText(/found$/)).toBeVisible();
      await expectAccessibleInBoth(page, 'find');
      await page.getByRole('link', { name: t('nav.today') }).click();
      await page.getByText('Varnish the jetty rail').first().click();
      await expect(page.getByRole('dialog').getByText(t('item.steps'))).toBeVisible();
      await expectAccessibleInBoth(page, 'item');
      await page
        .getByRole('dialog')
        .getByRole('button', { name: t('sentence.addLabel') })
        .click();
      await page
        .getByRole('dialog')
        .getByRole('button', { name: t('sentence.panel.plan') })
        .click();
      await page
        .getByRole('dialog')
        .getByRole('button', { name: t('due.calendar') })
        .click();
      await expectAccessibleInBoth(page, 'planning');
      await page
        .getByRole('dialog')
        .getByRole('button', { name: t('common.cancel'), exact: true })
        .first()
        .click();
      await page
        .getByRole('dialog')
        .getByRole('button', { name: t('hand.over'), exact: true })
        .click();
      await expectAccessibleInBoth(page, 'handing over');
      await page.keyboard.press('Escape');
      await page.getByRole('link', { name: t('nav.lists') }).click();
      await expect(page.getByText('Boathouse')).toBeVisible();
      await expectAccessibleInBoth(page, 'lists');
      await page.getByRole('button', { name: /^Boathouse/ }).click();
      await expect(page.getByText('Drain the rain barrel')).toBeVisible();
      await expectAccessibleInBoth(page, 'list');
      await page.getByRole('button', { name: /View/ }).click();
      await expectAccessibleInBoth(page, 'arranging');
      await page.getByRole('radio', { name: t('detail.full') }).click();
      await page.getByRole('button', { name: t('sort.select') }).click();
      await page.getByRole('checkbox', { name: /^Drain the rain barrel/ }).click();
      await expectAccessibleInBoth(page, 'choosing several, with steps');
      await page.getByRole('button', { name: t('common.cancel'), exact: true }).click();
      await visit(page, '/whole');
      await expectAccessibleInBoth(page, 'everything open');
      await page.getByRole('button', { name: t('filter.narrow'), exact: true }).click();
      const narrowing = page.getByRole('dialog');
      await narrowing.getByRole('button', { name: t('filter.kind.tag'), exact: true }).click();
      await narrowing.getByRole('checkbox', { name: '#calls' }).click();
      await narrowing.getByRole('button', { name: t('filter.kind.due'), exact: true }).click();
      await narrowing.getByRole('radio', { name: t('filter.span.next') }).click();
      await expectAccessibleInBoth(page, 'choosing a filter');
      await narrowing.getByRole('button', { name: /^Show \d+ items?$/ }).click();
      await expect(page.getByRole('button', { name: t('filter.change', { what: '#calls' }) })).toBeVisible();
      await expectAccessibleInBoth(page, 'a filter in words');
      await visit(page, '/weekly-review');
      await expect(page.getByRole('heading', { name: t('review.pile.to-sort') })).toBeVisible();
      await expectAccessibleInBoth(page, 'the weekly review');
      await visit(page, '/looking-back?span=lastMonth');
      await expect(page.getByText(/things done$/)).toBeVisible();
      await expectAccessibleInBoth(page, 'looking back');
      await visit(page, '/removed');
      await expect(page.getByRole('heading', { name: t('removed.title') })).toBeVisible();
      await expectAccessibleInBoth(page, 'removed');
      await page.getByRole('link', { name: t('nav.lists') }).click();
      await page.getByRole('button', { name: /^Boathouse/ }).click();
      await page.getByRole('button', { name: t('list.more') }).click();
      await page.getByRole('menuitem', { name: t('list.share') }).click();
      await expect(page.getByRole('dialog').getByText(t('share.owner'), { exact: true })).toBeVisible();
      await expectAccessibleInBoth(page, 'sharing');
      await page.keyboard.press('Escape');
      await page.getByRole('link', { name: t('nav.followUp') }).click();
      await expect(page.getByText(t('follow.group.needs-you'))).toBeVisible();
      await expectAccessibleInBoth(page, 'follow-up');
      await page.getByRole('button', { name: /^Notifications, / }).click();
      await expect(page.getByRole('dialog').getByText(t('notices.readAll'))).toBeVisible();
      await expectAccessibleInBoth(page, 'notices');
      await page.keyboard.press('Escape');
      await page.getByRole('link', { name: t('nav.calendar') }).click();
      await expect(page.getByRole('heading', { name: t('nav.calendar') })).toBeVisible();
      await expectAccessibleInBoth(page, 'calendar');
      for (const view of ['Week', 'Day', 'Agenda']) {
        await page.getByRole('radio', { name: view, exact: true }).click();
        await expectAccessibleInBoth(page, `calendar: ${view}`);
      }
      await visit(page, '/load');
      await page.getByRole('button', { name: t('load.table') }).click();
      await expectAccessibleInBoth(page, 'load');
      await visit(page, '/share-out');
      await expect(page.getByRole('button', { name: /^Accept / })).toBeVisible();
      await expectAccessibleInBoth(page, 'share out');
      await visit(page, '/chores');
      await page.getByRole('button', { name: /^Opening round/ }).click();
      await expect(page.getByText(t('chores.toCome'))).toBeVisible();
      await expectAccessibleInBoth(page, 'a chore');
      await page.getByRole('link', { name: t('nav.more'), exact: true }).click();
      await expect(page.getByRole('heading', { name: t('more.group.kept') })).toBeVisible();
      await expectAccessibleInBoth(page, 'more');
      for (const at of ['you', 'device', 'notifications', 'house', 'data']) {
        await visit(page, `/settings/${at}`);
        await expectAccessibleInBoth(page, `settings: ${at}`);
      }
      await visit(page, '/people');
      await expect(page.getByText(t('invite.title'))).toBeVisible();
      await expectAccessibleInBoth(page, 'people');
      await page.getByRole('button', { name: 'Edit Leila' }).click();
      await expectAccessibleInBoth(page, 'a person changed');
      await page.keyboard.press('Escape');
      await page.getByRole('button', { name: /^Leila/ }).click();
      await expect(page.getByText('You’re waiting for Leila')).toBeVisible();
      await expectAccessibleInBoth(page, 'a person');
      await page.getByRole('link', { name: t('nav.more'), exact: true }).click();
      await page.getByRole('button', { name: t('invite.make') }).click();
      await expectAccessibleInBoth(page, 'inviting');
      await page
        .getByRole('dialog')
        .getByRole('button', { name: t('invite.makeLink') })
        .click();
      const link = await page.getByLabel(t('invite.link')).first().inputValue();
      await visit(page, '/workbench');
      await expect(page.getByRole('heading', { name: 'Workbench' })).toBeVisible();
      await expectAccessibleInBoth(page, 'workbench');
      const guest = await devices.open(size);
      await guest.goto(link);
      await guest.getByLabel(t('account.yourName')).fill('Sanna');
      await expectAccessibleInBoth(guest, 'joining, signing up');
      await guest.getByLabel(t('account.email')).fill(`sanna${size.width}@example.org`);
      await guest.getByLabel(t('account.password')).fill('long enough');
      await guest.getByRole('button', { name: t('account.make') }).click();
      await expect(guest.getByRole('button', { name: t('join.join') })).toBeVisible();
      await expectAccessibleInBoth(guest, 'joining');
      await guest.goto(demo.base);
      await expect(guest.getByLabel(t('house.name'))).toBeVisible();
      await expectAccessibleInBoth(guest, 'first house');
    },
  );
}

test('a text size of 200 % loses nothing: no sideways scrolling, all of it read and used by everyone', async ({ demo, devices }) => {
  const page = await devices.open(PHONE);
  await enterDemo(page, demo, 'Aino');
  await page.evaluate(() => document.documentElement.style.setProperty('font-size', '200%'));
  const expectWhole = async (where: string) => {
    const wider = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
    expect(wider, where).toBeLessThanOrEqual(1);
    await expectAccessible(page, `${where} at 200 %`);
  };
  for (const name of ['Lists', 'Follow-up', 'Calendar', 'More', 'Today']) {
    await page.getByRole('link', { name, exact: true }).click();
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await expectWhole(name);
  }
  await page.getByText('Varnish the jetty rail').first().click();
  await expect(page.getByRole('dialog').getByText(t('item.steps'))).toBeVisible();
  await expectWhole('item');
  const panel = page.getByRole('dialog').locator('.sheet-panel');
  expect(await panel.evaluate((one) => one.scrollWidth - one.clientWidth), 'the sheet scrolls sideways').toBeLessThanOrEqual(1);
});

/** Texts on the page that carry no mark of the test language and are not what people wrote: what the catalogue does not know. */
async function wordsOutsideTheCatalogue(page: Page, written: ReadonlySet<string>): Promise<string[]> {
  const texts = await page.evaluate(() => {
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    const found: string[] = [];
    while (walker.nextNode()) {
      const { parentElement, textContent } = walker.currentNode;
      if (parentElement && !parentElement.closest('script, style, svg, noscript')) found.push(textContent ?? '');
    }
    return found;
  });
  const date =
    /^((Mon|Tues|Wednes|Thurs|Fri|Satur|Sun)day|Mon|Tue|Wed|Thu|Fri|Sat|Sun)?( ?\d{1,2} (Jan|Feb|Mar|Apr|May|June?|July?|Aug|Sept?|Oct|Nov|Dec)[a-z]*( \d{4})?)?( ?\d\d:\d\d)?$/;
  // a month over a calendar, and the letters of the days of a week
  const calendar = /^([A-Z][a-z]+ \d{4}|[MTWFS])$/;
  const known = (words: string) => !/\p{L}/u.test(words) || words === 'Kotiva' || written.has(words) || date.test(words) || calendar.test(words);
  return [...new Set(texts)].filter((text) => !text.includes('⟦') && !text.split(' · ').every((words) => known(words.trim())));
}

test('every word comes from the catalogue', async ({ demo, devices }) => {
  const page = await devices.open(PHONE);
  await enterDemo(page, demo, 'Aino');
  const { houses, account } = await (await page.request.get(`${demo.base}/api/me`)).json();
  const written = new Set<string>([account.email, ...houses.map((house: { name: string }) => house.name)]);
  for (const row of (await everythingSeen(page, demo)).map((one) => one.row as unknown as Record<string, string | undefined>))
    for (const text of [row.title, row.name, row.mark, row.text, row.purpose, row.message]) if (text) written.add(text).add(`#${text}`);
  await page.evaluate(() => localStorage.setItem('kotiva/words', 'pseudo'));
  await page.reload();
  await page.getByRole('navigation').waitFor();
  const links = page.getByRole('navigation').getByRole('link');
  for (let nth = 0; nth < (await links.count()); nth++) {
    await links.nth(nth).click();
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    expect(await wordsOutsideTheCatalogue(page, written), `destination ${nth + 1}`).toEqual([]);
    const wider = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
    expect(wider, `destination ${nth + 1}`).toBeLessThanOrEqual(1);
  }
  await links.first().click();
  await page.getByText('Varnish the jetty rail').first().click();
  await expect(page.getByRole('dialog')).toBeVisible();
  expect(await wordsOutsideTheCatalogue(page, written), 'an item').toEqual([]);
});
