import { expect, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { enterDemo, goOffline, PHONE, test, WIDE } from './house.ts';
import { starting, t } from './words.ts';

const spot = (latitude: number, longitude: number, accuracy = 10) => ({ latitude, longitude, accuracy });
const GUESTHOUSE = spot(62.30036, 27.1);
const WORKSHOP = spot(62.306115, 27.230593);
const SHOP = spot(62.309893, 27.146433);
/** 400 m north of the shop. */
const ON_THE_ROAD = spot(62.31349, 27.146433);

/** The application asks its device again after so long. */
const NEXT_LOOK = 41_000;
/** Keeps what the page's device was last told beside the application, to know when it has been. */
const watchToo = (page: Page) =>
  page.evaluate(() => {
    navigator.geolocation.watchPosition(({ coords }) => Object.assign(window, { toldLatitude: coords.latitude }));
  });
/** There long enough for the application to look twice; this returns once it has. */
async function goTo(page: Page, at: ReturnType<typeof spot>): Promise<void> {
  const told = async (latitude: number) => {
    await page.context().setGeolocation({ ...at, latitude });
    await page.waitForFunction((wanted) => (window as unknown as { toldLatitude?: number }).toldLatitude === wanted, latitude);
  };
  await told(at.latitude);
  await page.clock.fastForward(NEXT_LOOK);
  // a step aside: less than a metre
  await told(at.latitude + 0.000001);
}
const openPlaces = async (page: Page, base: string) => {
  await page.goto(`${base}/places`);
  await page.getByRole('heading', { level: 1, name: t('places.title') }).waitFor();
};
async function sayAt(page: Page, base: string, place: string): Promise<void> {
  await openPlaces(page, base);
  await page.getByRole('button', { name: /^I’m at/ }).click();
  await page
    .getByRole('group', { name: t('here.say') })
    .getByRole('button', { name: place, exact: true })
    .click();
}
const status = (page: Page, words: string | RegExp) => page.getByRole('status').filter({ hasText: words });

test(
  'a place by address, by standing there, by a tap and in degrees; what is wrong is said beside it and nothing typed is lost',
  { tag: '@deep' },
  async ({ demo, devices }) => {
    const aino = await devices.open(PHONE, { at: spot(62.2916, 27.1223, 14) });
    await enterDemo(aino, demo, 'Aino');
    await openPlaces(aino, demo.base);
    const sheet = aino.getByRole('dialog');
    const begin = async (name: string) => {
      await aino.getByRole('button', { name: t('place.new') }).click();
      await sheet.getByLabel(t('place.name')).fill(name);
    };
    const save = () => sheet.getByRole('button', { name: t('common.save') }).click();

    await begin('Old mill');
    await sheet.getByLabel(t('place.address')).fill('Rivre road');
    await sheet.getByRole('button', { name: t('place.find') }).click();
    await expect(sheet.getByRole('alert').filter({ hasText: 'Nothing found. What you typed is kept' })).toBeVisible();
    await expect(sheet.getByLabel(t('place.address'))).toHaveValue('Rivre road');
    await sheet.getByLabel(t('place.address')).fill('river road 2');
    await sheet.getByRole('button', { name: t('place.find') }).click();
    await sheet.getByRole('button', { name: 'Old mill, River road 2' }).click();
    for (const wrong of ['0', 'wide']) {
      await sheet.getByLabel(t('place.radius')).fill(wrong);
      await save();
      await expect(sheet.getByText('Enter whole metres, from 50 to 5000: devices can’t tell less.')).toBeVisible();
    }
    await sheet.getByLabel(t('place.radius')).fill('70');
    await sheet.getByRole('button', { name: t('hours.write') }).click();
    await sheet.getByLabel(t('hours.written')).fill('Mo-Fr around nine');
    await save();
    await expect(sheet.getByText(/We can’t read these opening hours: Mo-Fr around nine/)).toBeVisible();
    await sheet.getByLabel(t('hours.written')).fill('Mo-Su 00:00-24:00');
    await save();
    await expect(aino.getByRole('button', { name: /^Old mill always open · River road 2 · within 70 m/ })).toBeVisible();

    await begin('Ferry');
    await sheet.getByRole('button', { name: t('place.iAmHere') }).click();
    await expect(sheet.getByText('From this device, accurate to 14 m.')).toBeVisible();
    await expect(sheet.getByText(/It’s at 62\.29160, 27\.12230/)).toBeVisible();
    await sheet.getByRole('button', { name: t('hours.add') }).click();
    await sheet.getByLabel('To 1', { exact: true }).fill('18:00');
    await save();
    await aino.getByRole('button', { name: /^Ferry / }).click();
    await expect(aino.getByText('Mon–Fri 09:00–18:00')).toBeVisible();
    await aino.goBack();

    await begin('Swimming rock');
    await sheet.getByRole('region', { name: t('map.choose') }).click({ position: { x: 60, y: 60 } });
    await expect(sheet.getByText(/^It’s at 62\./)).toBeVisible();
    await save();
    await expect(aino.getByRole('button', { name: /^Swimming rock within 100 m/ })).toBeVisible();

    await begin('Bell tower');
    await sheet.getByRole('button', { name: t('place.degrees') }).click();
    const degrees = async (lat: string, lon: string) => {
      await sheet.getByLabel(t('place.lat')).fill(lat);
      await sheet.getByLabel(t('place.lon')).fill(lon);
      await sheet.getByRole('button', { name: t('place.takeDegrees') }).click();
    };
    await degrees('east', '27');
    await expect(sheet.getByText('Enter both as numbers')).toBeVisible();
    await degrees('127.1', '62.3');
    await expect(sheet.getByText(/These look swapped/)).toBeVisible();
    await degrees('62,307', '27.145');
    await expect(sheet.getByText(/It’s at 62\.30700, 27\.14500/)).toBeVisible();
    await save();
    await aino.getByRole('button', { name: /^Bell tower / }).click();
    await expect(aino.getByRole('heading', { level: 1, name: 'Bell tower' })).toBeVisible();
  },
);

test('arriving rings once, passing by and vague looks do not; what belongs there stands on the day and is ticked there', async ({ demo, devices }) => {
  const tapio = await devices.open(PHONE, { at: GUESTHOUSE });
  await tapio.clock.install();
  await enterDemo(tapio, demo, 'Tapio');
  await openPlaces(tapio, demo.base);
  await tapio.getByRole('checkbox', { name: t('looking.switch') }).click();
  await expect(tapio.getByText(t('looking.on'))).toBeVisible();
  // how it is found at the first look is kept, and rings nothing
  await expect(tapio.getByRole('button', { name: /^Guesthouse you are here/ })).toBeVisible();

  await watchToo(tapio);
  for (const at of [ON_THE_ROAD, { ...SHOP, accuracy: 2_000 }]) await goTo(tapio, at);
  await expect(tapio.getByText(/^On, but this device only knows its location to within 2000 m/)).toBeVisible();
  await goTo(tapio, WORKSHOP);
  await expect(status(tapio, 'At Engine workshop: “Collect the outboard from the workshop”')).toBeVisible();
  await expect(tapio.getByRole('button', { name: /^Village shop you are here/ })).toHaveCount(0);
  await expect(tapio.getByRole('button', { name: /^Guesthouse you are here/ })).toHaveCount(0);

  await tapio.getByRole('link', { name: t('nav.today') }).click();
  const here = tapio.getByRole('region', { name: 'Here, at Engine workshop' });
  await expect(here.getByRole('checkbox')).toHaveCount(4);
  await here.getByRole('button', { name: 'Open: Engine workshop' }).click();
  for (const list of ['Boathouse', 'Errands', 'Sauna and shore', 'Van']) await expect(tapio.getByRole('group', { name: list })).toBeVisible();
  await tapio.getByRole('checkbox', { name: 'Check off “Have the chainsaw sharpened”' }).click();
  await expect(tapio.getByRole('group', { name: 'Errands' })).toHaveCount(0);

  // reloaded, it goes on from where it was: the same visit does not ring again
  await tapio.reload();
  await expect(tapio.getByText(t('here.youAre'))).toBeVisible();
  await watchToo(tapio);
  await goTo(tapio, WORKSHOP);
  await expect(status(tapio, /^At Engine workshop/)).toHaveCount(0);
  await goTo(tapio, ON_THE_ROAD);
  await expect(tapio.getByText(t('here.youAre'))).toHaveCount(0);
  // at the next visit it does, since it is still open
  await goTo(tapio, WORKSHOP);
  await expect(status(tapio, 'At Engine workshop: “Collect the outboard from the workshop”')).toBeVisible();
});

test('whoever gets there first has it; the others are told that somebody is there, not who', async ({ demo, devices }) => {
  const [oona, eetu] = [await devices.open(PHONE), await devices.open(PHONE)];
  await enterDemo(oona, demo, 'Oona');
  await enterDemo(eetu, demo, 'Eetu');
  await sayAt(oona, demo.base, 'Village shop');
  await expect(status(oona, 'At Village shop: “40 candles for the lanterns”')).toBeVisible();
  await sayAt(eetu, demo.base, 'Village shop');
  await expect(status(eetu, 'Someone else is already there and has “40 candles for the lanterns”.')).toBeVisible();
  await expect(eetu.getByRole('button', { name: /^Notifications, / })).toBeVisible();
  await eetu.getByRole('button', { name: /^Notifications, / }).click();
  await expect(eetu.getByRole('dialog').getByText('At Village shop: “40 candles for the lanterns”')).toHaveCount(0);
  await oona.getByRole('button', { name: /^Notifications, / }).click();
  await expect(oona.getByRole('dialog').getByRole('button', { name: /^At Village shop: “40 candles for the lanterns”/ })).toBeVisible();
});

test('whoever leaves last is reminded, and reads of whom nothing is known', { tag: '@deep' }, async ({ demo, devices }) => {
  const [aino, petri] = [await devices.open(WIDE), await devices.open(PHONE)];
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(petri, demo, 'Petri');
  await sayAt(aino, demo.base, 'Guesthouse');
  await sayAt(petri, demo.base, 'Guesthouse');
  await aino.getByRole('link', { name: t('nav.lists') }).click();
  await aino.getByRole('button', { name: /^Sauna and shore/ }).click();
  await aino.getByRole('heading', { level: 1, name: 'Sauna and shore' }).waitFor();
  const line = aino.getByRole('textbox', { name: t('capture.line') });
  await line.fill('Close the sauna damper');
  await expect(aino.getByText('To Sauna and shore. Press Enter to add.')).toBeVisible();
  await line.press('Enter');
  await aino
    .getByRole('button', { name: /^Close the sauna damper/ })
    .first()
    .click();
  const sheet = aino.getByRole('dialog');
  await sheet.getByRole('button', { name: t('sentence.addLabel') }).click();
  await sheet.getByRole('button', { name: t('sentence.panel.reminders'), exact: true }).click();
  await sheet.getByRole('button', { name: t('alarm.atPlace') }).click();
  await sheet.getByRole('radio', { name: 'Guesthouse', exact: true }).click();
  await sheet.getByRole('radio', { name: t('alarm.crossing.leave') }).click();
  await sheet.getByRole('radio', { name: t('alarm.crosser.last') }).click();
  for (const name of ['Oona', 'Eetu', 'Leila'])
    await sheet
      .getByRole('group', { name: t('alarm.among') })
      .getByRole('checkbox', { name, exact: true })
      .click();
  await sheet.getByRole('button', { name: t('alarm.setThere') }).click();
  await expect(sheet.getByText(/whoever leaves Guesthouse last, else at 22:00, for Aino, Petri or Tapio/).first()).toBeVisible();
  await aino.keyboard.press('Escape');

  const leave = async (page: Page) => {
    await openPlaces(page, demo.base);
    await page.getByRole('button', { name: t('here.leave') }).click();
    await expect(page.getByRole('button', { name: t('here.say') })).toBeVisible();
  };
  await leave(aino);
  await expect(status(aino, /Leaving Guesthouse/)).toHaveCount(0);
  await leave(petri);
  await expect(status(petri, 'Leaving Guesthouse: “Close the sauna damper” We don’t know whether Tapio is still there.')).toBeVisible();
});

test('not allowed to look, it is said once, and by hand it does the same; without a network it rings here, and not again when it is told', async ({
  demo,
  devices,
}) => {
  const tapio = await devices.open(PHONE);
  await enterDemo(tapio, demo, 'Tapio');
  await openPlaces(tapio, demo.base);
  await tapio.getByRole('checkbox', { name: t('looking.switch') }).click();
  await expect(tapio.getByText(/This (browser isn’t allowed to see your location|device can’t tell where it is)/).first()).toBeVisible();
  await goOffline(tapio);
  await tapio.getByRole('button', { name: t('here.say') }).click();
  await tapio
    .getByRole('group', { name: t('here.say') })
    .getByRole('button', { name: 'Engine workshop', exact: true })
    .click();
  await expect(status(tapio, 'At Engine workshop: “Collect the outboard from the workshop”')).toBeVisible();
  await expect(tapio.getByText('1 change is waiting to be sent', { exact: false })).toBeVisible();
  await expect(status(tapio, 'At Engine workshop')).toHaveCount(0, { timeout: 40_000 });
  await tapio.context().setOffline(false);
  await expect(tapio.getByText(/waiting to be sent/)).toBeHidden({ timeout: 40_000 });
  await tapio.getByRole('button', { name: /^Notifications, / }).click();
  await expect(tapio.getByRole('dialog').getByText('At Engine workshop: “Collect the outboard from the workshop”')).toHaveCount(1);
  await expect(status(tapio, 'At Engine workshop')).toHaveCount(0);
  // put off until somewhere else
  await tapio
    .getByRole('dialog')
    .getByRole('button', { name: t('alarm.snooze') })
    .first()
    .click();
  await tapio
    .getByRole('dialog')
    .getByRole('button', { name: t('alarm.snooze.place') })
    .click();
  await tapio.getByRole('dialog').getByRole('button', { name: 'When I get to Timber yard' }).click();
  await tapio.keyboard.press('Escape');
  await expect(status(tapio, 'Reminding you when you get to Timber yard')).toBeVisible();
  await tapio.getByRole('button', { name: /^I’m at/ }).click();
  await tapio
    .getByRole('group', { name: t('here.say') })
    .getByRole('button', { name: 'Timber yard', exact: true })
    .click();
  await expect(status(tapio, /At Timber yard: .*“Collect the outboard from the workshop”/)).toBeVisible();
});

test('a place that is removed: how much hangs on it is said before, and what lay there stays', { tag: '@deep' }, async ({ demo, devices }) => {
  const aino = await devices.open(WIDE);
  await enterDemo(aino, demo, 'Aino');
  await openPlaces(aino, demo.base);
  await aino
    .getByRole('button', { name: /^Engine workshop/ })
    .last()
    .click();
  await aino.getByRole('button', { name: t('place.change') }).click();
  const sheet = aino.getByRole('dialog');
  await sheet.getByRole('button', { name: t('place.remove') }).click();
  await expect(
    sheet.getByText(/^\d+ open items? (is|are) done here; (it stays|they stay), without a place\. 1 reminder you can see depends on it/),
  ).toBeVisible();
  await sheet.getByRole('button', { name: 'Remove Engine workshop' }).click();
  await expect(aino.getByText(t('place.gone'))).toBeVisible();
  await aino.getByRole('button', { name: t('common.undo') }).click();
  await expect(aino.getByRole('heading', { level: 1, name: 'Engine workshop' })).toBeVisible();
  await expect(aino.getByRole('group', { name: 'Errands' })).toBeVisible();
});

test(
  'a round: the shortest way while places are open, an order of one’s own with what it costs, handed to somebody else',
  { tag: '@deep' },
  async ({ demo, devices }) => {
    const [petri, tapio] = [await devices.open(WIDE), await devices.open(PHONE)];
    await enterDemo(petri, demo, 'Petri');
    await enterDemo(tapio, demo, 'Tapio');
    await openPlaces(petri, demo.base);
    await petri.getByRole('button', { name: t('round.plan') }).click();
    const stops = petri.getByRole('group', { name: t('round.stops') });
    await expect(petri.getByText(/^Done at \d\d:\d\d$/)).toBeVisible();
    for (const name of [/^Quay/, /^Library/, /^Bakery/]) await stops.getByRole('checkbox', { name }).click();
    await expect(petri.getByText(t('round.left'))).toHaveCount(0);

    // late, the dairy has closed before one could be there
    await petri.getByRole('button', { name: /^From Guesthouse, at/ }).click();
    await petri.getByLabel(t('round.startHour')).fill('14:52');
    await expect(petri.getByRole('region', { name: t('round.left') }).getByText(/^Dairy: too far to get there in time/)).toBeVisible();
    await petri.getByLabel(t('round.startHour')).fill('13:00');
    await expect(petri.getByText(t('round.left'))).toHaveCount(0);

    const first = petri.getByRole('button', { name: /^Move / }).first();
    const moved = (await first.getAttribute('aria-label'))!.replace('Move ', '');
    await first.click();
    await petri.getByRole('menuitem', { name: t('move.down') }).click();
    await expect(petri.getByText(/min longer than the shortest|as short as the shortest|you can’t reach every stop/)).toBeVisible();
    await petri.getByRole('button', { name: t('round.takeBest') }).click();
    await expect(petri.getByRole('button', { name: /^Move / }).first()).toHaveAttribute('aria-label', `Move ${moved}`);

    const downloading = petri.waitForEvent('download');
    await petri.getByRole('button', { name: t('round.gpx') }).click();
    const gpx = readFileSync(await (await downloading).path(), 'utf8');
    expect(gpx.match(/<rtept /g)).toHaveLength(8);

    await petri.getByRole('button', { name: t('round.start') }).click();
    const next = petri.getByRole('region', { name: t('round.nextStop') });
    await expect(next.getByRole('heading', { name: moved })).toBeVisible();
    // checked off, it moves on by itself
    const boxes = next.getByRole('checkbox', { name: /^Check off/ });
    for (let left = await boxes.count(); left > 0 && (await next.getByRole('heading', { name: moved }).count()) > 0; left--) await boxes.first().click();
    await expect(next.getByRole('heading', { name: moved })).toHaveCount(0);
    await petri.getByRole('button', { name: t('round.hand') }).click();
    await petri.getByRole('radio', { name: 'Tapio' }).click();
    await petri.getByRole('button', { name: t('round.handNow') }).click();
    await expect(status(petri, 'Tapio now has the round.')).toBeVisible();

    await expect(tapio.getByText(/^Round: next /)).toBeVisible();
    await tapio.getByRole('button', { name: /^Notifications, / }).click();
    await tapio.getByRole('button', { name: /^Petri handed you an errand round with 8 stops/ }).click();
    await expect(tapio.getByRole('region', { name: t('round.nextStop') })).toBeVisible();
    await tapio.getByRole('button', { name: t('round.goOn') }).click();
    await expect(status(tapio, 'Next stop.')).toBeVisible();
  },
);

test('simulated phones walk a recorded way: what rang where is said, and rings on their people’s devices', { tag: '@deep' }, async ({ demo, devices }) => {
  const [aino, tapio] = [await devices.open(WIDE), await devices.open(PHONE)];
  await enterDemo(aino, demo, 'Aino');
  await enterDemo(tapio, demo, 'Tapio');
  await aino.getByRole('link', { name: t('nav.more') }).click();
  await aino.getByRole('button', { name: starting('phones.title') }).click();
  await aino.getByRole('checkbox', { name: /^Tapio/ }).click();
  const phone = aino.getByRole('group', { name: 'Phone of Tapio' });
  await phone.getByLabel(t('phones.file')).setInputFiles({ name: 'way.gpx', mimeType: 'application/gpx+xml', buffer: Buffer.from('<gpx></gpx>') });
  await expect(phone.getByText(/^way\.gpx isn’t a GPX track with times/)).toBeVisible();
  await phone.getByRole('radio', { name: 'To the engine workshop and back' }).click();
  await phone.getByRole('button', { name: t('phones.play') }).click();
  const log = aino.getByRole('log', { name: t('activity.title') });
  await expect(log.getByText('Tapio came to Engine workshop. Reminded: Collect the outboard from the workshop.')).toBeVisible({ timeout: 40_000 });
  await expect(status(tapio, 'At Engine workshop: “Collect the outboard from the workshop”')).toBeVisible();
  await expect(tapio.getByRole('region', { name: 'Here, at Engine workshop' })).toBeVisible();
  await expect(log.getByText(/Village shop/)).toHaveCount(0);
  await phone.getByRole('button', { name: t('phones.stop') }).click();
});

test('no clock and no place decides it: reminded when a situation begins, and when a device is opened next', { tag: '@deep' }, async ({ demo, devices }) => {
  const aino = await devices.open(PHONE);
  await enterDemo(aino, demo, 'Aino');
  await aino.getByRole('link', { name: t('nav.more') }).click();
  await aino.getByRole('button', { name: starting('settings.device') }).click();
  await aino.getByRole('button', { name: /^Signed in on/ }).click();
  await aino
    .getByRole('button', { name: /^Rename/ })
    .first()
    .click();
  const sheet = aino.getByRole('dialog');
  await sheet.getByLabel(t('devices.called')).fill('');
  await sheet.getByRole('button', { name: t('common.save') }).click();
  await expect(sheet.getByText(t('reason.title-empty'))).toBeVisible();
  await sheet.getByLabel(t('devices.called')).fill('Kitchen tablet');
  await sheet.getByRole('button', { name: t('common.save') }).click();
  await expect(aino.getByText('Kitchen tablet')).toBeVisible();

  await aino.getByRole('link', { name: t('nav.today') }).click();
  await aino.getByText('Varnish the jetty rail').first().click();
  await sheet.getByRole('button', { name: t('sentence.addLabel') }).click();
  await sheet.getByRole('button', { name: t('sentence.panel.reminders'), exact: true }).click();
  await sheet.getByRole('button', { name: t('alarm.occasion') }).click();
  await sheet.getByRole('button', { name: 'quiet hour', exact: true }).click();
  await sheet.getByRole('button', { name: 'Kitchen tablet (this one)' }).click();
  await expect(sheet.getByRole('button', { name: /^when “quiet hour” and when Kitchen tablet is opened/ })).toBeVisible();
  await aino.keyboard.press('Escape');

  const reminded = status(aino, 'Reminder: “Varnish the jetty rail”');
  await aino.getByRole('button', { name: t('soNow.off') }).click();
  await aino.getByRole('checkbox', { name: 'quiet hour' }).click();
  await expect(reminded).toBeVisible();
  await expect(reminded).toHaveCount(0, { timeout: 40_000 });
  await aino.reload();
  await expect(reminded).toBeVisible();
  // once; the situation is so already and does not begin again
  await aino.reload();
  await aino.getByRole('navigation').waitFor();
  const sent = aino.waitForResponse(/\/api\/commands$/);
  await aino.getByRole('textbox', { name: t('capture.line') }).fill('Buy varnish');
  await aino.getByRole('textbox', { name: t('capture.line') }).press('Enter');
  await sent;
  await aino.getByRole('button', { name: /^Notifications, / }).click();
  await expect(sheet.getByText('Reminder: “Varnish the jetty rail”')).toHaveCount(2);
});
