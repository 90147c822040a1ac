import { onArriving, type PlaceTrigger } from '../model/alarm.ts';
import { isThere, visitId } from '../model/visit.ts';
import { VISITS_KEPT_DAYS } from '../places/forgetting.ts';
import { ringsAhead } from '../reminders/ringing.ts';
import { World } from '../testing/world.ts';

// 24 November 2026 is a Tuesday; Helsinki is two hours ahead
function household(): { w: World; shop: string; list: string; candles: string } {
  const w = new World();
  for (const name of ['Petri', 'Oona']) w.join(name);
  w.must('Aino', 'place.make', { name: 'Village shop', position: { lat: 61.5, lon: 23.7 }, radius: 80 });
  const shop = w.rows.all('place')[0]!.id;
  const list = w.list('Aino', 'To buy', [
    ['Petri', 'edit'],
    ['Oona', 'edit'],
  ]);
  return { w, shop, list, candles: w.item('Aino', '40 candles', { list }) };
}
const cross = (w: World, who: string, place: string, on: 'enter' | 'leave', more: { silent?: boolean; at?: string } = {}) =>
  w.must(who, 'visit.report', { place, on, at: more.at ?? w.now, silent: more.silent ?? false });
const reminded = (w: World, who: string) =>
  w.rows
    .by('notice', 'personId', w.person(who))
    .filter((notice) => notice.kind === 'reminder' && notice.withdrawnAt === null)
    .map((notice) => notice.params);
const among = (w: World, ...names: string[]) => names.map((name) => w.person(name));

test('rings on coming, once per visit, and at the next one while it is open', () => {
  const { w, shop, candles } = household();
  w.must('Petri', 'alarm.set', { item: candles, trigger: onArriving(shop) });
  w.later(5);
  cross(w, 'Petri', shop, 'enter');
  expect(reminded(w, 'Petri')).toEqual([expect.objectContaining({ title: '40 candles', place: 'Village shop', on: 'enter' })]);
  // a second device of his says the same
  w.later(1);
  cross(w, 'Petri', shop, 'enter');
  expect(reminded(w, 'Petri')).toHaveLength(1);
  w.later(20);
  cross(w, 'Petri', shop, 'leave');
  w.later(60);
  cross(w, 'Petri', shop, 'enter');
  expect(reminded(w, 'Petri')).toHaveLength(2);
  w.must('Aino', 'part.checkOff', { item: candles, person: null });
  cross(w, 'Petri', shop, 'leave');
  w.later(60);
  cross(w, 'Petri', shop, 'enter');
  expect(reminded(w, 'Petri')).toHaveLength(2);
  expect(reminded(w, 'Aino')).toEqual([]);
});

test('what the first look finds is kept, and rings nothing', () => {
  const { w, shop, candles } = household();
  w.must('Petri', 'alarm.set', { item: candles, trigger: onArriving(shop) });
  w.later(1);
  cross(w, 'Petri', shop, 'enter', { silent: true });
  expect(reminded(w, 'Petri')).toEqual([]);
  const visit = w.rows.find('visit', visitId(w.person('Petri'), shop));
  expect(visit !== undefined && isThere(visit)).toBe(true);
});

test('what is older than what is known, or was before the reminder, does not ring', () => {
  const { w, shop, candles } = household();
  const before = w.now;
  w.later(10);
  w.must('Petri', 'alarm.set', { item: candles, trigger: onArriving(shop) });
  cross(w, 'Petri', shop, 'enter', { at: before });
  expect(reminded(w, 'Petri')).toEqual([]);
  w.later(10);
  cross(w, 'Petri', shop, 'leave');
  cross(w, 'Petri', shop, 'enter', { at: before });
  expect(reminded(w, 'Petri')).toEqual([]);
});

