import { calendarOf, MemoryRows, NOUNS } from '@kotiva/core';
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
  const month = (rows: MemoryRows): number => {
    const from = performance.now();
    calendarOf({ meId: persons[0]!, from: '2026-12-01', to: '2026-12-31', personId: null, now: w.now, house }, rows);
    return performance.now() - from;
  };
  // of rows that are other ones nothing is remembered
  const anew = () => MemoryRows.from('all', NOUNS.flatMap((noun) => w.rows.all(noun).map((row) => [noun, { ...row }] as const))); // prettier-ignore
  report('calendar_month_ms', percentile(Array.from({ length: ROUNDS }, () => month(anew())), 0.5), 'ms', FRAME_MS); // prettier-ignore
  month(w.rows);
  const changed = Array.from({ length: ROUNDS }, (_, nth) => {
    const series = w.rows.all('series')[nth * 30]!;
    w.must('Aino', 'chore.change', { series: series.id, title: `Changed ${nth}` });
    return month(w.rows);
  });
  report('calendar_month_after_change_ms', percentile(changed, 0.5), 'ms', FRAME_MS);
}
