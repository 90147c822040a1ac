import { CalendarDate } from './row-schema.ts';
import { isCalendarDate } from './calendar-date.ts';

test.each([
  '2026-11-27',
  '2028-02-29',
  '2026-02-29',
  '2026-02-31',
  '0000-01-01',
  '0001-01-01',
  '1900-01-01',
  '1899-12-31',
  '2199-12-31',
  '2200-01-01',
  '9999-12-31',
  '2026-13-01',
  '2026-1-1',
  '',
  'x',
  '2026-11-27T10:00',
])('%s is a calendar date where the schema says so', (text) => expect(isCalendarDate(text)).toBe(CalendarDate.safeParse(text).success));
