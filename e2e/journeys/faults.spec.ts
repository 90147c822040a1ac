import { expect } from '@playwright/test';
import { enterDemo, everythingSeen, goOffline, PHONE, test, WIDE } from './house.ts';
import { starting, t } from './words.ts';

test('the network goes in the middle of a check-off: kept, sent later, once', async ({ demo, devices }) => {
  const tapio = await devices.open(PHONE);
  const aino = await devices.open(WIDE);
  await enterDemo(tapio, demo, 'Tapio');
  await enterDemo(aino, demo, 'Aino');
  await goOffline(tapio);
  await tapio.getByRole('checkbox', { name: 'Check off “Sand the steps to the shore”' }).click();
  await expect(tapio.getByText('1 change is waiting to be sent', { exact: false })).toBeVisible();
  await tapio.getByRole('button', { name: /^Done today/ }).click();
  await expect(tapio.getByRole('checkbox', { name: 'Uncheck “Sand the steps to the shore”' })).toBeVisible();
  await tapio.context().setOffline(false);
  await expect(tapio.getByText(/waiting to be sent/)).toBeHidden({ timeout: 40_000 });
  await aino.getByRole('button', { name: /^Notifications, / }).click();
  await aino
    .getByRole('dialog')
    .getByRole('button', { name: t('common.close') })
    .click();
  const seen = await everythingSeen(tapio, demo);
  const checked = seen.filter(({ noun, row }) => noun === 'activity' && row.kind === 'part.checkOff');
  const sanded = seen.find(({ row }) => row.title === 'Sand the steps to the shore')!.row.id;
  expect(checked.filter(({ row }) => row.itemId === sanded)).toHaveLength(1);
});

test('the tab is closed and opened again without a network: all is there, what waits goes once', async ({ demo, devices }) => {
  const tapio = await devices.open(PHONE, { installed: true });
  const aino = await devices.open(WIDE);
  await enterDemo(tapio, demo, 'Tapio');
  await enterDemo(aino, demo, 'Aino');
  await tapio.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await tapio.reload();
  await tapio.getByRole('navigation').waitFor();
  await goOffline(tapio);
  await tapio.getByRole('checkbox', { name: 'Check off “Gutter, north side”' }).click();
  await expect(tapio.getByText('1 change is waiting to be sent', { exact: false })).toBeVisible();
  await tapio.close();
  const again = await tapio.context().newPage();
  await again.goto(demo.base);
  await expect(again.getByText('1 change is waiting to be sent', { exact: false })).toBeVisible();
  await again.getByRole('button', { name: /^Done today/ }).click();
  await expect(again.getByRole('checkbox', { name: 'Uncheck “Gutter, north side”' })).toBeVisible();
  await again.context().setOffline(false);
  await expect(again.getByText(/waiting to be sent/)).toBeHidden({ timeout: 40_000 });
  await aino.getByRole('link', { name: t('nav.lists') }).click();
  await aino.getByRole('button', { name: /^Yard and tools/ }).click();
  await expect(aino.getByRole('button', { name: /^Gutter, north side/ })).toBeHidden();
  await aino.getByRole('button', { name: /done$/ }).click();
  await expect(aino.getByText(/Tapio, today/)).toHaveCount(2);
});

