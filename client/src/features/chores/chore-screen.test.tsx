import { screen } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { tap, type } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { ChoreScreen } from './chore-screen.tsx';
import { t } from '@/words';

/** A Tuesday, noon. The sauna is heated on Saturdays, in turns; the first is Leila's. */
function house() {
  const w = new World();
  w.join('Leila', 'member');
  w.join('Tapio', 'member');
  const persons = [w.person('Leila'), w.person('Tapio')];
  w.must('Aino', 'chore.make', {
    title: 'Heat the sauna',
    rrule: 'FREQ=WEEKLY;BYDAY=SA',
    dtstart: '2026-11-28T16:00',
    turn: 'turns',
    persons,
    steps: ['Carry wood'],
  });
  const series = w.rows.all('series')[0]!;
  return { w, series, open: () => inHouse(w, 'Aino', <ChoreScreen seriesId={series.id} />) };
}
const next = (w: World) => w.rows.all('override').map(({ recurrenceId, at, skipped, personId }) => [recurrenceId.slice(5, 10), at, skipped, personId]);

test('one to come opens: what, whose and why, and its steps', () => {
  const { open } = house();
  open();
  tap(/^Sat 5 Dec 16:00/);
  expect(screen.getByText(/^Saturday,? 5 December 2026 16:00$/)).toBeTruthy();
  expect(screen.getByText('It’s Tapio’s turn.')).toBeTruthy();
  expect(screen.getByText('Steps: Carry wood')).toBeTruthy();
});

test('left out, or given to somebody, from there', () => {
  const { w, open } = house();
  open();
  tap(/^Sat 5 Dec 16:00/);
  tap(t('rule.skip'));
  tap(/^Sat 12 Dec 16:00/);
  tap(t('calendar.give'));
  tap('Leila');
  expect(next(w)).toEqual([
    ['12-05', null, true, null],
    ['12-12', null, false, w.person('Leila')],
  ]);
});

test('changed from that one on, what lies before it stays', () => {
  const { w, series, open } = house();
  open();
  tap(/^Sat 12 Dec 16:00/);
  tap('Change all from Sat 12 Dec 16:00 on');
  type(t('due.hour'), '18:00');
  tap(t('rule.saveFollowing'));
  expect(w.rows.all('series').map(({ dtstart, endsBefore }) => [dtstart, endsBefore])).toEqual([
    ['2026-11-28T16:00', '2026-12-12T16:00'],
    ['2026-12-12T18:00', null],
  ]);
  expect(w.rows.by('item', 'seriesId', series.id).filter(({ removedAt }) => removedAt === null)).toHaveLength(1);
});

test('ended on another device while one is open: what is done about it is answered, not lost', () => {
  const { w, series, open } = house();
  const { meanwhile, said } = open();
  tap(/^Sat 5 Dec 16:00/);
  meanwhile(() => w.must('Aino', 'chore.end', { series: series.id, recurrenceId: '2026-11-28T16:00' }));
  tap(t('rule.skip'));
  expect(said()).toContain('Heat the sauna');
  expect(next(w)).toEqual([]);
});