test.each<[string, Partial<PlaceTrigger>, string, boolean]>([
  ['before three', { from: '15:00' }, '2026-11-24T12:59:00.000Z', false],
  ['from three on', { from: '15:00' }, '2026-11-24T13:00:00.000Z', true],
  ['until six', { until: '18:00' }, '2026-11-24T16:00:00.000Z', false],
  ['over midnight', { from: '22:00', until: '02:00' }, '2026-11-24T23:30:00.000Z', true],
  ['on a weekday', { days: ['MO', 'TU', 'WE', 'TH', 'FR'] }, '2026-11-28T10:30:00.000Z', false],
  ['on a Saturday', { days: ['SA'] }, '2026-11-28T10:30:00.000Z', true],
])('only %s: %p', (_, when, at, rings) => {
  const { w, shop, candles } = household();
  w.must('Petri', 'alarm.set', { item: candles, trigger: { ...onArriving(shop), ...when } });
  w.now = at;
  cross(w, 'Petri', shop, 'enter');
  expect(reminded(w, 'Petri')).toHaveLength(rings ? 1 : 0);
});

test('before the day it may be begun nothing rings', () => {
  const { w, shop, list } = household();
  const seed = w.item('Aino', 'Seed potatoes', { list, start: '2026-11-26' });
  w.must('Petri', 'alarm.set', { item: seed, trigger: onArriving(shop) });
  w.later(60);
  cross(w, 'Petri', shop, 'enter');
  expect(reminded(w, 'Petri')).toEqual([]);
});

test('whoever gets there first: the others are left alone while they are there; if it stays open, whoever comes next', () => {
  const { w, shop, candles } = household();
  w.must('Aino', 'alarm.set', { item: candles, trigger: { ...onArriving(shop), who: 'first', among: among(w, 'Petri', 'Oona') } });
  w.later(1);
  cross(w, 'Oona', shop, 'enter');
  const { notes } = cross(w, 'Petri', shop, 'enter');
  expect([reminded(w, 'Oona').length, reminded(w, 'Petri').length, reminded(w, 'Aino').length]).toEqual([1, 0, 0]);
  expect(notes).toEqual([{ code: 'someone-there', params: { title: '40 candles' } }]);
  w.later(30);
  cross(w, 'Oona', shop, 'leave');
  cross(w, 'Petri', shop, 'leave');
  w.later(30);
  cross(w, 'Petri', shop, 'enter');
  expect(reminded(w, 'Petri')).toHaveLength(1);
});

const lastOne = (w: World, place: string, fallback: string | null = null): PlaceTrigger => ({
  ...onArriving(place, 'leave'),
  who: 'last',
  among: among(w, 'Aino', 'Petri', 'Oona'),
  fallback,
});

test('the last to leave: not while somebody is known to be there; those of whom nothing is known are named', () => {
  const { w, shop: sauna, list } = household();
  const damper = w.item('Aino', 'Close the sauna damper', { list });
  w.must('Aino', 'alarm.set', { item: damper, trigger: lastOne(w, sauna) });
  for (const who of ['Aino', 'Petri']) cross(w, who, sauna, 'enter', { silent: true });
  w.later(10);
  cross(w, 'Aino', sauna, 'leave');
  expect(reminded(w, 'Aino')).toEqual([]);
  w.later(10);
  cross(w, 'Petri', sauna, 'leave');
  expect(reminded(w, 'Petri')).toEqual([expect.objectContaining({ on: 'leave', unknown: ['Oona'] })]);
});

test('the last to leave, when nobody was seen to: at the hour given, those known to be there, else everybody', () => {
  const { w, shop: sauna, list } = household();
  const damper = w.item('Aino', 'Close the sauna damper', { list });
  w.must('Aino', 'alarm.set', { item: damper, trigger: lastOne(w, sauna, '22:00') });
  const ring = () => ringsAhead(w.rows.find('house', w.houseId) as never, w.rows)[0] ?? null;
  expect(ring()?.at).toBe('2026-11-24T20:00:00.000Z');
  cross(w, 'Petri', sauna, 'enter', { silent: true });
  w.now = ring()!.at;
  w.system('alarm.ring', { alarm: ring()!.alarmId, at: w.now });
  expect([reminded(w, 'Petri').length, reminded(w, 'Oona').length, reminded(w, 'Aino').length]).toEqual([1, 0, 0]);
  expect(ring()).toBeNull();
});

