import { spawnSync } from 'node:child_process';
import { join } from 'node:path';

const kotiva = (args: string[], input = '') =>
  spawnSync(process.execPath, ['--import', 'tsx', join(__dirname, 'main.ts'), 'occurrences', ...args], { input, encoding: 'utf8', timeout: 60_000 });

test('one local date-time a line', () => {
  const { stdout, status } = kotiva(['--rrule', 'FREQ=WEEKLY;INTERVAL=2', '--dtstart', '2026-12-04T16:00', '--tz', 'Europe/Helsinki', '--limit', '2']);
  expect([stdout, status]).toEqual(['2026-12-04T16:00:00\n2026-12-18T16:00:00\n', 0]);
});

test('what begins on a day without an hour comes on days', () => {
  const { stdout } = kotiva([
    '--rrule',
    'FREQ=MONTHLY;BYMONTHDAY=-1',
    '--dtstart',
    '2027-02-01',
    '--tz',
    'Europe/Helsinki',
    '--exdate',
    '2027-03-31',
    '--limit',
    '2',
  ]);
  expect(stdout).toBe('2027-02-28\n2027-04-30\n');
});

test('left out and bounded; without a zone as the wall says', () => {
  const args = ['--rrule', 'FREQ=DAILY', '--dtstart', '20270327T033000', '--exdate', '20270327T033000', '--before', '2027-03-30'];
  expect(kotiva(args).stdout.trim().split('\n')).toEqual(['2027-03-28T03:30:00', '2027-03-29T03:30:00']);
});

test.each([
  [['--rrule', 'FREQ=DAILY;INTERVAL=0', '--dtstart', '2026-12-04'], /INTERVAL=0/],
  [['--rrule', 'FREQ=DAILY', '--dtstart', '2026-12-34'], /DTSTART=2026-12-34/],
  [['--rrule', 'FREQ=DAILY', '--dtstart', '2026-12-04', '--tz', 'Europe/Kaislaranta'], /no time zone/],
  [['--dtstart', '2026-12-04'], /which rule/],
  [['--rrule', 'FREQ=DAILY', '--dtstart', '2026-12-04', '--every', 'day'], /--every/],
])('one clear line and a bad end: %p', (args, says) => {
  const { stdout, stderr, status } = kotiva(args);
  expect([stdout, status]).toEqual(['', 2]);
  expect(stderr).toMatch(says);
  expect(stderr.trim().split('\n')).toHaveLength(1);
});

test('the batch answers each line by its id, also the bad ones', () => {
  const lines = [
    JSON.stringify({ id: 'a', rrule: 'FREQ=MONTHLY;BYDAY=-1SU', dtstart: '20261201T090000', tzid: 'Europe/Helsinki', limit: 2 }),
    JSON.stringify({
      id: 2,
      rrule: 'FREQ=DAILY',
      dtstart: '2026-12-04T10:00',
      exdate: ['2026-12-05T10:00'],
      rdate: '20261204T120000',
      before: '20261207T000000',
      limit: 9,
    }),
    JSON.stringify({ id: 'never', rrule: 'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=31', dtstart: '2026-12-04T10:00', limit: 5 }),
    JSON.stringify({ id: 'bad', rrule: 'FREQ=SOMETIMES', dtstart: '2026-12-04T10:00', limit: 5 }),
    JSON.stringify({ id: 'short', rrule: 'FREQ=DAILY', limit: 5 }),
    'no json',
  ];
  const answers = kotiva(['--batch'], lines.join('\n'))
    .stdout.trim()
    .split('\n')
    .map((line) => JSON.parse(line) as { error?: string });
  expect(answers.slice(0, 3)).toEqual([
    { id: 'a', occurrences: ['2026-12-27T09:00:00', '2027-01-31T09:00:00'] },
    { id: 2, occurrences: ['2026-12-04T10:00:00', '2026-12-04T12:00:00', '2026-12-06T10:00:00'] },
    { id: 'never', occurrences: [] },
  ]);
  expect(answers[3]).toEqual({ id: 'bad', error: expect.stringContaining('SOMETIMES') as string });
  expect(answers[4]).toMatchObject({ id: 'short', error: expect.stringContaining('dtstart') as string });
  expect(answers[5]).toEqual({ id: null, error: 'This line is not JSON.' });
});
