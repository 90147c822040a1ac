import { expect, type Page } from '@playwright/test';
import { enterDemo, hearsTheTime, PHONE, test, WIDE, type Devices, type RunningKotiva } from './house.ts';
import { starting, t } from './words.ts';

const SEEDLINGS = 'Water the seedlings';
const row = (page: Page) => page.getByRole('button', { name: new RegExp(`^${SEEDLINGS}`) });

const plusDays = (date: string, days: number): string => new Date(Date.parse(date) + days * 86_400_000).toISOString().slice(0, 10);
/** How the house's zone lies to UTC on a day. */
const offsetOf = (date: string): string =>
  new Intl.DateTimeFormat('en', { timeZone: 'Europe/Helsinki', timeZoneName: 'shortOffset' })
    .formatToParts(new Date(`${date}T12:00:00Z`))
    .find(({ type }) => type === 'timeZoneName')!.value;

async function add(page: Page, words: string): Promise<void> {
  const line = page.getByRole('textbox', { name: t('capture.line') });
  await line.fill(words);
  await line.press('Enter');
  await expect(line).toHaveValue('');
}

/** Of the week ahead only the first things are in sight on Today, until one looks. */
async function unfoldAhead(page: Page): Promise<void> {
  await expect(page.getByRole('heading', { name: t('today.aheadTitle') })).toBeVisible();
  const fold = page.getByRole('button', { name: /more in the next 7 days$/ });
  if ((await fold.count()) > 0 && (await fold.getAttribute('aria-expanded')) === 'false') await fold.click();
}

test('a chore in turns: checked off, the next stands there at once with who is next; undone, it goes again', async ({ demo, devices }) => {
  const [aino, petri, oona] = [await devices.open(PHONE), await devices.open(PHONE), await devices.open(PHONE)];
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(petri, demo, 'Petri');
  await enterDemo(oona, demo, 'Oona');
  await unfoldAhead(oona);
  await add(aino, `${SEEDLINGS} every day at 20:00`);
  await row(aino).click();
  const sheet = aino.getByRole('dialog');
  await sheet.getByRole('button', { name: /Change how it repeats/ }).click();

  // what it means is said before anything is saved, also what is wrong with it
  await sheet.getByLabel(t('rule.howMany.days')).fill('0');
  await expect(sheet.getByText(t('rule.badEvery'))).toBeVisible();
  await sheet.getByLabel(t('rule.howMany.days')).fill('2');
  await expect(sheet.getByText('Every 2 days at 20:00')).toBeVisible();
  await sheet.getByRole('radio', { name: t('rule.kind.typed') }).click();
  await sheet.getByLabel(t('rule.type')).fill('FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=31');
  await expect(sheet.getByText(t('reason.never-occurs'))).toBeVisible();
  await expect(sheet.getByRole('button', { name: t('rule.saveFollowing') })).toBeDisabled();
  await sheet.getByRole('radio', { name: t('rule.kind.days') }).click();
  await sheet.getByLabel(t('rule.howMany.days')).fill('1');
  for (const name of ['Petri', 'Oona', 'Eetu']) await sheet.getByRole('checkbox', { name, exact: true }).click();
  await sheet.getByRole('radio', { name: t('turn.turns') }).click();
  await sheet.getByRole('button', { name: t('rule.saveFollowing') }).click();
  await expect(sheet.getByText('It’s Petri’s turn.')).toBeVisible();

  await petri.getByRole('checkbox', { name: `Check off “${SEEDLINGS}”` }).click();
  await expect(row(oona)).toBeVisible();
  await petri.getByRole('button', { name: t('common.undo') }).click();
  await expect(row(oona)).toHaveCount(0);
  await petri.getByRole('checkbox', { name: `Check off “${SEEDLINGS}”` }).click();
  await expect(row(oona)).toBeVisible();

  // she has begun with hers: he is asked before it is taken from her
  await row(oona).click();
  await oona
    .getByRole('dialog')
    .getByRole('button', { name: t('answer.take') })
    .click();
  await oona.keyboard.press('Escape');
  await petri.getByRole('button', { name: /^Done today/ }).click();
  await petri.getByRole('checkbox', { name: `Uncheck “${SEEDLINGS}”` }).click();
  await expect(petri.getByText(`Someone has already started the next “${SEEDLINGS}”.`)).toBeVisible();
  await petri.getByRole('button', { name: t('said.keepBoth') }).click();
  await expect(petri.getByRole('checkbox', { name: `Check off “${SEEDLINGS}”` })).toBeVisible();
  await expect(row(oona)).toBeVisible();
});

