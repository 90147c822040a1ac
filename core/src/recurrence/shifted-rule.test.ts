import * as fc from 'fast-check';
import { addDays } from '../time/clock.ts';
import { occurrences } from './occurrences.ts';
import { shiftedRule } from './shifted-rule.ts';

test.each([
  ['a weekday', 'FREQ=WEEKLY;BYDAY=FR', '2026-12-04', '2026-12-07', 'FREQ=WEEKLY;BYDAY=MO'],
  ['one of two weekdays', 'FREQ=WEEKLY;BYDAY=WE,SA', '2026-12-05', '2026-12-04', 'FREQ=WEEKLY;BYDAY=WE,FR'],
  ['onto the other of two', 'FREQ=WEEKLY;BYDAY=WE,SA', '2026-12-05', '2026-12-02', 'FREQ=WEEKLY;BYDAY=WE'],
  ['every other week', 'FREQ=WEEKLY;INTERVAL=2;BYDAY=FR', '2026-12-18', '2026-12-17', 'FREQ=WEEKLY;INTERVAL=2;BYDAY=TH'],
  ['the day of a month', 'FREQ=MONTHLY;BYMONTHDAY=15', '2026-12-15', '2026-12-18', 'FREQ=MONTHLY;BYMONTHDAY=18'],
  ['without a day said', 'FREQ=WEEKLY', '2026-12-04', '2026-12-07', 'FREQ=WEEKLY'],
  ['only the hour', 'FREQ=MONTHLY;BYDAY=-1SU', '2026-12-27T10:00', '2026-12-27T12:00', 'FREQ=MONTHLY;BYDAY=-1SU'],
])('%s is moved with all that follow', (_, rule, from, to, shifted) => {
  expect(shiftedRule(rule, from, to)).toBe(shifted);
});

test.each([
  ['the last Sunday', 'FREQ=MONTHLY;BYDAY=-1SU', '2026-12-27', '2026-12-28'],
  ['the last workday', 'FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1', '2026-12-31', '2026-12-30'],
  ['the last day', 'FREQ=MONTHLY;BYMONTHDAY=-1', '2026-12-31', '2026-12-30'],
  ['into the next month', 'FREQ=MONTHLY;BYMONTHDAY=31', '2026-12-31', '2027-01-02'],
  ['one of two weekdays into the next week', 'FREQ=WEEKLY;BYDAY=WE,SA', '2026-12-05', '2026-12-07'],
  ['a day that is not of the rule', 'FREQ=WEEKLY;BYDAY=WE', '2026-12-05', '2026-12-07'],
])('%s can’t be moved so', (_, rule, from, to) => {
  expect(shiftedRule(rule, from, to)).toBeNull();
});

test('begun on the day it was moved to, a weekly rule comes there and on every other of its days', () => {
  const week = fc.uniqueArray(fc.constantFrom('MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'), { minLength: 1, maxLength: 4 });
  fc.assert(
    fc.property(week, fc.integer({ min: 0, max: 6 }), fc.integer({ min: 0, max: 6 }), (days, one, other) => {
      const [from, to] = [addDays('2026-11-30', one), addDays('2026-11-30', other)];
      fc.pre(one !== other);
      const rule = `FREQ=WEEKLY;BYDAY=${days.join(',')}`;
      const shifted = shiftedRule(rule, from, to);
      const dates = (rrule: string) =>
        [...occurrences({ rrule, dtstart: '2026-11-30', zone: 'Europe/Helsinki' }, { before: '2026-12-07' })].map(({ at }) => at);
      if (shifted === null) expect(dates(rule)).not.toContain(from);
      else expect(new Set(dates(shifted))).toEqual(new Set([...dates(rule).filter((date) => date !== from), to]));
    }),
  );
});
