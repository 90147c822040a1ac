import { readHours, sayDuration, sayHours } from './amounts.ts';

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

test('a duration is said as people say it', () => {
  expect([0, 45, 59.6, 60, 75, 125, 1680].map(sayDuration)).toEqual(['0 min', '45 min', '1 h', '1 h', '1 h 15', '2 h 05', '28 h']);
});
