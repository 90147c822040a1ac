import { expect } from '@playwright/test';
import { enterDemo, goOffline, hearsTheTime, PHONE, test, WIDE } from './house.ts';
import { starting, t } from './words.ts';

test('a talk on Wednesday: put on the agenda from Follow-up, gone through, decided, and one decision is an item of theirs', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await aino.getByRole('link', { name: t('nav.followUp') }).click();
  await aino.getByRole('button', { name: 'More on “Winter storage for the boats”' }).click();
  await aino.getByRole('menuitem', { name: t('follow.talk') }).click();
  await expect(aino.getByText('is on your list to talk about with Tapio')).toBeVisible();

  await aino.getByRole('link', { name: t('nav.more') }).click();
  await aino.getByRole('button', { name: starting('people.title') }).click();
  await aino
    .getByRole('button', { name: /^Tapio/ })
    .first()
    .click();
  const agenda = aino.getByRole('region', { name: t('talk.agenda') });
  await expect(agenda.getByRole('checkbox')).toHaveCount(5);
  await expect(agenda.getByText(/next talk .*10:00/)).toBeVisible();
  // a note of today: people and headings are there
  await aino.getByRole('button', { name: t('note.start') }).click();
  const note = aino.getByRole('dialog');
  await expect(note.getByRole('heading', { name: /^Aino and Tapio, / })).toBeVisible();
  const text = note.getByRole('textbox', { name: t('note.text') });
  await expect(text).toContainText('Talked about:');
  await text.click();
  await aino.keyboard.press('Control+a');
  for (const line of ['Talked about:', 'His back is better.', 'Decided:']) {
    await aino.keyboard.type(line);
    await aino.keyboard.press('Enter');
  }
  await note.getByLabel(t('note.decided')).fill('Lifting only with Eetu');
  await note.getByRole('button', { name: t('note.decide') }).click();
  await expect(text).toContainText('– Lifting only with Eetu');
  await note.getByLabel(t('note.decided')).fill('Order six planks');
  await note.getByRole('button', { name: 'Make it an item for Tapio' }).click();
  await expect(note.getByText('Order six planks', { exact: true })).toBeVisible();
  await expect(note.getByText(t('note.saved'))).toBeVisible();
  await aino.keyboard.press('Escape');
  for (const words of ['A second key for the boathouse', 'Holidays in February'])
    await agenda.getByRole('checkbox', { name: `Talked about: ${words}` }).click();
  await expect(agenda.getByRole('checkbox')).toHaveCount(3);
  // folded away, it stays so
  await agenda.getByRole('button', { name: /^To talk about/ }).click();
  await aino.reload();
  await expect(aino.getByRole('button', { name: /^To talk about/ })).toHaveAttribute('aria-expanded', 'false');
  await aino
    .getByRole('button', { name: /^Today|^Yesterday/ })
    .first()
    .click();
  await expect(aino.getByRole('dialog').getByText('Holidays in February')).toBeVisible();
  await expect(aino.getByRole('dialog').getByRole('textbox', { name: t('note.text') })).toContainText(/His back is better\.[\s\S]*– Lifting only with Eetu/);

  // Tapio has the item; the agenda and the note are Aino's alone
  const tapio = await devices.open(PHONE);
  await enterDemo(tapio, demo, 'Tapio');
  await tapio.getByRole('button', { name: t('sort.sort'), exact: true }).click();
  await expect(tapio.getByText('Order six planks')).toBeVisible();
  await tapio.getByRole('link', { name: t('nav.more') }).click();
  await tapio.getByRole('button', { name: starting('people.title') }).click();
  await tapio.getByRole('button', { name: /^Aino/ }).first().click();
  await expect(tapio.getByText('His back is better')).toHaveCount(0);
  await expect(tapio.getByText('Lifting only with Eetu')).toHaveCount(0);
});

