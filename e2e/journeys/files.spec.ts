import { expect, type Page } from '@playwright/test';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { enterDemo, goOffline, visit, PHONE, test, WIDE } from './house.ts';
import { t } from './words.ts';

const FILES = `input[type=file][aria-label="${t('files.choose')}"]`;
const TITLE = 'Water under the sauna boiler';
const sheetOf = (page: Page) => page.getByRole('dialog', { name: TITLE });
const pictures = (page: Page) =>
  sheetOf(page)
    .getByRole('list', { name: t('files.pictures') })
    .getByRole('listitem');
const choose = (page: Page) => sheetOf(page).locator(FILES);

/** Some megabytes of it: noise can't be packed. */
const photo = async (name: string, width = 1600) => ({
  name,
  mimeType: 'image/jpeg',
  buffer: await sharp({ create: { width, height: 1200, channels: 3, background: 'grey', noise: { type: 'gaussian', mean: 128, sigma: 60 } } })
    .withMetadata({ orientation: 6 })
    .jpeg({ quality: 90 })
    .toBuffer(),
});
const pdf = (name: string, bytes: number) => ({
  name,
  mimeType: 'application/pdf',
  buffer: Buffer.concat([Buffer.from('%PDF-1.7\n%\u00e2\u00e3\u00cf\u00d3\n', 'latin1'), Buffer.alloc(bytes, 32)]),
});

async function add(page: Page, words: string): Promise<void> {
  const line = page.getByRole('textbox', { name: t('capture.line') });
  await line.fill(words);
  await line.press('Enter');
  await expect(line).toHaveValue('');
}
const open = async (page: Page, title = TITLE) => {
  await page
    .getByRole('button', { name: new RegExp(`^${title}`) })
    .first()
    .click();
  await expect(page.getByRole('dialog', { name: title })).toBeVisible();
};

test('a photo is seen on the other device; one cut off waits, goes on by itself over a reload, and is there once; taking away is undone', async ({
  demo,
  devices,
}) => {
  const [aino, leila] = [await devices.open(WIDE), await devices.open(PHONE)];
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(leila, demo, 'Leila');
  await add(aino, `${TITLE} @Leila`);
  await open(leila);
  await choose(leila).setInputFiles([await photo('boiler.jpg', 400)]);
  await expect(pictures(leila)).toHaveCount(1);
  // on the wide screen too, small on its row, upright
  await aino.goto(`${demo.base}${new URL(leila.url()).pathname}${new URL(leila.url()).search}`);
  await expect(pictures(aino)).toHaveCount(1);
  const small = pictures(aino).getByRole('img', { includeHidden: true }).or(pictures(aino).locator('img'));
  await expect.poll(() => small.first().evaluate((img: HTMLImageElement) => [img.naturalWidth > img.naturalHeight, img.complete])).toEqual([true, true]);

  // the second is cut off after its first part
  let [parts, isBack] = [0, false];
  await leila.context().route('**/files/coming/*', (route) => {
    const cut = route.request().method() === 'PATCH' && (parts += 1) > 1 && !isBack;
    return cut ? route.abort() : route.continue();
  });
  await choose(leila).setInputFiles([await photo('valve.jpg')]);
  await expect(sheetOf(leila).getByText(t('files.waiting'))).toBeVisible();
  await expect(sheetOf(aino).getByText(t('files.coming', { name: 'Leila' }))).toBeVisible();
  await leila.reload();
  await expect(sheetOf(leila).getByText('valve.jpg')).toBeVisible();
  isBack = true;
  await expect(pictures(leila)).toHaveCount(2);
  await expect(pictures(aino)).toHaveCount(2);
  await expect(sheetOf(leila).getByText('valve.jpg')).toBeHidden();
  expect(readdirSync(join(demo.data, 'files/coming'))).toEqual([]);

  // Aino adds the manual and an address, takes the manual away and that back
  await choose(aino).setInputFiles([pdf('manual.pdf', 2_000_000)]);
  await expect(sheetOf(leila).getByText('manual.pdf')).toBeVisible();
  await sheetOf(aino)
    .getByRole('button', { name: t('files.addLink') })
    .click();
  await sheetOf(aino).getByLabel(t('files.link')).fill('nothing');
  await sheetOf(aino)
    .getByRole('button', { name: t('files.addThat'), exact: true })
    .click();
  await expect(sheetOf(aino).getByRole('alert')).toHaveText(t('reason.bad-address'));
  await sheetOf(aino).getByLabel(t('files.link')).fill('valves.example/brass');
  await sheetOf(aino)
    .getByRole('button', { name: t('files.addThat'), exact: true })
    .click();
  await expect(sheetOf(leila).getByRole('link', { name: t('files.open', { name: 'valves.example' }) })).toHaveAttribute('href', 'https://valves.example/brass');
  await sheetOf(aino)
    .getByRole('button', { name: t('files.more', { name: 'manual.pdf' }) })
    .click();
  await aino.getByRole('menuitem', { name: t('files.remove') }).click();
  await expect(sheetOf(leila).getByText('manual.pdf')).toBeHidden();
  await sheetOf(aino)
    .getByRole('button', { name: t('common.undo') })
    .click();
  await expect(sheetOf(leila).getByText('manual.pdf')).toBeVisible();

  // seen large, and walked through
  await pictures(leila).first().getByRole('button').click();
  const viewer = leila.getByRole('dialog', { name: 'boiler.jpg' });
  await expect(viewer.getByRole('img', { name: 'boiler.jpg' })).toBeVisible();
  await viewer.getByRole('button', { name: t('files.next') }).click();
  await expect(leila.getByRole('dialog', { name: 'valve.jpg' })).toBeVisible();
  await leila.keyboard.press('Escape');
  await expect(sheetOf(leila)).toBeVisible();
});

