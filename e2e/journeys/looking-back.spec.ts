import { expect, type Page } from '@playwright/test';
import { enterDemo, visit, PHONE, test, WIDE } from './house.ts';
import { t } from './words.ts';

const total = async (page: Page): Promise<number> => Number(/\d+/.exec(await page.getByText(/^\d+ things? done$/).innerText())![0]); // prettier-ignore

test('a week is looked back over: what is done elsewhere counts at once, others’ punctuality is the managers’', { tag: '@deep' }, async ({ demo, devices }) => {
  const aino = await devices.open(WIDE);
  await enterDemo(aino, demo, 'Aino');
  await aino.getByRole('link', { name: t('nav.more') }).click();
  await aino.getByRole('button', { name: new RegExp(`^${t('back.title')}`) }).click();
  await expect(aino.getByRole('heading', { level: 1, name: t('back.title') })).toBeVisible();
  const before = await total(aino);

  const tapio = await devices.open(PHONE);
  await enterDemo(tapio, demo, 'Tapio');
  await tapio.getByRole('checkbox', { name: 'Check off “Gutter, north side”' }).click();
  await expect.poll(() => total(aino)).toBe(before + 1);
  await expect(aino.getByRole('button', { name: /Gutter, north side/ }).first()).toBeVisible();

  // narrowed to one, it is theirs alone; the days are part of the address
  await aino.getByRole('button', { name: /^Tapio/ }).first().click(); // prettier-ignore
  await expect(aino.getByText(/things? done by Tapio$/)).toBeVisible();
  await aino.getByRole('button', { name: /^Tapio/ }).first().click(); // prettier-ignore
  await aino.getByRole('radio', { name: t('back.span.lastMonth') }).click();
  await expect.poll(() => total(aino)).toBeGreaterThan(before + 1);
  await aino.reload();
  await expect(aino.getByRole('radio', { name: t('back.span.lastMonth') })).toBeChecked();

  // the wrong way round it is turned, and that is said
  await visit(aino, '/looking-back?from=2026-11-30&to=2026-11-01');
  await expect(aino.getByText(t('back.turned'))).toBeVisible();
  await expect(aino.getByText(/with a deadline on time \(\d+%\)/)).toBeVisible();

  // a helper reads how much others did, not how late
  await visit(tapio, '/looking-back?span=lastMonth');
  const people = tapio.getByRole('list', { name: t('back.byPerson') });
  await expect(people.getByRole('listitem').first()).toBeVisible();
  await expect(people.getByText(/on time/)).toHaveCount(1);
  await expect(tapio.getByText(/with a deadline on time/)).toHaveCount(0);
});

test('on paper it is whole, without what can only be tapped', async ({ demo, devices }) => {
  const aino = await devices.open(WIDE);
  await enterDemo(aino, demo, 'Aino');
  await visit(aino, '/looking-back?span=lastMonth');
  await expect(aino.getByText(/^\d+ things done$/)).toBeVisible();
  await aino.emulateMedia({ media: 'print' });
  await expect(aino.getByRole('navigation')).toBeHidden();
  await expect(aino.getByRole('textbox', { name: t('capture.line') })).toBeHidden();
  await expect(aino.getByText(/^\d+ things done$/)).toBeVisible();
  // nothing is left behind an edge that scrolls
  const cut = await aino.evaluate(() => [...document.querySelectorAll('#root div')].filter((one) => one.scrollHeight > one.clientHeight + 2 && getComputedStyle(one).overflowY !== 'visible').length); // prettier-ignore
  expect(cut).toBe(0);
});

test('195 pixels wide no name is broken, and days of another year name it', async ({ demo, devices }) => {
  const aino = await devices.open({ width: 195, height: 844 });
  await enterDemo(aino, demo, 'Aino');
  await visit(aino, '/looking-back?span=lastMonth');
  const first = aino.getByRole('list', { name: t('back.byPerson') }).getByText('Marek', { exact: true });
  await expect(first).toBeVisible();
  expect((await first.boundingBox())!.height).toBeLessThan(40);
  await visit(aino, '/looking-back?from=2025-01-01&to=2025-12-31');
  await expect(aino.getByText(t('back.range', { from: 'Wed 1 Jan 2025', to: 'Wed 31 Dec 2025' }))).toBeVisible();
  // years there are not are no days: it shows this week
  await visit(aino, '/looking-back?from=0001-01-01&to=9999-12-31');
  await expect(aino.getByRole('radio', { name: t('back.span.week'), exact: true })).toBeChecked();
});
