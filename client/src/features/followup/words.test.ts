import { followUpsOf } from '@kotiva/core';
import { World } from '@kotiva/core/testing/world';
import { sayWhy } from './words.ts';

const ZONE = 'Europe/Helsinki';

function towels(due?: string) {
  const w = new World();
  w.join('Leila', 'helper');
  w.join('Noor', 'helper');
  const item = w.item('Aino', 'Towels', { persons: [w.person('Leila'), w.person('Noor')], policy: 'each', due });
  w.must('Aino', 'house.change', { pace: 'off' });
  const why = () =>
    followUpsOf(w.person('Aino'), w.rows, w.now, ZONE).map((followUp) => [followUp.group, sayWhy(followUp, w.rows, w.now, w.rows.all('house')[0]!)]);
  return { w, item, why };
}
const both = (w: World, item: string) => ['Leila', 'Noor'].forEach((name) => w.must(name, 'part.checkOff', { item, person: w.person(name) }));

test.each<[string, string | undefined, (w: World, item: string) => unknown, string, string]>([
  ['in hand without a day', undefined, () => undefined, 'in-hand', 'each, 0 of 2 · given today'],
  ['in hand by a day', '2026-11-27T17:00', () => undefined, 'in-hand', 'by Friday 17:00, in 3 days · each, 0 of 2 · given today'],
  [
    'one is in',
    '2026-11-27',
    (w, item) => w.must('Leila', 'part.checkOff', { item, person: w.person('Leila') }),
    'in-hand',
    'by Friday, in 3 days · each, 1 of 2 · given today',
  ],
  ['late', '2026-11-24T11:00', () => undefined, 'late', 'was due today 11:00 · each, 0 of 2 · given today'],
  [
    'one can’t',
    undefined,
    (w, item) => w.must('Noor', 'part.decline', { item, reason: 'My back' }),
    'needs-you',
    'Noor can’t: “My back” · each, 0 of 2 · given today',
  ],
  [
    'one can’t, no reason',
    undefined,
    (w, item) => w.must('Noor', 'part.decline', { item, reason: '' }),
    'needs-you',
    'Noor can’t · each, 0 of 2 · given today',
  ],
  [
    'one asks',
    undefined,
    (w, item) => w.must('Leila', 'part.askBack', { item, question: 'White?' }),
    'needs-you',
    'Leila asks: “White?” · each, 0 of 2 · given today',
  ],
  ['all in', undefined, both, 'back', 'Leila, today 12:00 · each, 2 of 2'],
])('%s', (_name, due, act, group, words) => {
  const { w, item, why } = towels(due);
  act(w, item);
  expect(why()).toEqual([[group, words]]);
});

test.each<[string, number, string]>([
  ['as days go by it says how long it is out, and until when', 1, 'by Friday, in 2 days · each, 0 of 2 · given 1 day ago'],
  ['a day early', 2, 'by tomorrow · each, 0 of 2 · given 2 days ago'],
  ['and how late it is', 6, 'was due Fri 27 Nov, 3 days late · each, 0 of 2 · given 6 days ago'],
])('%s', (_name, days, words) => {
  const { w, why } = towels('2026-11-27');
  w.later(days * 1_440);
  expect(why()[0]![1]).toBe(words);
});

test('after a nudge the deadline still stands there', () => {
  const { w, item, why } = towels('2026-12-04');
  w.later(1_440);
  w.must('Aino', 'part.nudge', { item, persons: [w.person('Leila')] });
  expect(why()[0]).toEqual(['silent', 'nudged today 12:00 · by Fri 4 Dec, in 9 days · each, 0 of 2 · given 1 day ago']);
});

test('a day said with the handover is seen by who said it, also after it was moved', () => {
  const w = new World();
  w.join('Eetu', 'member');
  w.must('Aino', 'house.change', { pace: 'off' });
  const item = w.item('Aino', 'Rake the leaves', { persons: [w.person('Eetu')], plan: '2026-11-27T16:00' });
  const why = () => followUpsOf(w.person('Aino'), w.rows, w.now, ZONE).map((one) => sayWhy(one, w.rows, w.now, w.rows.all('house')[0]!));
  expect(why()).toEqual(['on Friday 16:00 · Eetu · given today']);
  w.must('Eetu', 'part.plan', { items: [item], plan: '2026-11-28' });
  expect(why()).toEqual(['on Saturday · Eetu · given today']);
});

test('put away it is followed no more', () => {
  const { w, item, why } = towels();
  both(w, item);
  w.must('Aino', 'part.putAway', { items: [item] });
  expect(why()).toEqual([]);
});

test('when somebody is asked next stands beside why it stands there', () => {
  const { w, why } = towels('2026-11-27T17:00');
  w.must('Aino', 'house.change', { pace: 'usual' });
  // handed over on Tuesday noon, due on Friday at five: half-way is Thursday at half past two in the morning, so at seven
  expect(why()[0]![1]).toBe('by Friday 17:00, in 3 days · each, 0 of 2 · given today · next nudge Thursday 07:00');
});
