import { fireEvent, screen, within } from '@testing-library/react';
import type { Trigger } from '@kotiva/core';
import type { World } from '@kotiva/core/testing/world';
import { answering } from '@/testing/answers.ts';
import { boathouse } from '@/testing/boathouse.ts';
import { alerts, tap, type } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { carry } from '@/testing/router.ts';
import { ItemSheet } from './item-sheet.tsx';
import { t } from '@/words';

/** A Tuesday, noon in Helsinki. */
function house() {
  const { w, list } = boathouse();
  w.must('Aino', 'place.make', { name: 'Workshop', position: { lat: 62.3, lon: 27.1 }, radius: 100 });
  w.must('Aino', 'place.make', { name: 'Cellar', position: null, radius: 100 });
  w.must('Aino', 'situation.make', { name: 'first frost', kind: 'event' });
  const place = (name: string) => w.rows.all('place').find((one) => one.name === name)!.id;
  const outboard = w.item('Aino', 'Collect the outboard', { list, due: '2026-11-27T15:00', place: place('Workshop') });
  return { w, list, place, outboard };
}
/** The panel, as somebody who opens it from the item's sentence. */
function open(w: World, who: string, item: string) {
  carry({ item });
  const shown = inHouse(w, who, <ItemSheet />);
  tap(t('sentence.addLabel'));
  tap(t('sentence.panel.reminders'));
  return shown;
}
beforeEach(() => {
  answering({ body: { devices: [{ id: '0190a000-0000-7000-8000-0000000000d1', label: 'Kitchen tablet', here: true }] } });
});
afterEach(() => carry({}));
const triggers = (w: World, item: string): Trigger[] =>
  w.rows
    .by('alarm', 'itemId', item)
    .filter(({ removedAt }) => removedAt === null)
    .map(({ trigger }) => trigger);

test('each usual moment says what it comes to; what has passed is not offered', () => {
  const { w, outboard } = house();
  w.must('Aino', 'item.setDue', { item: outboard, due: '2026-11-25T15:00' });
  open(w, 'Aino', outboard);
  const offered = within(screen.getByRole('group', { name: t('alarm.usual') }))
    .getAllByRole('button')
    .map((one) => one.textContent);
  expect(offered).toContain('1 h before · tomorrow 14:00');
  expect(offered.join()).not.toContain('2 days before');
  expect(offered.join()).not.toContain('1 week before');
  tap('1 h before · tomorrow 14:00');
  expect(triggers(w, outboard)).toEqual([{ kind: 'relative', to: 'due', offset: '-PT1H' }]);
  // what is set is not offered again, and can be taken away
  expect(screen.queryByRole('button', { name: '1 h before · tomorrow 14:00' })).toBeNull();
  tap('Remove: 1 h before');
  expect(triggers(w, outboard)).toEqual([]);
});

test('without a date a reminder before it is kept, and that is said', () => {
  const { w, list } = house();
  const undated = w.item('Aino', 'Some day', { list });
  open(w, 'Aino', undated);
  expect(screen.getByText(t('alarm.noDate'))).toBeTruthy();
  tap('1 day before');
  expect(screen.getByText(t('alarm.needs.due'))).toBeTruthy();
});

test('a moment of one’s own has to be a number, and shows what it comes to before it is set', () => {
  const { w, outboard } = house();
  open(w, 'Aino', outboard);
  tap(t('alarm.own'));
  type(t('alarm.count'), 'some');
  tap(t('alarm.set'));
  expect(alerts()).toEqual(['Enter a number from 1 to 999.']);
  expect(triggers(w, outboard)).toEqual([]);
  type(t('alarm.count'), '2');
  tap(t('alarm.unit.hours'), 'radio');
  expect(screen.getByText('reminds Friday 13:00')).toBeTruthy();
  tap(t('alarm.set'));
  expect(triggers(w, outboard)).toEqual([{ kind: 'relative', to: 'due', offset: '-PT2H' }]);
});

test('at a place: the item’s own is chosen at once, with days and hours', () => {
  const { w, outboard, place } = house();
  open(w, 'Aino', outboard);
  tap(t('alarm.atPlace'));
  tap('Mon–Fri', 'radio');
  type(t('sentence.panel.start'), '15:00');
  tap(t('alarm.setThere'));
  expect(triggers(w, outboard)).toEqual([
    {
      kind: 'place',
      place: place('Workshop'),
      on: 'enter',
      who: 'own',
      among: [],
      days: ['MO', 'TU', 'WE', 'TH', 'FR'],
      from: '15:00',
      until: null,
      fallback: null,
    },
  ]);
  expect(screen.getByText(t('alarm.everyVisit'))).toBeTruthy();
});

test('whoever leaves last is one of at least two, with an hour if nobody is seen leaving', () => {
  const { w, outboard } = house();
  open(w, 'Aino', outboard);
  tap(t('alarm.atPlace'));
  tap(t('alarm.crossing.leave'), 'radio');
  tap(t('alarm.crosser.last'), 'radio');
  const among = within(screen.getByRole('group', { name: t('alarm.among') }));
  expect(among.getAllByRole('checkbox').map((one) => one.textContent)).toEqual(['Me', 'Leila', 'Tapio']);
  tap('Leila', 'checkbox');
  tap('Tapio', 'checkbox');
  tap(t('alarm.setThere'));
  expect(alerts()).toEqual(['Choose at least two people.']);
  tap('Tapio', 'checkbox');
  tap(t('alarm.setThere'));
  expect(triggers(w, outboard)).toMatchObject([{ who: 'last', on: 'leave', among: [w.person('Aino'), w.person('Tapio')], fallback: '22:00' }]);
  expect(screen.getAllByText(/whoever leaves Workshop last, else at 22:00, for (Aino or Tapio|Tapio or Aino)/).length).toBeGreaterThan(0);
});

test('when something begins, or when a device is opened next', async () => {
  const { w, outboard } = house();
  open(w, 'Aino', outboard);
  tap(t('alarm.occasion'));
  tap('first frost');
  fireEvent.click(await screen.findByRole('button', { name: 'Kitchen tablet (this one)' }));
  expect(triggers(w, outboard).map(({ kind }) => kind)).toEqual(['situation', 'device']);
});

test('for somebody it was handed to: their reminder, and no device of mine', () => {
  const { w, outboard } = house();
  w.must('Aino', 'part.handOver', { items: [outboard], persons: [w.person('Tapio')] });
  open(w, 'Aino', outboard);
  tap('Tapio', 'radio');
  tap('1 day before · Thursday 15:00');
  expect(w.rows.by('alarm', 'itemId', outboard).map(({ personId, makerId }) => [personId, makerId])).toEqual([[w.person('Tapio'), w.person('Aino')]]);
  tap(t('alarm.occasion'));
  expect(screen.queryByRole('group', { name: t('alarm.whenOpened') })).toBeNull();
});

test('a helper sets their own only', () => {
  const { w, outboard } = house();
  w.must('Aino', 'part.handOver', { items: [outboard], persons: [w.person('Tapio')] });
  open(w, 'Leila', outboard);
  expect(screen.queryByRole('radiogroup', { name: t('alarm.whom') })).toBeNull();
  tap('1 day before · Thursday 15:00');
  expect(w.rows.by('alarm', 'itemId', outboard).map(({ personId }) => personId)).toEqual([w.person('Leila')]);
});
