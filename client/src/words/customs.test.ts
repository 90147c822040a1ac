import { daysIntoWeek, sayHour, setDateOrder, setHourCycle, setWeekStart, weekdaysInOrder } from './customs.ts';
import { calendarWords, dayMonth, dayMonthYear, sayDue, sayExactly, sayToday, shortDay, sayMoment, startOfWeek, weeksOf } from './dates.ts';
import { sayRule } from './rules.ts';

afterEach(() => {
  setHourCycle('24');
  setWeekStart(1);
  setDateOrder('day');
});

test.each([
  ['00:00', '12:00 am'],
  ['00:30', '12:30 am'],
  ['09:05', '9:05 am'],
  ['12:00', '12:00 pm'],
  ['23:59', '11:59 pm'],
])('%s with twelve hours is %s', (time, said) => {
  expect(sayHour(time, '12')).toBe(said);
  expect(sayHour(`2026-12-04T${time}`, '12')).toBe(said);
  expect(sayHour(time, '24')).toBe(time);
});

test('what says an hour says it as the reader is used to', () => {
  setHourCycle('12');
  const now = '2026-12-01T10:00:00Z';
  expect(sayMoment('2026-12-02T17:00', now, 'Europe/Helsinki')).toBe('tomorrow 5:00 pm');
  expect(sayDue('2026-12-01T18:30', false, now, 'Europe/Helsinki')).toBe('6:30 pm');
  expect(sayDue('2026-12-04', false, now, 'Europe/Helsinki')).toBe('Friday');
  expect(sayRule({ rrule: 'FREQ=DAILY', afterDone: null, dtstart: '2026-12-01T07:00' })).toContain('7:00 am');
});

test('what says a date says it in the order the reader is used to', () => {
  const said = () => [
    dayMonth('2026-12-04'),
    dayMonthYear('2027-01-02', '2026-12-04'),
    shortDay('2026-12-04'),
    sayToday('2026-12-04', false),
    sayExactly('2026-12-04T17:00'),
  ];
  expect(said()).toEqual(['Fri 4 Dec', 'Sat 2 Jan 2027', '4 Dec', 'Friday 4 December', 'Friday, 4 December 2026 17:00']);
  setDateOrder('month');
  expect(said()).toEqual(['Fri Dec 4', 'Sat Jan 2 2027', 'Dec 4', 'Friday December 4', 'Friday, December 4, 2026 17:00']);
});

test('a week that begins on a Sunday: its letters, its rows and its first day', () => {
  setWeekStart(7);
  expect(weekdaysInOrder()).toEqual([7, 1, 2, 3, 4, 5, 6]);
  expect(calendarWords().weekdays.join('')).toBe('SMTWTFS');
  // 1 December 2026 is a Tuesday
  expect(weeksOf('2026-12')[0]).toEqual([null, null, '2026-12-01', '2026-12-02', '2026-12-03', '2026-12-04', '2026-12-05']);
  expect(startOfWeek('2026-12-05')).toBe('2026-11-29');
  expect(startOfWeek('2026-12-06')).toBe('2026-12-06');
});

test.each([1, 6, 7] as const)('weeks of any month that begin on day %i are whole, in order, and lose no day', (start) => {
  setWeekStart(start);
  for (const month of ['2026-02', '2026-03', '2026-11', '2028-02']) {
    const weeks = weeksOf(month);
    expect(weeks.every(({ length }) => length === 7)).toBe(true);
    const days = weeks.flat().filter((day) => day !== null);
    expect(days).toEqual([...days].sort());
    expect(days.at(-1)!.slice(8)).toBe(String(new Date(Date.UTC(Number(month.slice(0, 4)), Number(month.slice(5)), 0)).getUTCDate()));
    for (const week of weeks) week.forEach((day, nth) => day && expect(daysIntoWeek(new Date(day).getUTCDay() || 7)).toBe(nth));
  }
});
