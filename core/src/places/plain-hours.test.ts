import fc from 'fast-check';
import { DAY_CODES, hoursText, plainHours, type DayCode, type HoursRow } from './plain-hours.ts';

const WORKDAYS: DayCode[] = ['Mo', 'Tu', 'We', 'Th', 'Fr'];

test.each<[HoursRow[], string]>([
  [[], ''],
  [[{ days: WORKDAYS, from: '08:00', to: '15:00' }], 'Mo-Fr 08:00-15:00'],
  [
    [
      { days: WORKDAYS, from: '09:00', to: '17:00' },
      { days: ['Sa'], from: '10:00', to: '14:00' },
    ],
    'Mo-Fr 09:00-17:00; Sa 10:00-14:00',
  ],
  [[{ days: ['Tu', 'Th'], from: '12:00', to: '18:00' }], 'Tu,Th 12:00-18:00'],
  [
    [
      { days: ['Mo', 'Tu', 'We'], from: '13:00', to: '17:00' },
      { days: ['Mo', 'Tu', 'We', 'Sa', 'Su'], from: '09:00', to: '12:00' },
    ],
    'Mo-We 09:00-12:00,13:00-17:00; Sa,Su 09:00-12:00',
  ],
])('%j is %s', (rows, text) => {
  expect(hoursText(rows)).toBe(text);
  expect(hoursText(plainHours(text)!)).toBe(text);
});

test.each(['24/7', 'Mo-Fr 09:00-17:00; PH off', 'Dec 24 08:00-12:00', 'Mo[1] 09:00-10:00', 'Fr-Mo 09:00-10:00', 'whenever'])('%s says more', (text) =>
  expect(plainHours(text)).toBeNull(),
);

test('a later rule replaces an earlier one of its day', () => {
  expect(hoursText(plainHours('Mo-Sa 08:00-20:00; Sa 10:00-14:00')!)).toBe('Mo-Fr 08:00-20:00; Sa 10:00-14:00');
});

test('what was put in words is read back as it was meant, day by day', () => {
  const time = fc.integer({ min: 0, max: 1439 }).map((m) => `${String(Math.floor(m / 60)).padStart(2, '0')}:${String(m % 60).padStart(2, '0')}`);
  const row = fc.record({ days: fc.subarray([...DAY_CODES], { minLength: 1 }), from: time, to: time });
  const byDay = (rows: readonly HoursRow[]) =>
    DAY_CODES.map((day) =>
      rows
        .filter(({ days }) => days.includes(day))
        .map(({ from, to }) => `${from}-${to}`)
        .sort(),
    );
  fc.assert(fc.property(fc.array(row, { maxLength: 5 }), (rows) => expect(byDay(plainHours(hoursText(rows))!)).toEqual(byDay(rows))));
});
