import { expect } from '@playwright/test';
import { WHOLE } from '../browser.ts';
import { PHONE, test } from './house.ts';

test.use({ launchOptions: WHOLE });

test('what is pushed is shown by the browser with the application closed', async ({ empty, devices }) => {
  const page = await devices.open(PHONE, { installed: true, notifications: true });
  await page.goto(empty.base);
  await page.waitForFunction(async () => (await navigator.serviceWorker.ready).active?.state === 'activated');
  const cdp = await page.context().newCDPSession(page);
  const registration = new Promise<string>((resolve) => {
    cdp.on('ServiceWorker.workerRegistrationUpdated', ({ registrations }) => {
      const [found] = registrations;
      if (found) resolve(found.registrationId);
    });
  });
  await cdp.send('ServiceWorker.enable');
  const data = JSON.stringify({
    tag: 'one',
    title: 'Aino handed you “Read the fire plan”',
    body: 'By Sunday',
    houseId: '',
    noticeId: 'n',
    itemId: null,
    acts: ['take'],
  });
  const push = { origin: empty.base, registrationId: await registration, data };
  const shown = () =>
    page.evaluate(async () => {
      const registered = await navigator.serviceWorker.ready;
      return (await registered.getNotifications()).map(({ title, body, tag }) => ({ title, body, tag }));
    });
  // A browser drops what is pushed while its worker is still being set up; pushed again it replaces itself by its tag.
  const pushed = async () => {
    await cdp.send('ServiceWorker.deliverPushMessage', push);
    return shown();
  };
  await expect.poll(pushed).toEqual([{ title: 'Aino handed you “Read the fire plan”', body: 'By Sunday', tag: 'one' }]);
});