test('this one is left out, and then the rule goes: what is there stays as a plain item', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await unfoldAhead(aino);
  await add(aino, `${SEEDLINGS} every day at 20:00`);
  await expect(row(aino)).toBeVisible();
  const sheet = aino.getByRole('dialog');
  const openRule = async () => {
    await row(aino).click();
    await sheet.getByRole('button', { name: /Change how it repeats/ }).click();
  };
  await openRule();
  await sheet.getByRole('button', { name: t('rule.skip') }).click();
  await expect(aino.getByText(`Skipped this “${SEEDLINGS}”`)).toBeVisible();
  await aino.keyboard.press('Escape');
  await openRule();
  await sheet.getByRole('button', { name: t('rule.plain') }).click();
  await expect(sheet.getByRole('button', { name: /Change how it repeats/ })).toHaveCount(0);
  await aino.keyboard.press('Escape');
  await demo.advance('P3D');
  await expect(row(aino)).toHaveCount(1);
});

test('by the clock the next comes when its day begins, on devices that are open', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  const kept = aino.getByRole('button', { name: /^Pay the dairy/ });
  await add(aino, `${SEEDLINGS} every day`);
  await add(aino, 'Pay the dairy every day');
  await expect(row(aino)).toHaveCount(1);
  await expect(kept).toHaveCount(1);
  await demo.advance('P1D');
  // of what must each be done both stand there; of anything else only the newest
  await expect(kept).toHaveCount(2);
  await expect(row(aino)).toHaveCount(1);
});

test('the page of a chore: how well it was kept, who did which step, another rule, and no more of it', { tag: '@deep' }, async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await aino.getByRole('link', { name: t('nav.calendar') }).click();
  await aino.getByRole('button', { name: t('calendar.more') }).click();
  await aino.getByRole('menuitem', { name: t('chores.title') }).click();
  await aino.getByRole('button', { name: /^Opening round/ }).click();
  await expect(aino.getByText(/^\d+ of \d+ done in 4 weeks$/)).toBeVisible();
  await aino.getByRole('radio', { name: '13 weeks' }).click();
  await expect(aino.getByText(/^\d+ of \d+ done in 13 weeks$/)).toBeVisible();
  await aino.getByRole('button', { name: starting('chores.history') }).click();
  await expect(aino.getByText(/Coffee on: (Marek|Noor)/).first()).toBeVisible();

  await aino.getByRole('button', { name: 'More on “Opening round”' }).click();
  await aino.getByRole('menuitem', { name: t('chores.change') }).click();
  const sheet = aino.getByRole('dialog');
  await sheet.getByLabel(t('rule.howMany.days')).fill('2');
  await expect(sheet.getByText('Every 2 days', { exact: true })).toBeVisible();
  await aino.keyboard.press('Escape');

  await aino.getByRole('button', { name: 'More on “Opening round”' }).click();
  await aino.getByRole('menuitem', { name: t('chores.end') }).click();
  await expect(aino.getByText('“Opening round” stops from here on')).toBeVisible();
  await expect(aino.getByText(t('chores.toCome'))).toHaveCount(0);
  await aino.getByRole('button', { name: t('common.undo') }).click();
  await expect(aino.getByText(t('chores.toCome'))).toBeVisible();
});

test('a plain item comes back from its sheet: the last workday of each quarter, clear of days off, seen before it is saved', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  const year = Number((await demo.now()).slice(0, 4)) + 1;
  await add(aino, 'Count the keys');
  await aino.getByText('Count the keys', { exact: true }).first().click();
  const sheet = aino.getByRole('dialog');
  await sheet.getByRole('button', { name: t('sentence.addLabel') }).click();
  await sheet.getByRole('button', { name: t('sentence.panel.rule'), exact: true }).click();
  await sheet.getByRole('radio', { name: t('rule.kind.months') }).click();
  await sheet.getByLabel(t('rule.howMany.months')).fill('3');
  await sheet.getByRole('radio', { name: t('rule.on.workday') }).click();
  await sheet.getByLabel(t('rule.first'), { exact: true }).fill(`${year}-03-01`);
  await sheet.getByRole('button', { name: t('rule.more') }).click();
  await sheet.getByRole('radio', { name: t('rule.offDay.before') }).click();
  await expect(sheet.getByText('Every 3 months on the last workday, moved before a day off')).toBeVisible();
  await expect(sheet.getByText(/^Next: /)).toHaveText(/(Mar|Jun|Sept|Dec).* · .*(Mar|Jun|Sept|Dec)/);
  await sheet.getByRole('button', { name: t('rule.save') }).click();
  await expect(aino.getByText('“Count the keys” now repeats')).toBeVisible();
  await expect(sheet.getByRole('button', { name: /Change how it repeats/ })).toBeVisible();
});

/** A house of one's own, open on a phone and on a desk. */
async function ownHouse(running: RunningKotiva, devices: Devices): Promise<[Page, Page]> {
  const account = { name: 'Aino', email: 'aino@example.org', password: 'three red boats at the quay' };
  const [phone, desk] = [await devices.open(PHONE), await devices.open(WIDE)];
  const enter = async (page: Page, path: string) => {
    await page.goto(running.base);
    await page.evaluate(
      ([to, body]) => fetch(to!, { method: 'POST', headers: { 'content-type': 'application/json' }, body: body! }).then(() => undefined),
      [path, JSON.stringify(account)],
    );
    await page.reload();
  };
  await enter(phone, '/api/accounts');
  await phone.getByLabel(t('house.name')).fill('Kaislaranta');
  await phone.getByRole('button', { name: t('house.makeIt') }).click();
  await expect(phone.getByRole('navigation')).toBeVisible();
  await enter(desk, '/api/session');
  await expect(desk.getByRole('navigation')).toBeVisible();
  return [phone, desk];
}

