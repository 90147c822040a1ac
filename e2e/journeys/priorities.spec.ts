import { expect } from '@playwright/test';
import { enterDemo, visit, PHONE, test, WIDE } from './house.ts';
import { t } from './words.ts';

test(
  'what is important against what is pressing: dragged it is both, on the other screen too, and one undo takes both back',
  { tag: '@deep' },
  async ({ demo, devices }) => {
    const aino = await devices.open(WIDE);
    const petri = await devices.open(PHONE);
    await enterDemo(aino, demo, 'Aino');
    await enterDemo(petri, demo, 'Petri');
    const ropes = JSON.stringify({ match: 'all', state: 'open', conditions: [{ of: 'words', words: 'rope', not: false }] });
    await visit(aino, `/whole?narrow=${encodeURIComponent(ropes)}`);
    await aino.getByRole('radio', { name: t('layout.priorities'), exact: true }).click();
    const cell = (band: 'tomorrow' | 'none', lane: number) =>
      aino
        .getByRole('row')
        .filter({ has: aino.getByRole('rowheader', { name: t(`band.${band}`), exact: true }) })
        .getByRole('cell')
        .nth(lane);
    const rope = (where: ReturnType<typeof cell>) => where.getByRole('button', { name: /^New rope for the mooring/ });
    await expect(rope(cell('none', 3))).toBeVisible();
    const [from, to] = [(await rope(cell('none', 3)).boundingBox())!, (await cell('tomorrow', 1).boundingBox())!];
    await aino.mouse.move(from.x + 30, from.y + from.height / 2);
    await aino.mouse.down();
    await aino.mouse.move(from.x + 50, from.y + from.height / 2 - 6, { steps: 4 });
    await aino.mouse.move(to.x + to.width / 2, to.y + to.height / 2, { steps: 8 });
    await aino.mouse.up();
    await expect(rope(cell('tomorrow', 1))).toBeVisible();
    await visit(petri, `/whole?narrow=${encodeURIComponent(ropes)}`);
    const row = petri.getByRole('button', { name: /^New rope for the mooring/ });
    await expect(row).toContainText(t('importance.2'));
    await aino.getByRole('button', { name: t('common.undo') }).click();
    await expect(rope(cell('none', 3))).toBeVisible();
    await expect(row).not.toContainText(t('importance.2'));
  },
);
