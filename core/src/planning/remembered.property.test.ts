import * as fc from 'fast-check';
import { NOUNS, type Row } from '../model/nouns.ts';
import { MemoryRows } from '../reader/memory.ts';
import type { Reader } from '../reader/reader.ts';
import { nextAppearance } from '../recurrence/chores.ts';
import { choresAhead } from '../recurrence/whose-turn.ts';
import { World } from '../testing/world.ts';
import { addDays, calendarDateOf } from '../time/clock.ts';
import { calendarOf } from './calendar.ts';
import { loadAhead } from './load.ts';

/** What is remembered, or found by lookups, is what it is worked out from nothing, whatever happened in between. */

const DAYS = 60;
const doing = fc.record({
  way: fc.constantFrom('make', 'skip', 'move', 'give', 'change', 'check', 'add', 'plan', 'remove', 'holiday', 'midnight', 'midnight'),
  nth: fc.nat(8),
  day: fc.nat(DAYS),
});

/** Rows that nothing is remembered of. */
function anew(rows: MemoryRows): MemoryRows {
  return MemoryRows.from(
    'all',
    NOUNS.flatMap((noun) => rows.all(noun).map((row) => [noun, { ...row } as Row] as const)),
  );
}

/** Where lookups by month or by what is open give everything there is. */
const walked = (rows: MemoryRows): Reader => ({
  whole: true,
  find: rows.find.bind(rows),
  all: rows.all.bind(rows),
  command: rows.command.bind(rows),
  by: ((noun: 'item', index: 'listId', value: string) => (/Month$|^open$/.test(index) ? rows.all(noun) : rows.by(noun, index, value))) as Reader['by'],
});

function act(w: World, { way, nth, day }: { way: string; nth: number; day: number }): void {
  const today = calendarDateOf(w.now, 'Europe/Helsinki');
  const date = addDays(today, day);
  const some = <T>(all: readonly T[]): T | undefined => all[nth % Math.max(1, all.length)];
  const series = some(w.rows.all('series'))?.id ?? 'none';
  const item = some(w.rows.all('item'))?.id ?? 'none';
  const person = w.person(['Aino', 'Petri', 'Oona'][nth % 3]!);
  const occurrence =
    choresAhead(addDays(today, DAYS), w.rows, w.rows.all('house')[0]!).find((one) => one.series.id === series)?.occurrence.recurrenceId ?? date;
  const persons = ['Aino', 'Petri', 'Oona'].map((name) => w.person(name));
  const rules = ['FREQ=DAILY', 'FREQ=WEEKLY;BYDAY=MO,TH', 'FREQ=MONTHLY;BYMONTHDAY=31'];
  const turn = (['fixed', 'turns', 'fair'] as const)[nth % 3]!;
  const ways: Record<string, () => void> = {
    make: () => void w.try('Aino', 'chore.make', { title: `Chore ${nth}`, rrule: rules[nth % 3]!, dtstart: date, turn, persons, offDay: 'before' }),
    skip: () => void w.try('Aino', 'chore.skip', { series, recurrenceId: occurrence }),
    move: () => void w.try('Aino', 'chore.move', { series, recurrenceId: occurrence, at: date }),
    give: () => void w.try('Aino', 'chore.giveTurn', { series, recurrenceId: occurrence, person }),
    change: () => void w.try('Aino', 'chore.change', { series, rrule: rules[(nth + 1) % 3]! }),
    check: () => void w.try('Aino', 'part.checkOff', { item, person: null }),
    add: () => void w.try('Aino', 'item.add', { title: `Thing ${nth}`, due: date, persons: nth % 2 === 0 ? [person] : [] }),
    plan: () => void w.try('Aino', 'part.plan', { items: [item], plan: date }),
    remove: () => void w.try('Aino', 'item.remove', { items: [item] }),
    holiday: () => void w.try('Aino', 'house.change', { daysOff: [{ date, name: 'Off' }] }),
    midnight: () => {
      w.now = `${addDays(today, 1)}T00:30:00.000Z`;
      for (const one of w.rows.all('series')) {
        const next = nextAppearance(one, w.now, w.rows.all('house')[0]!, w.rows);
        if (next && next.at <= w.now) w.system('chore.appear', { series: one.id, recurrenceId: next.occurrence.recurrenceId });
      }
    },
  };
  ways[way]!();
}

test('calendar, load and chores to come are the same remembered, looked up, or worked out from nothing', () => {
  let entries = 0;
  fc.assert(
    fc.property(fc.array(doing, { minLength: 5, maxLength: 25 }), (doings) => {
      const w = new World();
      for (const name of ['Petri', 'Oona']) w.join(name);
      const story = [{ way: 'make', nth: 0, day: 1 }, { way: 'make', nth: 4, day: 0 }, ...doings];
      for (const [nth, one] of story.entries()) {
        act(w, one);
        const house = w.rows.all('house')[0]!;
        const today = calendarDateOf(w.now, house.zone);
        const view = { meId: w.person('Aino'), from: addDays(today, -5), to: '2027-01-10', personId: null, now: w.now, house };
        const people = ['Aino', 'Petri', 'Oona'].map((name) => w.person(name));
        const asked = (rows: Reader) => [calendarOf(view, rows), loadAhead(people, w.now, house, rows), choresAhead(view.to, rows, house)];
        const found = asked(w.rows);
        entries += (found[0] as Map<string, unknown[]>).size;
        if (nth % 4 !== 0 && nth < story.length - 1) continue;
        expect(asked(anew(w.rows))).toEqual(found);
        expect(asked(walked(anew(w.rows)))).toEqual(found);
      }
    }),
    { numRuns: 12 },
  );
  expect(entries).toBeGreaterThan(500);
});
