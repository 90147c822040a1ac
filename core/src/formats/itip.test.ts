import fc from 'fast-check';
import { readTodoReply, todoCancel, todoRequest } from './itip.ts';

const REQUEST = {
  item: {
    id: '018f3c1e-0000-7000-8000-000000000001',
    title: 'Repair the engine; the old one',
    notes: 'Serial 4711',
    due: '2026-12-04T17:00',
    start: null,
    seq: 12,
  },
  organizer: { name: 'Kaislaranta', email: 'reply@kaislaranta.example' },
  attendee: { name: 'Engine "Workshop"', email: 'workshop@engines.example' },
  message: 'Before the frost, please',
  now: '2026-11-24T10:00:00.000Z',
  zone: 'Europe/Helsinki',
};
/** RFC 5545 3.1: lines are unfolded before they are read. */
const unfolded = (text: string): string[] => text.replace(/\r?\n[ \t]/g, '').split(/\r?\n/);

test('a request says what, by when, who asks and who is asked (RFC 5546 3.4.2)', () => {
  const lines = unfolded(todoRequest(REQUEST));
  expect(lines).toEqual(
    expect.arrayContaining([
      'METHOD:REQUEST',
      `UID:${REQUEST.item.id}`,
      'DTSTAMP:20261124T100000Z',
      'SEQUENCE:12',
      'SUMMARY:Repair the engine\\; the old one',
      'DESCRIPTION:Before the frost\\, please\\n\\nSerial 4711',
      // 17:00 in Helsinki in winter
      'DUE:20261204T150000Z',
      'STATUS:NEEDS-ACTION',
      'ORGANIZER;CN=Kaislaranta:mailto:reply@kaislaranta.example',
    ]),
  );
  expect(lines.find((line) => line.startsWith('ATTENDEE'))).toMatch(/PARTSTAT=NEEDS-ACTION;RSVP=TRUE:mailto:workshop@engines\.example$/);
});

test('a day without an hour is a date, and what is taken back is cancelled', () => {
  expect(unfolded(todoRequest({ ...REQUEST, item: { ...REQUEST.item, due: '2026-12-04' } }))).toContain('DUE;VALUE=DATE:20261204');
  expect(unfolded(todoCancel(REQUEST))).toEqual(expect.arrayContaining(['METHOD:CANCEL', 'STATUS:CANCELLED']));
});

const reply = (...lines: string[]) =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//X//Y//EN',
    'METHOD:REPLY',
    'BEGIN:VTODO',
    `UID:${REQUEST.item.id}`,
    ...lines,
    'END:VTODO',
    'END:VCALENDAR',
  ].join('\r\n');

test.each([
  [
    'done, with when',
    ['ATTENDEE;PARTSTAT=COMPLETED:mailto:Workshop@Engines.example', 'COMPLETED:20261203T143000Z'],
    { partstat: 'COMPLETED', completedAt: '2026-12-03T14:30:00.000Z' },
  ],
  ['under way, so far', ['ATTENDEE;PARTSTAT=IN-PROCESS:mailto:workshop@engines.example', 'PERCENT-COMPLETE:55'], { partstat: 'IN-PROCESS', percent: 55 }],
  [
    'declined, with why',
    ['ATTENDEE;PARTSTAT=DECLINED:mailto:workshop@engines.example', 'COMMENT:Closed until March'],
    { partstat: 'DECLINED', comment: 'Closed until March' },
  ],
  ['a figure that is none is left out', ['ATTENDEE;PARTSTAT=IN-PROCESS:mailto:workshop@engines.example', 'PERCENT-COMPLETE:700'], { percent: null }],
])('reads a reply: %s', (_name, lines, expected) => {
  expect(readTodoReply(reply(...lines))).toMatchObject({ uid: REQUEST.item.id, attendee: 'workshop@engines.example', ...expected });
});

test.each([
  ['another method', reply('ATTENDEE;PARTSTAT=COMPLETED:mailto:a@b.example').replace('REPLY', 'REQUEST')],
  ['nobody answers', reply('SUMMARY:Well')],
  ['two answer at once', reply('ATTENDEE;PARTSTAT=COMPLETED:mailto:a@b.example', 'ATTENDEE;PARTSTAT=DECLINED:mailto:c@d.example')],
  ['a standing there is none of', reply('ATTENDEE;PARTSTAT=MAYBE:mailto:a@b.example')],
  ['a line that is none', reply('nonsense')],
  ['not a calendar', 'Dear all,'],
])('no reply: %s', (_name, text) => expect(readTodoReply(text)).toBeNull());

test('whatever is sent, it is read or it is not; it never breaks', () => {
  const line = fc.oneof(
    fc.string(),
    fc.constantFrom('BEGIN:VTODO', 'END:VTODO', 'ATTENDEE;PARTSTAT=COMPLETED:x', 'COMPLETED:20260231T250000Z', 'PERCENT-COMPLETE:-1'),
  );
  fc.assert(fc.property(fc.array(line, { maxLength: 8 }), (lines) => void readTodoReply(reply(...lines))));
});

test('a moment that is none is left out', () => {
  const read = readTodoReply(reply('ATTENDEE;PARTSTAT=COMPLETED:mailto:a@b.example', 'COMPLETED:20260231T250000Z'));
  expect(read === null || read.completedAt === null || !Number.isNaN(Date.parse(read.completedAt))).toBe(true);
});
