import { onArriving, reminderNoticeId } from '@kotiva/core';
import { LedgerHouse } from '../testing/ledger-house.ts';
import { Timers } from './timers.ts';

function house() {
  const at = new LedgerHouse('Aino', 'Leila');
  const timers = new Timers(at.storage.raw, at.ledger, at.clock);
  const reminders = () => at.notices('Aino').filter(({ kind }) => kind === 'reminder');
  return { at, timers, reminders };
}

test('the notice of a reminder is named alike here and on a device that rings by itself', () => {
  const { at, timers, reminders } = house();
  at.item('Aino', 'Dentist', { due: '2026-11-25T10:00', alarms: [{ kind: 'relative', to: 'due', offset: '-PT1H' }] });
  const [alarm] = at.ledger.rows(at.houseId).all('alarm');
  at.later(24 * 60);
  timers.run();
  expect(reminders().map(({ id }) => id)).toEqual([reminderNoticeId(alarm!, '2026-11-25T07:00:00.000Z')]);
});

test('with the clock set back an hour nothing rings twice, and what was to come still comes', () => {
  const { at, timers, reminders } = house();
  at.item('Aino', 'Dentist', {
    due: '2026-11-24T16:00',
    alarms: [
      { kind: 'relative', to: 'due', offset: '-PT3H' },
      { kind: 'relative', to: 'due', offset: '-PT1H' },
    ],
  });
  at.later(90);
  timers.run();
  expect(reminders()).toHaveLength(1);
  at.later(-60);
  timers.run();
  at.later(60);
  timers.run();
  expect(reminders()).toHaveLength(1);
  at.later(120);
  timers.run();
  expect(reminders()).toHaveLength(2);
});

test('thirty days after it was removed a thing is gone for good: emptied, seen by nobody, not to be brought back', () => {
  const { at, timers } = house();
  const item = at.item('Aino', 'Old sofa', { notes: 'green', persons: [at.person('Leila')] });
  at.give('Leila', 'comment.say', { item, text: 'It smells' });
  at.give('Aino', 'item.remove', { items: [item] });
  at.later(29 * 24 * 60);
  timers.run();
  expect(at.row('item', ({ id }) => id === item).purgedAt).toBeNull();
  at.later(24 * 60);
  timers.run();
  expect(at.row('item', ({ id }) => id === item)).toMatchObject({ notes: '', purgedAt: at.clock.now() });
  expect(at.row('comment', ({ itemId }) => itemId === item).text).toBe('');
  expect(() => at.give('Aino', 'item.bringBack', { items: [item] })).toThrow('gone');
});

test('where somebody was is gone after thirty days, what they told of it too; the reminder that rang stays', () => {
  const { at, timers, reminders } = house();
  at.give('Aino', 'place.make', { name: 'Shop' });
  const place = at.ledger.rows(at.houseId).all('place')[0]!.id;
  at.item('Aino', 'Candles', { alarms: [onArriving(place)] });
  at.later(5);
  at.give('Aino', 'visit.report', { place, on: 'enter', at: at.clock.now() });
  expect(reminders()).toHaveLength(1);
  const told = () => (at.storage.raw.prepare("SELECT COUNT(*) AS many FROM command WHERE name LIKE 'visit.%'").get() as { many: number }).many;
  expect(told()).toBe(1);
  at.later(31 * 24 * 60);
  timers.run();
  at.later(61);
  timers.run();
  expect(told()).toBe(0);
  expect(at.ledger.rows(at.houseId).all('visit')).toEqual([expect.objectContaining({ enteredAt: null, leftAt: null })]);
  expect(reminders()).toHaveLength(1);
});
