import type { Person } from '@kotiva/core';
import { nameBeingTyped, offered, readLine } from './names.ts';

const person = (name: string, mark: string, endedAt: string | null = null): Person =>
  ({ id: name, name, mark, endedAt, role: 'member', colour: 'moss', pattern: 'weft' }) as Person;
const PEOPLE = [person('Leila Haddad', 'Le'), person('Noor', 'No'), person('Leila Virta', 'LV'), person('Marek', 'Ma', '2026-01-01T00:00:00.000Z')];

test.each([
  ['Iron the napkins @Noor', 'Iron the napkins', ['Noor'], []],
  ['@no iron the napkins', 'iron the napkins', ['Noor'], []],
  ['Iron @Noor the @LV napkins', 'Iron the napkins', ['Noor', 'Leila Virta'], []],
  ['Write to noor@example.org', 'Write to noor@example.org', [], []],
  ['Ask @Zebedee', 'Ask @Zebedee', [], ['Zebedee']],
  ['Ask @Marek who has left', 'Ask @Marek who has left', [], ['Marek']],
])('%s', (line, title, persons, unknown) => {
  const read = readLine(line, PEOPLE);
  expect(read).toMatchObject({ title, unknown, unclear: null });
  expect(read.persons.map(({ name }) => name)).toEqual(persons);
});

test('two of one first name: which one is asked, and the answer holds', () => {
  const read = readLine('Towels @Leila', PEOPLE);
  expect(read.unclear?.people.map(({ name }) => name)).toEqual(['Leila Haddad', 'Leila Virta']);
  expect(readLine('Towels @Leila', PEOPLE, new Map([['leila', 'Leila Virta']])).persons.map(({ name }) => name)).toEqual(['Leila Virta']);
});

test('names are offered while one is typed after an @, of those who are here', () => {
  expect(nameBeingTyped('Towels @le')).toBe('le');
  expect(nameBeingTyped('Towels @Leila and')).toBeNull();
  expect(offered('', PEOPLE)).toHaveLength(3);
  expect(offered('le', PEOPLE).map(({ mark }) => mark)).toEqual(['Le', 'LV']);
});