test('the weave narrowed and sorted; more time, a nudge that was sent today already, and dropped with its way back', async ({ demo, devices }) => {
  const aino = await devices.open(WIDE);
  await enterDemo(aino, demo, 'Aino');
  // one nobody was asked about yet, whatever the hour
  await aino.getByRole('link', { name: t('nav.lists') }).click();
  await aino.getByRole('button', { name: /^Boathouse/ }).click();
  await expect(aino.getByText('Drain the rain barrel')).toBeVisible();
  const line = aino.getByRole('textbox', { name: t('capture.line') });
  await line.fill('Scrub the winch @Petri by Friday');
  await line.press('Enter');
  await expect(line).toHaveValue('');
  await aino.getByRole('link', { name: t('nav.followUp') }).click();
  const weave = aino.getByRole('table', { name: /Items handed over/ });
  await expect(weave.getByText('Invoices of November')).toBeVisible();
  const sheet = aino.getByRole('dialog');
  await aino.getByRole('button', { name: t('filter.narrow'), exact: true }).click();
  await sheet.getByRole('button', { name: t('filter.kind.list'), exact: true }).click();
  await sheet.getByRole('checkbox', { name: 'Boathouse' }).click();
  await sheet.getByRole('button', { name: /^Show \d+ items?$/ }).click();
  await aino.getByRole('button', { name: t('narrow.label', { how: t('narrow.narrow') }) }).click();
  await sheet.getByRole('radio', { name: t('sortBy.title') }).click();
  await sheet.getByRole('button', { name: t('narrow.show'), exact: true }).click();
  await expect(weave.getByText('Invoices of November')).toHaveCount(0);
  const titles = (await weave.locator('[role="cell"][tabindex="0"]').allInnerTexts()).map((text) => text.split('\n', 1)[0]!);
  expect(titles.length).toBeGreaterThan(3);
  expect(titles).toEqual([...titles].sort((a, b) => a.localeCompare(b)));

  await weave.getByRole('button', { name: 'More on “Scrub the winch”' }).click();
  await aino.getByRole('menuitem', { name: t('nudge.now') }).click();
  await sheet.getByLabel(t('nudge.words')).fill('Before the frost');
  await sheet.getByRole('button', { name: t('nudge.nudge'), exact: true }).click();
  await expect(sheet).toBeHidden();
  await weave.getByRole('button', { name: 'Nudge: Scrub the winch' }).click();
  await expect(sheet.getByText(t('nudge.askedToday'))).toBeVisible();
  await sheet.getByRole('button', { name: t('nudge.again') }).click();
  await expect(sheet.getByText(/was nudged within the last hour/)).toBeVisible();
  await aino.keyboard.press('Escape');

  await weave.getByRole('button', { name: 'More on “Scrub the winch”' }).click();
  await aino.getByRole('menuitem', { name: t('follow.extend') }).click();
  await sheet.getByLabel(t('due.words')).fill('in 3 weeks');
  await sheet.getByLabel(t('due.words')).press('Enter');
  await expect(sheet).toBeHidden();
  await weave.getByRole('button', { name: 'More on “Scrub the winch”' }).click();
  await aino.getByRole('menuitem', { name: t('follow.drop') }).click();
  await expect(weave.getByText('Scrub the winch')).toHaveCount(0);
  await aino.getByRole('button', { name: t('common.undo') }).click();
  await expect(weave.getByText('Scrub the winch')).toBeVisible();
});

test('what waits is out of Today, stands with all other waits, and comes up on the day to ask again', async ({ demo, devices }) => {
  const page = await devices.open(PHONE);
  await enterDemo(page, demo, 'Noor');
  const line = page.getByRole('textbox', { name: t('capture.line') });
  await line.fill('Hang the new sign today');
  await line.press('Enter');
  const row = page.getByRole('button', { name: /^Hang the new sign/ }).first();
  await row.click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('button', { name: t('sentence.addLabel') }).click();
  await sheet.getByRole('button', { name: t('sentence.panel.waiting') }).click();
  await sheet.getByRole('button', { name: t('wait.mark') }).click();
  await expect(sheet.getByText(t('reason.title-empty'))).toBeVisible();
  await sheet.getByLabel(t('wait.what')).fill('the ladder');
  const inThreeDays = new Date(Date.parse(await demo.now()) + 3 * 86_400_000).toISOString().slice(0, 10);
  await sheet.getByLabel(t('wait.day')).fill(inThreeDays);
  await sheet.getByRole('button', { name: t('wait.mark') }).click();
  await expect(sheet.getByText('Waiting for the ladder').first()).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: t('nav.followUp') }).click();
  await expect(page.getByRole('region', { name: t('wait.mine') }).getByText('Hang the new sign')).toBeVisible();
  await demo.advance('P3DT12H');
  await page.getByRole('button', { name: /^Notifications, / }).click();
  await expect(page.getByText('Ask again about “Hang the new sign”: it’s waiting for the ladder')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Arrived: Hang the new sign' }).click();
  await expect(page.getByRole('region', { name: t('wait.mine') })).toHaveCount(0);
});

