import type { Alarm, Trigger } from '../model/alarm.ts';
import { World } from '../testing/world.ts';
import { ringsAhead } from './ringing.ts';

const before = (offset: string, to: 'due' | 'start' | 'plan' = 'due'): Trigger => ({ kind: 'relative', to, offset });

/** It is Tuesday 24 November 2026, 12:00 in Helsinki. */
function house() {
  const w = new World();
  w.join('Leila');
  const list = w.list('Aino', 'Shop', [['Leila', 'check']]);
  const item = w.item('Aino', 'Order candles', { list, due: '2026-11-27T17:00' });
  return { w, list, item };
}
const rowsOf = (w: World) => w.rows as unknown as Parameters<typeof ringsAhead>[1];
const firstRing = (...asked: Parameters<typeof ringsAhead>) => ringsAhead(...asked)[0] ?? null;
const houseOf = (w: World) => w.rows.find('house', w.houseId) as never;
/** Lets the clock run to an instant, and everything ring on the way. */
function until(w: World, instant: string): void {
  for (let ring = firstRing(houseOf(w), rowsOf(w)); ring !== null && ring.at <= instant; ring = firstRing(houseOf(w), rowsOf(w))) {
    if (ring.at > w.now) w.now = ring.at;
    w.system('alarm.ring', { alarm: ring.alarmId, at: ring.at });
  }
  w.now = instant;
}
const reminders = (w: World, name: string) =>
  w.rows
    .by('notice', 'personId', w.person(name))
    .filter((notice) => notice.kind === 'reminder' && !notice.withdrawnAt)
    .map(({ at, params }) => `${at.slice(0, 16)}${params['late'] ? ' late' : ''}`)
    .sort();
const alarms = (w: World) => w.rows.all('alarm') as Alarm[];

test('several of one item ring each at its time, for who set them alone', () => {
  const { w, item } = house();
  w.must('Aino', 'alarm.set', { item, trigger: before('-P2D') });
  w.must('Aino', 'alarm.set', { item, trigger: before('-PT2H') });
  w.must('Leila', 'alarm.set', { item, trigger: { kind: 'absolute', at: '2026-11-26T09:00' } });
  until(w, '2026-11-28T00:00:00.000Z');
  expect(reminders(w, 'Aino')).toEqual(['2026-11-25T15:00', '2026-11-27T13:00']);
  expect(reminders(w, 'Leila')).toEqual(['2026-11-26T07:00']);
});

test('the same one twice is one', () => {
  const { w, item } = house();
  w.must('Aino', 'alarm.set', { item, trigger: before('-P2D') });
  w.must('Aino', 'alarm.set', { item, trigger: before('-P2D') });
  expect(alarms(w)).toHaveLength(1);
});

test('moves when the date moves; what lies in the past then does not ring, and rings once the date moves on', () => {
  const { w, item } = house();
  w.must('Aino', 'alarm.set', { item, trigger: before('-P2D') });
  w.must('Aino', 'item.setDue', { item, due: '2026-11-25' });
  until(w, '2026-11-26T12:00:00.000Z');
  expect(reminders(w, 'Aino')).toEqual([]);
  w.must('Aino', 'item.setDue', { item, due: '2026-12-04T17:00' });
  until(w, '2026-12-05T12:00:00.000Z');
  expect(reminders(w, 'Aino')).toEqual(['2026-12-02T15:00']);
  // once it has rung, a later date rings anew
  w.must('Aino', 'item.setDue', { item, due: '2026-12-11T17:00' });
  until(w, '2026-12-12T12:00:00.000Z');
  expect(reminders(w, 'Aino')).toEqual(['2026-12-02T15:00', '2026-12-09T15:00']);
});

test('one on the plan moves with that person’s plan, and stays apart from the deadline', () => {
  const { w, item } = house();
  w.must('Leila', 'part.take', { item });
  w.must('Leila', 'alarm.set', { item, trigger: before('PT0M', 'plan') });
  w.must('Leila', 'part.plan', { items: [item], plan: '2026-11-25T08:00' });
  w.must('Leila', 'part.plan', { items: [item], plan: '2026-11-26T08:00' });
  w.must('Aino', 'item.setDue', { item, due: '2026-12-24' });
  until(w, '2026-11-30T00:00:00.000Z');
  expect(reminders(w, 'Leila')).toEqual(['2026-11-26T06:00']);
});

test('without a date the wish is kept, and said', () => {
  const { w } = house();
  const bare = w.item('Aino', 'Thank the neighbour');
  const { notes } = w.must('Aino', 'alarm.set', { item: bare, trigger: before('-P2D') });
  expect(notes).toEqual([{ code: 'alarm-needs-date', params: { to: 'due' } }]);
  w.must('Aino', 'item.setDue', { item: bare, due: '2026-12-04' });
  until(w, '2026-12-05T00:00:00.000Z');
  expect(reminders(w, 'Aino')).toEqual(['2026-12-02T04:00']);
});