test('what two set at once: mine is kept and offered again', async ({ demo, devices }) => {
  const petri = await devices.open(WIDE);
  const aino = await devices.open(WIDE);
  for (const [page, name] of [
    [petri, 'Petri'],
    [aino, 'Aino'],
  ] as const) {
    await enterDemo(page, demo, name);
    await page.getByRole('link', { name: t('nav.lists') }).click();
    await page.getByRole('button', { name: /^Boathouse/ }).click();
    await page.getByText('Drain the rain barrel').click();
    await page.getByRole('button', { name: /Change the deadline/ }).click();
  }
  await goOffline(petri);
  await petri
    .getByRole('dialog')
    .getByRole('radio', { name: t('date.tomorrow') })
    .click();
  await petri
    .getByRole('dialog')
    .getByRole('button', { name: t('due.set'), exact: true })
    .click();
  await aino
    .getByRole('dialog')
    .getByRole('radio', { name: t('date.today') })
    .click();
  await aino
    .getByRole('dialog')
    .getByRole('button', { name: t('due.set'), exact: true })
    .click();
  await expect(aino.getByText('Due today.')).toBeVisible();
  await petri.context().setOffline(false);
  await petri.keyboard.press('Escape');
  await expect(petri.getByText(/Aino changed it to/)).toBeVisible({ timeout: 40_000 });
  await petri.getByRole('button', { name: t('tried.useMine') }).click();
  await expect(petri.getByText(/Aino changed it to/)).toBeHidden();
  await aino.keyboard.press('Escape');
  await expect(aino.getByRole('button', { name: /^Drain the rain barrel/ })).toBeVisible();
  await aino.getByText('Drain the rain barrel').click();
  await expect(aino.getByRole('dialog').getByRole('button', { name: /Change the deadline/ })).toHaveText(t('date.tomorrow'));
});

test('a title with markup is shown as text; an overlong one stays typed, with why', async ({ demo, devices }) => {
  const page = await devices.open(PHONE);
  await enterDemo(page, demo, 'Aino');
  const line = page.getByRole('textbox', { name: t('capture.line') });
  await line.fill('<img src=x onerror=alert(1)> & <b>bold</b>');
  await line.press('Enter');
  await expect(line).toHaveValue('');
  await expect(page.getByText('Added “<img src=x onerror=alert(1)> & <b>bold</b>”.')).toBeVisible();
  await line.fill('x'.repeat(5000));
  await line.press('Enter');
  await expect(page.getByText('That’s too long: at most 500 characters.')).toBeVisible();
  await expect(line).toHaveValue('x'.repeat(5000));
});

test('a name after @ hands over; one that nobody has is said and stays', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  const noor = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(noor, demo, 'Noor');
  const line = aino.getByRole('textbox', { name: t('capture.line') });
  await line.fill('Iron the napkins @No');
  await aino.getByRole('button', { name: 'Hand to No Noor' }).click();
  await line.press('Enter');
  await noor.getByRole('button', { name: t('sort.sort'), exact: true }).click();
  await expect(noor.getByRole('button', { name: 'Iron the napkins', exact: true })).toBeVisible();
  await line.fill('Ask @Zebedee');
  await expect(aino.getByText('Nobody here is called “Zebedee”; it stays in the title.')).toBeVisible();
});

test('undo: a check, a removal, a handover', async ({ demo, devices }) => {
  const aino = await devices.open(WIDE);
  await enterDemo(aino, demo, 'Aino');
  const tie = aino.getByRole('checkbox', { name: 'Check off “Send the lodging form”' });
  await tie.click();
  await expect(tie).toBeHidden();
  await aino.getByRole('button', { name: t('common.undo') }).click();
  await expect(tie).toBeVisible();
  await aino.getByRole('button', { name: /more in the next 7 days$/ }).click();
  await aino.getByText('Dentist').click();
  await aino.getByRole('button', { name: t('item.more') }).click();
  await aino.getByRole('menuitem', { name: t('item.remove') }).click();
  await expect(aino.getByText('Dentist', { exact: true })).toBeHidden();
  await aino.getByRole('button', { name: t('common.undo') }).click();
  await aino.getByText('Dentist', { exact: true }).click();
  const sheet = aino.getByRole('dialog');
  await sheet.getByRole('button', { name: t('hand.over'), exact: true }).click();
  await sheet.getByRole('checkbox', { name: 'Helmi' }).click();
  await sheet.getByRole('button', { name: t('hand.over'), exact: true }).click();
  await expect(sheet.getByText(t('item.whoStands'))).toBeVisible();
  await aino.keyboard.press('Escape');
  await aino.getByRole('button', { name: t('common.undo') }).click();
  await aino.getByText('Dentist', { exact: true }).click();
  await expect(sheet.getByText(t('item.whoStands'))).toBeHidden();
});