test('too large, empty, and without a line: said at once, beside what it is about', async ({ demo, devices }) => {
  const leila = await devices.open(PHONE);
  await enterDemo(leila, demo, 'Leila');
  await add(leila, `${TITLE} again`);
  await open(leila, `${TITLE} again`);
  const sheet = leila.getByRole('dialog', { name: `${TITLE} again` });
  const chosen = sheet.locator(FILES);
  await expect(sheet.getByText(/^Up to 25 MB each\. .* left\.$/)).toBeVisible();
  await chosen.setInputFiles([
    pdf('film.pdf', 25 * 1024 * 1024),
    { name: 'nothing.txt', mimeType: 'text/plain', buffer: Buffer.alloc(0) },
    pdf('small.pdf', 100),
  ]);
  await expect(sheet.getByRole('alert')).toHaveText([
    t('files.tooLarge', { name: 'film.pdf', size: '25 MB', max: '25 MB' }),
    t('files.empty', { name: 'nothing.txt' }),
  ]);
  await expect(sheet.getByRole('link', { name: t('files.open', { name: 'small.pdf' }) })).toBeVisible();
  await goOffline(leila);
  await chosen.setInputFiles([pdf('later.pdf', 100)]);
  await expect(sheet.getByText('later.pdf')).toBeVisible();
  await expect(sheet.getByText(t('files.waitingOffline'))).toBeVisible();
  await leila.context().setOffline(false);
  await expect(sheet.getByRole('link', { name: t('files.open', { name: 'later.pdf' }) })).toBeVisible();
});

test('what asks for a photo gets one with the tick', async ({ demo, devices }) => {
  const [aino, leila] = [await devices.open(WIDE), await devices.open(PHONE)];
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(leila, demo, 'Leila');
  await add(aino, 'Room 4 made up @Leila');
  await open(leila, 'Room 4 made up');
  const url = new URL(leila.url());
  await aino.goto(`${demo.base}${url.pathname}${url.search}`);
  const sheet = aino.getByRole('dialog', { name: 'Room 4 made up' });
  await sheet.getByRole('button', { name: t('sentence.addLabel') }).click();
  await sheet.getByRole('button', { name: t('sentence.panel.wanted') }).click();
  await sheet.getByRole('radio', { name: t('wanted.kind.photo') }).click();
  await sheet.getByLabel(t('wanted.what')).fill('The room, ready');
  await sheet.getByRole('button', { name: t('due.set') }).click();
  // what is asked for has come to the other device
  await expect(leila.getByRole('dialog', { name: 'Room 4 made up' })).toContainText('The room, ready');
  await leila
    .getByRole('dialog', { name: 'Room 4 made up' })
    .getByRole('checkbox', { name: t('knot.tie', { title: 'Room 4 made up' }) })
    .first()
    .click();
  await leila
    .locator(FILES)
    .last()
    .setInputFiles([await photo('room4.jpg', 400)]);
  await leila.getByRole('button', { name: t('wanted.done'), exact: true }).click();
  await expect(sheet.getByText(new RegExp(t('said.kind.photo')))).toBeVisible();
  await expect(sheet.getByRole('img', { name: 'room4.jpg' })).toBeVisible();
});