test('rung on leaving, the hour does not ring it again', () => {
  const { w, shop: sauna, list } = household();
  const damper = w.item('Aino', 'Close the sauna damper', { list });
  w.must('Aino', 'alarm.set', { item: damper, trigger: lastOne(w, sauna, '22:00') });
  cross(w, 'Petri', sauna, 'enter', { silent: true });
  w.later(10);
  cross(w, 'Petri', sauna, 'leave');
  expect(reminded(w, 'Petri')).toHaveLength(1);
  expect(ringsAhead(w.rows.find('house', w.houseId) as never, w.rows)).toEqual([]);
});

test('put off until one gets somewhere: what was told is read, and it rings there', () => {
  const { w, shop, candles } = household();
  w.must('Petri', 'alarm.set', { item: candles, trigger: { kind: 'absolute', at: '2026-11-24T13:00' } });
  w.now = '2026-11-24T11:00:00.000Z';
  const alarm = w.rows.all('alarm')[0]!.id;
  w.system('alarm.ring', { alarm, at: w.now });
  w.must('Petri', 'alarm.snooze', { alarm, place: shop });
  expect(w.rows.by('notice', 'personId', w.person('Petri')).every(({ readAt }) => readAt !== null)).toBe(true);
  w.later(30);
  cross(w, 'Petri', shop, 'enter');
  expect(reminded(w, 'Petri')).toHaveLength(2);
});

test('a device opened rings once, a situation whenever it begins', () => {
  const { w, candles } = household();
  w.must('Aino', 'situation.make', { name: 'quiet hour', kind: 'moment' });
  const situation = w.rows.all('situation')[0]!.id;
  const device = '0190a8f0-0000-7000-8000-000000000001';
  w.must('Petri', 'alarm.set', { item: candles, trigger: { kind: 'device', device, name: 'Kitchen tablet' } });
  w.must('Petri', 'alarm.set', { item: candles, trigger: { kind: 'situation', situation } });
  w.later(1);
  w.must('Petri', 'occasion.begin', { kind: 'device', device });
  w.later(1);
  w.must('Petri', 'occasion.begin', { kind: 'device', device });
  expect(reminded(w, 'Petri')).toHaveLength(1);
  w.must('Aino', 'occasion.begin', { kind: 'situation', situation });
  w.must('Petri', 'occasion.begin', { kind: 'situation', situation });
  w.later(60);
  w.must('Petri', 'occasion.begin', { kind: 'situation', situation });
  expect([reminded(w, 'Petri').length, reminded(w, 'Aino').length]).toEqual([3, 0]);
});

test('who does not see the place or the item is not reminded there', () => {
  const { w, candles, list } = household();
  w.must('Aino', 'place.make', { name: 'Doctor', seenBy: [] });
  const doctor = w.rows.all('place').find(({ name }) => name === 'Doctor')!;
  expect(doctor.seenBy).toEqual([w.person('Aino')]);
  expect(w.refused('Aino', 'alarm.set', { item: candles, person: w.person('Petri'), trigger: onArriving(doctor.id) })).toMatchObject({ code: 'place-unseen' });
  expect(w.refused('Petri', 'place.change', { place: doctor.id, name: 'Mine' })).toBeDefined();
  // a name one does not see is free
  w.must('Petri', 'place.make', { name: 'Doctor' });
  w.join('Marek', 'helper');
  const shop = w.rows.all('place').find(({ name }) => name === 'Village shop')!.id;
  const trigger = { ...onArriving(shop), who: 'first' as const, among: among(w, 'Petri', 'Marek') };
  expect(w.refused('Aino', 'alarm.set', { item: candles, trigger })).toMatchObject({ code: 'cannot-open-list', params: { name: 'Marek' } });
  expect(list).toBeDefined();
});

