import { v7 } from 'uuid';
import { chromium } from 'playwright-core';
import { ARGS, cookieOf } from './browser.ts';
import { DemoPerson } from './people.ts';
import { percentile, report, timed } from './report.ts';
import { scrollThrough } from './scrolling.ts';
import { arrivals, startEcho } from './wire.ts';

const DEVICES = 20;
const ROUNDS = 40;
const ITEMS = 300;
const PEOPLE = 20;

/** From one change to its arrival on the last of 50 open devices, beside an echo to as many. */
export async function fanout(base: string): Promise<void> {
  const aino = await DemoPerson.signIn(base, 'Aino');
  const part = await aino.itemForMe('Bench: watch me, all of you');
  const open = await Promise.all(Array.from({ length: DEVICES }, async () => arrivals(await aino.live(), (data) => (data.includes(part.item) ? 'row' : null))));
  const echo = await startEcho();
  const echoes = await Promise.all(Array.from({ length: DEVICES }, async () => arrivals(await fetch(`${echo.base}/live`), (data) => data)));
  const took: number[] = [];
  const echoed: number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const change = () => aino.send(round % 2 === 0 ? 'part.checkOff' : 'part.uncheck', part);
    took.push(await timed(() => Promise.all([...open.map((device) => device.next()), change()])));
    const say = () => fetch(`${echo.base}/say`, { method: 'POST', body: `word ${round}` }).then((answer) => answer.text());
    echoed.push(await timed(() => Promise.all([...echoes.map((device) => device.next()), say()])));
  }
  echo.stop();
  report('fanout_ms', percentile(took, 0.5), 'ms', percentile(echoed, 0.5));
}

/** How long after its moment a reminder is on an open device, beside the second by which the server looks. */
export async function timerDrift(base: string): Promise<void> {
  // of one account only so many streams are open, and the fan-out holds them
  const petri = await DemoPerson.signIn(base, 'Petri');
  const { item } = await petri.itemForMe('Bench: remind me');
  await petri.send('alarm.set', { item, trigger: { kind: 'relative', to: 'due', offset: '-P1D' } });
  const alarm = (await petri.rows('alarm')).find((one) => one.itemId === item)!.id;
  const rings = await arrivals(await petri.live(), (data) => (data.includes('"reminder"') && data.includes(alarm) ? 'ring' : null));
  const drifts: number[] = [];
  for (let round = 0; round < 8; round++) {
    const { now } = (await (await fetch(`${base}/api/simulate/clock`)).json()) as { now: string };
    const ahead = Date.parse(now) - Date.now();
    const until = Date.now() + 1_200 + round * 130;
    await petri.send('alarm.snooze', { alarm, until: new Date(until + ahead).toISOString() });
    await rings.next();
    drifts.push(Date.now() - until);
  }
  report('timer_drift_ms', percentile(drifts, 0.5), 'ms', 1_000);
}

/** From a tap on Follow-up to the weave of 300 things and 20 people, and its frames while it scrolls; beside a bare table as large. */
export async function weave(base: string): Promise<void> {
  await fillWeave(base);
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ARGS });
  const context = await browser.newContext({ serviceWorkers: 'block', viewport: { width: 1280, height: 800 } });
  await context.addCookies([await cookieOf(base)]);
  const page = await context.newPage();
  await page.goto(base);
  await page.getByRole('link', { name: 'Follow-up' }).waitFor();
  const times: number[] = [];
  for (let round = 0; round < 5; round++) {
    await page.getByRole('link', { name: 'Today' }).click();
    await page.getByRole('heading', { level: 1 }).first().waitFor();
    times.push(await page.evaluate<number>(SHOWN));
  }
  const fps = await page.evaluate<number>(scrollThrough('[role=table]'));
  await page.setContent(`<div style="height:100vh;overflow:auto"><table>${bareRows()}</table></div>`);
  const bareMs = await page.evaluate<number>(BARE);
  const bareFps = await page.evaluate<number>(scrollThrough('table'));
  await browser.close();
  report('weave_render_ms', percentile(times, 0.5), 'ms', bareMs);
  report('weave_scroll_fps', fps, 'frames/s', bareFps);
}

/** Enough people and things handed over that the weave is as large as a busy house's. */
async function fillWeave(base: string): Promise<void> {
  const aino = await DemoPerson.signIn(base, 'Aino');
  const known = await aino.rows('person');
  for (let nth = known.length; nth <= PEOPLE; nth++) await aino.send('person.add', { name: `Helper ${nth}`, mark: `${nth}x`, colour: 'moss', pattern: 'weft' });
  const people = (await aino.rows('person')).filter(({ id }) => id !== aino.personId).map(({ id }) => id);
  for (let from = 0; from < ITEMS; from += 50) {
    const items = Array.from({ length: 50 }, (_, nth) => ({
      title: `Weave ${from + nth}`,
      persons: people.filter((_id, column) => (column + from + nth) % 4 !== 0).slice(0, PEOPLE),
      policy: 'each' as const,
    }));
    await aino.send('item.addMany', { items });
  }
}

const FRAME = 'new Promise((resume) => requestAnimationFrame(() => setTimeout(resume)))';

/** In the page, as text: from the tap until the weave's rows are painted. */
const SHOWN = `(async () => {
  const from = performance.now();
  [...document.querySelectorAll('[role=link]')].find((link) => link.textContent.includes('Follow-up')).click();
  while (document.querySelectorAll('[role=table] [role=row]').length < 10) await ${FRAME};
  await ${FRAME};
  return performance.now() - from;
})()`;

const BARE = `(async () => {
  const table = document.querySelector('table');
  const rows = table.innerHTML;
  table.innerHTML = '';
  await ${FRAME};
  const from = performance.now();
  table.innerHTML = rows;
  await ${FRAME};
  return performance.now() - from;
})()`;

const bareRows = (): string =>
  Array.from(
    { length: ITEMS },
    (_, row) =>
      `<tr style="height:48px"><td>Weave ${row} ${v7().slice(0, 4)}</td>${'<td><svg width="28" height="28"><path d="M14 2L26 14L14 26L2 14Z"/></svg></td>'.repeat(PEOPLE)}</tr>`,
  ).join('');
