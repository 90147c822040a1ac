import { sayRule } from './rules.ts';

test.each([
  ['FREQ=WEEKLY;BYDAY=WE,SA', '2026-12-02T16:00', 'every Wed and Sat at 16:00'],
  ['FREQ=WEEKLY;INTERVAL=2;BYDAY=FR', '2026-12-04', 'every 2 weeks on Friday'],
  ['FREQ=WEEKLY', '2026-12-04', 'every Friday'],
  ['FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR', '2026-12-04', 'every workday'],
  ['FREQ=DAILY;INTERVAL=3', '2026-12-04', 'every 3 days'],
  ['FREQ=DAILY;BYHOUR=8,12;BYMINUTE=30', '2026-12-04T08:30', 'every day at 08:30 and 12:30'],
  ['FREQ=HOURLY;INTERVAL=4', '2026-12-04T08:00', 'every 4 hours'],
  ['FREQ=MONTHLY;BYMONTHDAY=10', '2026-12-10', 'every month on the 10th'],
  ['FREQ=MONTHLY;INTERVAL=3', '2026-12-22', 'every 3 months on the 22nd'],
  ['FREQ=MONTHLY;BYMONTHDAY=28,29,30,31;BYSETPOS=-1', '2026-12-31', 'every month on the 31st, or the last day'],
  ['FREQ=MONTHLY;BYDAY=-1SU', '2026-12-27', 'every month on the last Sunday'],
  ['FREQ=MONTHLY;BYDAY=2TU;COUNT=5', '2026-12-08', 'every month on the 2nd Tuesday, 5 times'],
  ['FREQ=MONTHLY;BYMONTH=3,6,9,12;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1', '2026-12-31', 'on the last workday of Mar, Jun, Sept and Dec'],
  ['FREQ=YEARLY;UNTIL=20301204', '2026-12-04', 'every year on 4 Dec, until Wed 4 Dec 2030'],
  ['FREQ=YEARLY;BYWEEKNO=20', '2026-12-04', 'by the rule FREQ=YEARLY;BYWEEKNO=20'],
])('%s from %s: %s', (rrule, dtstart, words) => expect(sayRule({ rrule, afterDone: null, dtstart })).toBe(words));

test('so long after, and moved off a weekend', () => {
  expect(sayRule({ rrule: null, afterDone: 'P6W', dtstart: '2026-12-04' })).toBe('6 weeks after it was done');
  expect(sayRule({ rrule: 'FREQ=DAILY', afterDone: null, dtstart: '2026-12-04T09:00', offDay: 'before' })).toBe('every day at 09:00, moved before a day off');
});
