import type { Person } from '@kotiva/core';
import { nameBeingTyped, offered, tagBeingTyped, tagInLine, unknownName, withChosen } from './names.ts';

const person = (name: string, mark: string, endedAt: string | null = null): Person =>
  ({ id: name, name, mark, endedAt, role: 'member', colour: 'moss', pattern: 'weft' }) as Person;
const PEOPLE = [person('Leila Haddad', 'Le'), person('Noor', 'No'), person('Leila Virta', 'LV'), person('Marek', 'Ma', '2026-01-01T00:00:00.000Z')];

test('names are offered while one is typed after an @, of those who are here', () => {
  expect(nameBeingTyped('Towels @le')).toBe('le');
  expect(nameBeingTyped('Towels @Leila and')).toBeNull();
  expect(offered('', PEOPLE)).toHaveLength(3);
  expect(offered('le', PEOPLE).map(({ mark }) => mark)).toEqual(['Le', 'LV']);
  expect(offered('virta', PEOPLE).map(({ mark }) => mark)).toEqual(['LV']);
});

test('somebody is found by their address, and by any part of their name', () => {
  const leila = { ...PEOPLE[0]!, email: 'office@shore.example' };
  expect(nameBeingTyped('Towels @office@sh')).toBe('office@sh');
  expect(offered('office@sh', [leila, PEOPLE[1]!]).map(({ mark }) => mark)).toEqual(['Le']);
  expect(offered('adda', PEOPLE).map(({ mark }) => mark)).toEqual(['Le']);
  expect(withChosen('Towels @office@sh', '@Leila')).toBe('Towels @Leila ');
});

test('a tag of two words stands in quotes', () => {
  expect(tagBeingTyped('Latch #"front d')).toBe('front d');
  expect(withChosen('Latch #"front d', tagInLine('front door'))).toBe('Latch #"front door" ');
  expect(withChosen('Latch #fr', tagInLine('shop'))).toBe('Latch #shop ');
});

test('a tag being typed', () => {
  expect(tagBeingTyped('Candles #sh')).toBe('sh');
  expect(tagBeingTyped('Candles #shop now')).toBeNull();
});

test.each([
  ['Ask @Zebedee for it', 'Zebedee'],
  ['Ask @Zebedee', null],
  ['Ask @Noor for it', null],
  ['Ask @Marek who has left', 'Marek'],
  ['noor@example.org writes', null],
])('%s', (line, unknown) => expect(unknownName(line, PEOPLE)).toBe(unknown));