test('what happened in the house, by person and kind, page after page', async ({ demo, devices }) => {
  const page = await devices.open(PHONE);
  await enterDemo(page, demo, 'Aino');
  await page.getByRole('link', { name: t('nav.more') }).click();
  await page.getByRole('button', { name: starting('activity.title') }).click();
  const shown = (what: string) => t('activity.shown', { what, name: t('activity.everyone') });
  await page.getByRole('button', { name: shown(t('activity.all')) }).click();
  await page.getByRole('radio', { name: t('activity.done'), exact: true }).click();
  await page.getByRole('radio', { name: 'Leila' }).click();
  await expect(page.getByText(/Leila checked it off/).first()).toBeVisible();
  await page.getByRole('radio', { name: t('activity.all') }).click();
  await page.getByRole('radio', { name: t('activity.everyone') }).click();
  const older = page.getByRole('button', { name: t('activity.older'), exact: true });
  await older.click();
  await older.click();
  await expect(page.locator('[data-row]').nth(120)).toBeAttached();
});

test('checked off in time without a network, it counts from the tap: both times are shown, and it is not late', async ({ demo, devices }) => {
  const aino = await devices.open(WIDE);
  const tapio = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(tapio, demo, 'Tapio');
  const line = aino.getByRole('textbox', { name: t('capture.line') });
  await line.fill('Ask Tapio to sweep the chapel by today 20:00');
  await line.press('Enter');
  const day = (await demo.now()).slice(0, 10);
  // 19:50 in Helsinki in winter
  await demo.moveTo(`${day}T17:50:00.000Z`);
  const knot = tapio.getByRole('checkbox', { name: 'Check off “Sweep the chapel”' }).first();
  await knot.waitFor();
  await hearsTheTime(tapio, demo);
  await goOffline(tapio);
  await knot.click();
  await expect(tapio.getByText('Checked off “Sweep the chapel”')).toBeVisible();
  await demo.advance('PT80M');
  await aino.getByRole('link', { name: t('nav.followUp') }).click();
  const late = aino.getByRole('rowgroup').filter({ has: aino.getByRole('heading', { name: t('follow.group.late') }) });
  await expect(late).toContainText('Sweep the chapel');
  await tapio.context().setOffline(false);
  const back = aino.getByRole('rowgroup').filter({ has: aino.getByRole('heading', { name: t('follow.group.back') }) });
  await expect(back).toContainText('Sweep the chapel', { timeout: 40_000 });
  await aino.getByRole('table').getByText('Sweep the chapel').click();
  await expect(aino.getByRole('dialog').getByText(/19:5\d.*arrived.*21:1\d/)).toBeVisible();
});

test('a section waits as a whole, and goes to somebody as a whole; each in one action with one way back', async ({ demo, devices }) => {
  const [page, helmi] = [await devices.open(PHONE), await devices.open(PHONE)];
  await enterDemo(page, demo, 'Aino');
  await enterDemo(helmi, demo, 'Helmi');
  await page.getByRole('link', { name: t('nav.lists') }).click();
  await page.getByRole('button', { name: /^Boathouse/ }).click();
  const more = page.getByRole('button', { name: 'More on Before winter' });
  const waiting = page.getByText(/waiting for the tide/);
  await more.click();
  await page.getByRole('menuitem', { name: t('section.waits') }).click();
  await page.getByRole('textbox', { name: t('wait.what') }).fill('the tide');
  await page.getByRole('button', { name: t('wait.mark') }).click();
  await expect(waiting.nth(3)).toBeVisible();
  await page.getByRole('button', { name: t('common.undo') }).click();
  await expect(waiting).toHaveCount(0);
  await more.click();
  await page.getByRole('menuitem', { name: t('section.handOver') }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('checkbox', { name: 'Helmi' }).click();
  await sheet.getByRole('radio', { name: t('ways.item') }).click();
  await sheet.getByRole('button', { name: t('hand.over'), exact: true }).click();
  await expect(sheet).toBeHidden();
  await helmi.getByRole('button', { name: t('sort.sort'), exact: true }).click();
  await expect(helmi.getByText('Drain the rain barrel')).toBeVisible();
  await page.getByRole('button', { name: t('common.undo') }).click();
  await expect(helmi.getByText('Drain the rain barrel')).toHaveCount(0);
});