test('a place that is removed leaves what lay there as it is, and no reminder; undone, all is back', () => {
  const { w, shop, list, candles } = household();
  const milk = w.item('Aino', 'Milk', { list, place: shop });
  w.must('Petri', 'alarm.set', { item: candles, trigger: onArriving(shop) });
  const { id } = w.must('Aino', 'place.change', { place: shop, removed: true });
  expect([w.row(milk).placeId, w.row(milk).removedAt, w.rows.all('alarm')[0]!.removedAt]).toEqual([null, null, w.now]);
  cross(w, 'Petri', shop, 'enter');
  expect(reminded(w, 'Petri')).toEqual([]);
  w.must('Aino', 'undo', { command: id });
  expect([w.row(milk).placeId, w.rows.all('alarm')[0]!.removedAt, w.rows.all('place')[0]!.removedAt]).toEqual([shop, null, null]);
});

test('a chore reminds at its place each time it comes, whoever has it', () => {
  const { w, shop, list } = household();
  w.must('Aino', 'chore.make', {
    title: 'Empty the post box',
    list,
    rrule: 'FREQ=DAILY',
    dtstart: '2026-11-24',
    turn: 'turns',
    persons: among(w, 'Petri', 'Oona'),
    alarms: [onArriving(shop), { ...onArriving(shop), who: 'first', among: among(w, 'Petri', 'Oona') }],
  });
  const first = w.rows.all('item').find(({ seriesId }) => seriesId !== null)!;
  w.must('Petri', 'part.checkOff', { item: first.id, person: w.person('Petri') });
  const next = w.rows.all('item').find(({ seriesId, id }) => seriesId !== null && id !== first.id)!;
  expect(
    w.rows
      .by('alarm', 'itemId', next.id)
      .map(({ trigger }) => (trigger.kind === 'place' ? trigger.who : ''))
      .sort(),
  ).toEqual(['first', 'own']);
});

test('a reminder set for every time comes with the next, and goes for good when it is taken away so', () => {
  const { w, shop, list } = household();
  w.must('Aino', 'chore.make', { title: 'Fetch the post', list, rrule: 'FREQ=DAILY', dtstart: '2026-11-24', persons: among(w, 'Petri') });
  const open = () => w.rows.all('item').find((item) => item.seriesId !== null && w.part(item.id, 'Petri').standing !== 'completed')!.id;
  const reminders = () => w.rows.by('alarm', 'itemId', open()).filter(({ removedAt }) => removedAt === null);
  w.must('Petri', 'alarm.set', { item: open(), trigger: onArriving(shop), everyTime: true });
  w.must('Petri', 'part.checkOff', { item: open(), person: w.person('Petri') });
  expect(reminders()).toHaveLength(1);
  w.must('Petri', 'alarm.remove', { alarms: [reminders()[0]!.id], everyTime: true });
  w.must('Petri', 'part.checkOff', { item: open(), person: w.person('Petri') });
  expect(reminders()).toEqual([]);
});

test('after thirty days nobody knows any more when somebody was there', () => {
  const { w, shop } = household();
  cross(w, 'Petri', shop, 'enter', { silent: true });
  const visit = visitId(w.person('Petri'), shop);
  w.later(VISITS_KEPT_DAYS * 24 * 60 - 1);
  w.system('visit.forget', { visit });
  expect((w.rows.find('visit', visit) as { enteredAt: string | null }).enteredAt).not.toBeNull();
  w.later(1);
  w.system('visit.forget', { visit });
  expect(w.rows.find('visit', visit)).toMatchObject({ enteredAt: null, leftAt: null });
});
