import { expect, type Locator, type Page } from '@playwright/test';
import { enterDemo, visit, PHONE, type RunningKotiva, test, WIDE } from './house.ts';
import { starting, t } from './words.ts';

async function add(page: Page, words: string): Promise<void> {
  const line = page.getByRole('textbox', { name: t('capture.line') });
  await line.fill(words);
  await line.press('Enter');
  await expect(line).toHaveValue('');
}

const plus = (date: string, days: number): string => new Date(Date.parse(`${date}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);
const say = (date: string, options: Intl.DateTimeFormatOptions): string =>
  new Intl.DateTimeFormat('en-GB', { timeZone: 'UTC', ...options }).format(new Date(`${date}T00:00:00Z`));

/** A Friday of next month that has a Friday two weeks later and a Monday three days later within it. */
async function fridayOfNextMonth(demo: RunningKotiva): Promise<string> {
  const now = new Date(await demo.now());
  const first = new Date(Date.UTC(now.getUTCFullYear(), now.getUTCMonth() + 1, 1));
  return plus(first.toISOString().slice(0, 10), (5 - first.getUTCDay() + 7) % 7);
}

/** The day of a month on the screen, by its whole date. */
const dayOf = (page: Page, date: string): Locator =>
  page.getByRole('button', { name: new RegExp(`^${say(date, { weekday: 'long' })},? ${say(date, { day: 'numeric', month: 'long', year: 'numeric' })},`) });

/** By its number: below that are the things that can be taken hold of. */
const choose = (page: Page, date: string): Promise<void> => dayOf(page, date).click({ position: { x: 10, y: 10 } });

async function openNextMonth(page: Page): Promise<void> {
  await page.getByRole('link', { name: t('nav.calendar') }).click();
  await page.getByRole('button', { name: t('calendar.next') }).click();
}

/** By a quick hand: the pointer comes to where it lets go, and lets go, before anything of that was drawn. */
async function drag(page: Page, what: Locator, to: Locator): Promise<void> {
  const [from, over] = [(await what.boundingBox())!, (await to.boundingBox())!];
  const [x, y] = [over.x + over.width / 2, over.y + over.height / 2];
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x + from.width / 2 + 10, from.y + from.height / 2 + 4, { steps: 3 });
  await page.evaluate(
    ([clientX, clientY]) => {
      for (const kind of ['mousemove', 'mouseup']) document.body.dispatchEvent(new MouseEvent(kind, { clientX, clientY, bubbles: true, cancelable: true }));
    },
    [x, y] as const,
  );
  await page.mouse.up();
}

test('chores to come stand in the calendar; one of them alone is given away, moved, left out', async ({ demo, devices }) => {
  const friday = await fridayOfNextMonth(demo);
  const aino = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await add(aino, `Wash the boat covers every other Friday from ${say(friday, { day: 'numeric', month: 'short', year: 'numeric' })}`);
  await openNextMonth(aino);
  await choose(aino, plus(friday, 14));
  const menu = aino.getByRole('button', { name: 'More on “Wash the boat covers”' });
  const eetus = aino.getByText('Eetu · every 2 weeks on Friday');
  await expect(menu).toBeVisible();

  await menu.click();
  await aino.getByRole('menuitem', { name: t('calendar.give') }).click();
  await aino.getByRole('dialog').getByRole('button', { name: 'Eetu', exact: true }).click();
  await expect(eetus).toBeVisible();

  await menu.click();
  await aino.getByRole('menuitem', { name: t('calendar.move') }).click();
  const sheet = aino.getByRole('dialog');
  await sheet.getByLabel(t('due.words')).fill(say(plus(friday, 12), { day: 'numeric', month: 'short', year: 'numeric' }));
  await sheet.getByLabel(t('due.words')).press('Enter');
  await sheet.getByRole('button', { name: t('calendar.onlyThis') }).click();
  await expect(menu).toHaveCount(0);
  await choose(aino, plus(friday, 12));
  await expect(eetus).toBeVisible();

  await menu.click();
  await aino.getByRole('menuitem', { name: t('rule.skip') }).click();
  await expect(menu).toHaveCount(0);
  await aino.getByRole('button', { name: t('common.undo') }).click();
  await expect(menu).toBeVisible();
});

test('one Friday is dragged to Monday, the others stay; then this and all that follow get another hour, what was stays', async ({ demo, devices }) => {
  const friday = await fridayOfNextMonth(demo);
  const aino = await devices.open(WIDE);
  const petri = await devices.open(WIDE);
  await enterDemo(aino, demo, 'Aino');
  await aino.getByRole('link', { name: t('nav.lists') }).click();
  await aino.getByRole('button', { name: /^Boathouse/ }).click();
  await expect(aino.getByText('Drain the rain barrel')).toBeVisible();
  await add(aino, `Wash the boat covers every Friday at 09:00 from ${say(friday, { day: 'numeric', month: 'short', year: 'numeric' })}`);
  await openNextMonth(aino);
  const inMonth = aino.getByRole('group', { name: say(friday, { month: 'long', year: 'numeric' }) });
  await drag(aino, inMonth.getByText('09:00 Wash the boat covers').nth(1), dayOf(aino, plus(friday, 10)));
  await aino
    .getByRole('dialog')
    .getByRole('button', { name: t('calendar.onlyThis') })
    .click();
  await choose(aino, plus(friday, 10));
  const menu = aino.getByRole('button', { name: 'More on “Wash the boat covers”' });
  await expect(menu).toBeVisible();
  await choose(aino, plus(friday, 7));
  await expect(menu).toHaveCount(0);

  await choose(aino, plus(friday, 14));
  await menu.click();
  await aino.getByRole('menuitem', { name: t('calendar.move') }).click();
  const sheet = aino.getByRole('dialog');
  await sheet.getByLabel(t('talk.time'), { exact: false }).fill('18:30');
  await sheet.getByRole('button', { name: t('calendar.moveHere') }).click();
  await sheet.getByRole('button', { name: t('calendar.thisAndFollowing') }).click();
  await expect(inMonth.getByText('18:30 Wash the boat covers')).not.toHaveCount(0);
  // the first, and the one that was dragged
  await expect(inMonth.getByText('09:00 Wash the boat covers')).toHaveCount(2);

  await enterDemo(petri, demo, 'Petri');
  await openNextMonth(petri);
  const seen = petri.getByRole('group', { name: say(friday, { month: 'long', year: 'numeric' }) });
  await expect(seen.getByText('09:00 Wash the boat covers')).toHaveCount(2);
  await expect(seen.getByText('18:30 Wash the boat covers')).not.toHaveCount(0);
});

test('by keyboard an entry goes from day to day, and says so', async ({ demo, devices }) => {
  const aino = await devices.open(WIDE);
  await enterDemo(aino, demo, 'Aino');
  await openNextMonth(aino);
  await aino.getByRole('radio', { name: t('calendar.view.week') }).click();
  await add(aino, 'Count the towels');
  await expect(aino.getByText(t('calendar.planned'))).toBeVisible();
  const handle = aino.getByRole('button', { name: 'Drag “Count the towels”' }).first();
  await handle.focus();
  await aino.keyboard.press('Space');
  const over = aino.locator('[id^=DndLiveRegion]').filter({ hasText: /^Over / });
  await expect(over).toBeAttached();
  const first = await over.textContent();
  await aino.keyboard.press('ArrowRight');
  await expect(over).not.toHaveText(first!);
  await aino.keyboard.press('Space');
  await expect(aino.getByText(/“Count the towels” moved to /)).toBeVisible();
});

test('Petri and Eetu change turns once; the other sees it at once, and the queue goes on as if they had not', { tag: '@deep' }, async ({ demo, devices }) => {
  const petri = await devices.open(PHONE);
  const oona = await devices.open(PHONE);
  await enterDemo(petri, demo, 'Petri');
  await enterDemo(oona, demo, 'Oona');
  const turns = async (page: Page) => (await page.getByRole('button', { name: /^Heat the shore sauna/ }).allInnerTexts()).length;
  for (const page of [petri, oona]) {
    await page.getByRole('link', { name: t('nav.calendar') }).click();
    await page.getByRole('radio', { name: t('calendar.view.list') }).click();
    await expect.poll(() => turns(page)).toBeGreaterThan(0);
  }
  // the next one of Petri's that is still to come
  const mine = petri.getByText('Petri · every Wed and Sat').first();
  await mine.scrollIntoViewIfNeeded();
  const before = await oona.getByText(/^(Petri|Oona|Eetu) · every Wed and Sat$/).allInnerTexts();
  const row = petri.locator('.row', { has: petri.locator('.row', { has: mine }) }).last();
  await row.getByRole('button', { name: /^More on/ }).click();
  await petri.getByRole('menuitem', { name: t('calendar.swap') }).click();
  await petri.getByRole('dialog').getByRole('button', { name: /^Eetu/ }).first().click();
  await expect(petri.getByText('Petri and Eetu swapped turns for “Heat the shore sauna”')).toBeVisible();
  await expect.poll(async () => (await oona.getByText(/^(Petri|Oona|Eetu) · every Wed and Sat$/).allInnerTexts()).join() !== before.join()).toBe(true);
  await petri.getByRole('button', { name: t('common.undo') }).click();
  await expect.poll(async () => (await oona.getByText(/^(Petri|Oona|Eetu) · every Wed and Sat$/).allInnerTexts()).join()).toBe(before.join());
});

test('time is booked for one thing and for several; what overlaps is said in minutes, and nobody else sees it', { tag: '@deep' }, async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await openNextMonth(aino);
  for (const title of ['Count the towels', 'Mend the lamp']) await add(aino, title);
  const sheet = aino.getByRole('dialog');
  const book = async (title: string, from: string, minutes: string) => {
    await aino
      .getByRole('button', { name: `More on “${title}”` })
      .first()
      .click();
    await aino.getByRole('menuitem', { name: t('slot.book') }).click();
    await sheet.getByLabel(t('slot.from')).fill(from);
    await sheet.getByLabel(t('slot.length')).fill(minutes);
  };
  await book('Count the towels', '09:00', '3');
  await sheet.getByRole('button', { name: t('slot.bookIt'), exact: true }).click();
  await expect(sheet.getByText(t('slot.badLength'))).toBeVisible();
  await sheet.getByLabel(t('slot.length')).fill('60');
  await sheet.getByRole('button', { name: t('slot.bookIt'), exact: true }).click();
  await expect(aino.getByText('booked 09:00–10:00', { exact: true })).toBeVisible();
  await book('Mend the lamp', '09:45', '30');
  await expect(sheet.getByText('overlaps “Count the towels” by 15 min')).toBeVisible();
  await sheet.getByRole('button', { name: t('slot.bookIt'), exact: true }).click();
  await expect(aino.getByText(/booked 09:45–10:15 · overlaps “Count the towels” by 15 min/)).toBeVisible();

  await aino.getByRole('radio', { name: t('daysOff.day'), exact: true }).click();
  await expect(aino.getByText('booked 09:00–10:00 · overlaps “Mend the lamp” by 15 min')).toBeVisible();
  const slot = aino.locator('.row', { hasText: 'booked 09:00–10:00' }).last();
  await slot.getByRole('button', { name: /^More on/ }).click();
  await aino.getByRole('menuitem', { name: t('slot.free') }).click();
  await expect(aino.getByText(/^booked 09:00–10:00/)).toHaveCount(0);
  await expect(aino.getByText('booked 09:45–10:15', { exact: true })).toBeVisible();

  await visit(aino, '/lists');
  await aino.getByRole('button', { name: /^Boathouse/ }).click();
  await aino.getByRole('button', { name: /View/ }).click();
  await aino.getByRole('button', { name: t('sort.select') }).click();
  for (const title of ['Patch the inflatable', 'Drain the rain barrel']) await aino.getByRole('checkbox', { name: new RegExp(`^${title}`) }).click();
  await aino.getByRole('button', { name: t('sentence.panel.slot') }).click();
  await expect(aino.getByText('For 2 items together.')).toBeVisible();
  await aino.getByRole('button', { name: t('slot.bookIt'), exact: true }).click();
  await aino.getByRole('link', { name: t('nav.calendar') }).click();
  await expect(aino.getByText('Drain the rain barrel and Patch the inflatable')).toBeVisible();
});

test('what is typed on a day is planned for it, at an hour where one is chosen, and is checked off there', async ({ demo, devices }) => {
  const aino = await devices.open(WIDE);
  await enterDemo(aino, demo, 'Aino');
  await aino.keyboard.press('4');
  await expect(aino.getByRole('heading', { name: t('nav.calendar') })).toBeVisible();
  await aino.getByRole('button', { name: t('calendar.next') }).click();
  await aino.getByRole('button', { name: t('calendar.next') }).click();
  await add(aino, 'Count the towels');
  await expect(aino.getByText(t('calendar.planned'))).toBeVisible();
  await aino.getByRole('checkbox', { name: 'Check off “Count the towels”' }).click();
  await expect(aino.getByText('Checked off “Count the towels”')).toBeVisible();
  await aino.getByRole('radio', { name: t('daysOff.day'), exact: true }).click();
  await aino.getByRole('button', { name: 'Plan what you type for 14:00' }).click();
  await add(aino, 'Ring the dairy');
  await expect(aino.locator('.row', { hasText: 'Ring the dairy' }).last()).toContainText('14:00');
});

test('holidays of a country and own days off are the house’s, on every device', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  const oona = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(oona, demo, 'Oona');
  const friday = await fridayOfNextMonth(demo);
  await aino.getByRole('link', { name: t('nav.more'), exact: true }).click();
  await aino.getByRole('button', { name: starting('house.title') }).click();
  await aino.getByRole('button', { name: t('daysOff.title') }).click();
  await expect(aino.getByText('Public holidays of Finland.')).toBeVisible();
  await aino.getByLabel(t('daysOff.find')).fill('swed');
  await aino.getByRole('button', { name: 'Sweden', exact: true }).click();
  await expect(aino.getByText('Public holidays of Sweden.')).toBeVisible();
  await aino.getByLabel(t('daysOff.find')).fill('Nowhere');
  await expect(aino.getByText('No country by that name.', { exact: false })).toBeVisible();
  await aino.getByRole('button', { name: t('daysOff.add') }).click();
  await expect(aino.getByText(t('daysOff.needsDay'))).toBeVisible();
  await aino.getByLabel(t('daysOff.day'), { exact: true }).fill(friday);
  await aino.getByLabel(t('daysOff.name')).fill('Stocktaking');
  await aino.getByRole('button', { name: t('daysOff.add') }).click();
  await expect(aino.getByText('Stocktaking', { exact: true })).toBeVisible();

  await openNextMonth(oona);
  await expect(dayOf(oona, friday)).toHaveAccessibleName(/Stocktaking/);
});
