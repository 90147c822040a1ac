import { World } from '../testing/world.ts';
import { lastCallsAhead } from './last-call.ts';

const firstLastCall = (...asked: Parameters<typeof lastCallsAhead>) => lastCallsAhead(...asked)[0] ?? null;
const houseOf = (w: World) => w.rows.find('house', w.houseId) as never;
function until(w: World, instant: string): void {
  for (;;) {
    const call = firstLastCall(w.now, houseOf(w), w.rows);
    if (!call || call.at > instant) break;
    if (call.at > w.now) w.now = call.at;
    w.system('day.call', { person: call.personId, date: call.date });
  }
  w.now = instant;
}
const calls = (w: World) =>
  w.rows
    .by('notice', 'personId', w.person('Aino'))
    .filter(({ kind }) => kind === 'last-call')
    .map(({ at, params }) => `${at.slice(0, 16)} ${params['count']}`);

test('what is still open today is told once, at the hour of one’s choice; with nothing open nothing is', () => {
  const w = new World();
  const one = w.item('Aino', 'Water the plants', { plan: '2026-11-24' });
  w.item('Aino', 'Some day', {});
  w.must('Aino', 'notice.choose', { lastCall: '20:00' });
  until(w, '2026-11-24T22:30:00.000Z');
  expect(calls(w)).toEqual(['2026-11-24T18:00 1']);
  // carried over, it is today's again
  until(w, '2026-11-25T19:00:00.000Z');
  expect(calls(w)).toEqual(['2026-11-24T18:00 1', '2026-11-25T18:00 1']);
  w.must('Aino', 'part.checkOff', { item: one, person: w.person('Aino') });
  until(w, '2026-11-27T19:00:00.000Z');
  expect(calls(w)).toHaveLength(2);
});

test('an hour that has passed today calls from tomorrow on, and none at all once it is switched off', () => {
  const w = new World();
  w.item('Aino', 'Water the plants', { plan: '2026-11-24' });
  w.must('Aino', 'notice.choose', { lastCall: '08:00' });
  until(w, '2026-11-24T21:00:00.000Z');
  expect(calls(w)).toEqual([]);
  until(w, '2026-11-25T07:00:00.000Z');
  expect(calls(w)).toEqual(['2026-11-25T06:00 1']);
  w.must('Aino', 'notice.choose', { lastCall: null });
  until(w, '2026-11-28T07:00:00.000Z');
  expect(calls(w)).toHaveLength(1);
});

test('missed for days, it is called for the present day only', () => {
  const w = new World();
  w.item('Aino', 'Water the plants', { plan: '2026-11-24' });
  w.must('Aino', 'notice.choose', { lastCall: '20:00' });
  w.now = '2026-11-27T19:00:00.000Z';
  w.system('day.call', { person: w.person('Aino'), date: '2026-11-24' });
  until(w, '2026-11-27T19:00:00.000Z');
  expect(calls(w)).toEqual(['2026-11-27T19:00 1']);
});
