import { expect, type Locator, type Page } from '@playwright/test';
import { t } from './words.ts';

export const sheetOf = (page: Page): Locator => page.getByRole('dialog');
/** The ways items are laid out. */
export const layout = (page: Page, name: 'rows' | 'tiles' | 'table' | 'board' | 'calendar'): Locator =>
  page.getByRole('radio', { name: t(`layout.${name}`), exact: true });
export const heads = (page: Page): Locator => page.getByRole('columnheader');
export const headNames = async (page: Page): Promise<string[]> => (await heads(page).allInnerTexts()).map((text) => text.trim());
export const columnOf = (page: Page, name: string): Locator =>
  page.locator('.board-column').filter({ has: page.getByRole('heading', { level: 3, name, exact: true }) });

/** By the mouse. */
export async function drag(page: Page, what: Locator, to: Locator): Promise<void> {
  const [from, over] = [(await what.boundingBox())!, (await to.boundingBox())!];
  await page.mouse.move(from.x + 20, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x + 40, from.y + from.height / 2 + 4, { steps: 4 });
  await page.mouse.move(over.x + over.width / 2, over.y + Math.min(over.height / 2, 60), { steps: 8 });
  await page.mouse.up();
}

/** What has the focus is carried one place on, to where that is said. */
export async function carry(page: Page, way: 'ArrowLeft' | 'ArrowRight', to: string): Promise<void> {
  await page.keyboard.press('Space');
  await expect(page.locator('[id^=DndLiveRegion]').filter({ hasText: /^Over / })).toBeAttached();
  await page.keyboard.press(way);
  await expect(page.getByText(t('drag.over', { name: to }))).toBeAttached();
  await page.keyboard.press('Space');
}

/** Opens the sheet a view is narrowed in. */
export const narrow = (page: Page): Locator => page.getByRole('button', { name: t('filter.narrow'), exact: true });
export const fold = (page: Page, name: string): Locator => sheetOf(page).getByRole('button', { name, exact: true });
/** Closes it; says beforehand how many there are. */
export const show = (page: Page): Locator => sheetOf(page).getByRole('button', { name: /^Show \d+ items?$/ });
const numberIn = (text: string): number => Number(/\d+/.exec(text)![0]);
export const offered = async (page: Page): Promise<number> => numberIn(await show(page).innerText());
/** What the page says it has. */
export const countOn = async (page: Page): Promise<number> => numberIn(await page.getByText(/^\d+ (open|items?)$/).first().innerText()); // prettier-ignore
