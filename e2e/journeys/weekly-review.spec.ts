import { expect } from '@playwright/test';
import { enterDemo, visit, PHONE, test, WIDE } from './house.ts';
import { t } from './words.ts';

test(
  'the week is gone through pile after pile; stopped half-way it goes on where it was, and ends with what came of it',
  { tag: '@deep' },
  async ({ demo, devices }) => {
    const aino = await devices.open(PHONE);
    await enterDemo(aino, demo, 'Aino');
    await visit(aino, '/weekly-review');
    await expect(aino.getByRole('heading', { name: t('review.pile.to-sort') })).toBeVisible();
    // an impatient second tap falls on nothing of the next pile, which is there from its top
    await aino.getByRole('button', { name: t('review.next', { pile: t('review.pile.late') }) }).dblclick();
    await expect(aino.getByRole('heading', { name: t('review.pile.late') })).toBeInViewport();
    await expect(aino.getByText(t('review.at', { nth: 2, of: 8 }))).toBeVisible();
    await expect(aino.getByRole('button', { name: t('sort.selectAll') })).toHaveCount(0);
    const piles = aino.getByRole('group', { name: t('review.piles') });
    const lateBefore = Number(/\d+$/.exec(await piles.getByRole('button', { name: /^Late \d+$/ }).innerText())![0]);
    expect(lateBefore).toBeGreaterThan(0);

    // left in the middle, and gone on with where one was, there and at the desk
    const desk = await devices.open(WIDE);
    await enterDemo(desk, demo, 'Aino');
    await aino.getByRole('link', { name: t('nav.today') }).click();
    for (const device of [aino, desk]) {
      await visit(device, '/weekly-review');
      await expect(device.getByText(t('review.at', { nth: 2, of: 8 }))).toBeVisible();
    }

    // what will never be done goes together
    await aino.getByRole('button', { name: t('sort.select'), exact: true }).click();
    await aino.getByRole('button', { name: t('sort.selectAll') }).click();
    await aino.getByRole('button', { name: t('decide.remove'), exact: true }).click();
    await expect(piles.getByRole('button', { name: t('review.pileCount', { pile: t('review.pile.late'), count: 0 }) })).toBeVisible();
    for (const pile of ['needs-you', 'silent', 'waits', 'shelf', 'untouched'] as const)
      await aino.getByRole('button', { name: t('review.next', { pile: t(`review.pile.${pile}`) }) }).press('Enter');
    // everybody's next week, with the way to share it out; to who manages nothing their own alone
    await aino.getByRole('button', { name: t('review.next', { pile: t('review.ahead') }) }).press('Enter');
    await expect(aino.getByRole('heading', { name: t('review.ahead') })).toBeVisible();
    await expect(aino.getByRole('main').getByText('Tapio', { exact: true })).toBeVisible();
    await expect(aino.getByRole('button', { name: t('shareOut.title') })).toBeVisible();
    await aino.getByRole('button', { name: t('review.finish') }).press('Enter');
    await expect(aino.getByText(t('review.changed', { pile: t('review.pile.late'), before: lateBefore, now: 0 }))).toBeVisible();
    await aino.getByRole('button', { name: t('review.repeat') }).click();
    await expect(aino.getByText(t('said.reviewRepeats'), { exact: false })).toBeVisible();
    await expect(aino.getByRole('button', { name: t('review.repeat') })).toHaveCount(0);

    // another person’s review is their own
    const leila = await devices.open(WIDE);
    await enterDemo(leila, demo, 'Leila');
    await visit(leila, '/weekly-review');
    await expect(leila.getByText(t('review.at', { nth: 1, of: 8 }))).toBeVisible();
    await leila.getByRole('button', { name: t('review.ahead') }).click();
    await expect(leila.getByRole('main').getByText('Leila', { exact: true })).toBeVisible();
    await expect(leila.getByRole('main').getByText('Tapio', { exact: true })).toHaveCount(0);
  },
);
