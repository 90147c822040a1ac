import { catalogueOf } from './catalogue.ts';

const english = catalogueOf('en', {
  plain: 'Page not found',
  greeting: 'Good morning, {name}',
  things_one: '{count} thing of {name}',
  things_other: '{count} things of {name}',
  only_other: '{count} in all',
});

test('a sentence with its slots filled', () => {
  expect(english('plain', {})).toBe('Page not found');
  expect(english('greeting', { name: 'Aino' })).toBe('Good morning, Aino');
  expect(english('nobody wrote it', {})).toBeUndefined();
});

test('a number chooses the plural, as CLDR has it', () => {
  expect(english('things', { count: 1, name: 'Aino' })).toBe('1 thing of Aino');
  for (const count of [0, 2, 21]) expect(english('things', { count, name: 'Aino' })).toBe(`${count} things of Aino`);
  expect(english('only', { count: 1 })).toBe('1 in all');
  expect(english('plain', { count: 3 })).toBe('Page not found');
  const polish = catalogueOf('pl', { things_one: 'rzecz', things_few: 'rzeczy', things_many: 'rzeczy wiele', things_other: 'rzeczy ileś' });
  expect([1, 2, 5].map((count) => polish('things', { count }))).toEqual(['rzecz', 'rzeczy', 'rzeczy wiele']);
});

test('what is put in stays as it was typed', () => {
  expect(english('greeting', { name: '{name} $& <b>' })).toBe('Good morning, {name} $& <b>');
  expect(english('greeting', {})).toBe('Good morning, {name}');
  expect(english('greeting', Object.create({ name: 'inherited' }) as Record<string, string>)).toBe('Good morning, {name}');
});
