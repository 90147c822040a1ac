import { chromium } from 'playwright-core';
import { ARGS, cookieOf } from './browser.ts';
import { DemoPerson } from './people.ts';
import { report } from './report.ts';
import { scrollThrough } from './scrolling.ts';

const ROWS = 5_000;
const NAME = 'Five thousand rows';

/** Frames a second while a table of 5,000 things is scrolled, beside a bare table of as many rows. */
export async function tableFps(base: string): Promise<void> {
  const aino = await DemoPerson.signIn(base, 'Aino');
  await aino.send('list.make', { name: NAME, colour: 'moss', icon: 'list' });
  const list = (await aino.rows('list')).find((row) => row.name === NAME)!.id;
  for (let from = 0; from < ROWS; from += 500)
    await aino.send('item.addMany', { list, items: Array.from({ length: 500 }, (_, nth) => ({ title: `Row ${from + nth + 1}` })) });
  await aino.send('view.arrange', { view: list, layout: 'table' });
  const narrow = JSON.stringify({ match: 'all', state: 'open', conditions: [{ of: 'list', ids: [list], not: false }] });
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ARGS });
  const context = await browser.newContext({ serviceWorkers: 'block', viewport: { width: 1280, height: 800 } });
  await context.addCookies([await cookieOf(base)]);
  const page = await context.newPage();
  await page.goto(`${base}/whole?narrow=${encodeURIComponent(narrow)}`);
  await page.locator(`table[aria-rowcount="${ROWS + 1}"]`).waitFor();
  const ours = await page.evaluate<number>(scrollThrough('table'));
  const row = '<td>Row</td><td></td><td>today</td><td>Five thousand rows</td><td>#boats</td>';
  await page.setContent(`<div style="height:100vh;overflow:auto"><table>${`<tr style="height:44px">${row}</tr>`.repeat(ROWS)}</table></div>`);
  const bare = await page.evaluate<number>(scrollThrough('table'));
  await browser.close();
  report('table_5k_scroll_fps', ours, 'frames/s', bare);
}