test('a photo shared from another application is with what is to be sorted', async ({ demo, devices }) => {
  const leila = await devices.open(PHONE, { installed: true });
  await enterDemo(leila, demo, 'Leila');
  await leila.waitForFunction(() => navigator.serviceWorker.controller !== null);
  const { buffer } = await photo('gallery.jpg', 400);
  await leila.evaluate((bytes) => {
    const form = document.createElement('form');
    Object.assign(form, { method: 'post', action: '/share', enctype: 'multipart/form-data' });
    const field = Object.assign(document.createElement('input'), { type: 'file', name: 'files', multiple: true });
    const given = new DataTransfer();
    given.items.add(new File([Uint8Array.from(atob(bytes), (one) => one.charCodeAt(0))], 'gallery.jpg', { type: 'image/jpeg' }));
    field.files = given.files;
    const title = Object.assign(document.createElement('input'), { name: 'title', value: 'Leak in the porch' });
    form.append(field, title);
    document.body.append(form);
    form.submit();
  }, buffer.toString('base64'));
  await expect(leila).toHaveURL(/\/sort$/);
  await visit(leila, '/whole');
  await open(leila, 'Leak in the porch');
  await expect(
    leila
      .getByRole('dialog', { name: 'Leak in the porch' })
      .getByRole('list', { name: t('files.pictures') })
      .getByRole('listitem'),
  ).toHaveCount(1);
});

test('an arrow is drawn on a photo, seen on the other device, and drawn on there', { tag: '@deep' }, async ({ demo, devices }) => {
  const [aino, leila] = [await devices.open(WIDE), await devices.open(PHONE)];
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(leila, demo, 'Leila');
  const title = 'Crack in the porch';
  await add(aino, `${title} @Leila`);
  await open(leila, title);
  const address = new URL(leila.url());
  await aino.goto(`${demo.base}${address.pathname}${address.search}`);
  const sheets = [leila, aino].map((page) => page.getByRole('dialog', { name: title }));
  await sheets[0]!.locator(FILES).setInputFiles([await photo('crack.jpg', 400)]);
  const draw = async (page: Page) => {
    const sheet = page.getByRole('dialog', { name: title });
    const shown = sheet.getByRole('list', { name: t('files.pictures') }).getByRole('listitem');
    const before = await shown.count();
    await shown.last().getByRole('button').click();
    await page.getByRole('button', { name: /^More about/ }).click();
    await page.getByRole('menuitem', { name: t('files.drawOn') }).click();
    const pad = page.getByRole('dialog', { name: t('sketch.title') });
    const paper = (await pad.getByRole('img', { name: t('sketch.paper') }).boundingBox())!;
    await expect(pad.getByRole('button', { name: t('sketch.save') })).toBeDisabled();
    await page.mouse.move(paper.x + 20, paper.y + 20);
    await page.mouse.down();
    await page.mouse.move(paper.x + 60, paper.y + 50);
    await page.mouse.move(paper.x + 90, paper.y + 60);
    await page.mouse.up();
    await pad.getByRole('button', { name: t('sketch.save') }).click();
    for (const other of sheets) await expect(other.getByRole('list', { name: t('files.pictures') }).getByRole('listitem')).toHaveCount(before + 1);
  };
  for (const sheet of sheets) await expect(sheet.getByRole('list', { name: t('files.pictures') }).getByRole('listitem')).toHaveCount(1);
  await draw(leila);
  await draw(aino);
});
