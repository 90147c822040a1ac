import { screen } from '@testing-library/react';
import type { Series } from '@kotiva/core';
import { World } from '@kotiva/core/testing/world';
import { alerts, tap, type } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { ChorePanel } from './chore-panel.tsx';
import { t } from '@/words';

/** A Tuesday, noon. The fire is lit on Friday. */
function house() {
  const w = new World();
  w.join('Leila', 'helper');
  w.join('Tapio', 'member');
  const list = w.list('Aino', 'Guesthouse', [
    ['Leila', 'check'],
    ['Tapio', 'edit'],
  ]);
  const fire = w.item('Aino', 'Light the sauna', { list, due: '2026-11-27' });
  return { w, list, fire };
}
const closed = jest.fn();
beforeEach(() => closed.mockClear());
const open = (w: World, item: string) => inHouse(w, 'Aino', <ChorePanel item={w.row(item)} onClose={closed} />);
const chores = (w: World): Series[] => w.rows.all('series').filter(({ endsBefore }) => endsBefore === null);

test('every other Friday, in turns: said before it is set, with the days it comes to', () => {
  const { w, fire } = house();
  open(w, fire);
  tap(t('rule.kind.weeks'), 'radio');
  type(t('rule.howMany.weeks'), '2');
  expect(screen.getByText(/^Every 2 weeks on Fri/)).toBeTruthy();
  expect(screen.getByText(/^Next: .*11 Dec.*25 Dec/)).toBeTruthy();
  tap('Leila', 'checkbox');
  tap('Tapio', 'checkbox');
  tap(t('turn.turns'), 'radio');
  tap(t('rule.save'));
  expect(closed).toHaveBeenCalled();
  expect(chores(w)).toMatchObject([{ rrule: 'FREQ=WEEKLY;INTERVAL=2;BYDAY=FR', turn: 'turns', personIds: [w.person('Leila'), w.person('Tapio')] }]);
});

test.each([
  ['Every how many weeks', '0', 'Enter a whole number, at least 1.'],
  ['Every how many weeks', 'two', 'Enter a whole number, at least 1.'],
])('%s: %p can’t be set, and why is said', (field, value, why) => {
  const { w, fire } = house();
  open(w, fire);
  tap(t('rule.kind.weeks'), 'radio');
  type(field, value);
  expect(alerts()).toEqual([why]);
  expect(screen.getByRole('button', { name: t('rule.save') }).getAttribute('aria-disabled')).toBe('true');
  tap(t('rule.save'));
  expect(chores(w)).toEqual([]);
});

test('a rule of one’s own has to be one', () => {
  const { w, fire } = house();
  open(w, fire);
  tap(t('rule.kind.typed'), 'radio');
  expect(alerts()).toEqual(['Enter a rule, such as FREQ=WEEKLY;BYDAY=FR.']);
  type(t('rule.type'), 'FREQ=SOMETIMES');
  tap(t('rule.save'));
  expect(chores(w)).toEqual([]);
  type(t('rule.type'), 'FREQ=MONTHLY;BYDAY=-1FR');
  expect(screen.getByText(/the last Friday/)).toBeTruthy();
  tap(t('rule.save'));
  expect(chores(w)).toMatchObject([{ rrule: 'FREQ=MONTHLY;BYDAY=-1FR' }]);
});

test('so long after it was done; then there are no days to count ahead', () => {
  const { w, fire } = house();
  open(w, fire);
  tap(t('rule.kind.after'), 'radio');
  type(t('rule.howMany.after'), '3');
  expect(screen.getByText(/3 (days|weeks) after it was done/)).toBeTruthy();
  tap(t('rule.save'));
  expect(chores(w)).toMatchObject([{ rrule: null }]);
});