test(
  'a season on two devices: exceptions and what is open outlive a change; over the clock’s change the hour stays; no more of it leaves what is late',
  { tag: '@deep' },
  async ({ empty, devices }) => {
    const [aino, desk] = await ownHouse(empty, devices);
    // it is a Tuesday: the Saturdays from this week on, as they are said and as they are typed
    const tuesday = (await empty.now()).slice(0, 10);
    const saturday = (weeks: number, more = 0) => plusDays(tuesday, 4 + 7 * weeks + more);
    const said = (date: string) => new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' }).format(new Date(date));
    await add(aino, 'Air the barn every Saturday at 16:00');
    const toCome = (page: Page) => page.getByRole('button', { name: /^(Saturday|Sunday|tomorrow|today|\w{3} \d+ \w{3}).* \d\d:00/ });
    const openChore = async (page: Page) => {
      await page.goto(`${empty.base}/chores`);
      await page
        .getByRole('button', { name: /^Air the barn/i })
        .last()
        .click();
      await expect(page.getByRole('heading', { name: /^Air the barn$/i })).toBeVisible();
    };

    // one is left out and one moved, before the hour is changed some weeks earlier than both
    await openChore(aino);
    await toCome(aino)
      .filter({ hasText: said(saturday(2)) })
      .click();
    await aino.getByRole('button', { name: t('rule.skip') }).click();
    await toCome(aino)
      .filter({ hasText: said(saturday(3)) })
      .click();
    await aino.getByRole('button', { name: t('calendar.move') }).click();
    await aino.getByLabel(t('due.words')).fill(`${saturday(3, 1)} 16:00`);
    await aino.getByLabel(t('due.words')).press('Enter');
    await aino.getByRole('button', { name: t('calendar.onlyThis') }).click();
    await toCome(aino)
      .filter({ hasText: said(saturday(1)) })
      .click();
    await aino.getByRole('button', { name: new RegExp(`^Change (all )?from .*${said(saturday(1))}`) }).click();
    await aino.getByLabel(t('due.hour')).fill('18:00');
    await expect(aino.getByText(new RegExp(`^Next: Sat ${said(saturday(1))} · Sun ${said(saturday(3, 1))}`))).toBeVisible();
    await aino.getByRole('button', { name: t('rule.saveFollowing') }).click();

    // on the other device: what was there stays, what comes is as it was said
    await openChore(desk);
    await expect(desk.getByRole('checkbox', { name: /^Check off “Air the barn”/i })).toBeVisible();
    await expect(toCome(desk).filter({ hasText: `${said(saturday(1))} 18:00` })).toBeVisible();
    await expect(toCome(desk).filter({ hasText: said(saturday(2)) })).toHaveCount(0);
    await expect(toCome(desk).filter({ hasText: `${said(saturday(3, 1))} 18:00` })).toBeVisible();

    // the first of the changed one comes on its day; the older one is still open beside it
    await empty.moveTo(`${saturday(1)}T10:00:00.000Z`);
    await expect(desk.getByRole('checkbox', { name: /^Check off “Air the barn”/i })).toHaveCount(2);
    const tick = async () => {
      await desk
        .getByRole('checkbox', { name: /^Check off “Air the barn”/i })
        .first()
        .click();
      await expect(desk.getByText(/^Checked off “Air the barn”/i)).toBeVisible();
    };
    await tick();
    await tick();

    // the clocks change: it is still at six in the evening
    let weeks = 4;
    while (offsetOf(saturday(weeks - 1)) === offsetOf(saturday(weeks))) weeks += 1;
    await empty.moveTo(`${saturday(weeks)}T06:00:00.000Z`);
    await openChore(aino);
    await expect(aino.getByText(/today 18:00|^18:00$/).first()).toBeVisible();
    await expect(toCome(aino).filter({ hasText: `${said(saturday(weeks + 1))} 18:00` })).toBeVisible();

    // no more of it: what was due before today stays to be done, nothing comes after it
    await empty.moveTo(`${saturday(weeks, 2)}T06:00:00.000Z`);
    await hearsTheTime(aino, empty);
    await aino.getByRole('button', { name: /^More on “Air the barn”/i }).click();
    await aino.getByRole('menuitem', { name: t('chores.end') }).click();
    await expect(aino.getByText(t('chores.toCome'))).toHaveCount(0);
    await expect(aino.getByRole('button', { name: /^Air the barn/i })).toHaveCount(1);
    await empty.moveTo(`${saturday(weeks + 9)}T06:00:00.000Z`);
    await expect(desk.getByRole('checkbox', { name: /^Check off “Air the barn”/i })).toHaveCount(1);
  },
);
