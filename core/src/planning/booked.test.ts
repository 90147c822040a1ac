import * as fc from 'fast-check';
import { World } from '../testing/world.ts';
import { endOf, overlapsOf, sharedMinutes } from './booked.ts';
import { calendarOf } from './calendar.ts';

test.each([
  ['16:00', 60, '16:30', 60, 30],
  ['16:00', 30, '16:30', 60, 0],
  ['16:00', 120, '16:30', 15, 15],
  ['18:00', 30, '16:30', 15, 0],
])('%s for %i minutes and %s for %i share %i', (time, minutes, otherTime, otherMinutes, shared) => {
  expect(sharedMinutes({ time, minutes }, { time: otherTime, minutes: otherMinutes })).toBe(shared);
});

test('what two stretches share is the same from either side and never more than the shorter', () => {
  const hour = fc
    .tuple(fc.integer({ min: 0, max: 23 }), fc.integer({ min: 0, max: 59 }))
    .map((parts) => parts.map((n) => String(n).padStart(2, '0')).join(':'));
  const stretch = fc.record({ time: hour, minutes: fc.integer({ min: 5, max: 600 }) });
  fc.assert(
    fc.property(stretch, stretch, (one, other) => {
      const shared = sharedMinutes(one, other);
      expect(shared).toBe(sharedMinutes(other, one));
      expect(shared).toBeLessThanOrEqual(Math.min(one.minutes, other.minutes));
    }),
  );
});

test('it ends by the clock, after midnight too', () => {
  expect(['16:15', '23:30'].map((time) => endOf({ time, minutes: 45 }))).toEqual(['17:00', '00:15']);
});

function house() {
  const w = new World();
  w.join('Petri');
  w.join('Oona');
  const day = (of: string) =>
    calendarOf({ meId: w.person(of), from: '2026-12-04', to: '2026-12-04', personId: null, now: w.now, house: w.rows.all('house')[0]! }, w.rows).get(
      '2026-12-04',
    ) ?? [];
  const overlaps = (of: string, itemIds: string[], time = '16:00') =>
    overlapsOf({ time, minutes: 60, itemIds }, day(of), w.person(of)).map(({ title, minutes }) => `${title} ${minutes}`);
  return { w, day, overlaps };
}

test('booked time overlaps other booked time, plans at an hour and one’s own chores; not deadlines, and not what it is for', () => {
  const { w, overlaps } = house();
  const [form, boat, nets] = ['Form', 'Boat', 'Nets'].map((title) => w.item('Petri', title, {}));
  w.item('Petri', 'Offer', { due: '2026-12-04T16:30' });
  w.must('Petri', 'part.plan', { items: [boat!], plan: '2026-12-04T16:50' });
  w.must('Petri', 'slot.book', { items: [nets!], start: '2026-12-04T15:30', minutes: 40 });
  w.must('Aino', 'chore.make', { title: 'Sauna', rrule: 'FREQ=WEEKLY;BYDAY=FR', dtstart: '2026-12-04T16:10', effort: 20, persons: [w.person('Petri')] });
  expect(overlaps('Petri', [form!])).toEqual(['Nets 10', 'Sauna 20', 'Boat 10']);
  expect(overlaps('Petri', [nets!, boat!])).toEqual(['Sauna 20']);
});

test('booked time stands in the calendar of who booked it, with what it is for, and moves no other date', () => {
  const { w, day } = house();
  const [form, nets] = ['Form', 'Nets'].map((title) => w.item('Petri', title, { due: '2026-12-10' }));
  const slot = w.must('Petri', 'slot.book', { items: [form!, nets!], start: '2026-12-04T09:00', minutes: 90 });
  expect(slot).toBeDefined();
  expect(day('Petri')).toMatchObject([
    { kind: 'slot', time: '09:00', minutes: 90, done: false, items: [{ title: 'Form', due: '2026-12-10' }, { title: 'Nets' }] },
  ]);
  expect(day('Aino')).toEqual([]);
  for (const item of [form!, nets!]) w.must('Petri', 'part.checkOff', { item, person: null });
  expect(day('Petri')).toMatchObject([{ kind: 'slot', done: true }]);
  const held = w.rows.all('slot')[0]!;
  expect(w.refused('Petri', 'slot.book', { items: [form!], start: '2026-12-04', minutes: 30 }).field).toBe('start');
  w.must('Petri', 'slot.free', { slot: held.id });
  expect(day('Petri')).toEqual([]);
});
