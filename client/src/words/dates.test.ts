import { monthAfter, sayDone, sayDue, sayInstant, sayLeft, sayMoment, sayToday, usualMoments, weeksOf } from './dates.ts';

const ZONE = 'Europe/Helsinki';
/** Tuesday 24 November 2026, noon in Helsinki. */
const NOW = '2026-11-24T10:00:00.000Z';

test.each([
  ['2026-11-24', 'today'],
  ['2026-11-25T17:00', 'tomorrow 17:00'],
  ['2026-11-23', 'yesterday'],
  ['2026-11-27T17:00', 'Friday 17:00'],
  ['2026-12-04', 'Fri 4 Dec'],
  ['2027-01-01', 'Fri 1 Jan 2027'],
])('%s is said as %s', (moment, words) => expect(sayMoment(moment, NOW, ZONE)).toBe(words));

test.each([
  ['2026-11-21', true, '3 days late'],
  ['2026-11-23T18:00', true, '1 day late'],
  ['2026-11-24T09:00', true, 'late since 09:00'],
  ['2026-11-24T15:00', false, '15:00'],
  ['2026-11-24', false, 'today'],
  ['2026-12-12', false, 'Sat 12 Dec'],
])('a deadline %s, late: %s, is said as %s', (due, late, words) => expect(sayDue(due, late, NOW, ZONE)).toBe(words));

test('instants are said in the zone of the house', () => {
  expect(sayInstant('2026-11-24T08:42:00.000Z', NOW, ZONE)).toBe('today 10:42');
  // half past eleven in the evening in London is already the next day in Helsinki
  expect(sayInstant('2026-11-22T23:30:00.000Z', NOW, ZONE)).toBe('Mon 01:30');
  expect(sayInstant('2026-11-10T08:00:00.000Z', NOW, ZONE)).toBe('Tue 10 Nov 10:00');
});

test('the day over the screen, short on a phone', () => {
  expect(sayToday('2026-11-24', true)).toBe('Tuesday 24 Nov');
  expect(sayToday('2026-11-24', false)).toBe('Tuesday 24 November');
});

test('usual days carry their exact date, and none is offered twice', () => {
  expect(usualMoments(NOW, ZONE).map(({ moment }) => moment)).toEqual(['2026-11-24', '2026-11-25', '2026-11-27', '2026-11-30']);
  // on a Thursday tomorrow is the Friday
  expect(usualMoments('2026-11-26T10:00:00.000Z', ZONE).map(({ moment }) => moment)).toEqual(['2026-11-26', '2026-11-27', '2026-11-30']);
});

test.each([
  ['2026-12-06', false, 'in 12 days'],
  ['2026-11-26T09:00', false, 'in 2 days'],
  ['2026-11-25T09:00', false, 'tomorrow 09:00'],
  ['2026-11-21', true, '3 days late'],
])('what is left to %s, late: %s: %s', (due, late, words) => expect(sayLeft(due, late, NOW, ZONE)).toBe(words));

test('a month in weeks from Monday, each day once', () => {
  const weeks = weeksOf('2026-11');
  expect(weeks).toHaveLength(6);
  expect(weeks[0]).toEqual([null, null, null, null, null, null, '2026-11-01']);
  expect(weeks.flat().filter(Boolean)).toHaveLength(30);
  expect(weeksOf('2027-02').flat().filter(Boolean).at(-1)).toBe('2027-02-28');
  expect([monthAfter('2026-12', 1), monthAfter('2026-01', -1), monthAfter('2026-05', 0)]).toEqual(['2027-01', '2025-12', '2026-05']);
});

test.each([
  ['2026-11-27', '2026-11-25T10:00:00.000Z', 'done 2 days early'],
  ['2026-11-24', '2026-11-24T21:30:00.000Z', 'done on time'],
  ['2026-11-24', '2026-11-24T22:30:00.000Z', 'done 1 day late'],
  ['2026-11-24T17:00', '2026-11-24T14:59:00.000Z', 'done on time'],
  ['2026-11-24T17:00', '2026-11-24T15:20:00.000Z', 'done late, at 17:20'],
  ['2026-04-20', '2026-11-21T10:00:00.000Z', 'done 215 days late'],
])('due %s, done %s: %s', (due, done, words) => expect(sayDone(due, done, ZONE)).toBe(words));