test('a moment already past is said, and one of its own is refused', () => {
  const { w, item } = house();
  expect(w.must('Aino', 'alarm.set', { item, trigger: before('-P1W') }).notes[0]!.code).toBe('alarm-past');
  expect(w.refused('Aino', 'alarm.set', { item, trigger: { kind: 'absolute', at: '2026-11-24T11:59' } })).toMatchObject({
    code: 'alarm-past',
    field: 'trigger',
  });
  expect(w.refused('Aino', 'alarm.set', { item, trigger: { kind: 'absolute', at: '2026-02-31T09:00' } }).code).toBe('malformed');
  until(w, '2026-11-28T00:00:00.000Z');
  expect(reminders(w, 'Aino')).toEqual([]);
});

test.each<[string, (w: World, item: string) => void]>([
  ['checked off by its person', (w, item) => w.must('Leila', 'part.checkOff', { item, person: w.person('Leila') })],
  ['declined', (w, item) => w.must('Leila', 'part.decline', { item, reason: 'No time' })],
  ['taken back', (w, item) => w.must('Aino', 'part.takeBack', { item, persons: [w.person('Leila')] })],
  ['passed on', (w, item) => w.must('Leila', 'part.passOn', { item, from: w.person('Leila'), to: w.person('Aino') })],
  ['removed', (w, item) => w.must('Aino', 'item.remove', { items: [item] })],
])('none after it was %s', (_name, settle) => {
  const { w, item } = house();
  w.must('Aino', 'part.handOver', { items: [item], persons: [w.person('Leila')] });
  w.must('Leila', 'alarm.set', { item, trigger: before('-P1D') });
  settle(w, item);
  expect(firstRing(houseOf(w), rowsOf(w))).toBeNull();
});

test('of an item for each, the one who is done is left in peace and the other is reminded', () => {
  const { w, item } = house();
  w.join('Noor');
  w.must('Aino', 'part.handOver', { items: [item], persons: [w.person('Leila'), w.person('Noor')], policy: 'each' });
  for (const name of ['Leila', 'Noor']) w.must('Aino', 'alarm.set', { item, person: w.person(name), trigger: before('-P1D') });
  w.must('Leila', 'part.checkOff', { item, person: w.person('Leila') });
  until(w, '2026-11-28T00:00:00.000Z');
  expect([reminders(w, 'Leila'), reminders(w, 'Noor')]).toEqual([[], ['2026-11-26T15:00']]);
});

test('snoozed, it rings again then, and once', () => {
  const { w, item } = house();
  w.must('Aino', 'alarm.set', { item, trigger: before('-P1D') });
  until(w, '2026-11-26T15:05:00.000Z');
  const [alarm] = alarms(w);
  expect(w.refused('Aino', 'alarm.snooze', { alarm: alarm!.id, until: '2026-11-26T15:00:00.000Z' }).code).toBe('alarm-past');
  w.must('Aino', 'alarm.snooze', { alarm: alarm!.id, until: '2026-11-26T15:15:00.000Z' });
  until(w, '2026-11-30T00:00:00.000Z');
  expect(reminders(w, 'Aino')).toEqual(['2026-11-26T15:00', '2026-11-26T15:15']);
});

test('missed while nothing ran: once at the start, and marked', () => {
  const { w, item } = house();
  w.must('Aino', 'alarm.set', { item, trigger: before('-P1D') });
  const ring = firstRing(houseOf(w), rowsOf(w))!;
  w.now = '2026-11-27T06:00:00.000Z';
  w.system('alarm.ring', { alarm: ring.alarmId, at: ring.at });
  w.system('alarm.ring', { alarm: ring.alarmId, at: ring.at });
  expect(reminders(w, 'Aino')).toEqual(['2026-11-27T06:00 late']);
});

test('set with a handover, it rings for who it was handed to', () => {
  const { w, list } = house();
  const item = w.item('Aino', 'Book the sauna', { list, due: '2026-11-28', persons: [w.person('Leila')], alarms: [before('-P1D')] });
  expect(
    alarms(w)
      .filter((alarm) => alarm.itemId === item)
      .map(({ personId }) => personId),
  ).toEqual([w.person('Leila')]);
  until(w, '2026-11-29T00:00:00.000Z');
  expect([reminders(w, 'Aino'), reminders(w, 'Leila')]).toEqual([[], ['2026-11-27T04:00']]);
});
