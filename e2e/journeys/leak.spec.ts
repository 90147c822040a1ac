import { expect, type Page } from '@playwright/test';
import sharp from 'sharp';
import { enterDemo, goOffline, visit, PHONE, test, WIDE } from './house.ts';
import { t } from './words.ts';

/** A leak from its first photo to the answer, among five people on three devices. */

const TITLE = 'Water under the sauna boiler';
const sheetOf = (page: Page) => page.getByRole('dialog', { name: TITLE });
const files = (page: Page, label: string) => sheetOf(page).locator(`input[type=file][aria-label="${label}"]`);
const pictures = (page: Page) =>
  sheetOf(page)
    .getByRole('list', { name: t('files.pictures') })
    .first()
    .getByRole('listitem');
const tapIn = (page: Page, name: string) => sheetOf(page).getByRole('button', { name, exact: true }).click();
const photo = async (name: string) => ({
  name,
  mimeType: 'image/jpeg',
  // lying on its side, as a camera writes it
  buffer: await sharp({ create: { width: 1200, height: 400, channels: 3, background: 'grey', noise: { type: 'gaussian', mean: 128, sigma: 60 } } })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer(),
});

async function openFromBell(page: Page): Promise<void> {
  await page.getByRole('button', { name: new RegExp(`^${t('notices.button', { count: 0 }).split(',')[0]}`) }).click();
  await page.getByRole('dialog', { name: t('notices.title') }).getByText(new RegExp(TITLE)).last().click(); // prettier-ignore
  await expect(sheetOf(page)).toBeVisible();
}

async function say(page: Page, words: string): Promise<void> {
  await sheetOf(page).getByLabel(t('item.saySomething')).fill(words);
  await tapIn(page, t('item.say'));
}

test(
  'a leak: a photo, notes by two, a question and its answer, a drawing, and a photo that waits for the line',
  { tag: '@deep' },
  async ({ demo, devices }) => {
    const [leila, aino, third] = [await devices.open(PHONE), await devices.open(WIDE), await devices.open(PHONE)];
    await enterDemo(leila, demo, 'Leila');
    await enterDemo(aino, demo, 'Aino');
    await enterDemo(third, demo, 'Tapio');
    const line = leila.getByRole('textbox', { name: t('capture.line') });
    await line.fill(`${TITLE} @Aino @Tapio @Marek`);
    await line.press('Enter');
    await expect(line).toHaveValue('');
    await visit(leila, '/follow-up');
    await leila
      .getByRole('button', { name: new RegExp(`^${TITLE}`) })
      .first()
      .click();
    await files(leila, t('files.takePhoto')).setInputFiles([await photo('boiler.jpg')]);
    await openFromBell(aino);
    await expect(pictures(aino)).toHaveCount(1);
    const shown = pictures(aino).locator('img').first();
    await expect.poll(() => shown.evaluate((img: HTMLImageElement) => img.naturalHeight > img.naturalWidth)).toBe(true);

    // notes with everything in them; one writes above while another writes below
    await tapIn(aino, t('item.writeNotes'));
    await tapIn(aino, t('notes.plain'));
    const notes = (page: Page) => sheetOf(page).getByRole('textbox', { name: t('item.notes') });
    await notes(aino).fill('## The valve\n\n- brass\n  - left\n\nIt is ~~new~~ old.\n\n## Parts\n\n| part | size |\n|---|---|\n| ring | 12 |\n| screw | 4 |');
    await tapIn(aino, t('common.save'));
    await openFromBell(third);
    await expect(sheetOf(third).getByRole('cell', { name: 'screw' })).toBeVisible();
    for (const page of [third, leila]) {
      await tapIn(page, t('item.changeNotes'));
      await tapIn(page, t('notes.plain'));
    }
    await notes(third).fill((await notes(third).inputValue()).replace('- brass', '- brass, half an inch'));
    await tapIn(third, t('common.save'));
    await notes(leila).fill(`${await notes(leila).inputValue()}\n\nRaimo has a ring.`);
    await tapIn(leila, t('common.save'));
    for (const page of [aino, third, leila]) {
      await expect(sheetOf(page).getByText('brass, half an inch')).toBeVisible();
      await expect(sheetOf(page).getByText('Raimo has a ring.')).toBeVisible();
    }
    await expect(sheetOf(aino).getByText(new RegExp(`^${t('notes.changed', { name: 'Leila', when: '' })}`))).toBeVisible();

    // a question with a picture of what is meant; that very remark is answered
    await files(leila, t('files.toRemark')).setInputFiles([await photo('which.jpg')]);
    await say(leila, 'Which valve is it?');
    const remark = sheetOf(third).getByRole('button', { name: t('files.picture', { name: 'which.jpg', by: 'Leila' }) });
    await expect(remark).toBeVisible();
    // it is with what was said, not with the item
    await expect(pictures(third)).toHaveCount(1);
    await sheetOf(third)
      .getByRole('button', { name: t('remark.more', { text: 'Which valve is it?' }) })
      .click();
    await third.getByRole('menuitem', { name: t('remark.answer') }).click();
    await say(third, 'The left one');
    await expect(sheetOf(leila).getByText(t('remark.answers', { name: 'Leila', text: 'Which valve is it?' }))).toBeVisible();

    // Petri can't see it: asked about first, then let in with the words
    await say(aino, '@Petri do you have one?');
    await tapIn(aino, t('remark.letInAndSend', { names: 'Petri' }));
    await expect(sheetOf(aino).getByText(t('guest.here', { name: 'Petri', giver: 'Aino' }))).toBeVisible();

    // the next photo is made without a line: it waits, seen, and is there once
    await goOffline(leila);
    await files(leila, t('files.takePhoto')).setInputFiles([await photo('floor.jpg')]);
    await expect(sheetOf(leila).getByText(t('files.waitingOffline'))).toBeVisible();
    await leila.context().setOffline(false);
    for (const page of [leila, aino, third]) await expect(pictures(page)).toHaveCount(2);

    // Marek, on the third device, draws on the photo
    await enterDemo(third, demo, 'Marek');
    await openFromBell(third);
    await pictures(third).first().getByRole('button').click();
    await third.getByRole('button', { name: /^More about/ }).click();
    await third.getByRole('menuitem', { name: t('files.drawOn') }).click();
    const paper = (await third.getByRole('img', { name: t('sketch.paper') }).boundingBox())!;
    await third.mouse.move(paper.x + 20, paper.y + 20);
    await third.mouse.down();
    await third.mouse.move(paper.x + 60, paper.y + 50);
    await third.mouse.up();
    await third.getByRole('button', { name: t('sketch.save') }).click();
    for (const page of [leila, aino]) await expect(pictures(page)).toHaveCount(3);

    // and Petri, let in, reads what it is about, replies, and changes nothing of it
    await enterDemo(third, demo, 'Petri');
    await openFromBell(third);
    await expect(sheetOf(third).getByText('The left one')).toBeVisible();
    await expect(sheetOf(third).getByText('Raimo has a ring.')).toBeVisible();
    await expect(sheetOf(third).getByRole('button', { name: t('item.changeNotes') })).toHaveCount(0);
    await expect(files(third, t('files.choose'))).toHaveCount(0);
    await say(third, 'Two of them, in the shed');
    await expect(sheetOf(aino).getByText('Two of them, in the shed')).toBeVisible();
  },
);