test('an item is put in another place by keyboard and by drag, for everyone', async ({ demo, devices }) => {
  const aino = await devices.open(WIDE);
  const petri = await devices.open(PHONE);
  for (const [page, name] of [
    [aino, 'Aino'],
    [petri, 'Petri'],
  ] as const) {
    await enterDemo(page, demo, name);
    await page.getByRole('link', { name: t('nav.lists') }).click();
    await page.getByRole('button', { name: /^Sauna and shore/ }).click();
    await expect(page.getByText('A second lamp for the path')).toBeVisible();
  }
  const order = (page: typeof aino) => page.getByRole('button', { name: /^(A second lamp|Mend the windbreak|Paint the dressing)/ }).allInnerTexts();
  const first = await order(aino);
  const handle = aino.getByRole('button', { name: 'Drag “A second lamp for the path” to another place' });
  await handle.press('Space');
  await expect(aino.getByText(/^Over .*A second lamp for the path/)).toBeAttached();
  await aino.keyboard.press('ArrowDown');
  await expect(aino.getByText(/^Over .*Mend the windbreak/)).toBeAttached();
  await aino.keyboard.press('Space');
  await expect.poll(() => order(petri)).not.toEqual(first);
  const second = await order(petri);
  await petri.getByRole('button', { name: 'Drag “Paint the dressing room” to another place' }).scrollIntoViewIfNeeded();
  const box = (await petri.getByRole('button', { name: 'Drag “Paint the dressing room” to another place' }).boundingBox())!;
  const target = (await petri.getByRole('button', { name: 'Drag “Mend the windbreak” to another place' }).boundingBox())!;
  await petri.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await petri.mouse.down();
  await petri.mouse.move(box.x + box.width / 2, box.y - 20, { steps: 5 });
  await petri.mouse.move(target.x + target.width / 2, target.y + 10, { steps: 10 });
  await petri.mouse.up();
  await expect.poll(() => order(aino)).not.toEqual(second);
});

test('signing out leaves nothing of the last person on the device', async ({ demo, devices }) => {
  const page = await devices.open(PHONE);
  await enterDemo(page, demo, 'Aino');
  await page.getByRole('link', { name: t('nav.more'), exact: true }).click();
  await page.getByRole('button', { name: starting('settings.device') }).click();
  await page
    .getByRole('button', { name: t('account.signOut'), exact: true })
    .last()
    .click();
  await expect(page.getByText(t('account.demo'))).toBeVisible();
  const databases = () => page.evaluate(async () => (await indexedDB.databases()).map(({ name }) => name).filter((name) => name?.startsWith('kotiva')));
  await expect.poll(databases).toEqual([]);
  expect(await page.evaluate(() => Object.keys(localStorage).sort())).toEqual(['kotiva/known', 'kotiva/theme']);
  // and the next one is in with one tap
  await page.getByRole('button', { name: 'Tapio' }).click();
  await expect(page.getByRole('navigation')).toBeVisible();
});

test('an account in two houses switches between them', async ({ demo, devices }) => {
  const page = await devices.open(WIDE);
  await enterDemo(page, demo, 'Aino');
  await page.getByRole('link', { name: t('nav.more'), exact: true }).click();
  await page.getByRole('button', { name: starting('profile.title') }).click();
  await page.getByRole('button', { name: /^Upstairs/ }).click();
  await page.getByRole('link', { name: t('nav.lists') }).click();
  await expect(page.getByText('School and hobbies')).toBeVisible();
  await expect(page.getByText('Boathouse')).toHaveCount(0);
});

test('a device signed out from elsewhere says so', async ({ demo, devices }) => {
  const phone = await devices.open(PHONE);
  const desk = await devices.open(WIDE);
  await enterDemo(phone, demo, 'Leila');
  await enterDemo(desk, demo, 'Leila');
  await desk.getByRole('link', { name: t('nav.more'), exact: true }).click();
  await desk.getByRole('button', { name: starting('settings.device') }).click();
  await desk.getByRole('button', { name: t('account.signOutEverywhere') }).click();
  await desk.getByRole('button', { name: t('account.signOutAll') }).click();
  await expect(phone.getByText(t('account.signedOutHere'))).toBeVisible();
});

