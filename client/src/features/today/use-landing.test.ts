import { agendaOf } from '@kotiva/core';
import { World } from '@kotiva/core/testing/world';
import { landingOf } from './use-landing.ts';

function house() {
  const w = new World();
  w.join('Leila', 'helper');
  return { w, groceries: w.list('Aino', 'Groceries', [['Leila', 'check']]) };
}
function landing(w: World, who: string, seen: readonly string[]): string | null {
  const [open] = w.rows.all('house');
  const agenda = agendaOf({ personId: w.person(who), now: w.now, house: open! }, w.rows);
  return landingOf(w.rows.all('list').filter(({ name }) => seen.includes(name)), agenda, open!); // prettier-ignore
}

test('who has one list and nothing on their day begins in it', () => {
  const { w, groceries } = house();
  w.item('Aino', 'Butter', { list: groceries });
  expect(landing(w, 'Leila', ['Groceries'])).toBe(groceries);
});

test('with a second list, none, or something for today they begin with the day', () => {
  const { w, groceries } = house();
  w.list('Aino', 'Kitchen');
  expect(landing(w, 'Leila', ['Groceries', 'Kitchen'])).toBeNull();
  expect(landing(w, 'Leila', [])).toBeNull();
  w.item('Aino', 'Butter', { list: groceries, persons: [w.person('Leila')] });
  expect(landing(w, 'Leila', ['Groceries'])).toBeNull();
});

test('one that was archived or removed does not count', () => {
  const { w, groceries } = house();
  w.list('Aino', 'Kitchen');
  w.must('Aino', 'list.remove', { list: w.rows.all('list').find(({ name }) => name === 'Kitchen')!.id });
  expect(landing(w, 'Leila', ['Groceries', 'Kitchen'])).toBe(groceries);
});

test('the hints of a new house are no list to begin in', () => {
  const { w, groceries } = house();
  expect(landingOf(w.rows.all('list'), [], { hintsListId: groceries })).toBeNull();
});