test('of a chore: left out once, no more of it, or plain again', () => {
  const { w, list } = house();
  w.must('Aino', 'chore.make', { title: 'Water the plants', list, rrule: 'FREQ=WEEKLY;BYDAY=TU', dtstart: '2026-11-24' });
  const plants = w.rows.all('item').find(({ title, seriesId }) => title === 'Water the plants' && seriesId)!;
  const shown = open(w, plants.id);
  tap(t('rule.skip'));
  expect(w.part(plants.id, null).standing).not.toBe('completed');
  expect(shown.said()).toContain('Water the plants');
  expect(closed).toHaveBeenCalledTimes(1);
  shown.unmount();
  const next = w.rows
    .all('item')
    .filter(({ seriesId, removedAt, id }) => seriesId === plants.seriesId && !removedAt && id !== plants.id)
    .at(-1);
  open(w, (next ?? plants).id);
  tap(t('chores.end'));
  expect(closed).toHaveBeenCalledTimes(2);
  expect(chores(w)).toEqual([]);
});

describe('a chore changed from a day to come', () => {
  function watering() {
    const { w, list } = house();
    w.must('Aino', 'chore.make', { title: 'Water the plants', list, rrule: 'FREQ=WEEKLY;BYDAY=TU', dtstart: '2026-11-24' });
    const first = w.rows.all('item').find(({ title, seriesId }) => title === 'Water the plants' && seriesId)!;
    const series = w.rows.all('series')[0]!;
    return { w, first, series };
  }

  test('leaves what comes before it, the open one too', () => {
    const { w, first, series } = watering();
    open(w, first.id);
    type(t('rule.first'), '2027-03-02');
    type(t('due.hour'), '18:00');
    tap('Change from Tue 2 Mar on');
    expect(w.row(first.id)).toMatchObject({ seriesId: series.id, due: '2026-11-24', removedAt: null });
    expect(w.rows.all('series').map(({ dtstart, endsBefore }) => [dtstart, endsBefore])).toEqual([
      ['2026-11-24', '2027-03-02'],
      ['2027-03-02T18:00', null],
    ]);
  });

  test('exceptions it can’t keep are named before it is done; those it keeps stand in the preview', () => {
    const { w, first, series } = watering();
    for (const recurrenceId of ['2026-12-08', '2026-12-15']) w.must('Aino', 'chore.skip', { series: series.id, recurrenceId });
    open(w, first.id);
    expect(screen.getByText(/^Next: /).textContent).toBe('Next: Tue 24 Nov · Tue 1 Dec · Tue 22 Dec · Tue 29 Dec · Tue 5 Jan 2027 · Tue 12 Jan');
    type(t('rule.howMany.weeks'), '2');
    expect(screen.getByText('One exception can’t be kept: Tue 15 Dec, skipped.')).toBeTruthy();
    expect(screen.getByText(/^Next: /).textContent).toMatch(/^Next: Tue 24 Nov · Tue 22 Dec/);
  });
});

test('whose each one would be is seen before it is set', () => {
  const { w, fire } = house();
  open(w, fire);
  tap('Leila', 'checkbox');
  tap('Tapio', 'checkbox');
  tap(t('turn.turns'), 'radio');
  expect(screen.getByText(/^Next: /).textContent).toMatch(/^Next: Fri 27 Nov Leila · Fri 4 Dec Tapio · Fri 11 Dec Leila/);
});

test('the 31st is asked about', () => {
  const { w } = house();
  const rota = w.item('Aino', 'Print the rota', { due: '2026-12-31' });
  open(w, rota);
  tap(t('rule.kind.months'), 'radio');
  expect(alerts()).toEqual(['Choose what happens in shorter months.']);
  tap('The 31st, or the last day', 'radio');
  tap(t('rule.save'));
  expect(chores(w)).toMatchObject([{ rrule: 'FREQ=MONTHLY;BYMONTHDAY=28,29,30,31;BYSETPOS=-1' }]);
});

test('what must each be done asks what happens when one is missed', () => {
  const { w } = house();
  const rent = w.item('Aino', 'Pay the rent', { due: '2026-12-01' });
  open(w, rent);
  expect(alerts()).toEqual(['Choose what happens when one is missed.']);
  tap(t('rule.missed.keep'), 'radio');
  tap(t('rule.save'));
  expect(chores(w)).toMatchObject([{ missed: 'keep' }]);
});
