import { World } from '../testing/world.ts';
import { addDays } from '../time/clock.ts';
import { nextAppearance } from './chores.ts';
import { chainOf, doneBy, historyOf, keptSince } from './keeping.ts';

/** Every day from Tuesday 24 November at 8:00; rolled where it was not done. */
function habit() {
  const w = new World();
  w.must('Aino', 'chore.make', { title: 'Stretch', rrule: 'FREQ=DAILY', dtstart: '2026-11-24T08:00', missed: 'roll', persons: [w.person('Aino')] });
  const series = () => w.rows.all('series').at(-1)!;
  const open = () => historyOf(series(), w.rows).find((item) => item.removedAt === null && doneBy(item, w.rows) === null);
  const tick = () => w.must('Aino', 'part.checkOff', { item: open()!.id, person: w.person('Aino') });
  const toDay = (date: string) => {
    for (let day = w.now.slice(0, 10); day < date;) {
      day = addDays(day, 1);
      w.now = `${day}T10:00:00.000Z`;
      const next = nextAppearance(series(), w.now, w.rows.all('house')[0]!, w.rows);
      if (next && next.at <= w.now) w.system('chore.appear', { series: series().id, recurrenceId: next.occurrence.recurrenceId });
    }
  };
  return { w, series, tick, toDay };
}

test('how often in a span, and the present run: what is open today does not break it', () => {
  const { w, series, tick, toDay } = habit();
  tick();
  toDay('2026-11-25');
  tick();
  toDay('2026-11-27');
  tick();
  toDay('2026-11-28');
  tick();
  toDay('2026-11-29');
  // 24, 25 done; 26 missed; 27, 28 done; 29 open
  expect(keptSince('2026-11-24', '2026-11-29', series(), w.rows)).toEqual({ kept: 4, of: 5, run: 2 });
  expect(keptSince('2026-11-26', '2026-11-29', series(), w.rows)).toEqual({ kept: 2, of: 3, run: 2 });
  toDay('2026-11-30');
  expect(keptSince('2026-11-24', '2026-11-30', series(), w.rows)).toEqual({ kept: 4, of: 6, run: 0 });
});

test('what went before a change of the rule belongs to it', () => {
  const { w, series, tick, toDay } = habit();
  tick();
  toDay('2026-11-25');
  tick();
  const first = series();
  w.must('Aino', 'chore.change', { series: first.id, from: '2026-11-26T08:00', dtstart: '2026-11-26T07:00' });
  toDay('2026-11-26');
  expect(chainOf(series(), w.rows).map(({ id }) => id)).toEqual([first.id, series().id]);
  expect(historyOf(series(), w.rows).map(({ due }) => due)).toEqual(['2026-11-24T08:00', '2026-11-25T08:00', '2026-11-26T07:00']);
});
