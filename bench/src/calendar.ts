import { calendarOf, MemoryRows, NOUNS, type CalendarView, type Row } from '@kotiva/core';
import { KeptCalendar } from '@kotiva/core/planning/kept-calendar';
import { World } from '../../core/src/testing/world.ts';
import { percentile, report } from './report.ts';
import { mixed } from './recurrence.ts';

const CHORES = 500;
const ROUNDS = 15;
const FRAME_MS = 1000 / 60;

/** Those of a household: none comes several times a day. */
const byDay = (nth: number): string => mixed(Math.floor(nth / 7) * 8 + (nth % 7));

/** Everything that stands on the days of the next month, of a house with 500 chores; beside one frame. */
export function calendarMonth(): void {
  const w = new World();
  for (const name of ['Petri', 'Oona', 'Eetu']) w.join(name);
  const persons = ['Petri', 'Oona', 'Eetu'].map((name) => w.person(name));
  for (let nth = 0; nth < CHORES; nth++)
    w.must('Aino', 'chore.make', {
      title: `Chore ${nth}`,
      rrule: byDay(nth),
      dtstart: '2026-11-24T16:00',
      turn: (['fixed', 'turns', 'fair'] as const)[nth % 3]!,
      persons,
      effort: 15,
    });
  const house = w.rows.all('house')[0]!;
  const view: CalendarView = { meId: persons[0]!, from: '2026-12-01', to: '2026-12-31', personId: null, now: w.now, house };
  const timed = (task: () => unknown): number => {
    const from = performance.now();
    task();
    return performance.now() - from;
  };
  // of rows that are other ones nothing is remembered
  const anew = () => MemoryRows.from('all', NOUNS.flatMap((noun) => w.rows.all(noun).map((row) => [noun, { ...row }] as const))); // prettier-ignore
  report('calendar_month_ms', percentile(Array.from({ length: ROUNDS }, () => timed(() => calendarOf(view, anew()))), 0.5), 'ms', FRAME_MS); // prettier-ignore
  report('calendar_month_kept_ms', percentile(Array.from({ length: ROUNDS }, () => timed(() => new KeptCalendar(view, anew()))), 0.5), 'ms', FRAME_MS); // prettier-ignore
  const kept = new KeptCalendar(view, w.rows);
  w.rows.changed();
  const chores = w.rows.all('series');
  const changedBy = (nth: number): number => {
    const series = chores[nth * 30]!;
    // of three kinds: what it is called, how long it takes, how it is shared
    if (nth % 3 === 0) w.must('Aino', 'chore.change', { series: series.id, title: `Changed ${nth}` });
    else if (nth % 3 === 1) w.must('Aino', 'chore.change', { series: series.id, effort: 20 + nth });
    else w.must('Aino', 'chore.change', { series: series.id, turn: 'fair' });
    const changes = w.rows.changed().map((one) => ({ ...one, after: w.rows.find(one.noun, one.id) as Row | undefined }));
    return timed(() => kept.take(changes));
  };
  const changed = Array.from({ length: ROUNDS }, (_, nth) => changedBy(nth));
  report('calendar_month_after_change_ms', percentile(changed, 0.5), 'ms', FRAME_MS);
  report('calendar_month_after_change_worst_ms', Math.max(...changed), 'ms', FRAME_MS);
}
