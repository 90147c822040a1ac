import { World } from '../testing/world.ts';
import { followUpsOf, type FollowUp } from './groups.ts';

const ZONE = 'Europe/Helsinki';

function house() {
  const w = new World();
  for (const name of ['Leila', 'Noor', 'Eetu']) w.join(name);
  const list = w.list('Aino', 'Boathouse', [['Eetu', 'edit']]);
  const hand = (title: string, names: string[], more: object = {}) => w.item('Aino', title, { list, persons: names.map((name) => w.person(name)), ...more });
  const of = (name = 'Aino'): FollowUp[] => followUpsOf(w.person(name), w.rows, w.now, ZONE);
  const groups = (name = 'Aino') => of(name).map((one) => `${one.group}: ${one.item.title} (${one.reason})`);
  return { w, list, hand, of, groups };
}

test('what is out is in hand, until it comes back and is put away', () => {
  const { w, hand, groups } = house();
  const item = hand('Jackets', ['Leila']);
  expect(groups()).toEqual(['in-hand: Jackets (in-hand)']);
  w.must('Leila', 'part.checkOff', { item, person: w.person('Leila') });
  expect(groups()).toEqual(['back: Jackets (done)']);
  w.must('Aino', 'part.putAway', { items: [item] });
  expect(groups()).toEqual([]);
});

test('one declined part of an each item needs the giver; passed on, it no longer does', () => {
  const { w, hand, groups } = house();
  const item = hand('Jackets', ['Leila', 'Noor'], { policy: 'each' });
  w.must('Leila', 'part.checkOff', { item, person: w.person('Leila') });
  w.must('Noor', 'part.decline', { item });
  expect(groups()).toEqual(['needs-you: Jackets (declined)']);
  w.must('Aino', 'part.passOn', { item, from: w.person('Noor'), to: w.person('Eetu') });
  expect(groups()).toEqual(['in-hand: Jackets (in-hand)']);
});

test('of an any item a refusal needs the giver only when nobody is left', () => {
  const { w, hand, groups } = house();
  const item = hand('Candles', ['Leila', 'Noor'], { policy: 'any' });
  w.must('Noor', 'part.decline', { item });
  expect(groups()).toEqual(['in-hand: Candles (in-hand)']);
  w.must('Leila', 'part.decline', { item });
  expect(groups()).toEqual(['needs-you: Candles (declined)']);
});

test('a question, and what waits to be tied off, come before being late', () => {
  const { w, hand, groups } = house();
  const towels = hand('Towels', ['Leila'], { due: '2026-11-20' });
  const hood = hand('Hood', ['Noor'], { due: '2026-11-20', confirm: true });
  expect(groups()).toEqual(['late: Hood (late)', 'late: Towels (late)']);
  w.must('Leila', 'part.askBack', { item: towels, question: 'White?' });
  w.must('Noor', 'part.checkOff', { item: hood, person: w.person('Noor') });
  expect(groups()).toEqual(['needs-you: Hood (waits-for-tie)', 'needs-you: Towels (asked)']);
});

test('late begins at the hour, without one when the next day begins', () => {
  const { w, hand, groups } = house();
  hand('At noon', ['Leila'], { due: '2026-11-24T12:30' });
  hand('Today', ['Leila'], { due: '2026-11-24' });
  w.now = '2026-11-24T10:29:00.000Z';
  expect(groups()).toEqual(['in-hand: Today (in-hand)', 'in-hand: At noon (in-hand)']);
  w.now = '2026-11-24T10:30:00.000Z';
  expect(groups()).toEqual(['late: At noon (late)', 'in-hand: Today (in-hand)']);
  w.now = '2026-11-24T22:00:00.000Z';
  expect(groups()).toHaveLength(2);
  expect(groups().every((line) => line.startsWith('late'))).toBe(true);
});

test('somebody who has left with it in hand needs the giver', () => {
  const { w, hand, groups } = house();
  const item = hand('Jackets', ['Leila']);
  w.must('Aino', 'person.end', { person: w.person('Leila'), parts: [{ item, to: 'later' }] });
  expect(groups()).toEqual(['needs-you: Jackets (left)']);
});

test('a part passed on by its person is followed by both: the giver and the one who passed it', () => {
  const { w, hand, groups } = house();
  const item = hand('Jackets', ['Eetu']);
  w.must('Eetu', 'part.passOn', { item, from: w.person('Eetu'), to: w.person('Noor') });
  expect(groups('Aino')).toEqual(['in-hand: Jackets (in-hand)']);
  expect(groups('Eetu')).toEqual(['in-hand: Jackets (in-hand)']);
});

test('excused by all, nobody has it: it needs the giver', () => {
  const { w, hand, groups } = house();
  const item = hand('Jackets', ['Leila']);
  w.must('Aino', 'part.excuse', { item, person: w.person('Leila') });
  expect(groups()).toEqual(['needs-you: Jackets (nobody)']);
});
