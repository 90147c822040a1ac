import { readHours, sayHours } from './amounts.ts';

test.each([
  ['4', 240],
  ['1.5', 90],
  ['1,5', 90],
  ['', 0],
  [' 24 ', 1440],
  ['25', null],
  ['-5', null],
  ['four', null],
  ['1:30', null],
])('hours typed as “%s”', (typed, minutes) => expect(readHours(typed)).toBe(minutes));

test('hours are said with one decimal where it matters', () => {
  expect([240, 90, 42, 0].map(sayHours)).toEqual(['4', '1.5', '0.7', '0']);
});
