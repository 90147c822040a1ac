import { expect, type Page } from '@playwright/test';
import { enterDemo, test, WIDE } from './house.ts';
import { t } from './words.ts';

/** What has the focus, as it is called and said. */
const focused = (page: Page): Promise<string> =>
  page.evaluate(() => {
    const element = document.activeElement;
    if (!element || element === document.body) return 'nothing';
    return (element.getAttribute('aria-label') ?? (element as HTMLElement).innerText ?? '').replace(/\s+/g, ' ').trim();
  });

const hasFocus = (page: Page, name: RegExp | string) => expect.poll(() => focused(page)).toMatch(name);

/** By its name, from wherever one is. */
async function go(page: Page, name: string): Promise<void> {
  await page.keyboard.press('Control+k');
  await hasFocus(page, t('palette.words'));
  await page.keyboard.type(name);
  await page.keyboard.press('Enter');
}

test('a day by keys alone: add, date, person, tick, untick, next list, find, hand over, back', async ({ demo, devices }) => {
  const page = await devices.open(WIDE);
  await enterDemo(page, demo, 'Aino');
  const { keyboard } = page;
  const sheet = page.getByRole('dialog');

  // the first Tab leads past the bars
  await keyboard.press('Tab');
  await hasFocus(page, t('nav.skip'));
  await keyboard.press('Enter');
  expect(await page.evaluate(() => document.activeElement?.getAttribute('role'))).toBe('main');

  // add, with its person and its day
  await keyboard.press('n');
  await hasFocus(page, t('capture.line'));
  await keyboard.type('Ask Leila to dust the lamps by Friday');
  await keyboard.press('Enter');
  await expect(page.getByText('Added “Dust the lamps” and handed it to Leila.', { exact: false })).toBeVisible();
  await hasFocus(page, t('capture.line'));
  await keyboard.press('Escape');

  // a list, its rows, tick and untick
  await go(page, 'boat');
  await expect(page.getByRole('heading', { level: 1, name: 'Boathouse' })).toBeVisible();
  for (let steps = 0; steps < 40 && !(await focused(page)).startsWith('Drain the rain barrel'); steps++) await keyboard.press('j');
  await hasFocus(page, /^Drain the rain barrel/);
  await keyboard.press('Space');
  await expect(page.getByText('Checked off “Drain the rain barrel”.', { exact: false })).toBeVisible();
  expect(await focused(page)).not.toBe('nothing');
  await keyboard.press('z');
  await expect(page.getByRole('checkbox', { name: 'Check off “Drain the rain barrel”' })).toBeVisible();
  expect(await focused(page)).not.toBe('nothing');

  // somebody else's is not tied, nor opened, by the space bar
  for (let steps = 0; steps < 40 && !(await focused(page)).startsWith('Sweep the jetty'); steps++) await keyboard.press('k');
  for (let steps = 0; steps < 40 && !(await focused(page)).startsWith('Sweep the jetty'); steps++) await keyboard.press('j');
  await keyboard.press('Space');
  await expect(page.getByText('Nothing here is yours to check off.', { exact: false })).toBeVisible();
  await expect(sheet).toHaveCount(0);

  // a day, in words: the field is there at once
  for (let steps = 0; steps < 40 && !(await focused(page)).startsWith('Drain the rain barrel'); steps++) await keyboard.press('j');
  for (let steps = 0; steps < 40 && !(await focused(page)).startsWith('Drain the rain barrel'); steps++) await keyboard.press('k');
  await keyboard.press('l');
  await hasFocus(page, t('due.words'));
  await keyboard.type(t('date.tomorrow'));
  await keyboard.press('Enter');
  await expect(page.getByText(/^Planned for tomorrow/)).toBeVisible();

  // hand over from its sheet, and back to its row
  await keyboard.press('h');
  await hasFocus(page, t('person.find'));
  await keyboard.type('tap');
  await keyboard.press('Enter');
  await expect(sheet.getByRole('checkbox', { name: /Tapio/ })).toBeChecked();
  for (let steps = 0; steps < 40 && (await focused(page)) !== 'Hand over'; steps++) await keyboard.press('Tab');
  await keyboard.press('Enter');
  await expect(sheet.getByText('to Tapio', { exact: false }).first()).toBeVisible();
  await keyboard.press('Escape');
  await expect(sheet).toHaveCount(0);
  await hasFocus(page, /^Drain the rain barrel/);

  // find, and back to what was found
  await keyboard.press('/');
  await hasFocus(page, t('find.words'));
  await keyboard.type('rain barrel');
  await expect(page.getByRole('checkbox', { name: 'Check off “Drain the rain barrel”' })).toBeVisible();
  await keyboard.press('Escape');
  await keyboard.press('j');
  await hasFocus(page, /^Drain the rain barrel/);
  await keyboard.press('Enter');
  await expect(sheet).toBeVisible();
  await page.goBack();
  await expect(sheet).toHaveCount(0);
  await hasFocus(page, /^Drain the rain barrel/);

  // the next list
  await go(page, 'kitchen');
  await expect(page.getByRole('heading', { level: 1, name: 'Kitchen' })).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('heading', { level: 1, name: t('find.title') })).toBeVisible();
  await expect(page.getByRole('textbox', { name: t('find.words') })).toHaveValue('rain barrel');
  await expect(page).toHaveURL(/words=rain/);
  await keyboard.press('Escape');

  // a button of the page, by its words
  await keyboard.press('2');
  await expect(page.getByRole('heading', { level: 1, name: t('nav.lists') })).toBeVisible();
  await go(page, 'new list');
  await expect(sheet).toBeVisible();
  await keyboard.press('Escape');
  await expect(sheet).toHaveCount(0);
});

test('rows move by keys; the keys of a place are told there, and can be switched off', async ({ demo, devices }) => {
  const page = await devices.open(WIDE);
  await enterDemo(page, demo, 'Aino');
  const { keyboard } = page;
  const sheet = page.getByRole('dialog');
  await keyboard.press('?');
  await expect(sheet.getByRole('heading', { name: t('keys.title') })).toBeVisible();
  await expect(sheet.getByText('Alt + arrows')).toHaveCount(0);
  await keyboard.press('Escape');
  await go(page, 'boat');
  await expect(page.getByRole('heading', { level: 1, name: 'Boathouse' })).toBeVisible();
  for (let steps = 0; steps < 40 && !(await focused(page)).startsWith('Drain the rain barrel'); steps++) await keyboard.press('j');
  await keyboard.press('Alt+ArrowDown');
  await expect(page.getByText(t('said.reordered'), { exact: true })).toBeVisible();
  await keyboard.press('?');
  await expect(sheet.getByText('Alt + arrows')).toBeVisible();
  await keyboard.press('Escape');
  await keyboard.press('5');
  await go(page, t('settings.device'));
  await go(page, 'single-key');
  await page.keyboard.press('1');
  await expect(page.getByRole('heading', { level: 1, name: t('settings.device') })).toBeVisible();
});
