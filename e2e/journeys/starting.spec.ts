import { expect } from '@playwright/test';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { freePort, PHONE, startInVain, test } from './house.ts';

test.use({ ownProcess: true });

test('what stands in the way of starting is said in a sentence', async ({ empty }) => {
  const file = join(empty.data, 'a file');
  writeFileSync(file, '');
  const port = String(await freePort());
  const taken = await startInVain('main', ['--port', String(empty.port), '--data', join(empty.data, 'other')]);
  expect(taken).toEqual({
    code: 1,
    said: `Port ${empty.port} is taken by another program. Choose another with --port or PORT, for mail with KOTIVA_SMTP_IN_PORT.\n`,
  });
  const unwritable = await startInVain('main', ['--port', port, '--data', file]);
  expect(unwritable.code).toBe(1);
  expect(unwritable.said).toContain(`The data folder ${file} can't be written`);
  const noPort = await startInVain('main', ['--port', 'abc']);
  expect(noPort).toEqual({ code: 1, said: "'abc' is not a port. Give a number from 1 to 65535.\n" });
});

test('the demo neither opens nor forgets what it has not made', async ({ empty, devices }) => {
  const page = await devices.open(PHONE);
  const made = await page.request.post(`${empty.base}/api/accounts`, { data: { email: 'aino@example.org', password: 'long enough', name: 'Aino' } });
  expect(made.ok()).toBe(true);
  await empty.kill();
  for (const more of [[], ['--fresh']]) {
    const refused = await startInVain('demo', ['--port', String(await freePort()), '--data', empty.data, ...more]);
    expect(refused).toMatchObject({ code: 1, said: expect.stringContaining('was not made by the demo') });
  }
  await empty.up();
  const signedIn = await page.request.post(`${empty.base}/api/session`, { data: { email: 'aino@example.org', password: 'long enough' } });
  expect(signedIn.ok()).toBe(true);
});

test('without --simulate and without the demo, what belongs to them does not exist', async ({ demo, devices }) => {
  const page = await devices.open(PHONE);
  expect((await page.request.get(`${demo.base}/api/simulate/clock`)).ok()).toBe(true);
  const back = await page.request.post(`${demo.base}/api/simulate/clock`, { data: { now: '2020-01-01T00:00:00Z' } });
  expect(back.status()).toBe(422);
  await demo.kill();
  await demo.up({ simulate: false });
  expect((await page.request.get(`${demo.base}/api/simulate/clock`)).status()).toBe(404);
  expect((await page.request.get(`${demo.base}/api/health`)).ok()).toBe(true);
});