test('the simulated clock moves on: what was in hand is late, on devices that are open', async ({ demo, devices }) => {
  const aino = await devices.open(WIDE);
  const petri = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(petri, demo, 'Petri');
  await aino.getByRole('textbox', { name: t('capture.line') }).fill('Ask Petri to oil the lamps by tomorrow 12:00');
  await aino.getByRole('textbox', { name: t('capture.line') }).press('Enter');
  await petri.getByRole('button', { name: t('sort.sort'), exact: true }).click();
  await petri.getByRole('button', { name: /^Oil the lamps/ }).click();
  await petri.getByRole('button', { name: 'Take it: Oil the lamps' }).click();
  await aino.getByRole('link', { name: t('nav.followUp') }).click();
  const group = (name: string) => aino.getByRole('rowgroup').filter({ has: aino.getByRole('heading', { name }) });
  await expect(group('In progress')).toContainText('Oil the lamps');
  await demo.advance('P2D');
  await expect(group('Late')).toContainText('Oil the lamps');
});

test('an address that leads nowhere is a page of ours', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await aino.goto(`${demo.base}/no/such/page`);
  await expect(aino.getByRole('heading', { name: t('missing.title') })).toBeVisible();
  await aino.getByRole('button', { name: t('missing.toToday') }).click();
  await expect(aino).toHaveURL(`${demo.base}/`);
});

test('what is typed is there after a reload, for whoever typed it', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  const line = aino.getByRole('textbox', { name: t('capture.line') });
  await line.fill('Half a thought about the jetty');
  await aino.reload();
  await expect(line).toHaveValue('Half a thought about the jetty');
  await line.press('Enter');
  await expect(line).toHaveValue('');
  await aino.reload();
  await aino.getByRole('navigation').waitFor();
  await expect(line).toHaveValue('');
});

test('acknowledged, unchecked elsewhere, reloaded: it is not checked again', async ({ demo, devices }) => {
  const tapio = await devices.open(PHONE, { installed: true });
  const other = await devices.open(PHONE);
  await enterDemo(tapio, demo, 'Tapio');
  await enterDemo(other, demo, 'Tapio');
  await goOffline(tapio);
  await tapio.getByRole('checkbox', { name: 'Check off “Sand the steps to the shore”' }).click();
  await expect(tapio.getByText('1 change is waiting to be sent', { exact: false })).toBeVisible();
  await tapio.context().setOffline(false);
  await expect(tapio.getByText(/waiting to be sent/)).toBeHidden({ timeout: 40_000 });
  await other.getByRole('button', { name: /^Done today/ }).click();
  await other.getByRole('checkbox', { name: 'Uncheck “Sand the steps to the shore”' }).click();
  await expect(tapio.getByRole('checkbox', { name: 'Check off “Sand the steps to the shore”' })).toBeVisible();
  await tapio.reload();
  await expect(tapio.getByRole('checkbox', { name: 'Check off “Sand the steps to the shore”' })).toBeVisible();
});

test('access that ends while Kotiva is open: a page says so, with a way on', async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  const noor = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(noor, demo, 'Noor');
  await aino.getByRole('link', { name: t('nav.more'), exact: true }).click();
  await aino.getByRole('button', { name: starting('people.title') }).click();
  await aino.getByRole('button', { name: 'Edit Noor' }).click();
  const sheet = aino.getByRole('dialog');
  await sheet.getByRole('button', { name: t('person.end') }).click();
  await expect(sheet.getByRole('heading', { name: 'Remove Noor from this house' })).toBeVisible();
  for (const row of await sheet.getByRole('radiogroup').all()) await row.getByRole('radio', { name: t('end.later') }).click();
  await sheet.getByRole('button', { name: t('end.end') }).click();
  await expect(noor.getByRole('heading', { name: 'You no longer have access to Kaislaranta' })).toBeVisible();
  await noor.getByRole('button', { name: t('ended.makeOwn') }).click();
  await expect(noor.getByLabel(t('house.name'))).toBeVisible();
});
