import * as fc from 'fast-check';
import { doing, EventfulHouse, PEOPLE } from '../testing/eventful-house.ts';
import { calendarOf, type CalendarView } from './calendar.ts';
import { KeptCalendar } from './kept-calendar.ts';

/** Days that are kept are the days worked out from nothing, whatever happens in the house. */

const SPANS = [['2026-11-01', '2026-11-30'], ['2026-11-24', '2026-12-20'], ['2026-12-01', '2026-12-07'], ['2026-10-01', '2026-10-31']] as const; // prettier-ignore

test('after each thing that is done they are what they would be worked out from nothing; a day that is as it was is the same object', () => {
  const seen = { accepted: 0, ahead: 0, slots: 0 };
  fc.assert(
    fc.property(
      fc.array(doing, { minLength: 1, maxLength: 25 }),
      fc.constantFrom(...PEOPLE),
      fc.constantFrom(null, ...PEOPLE),
      fc.constantFrom(...SPANS),
      (doings, me, narrowed, [from, to]) => {
        const house = new EventfulHouse();
        const { w } = house;
        // some chores to begin with, and time one booked
        for (const nth of [0, 1, 2]) house.act({ way: 'repeat', nth, other: nth, who: 0 });
        house.act({ way: 'book', nth: 0, other: 7, who: PEOPLE.indexOf(me) });
        const view: CalendarView = {
          meId: w.person(me),
          personId: narrowed && w.person(narrowed),
          from,
          to,
          now: w.now,
          house: w.rows.all('house')[0]!,
        };
        w.rows.changed();
        const kept = new KeptCalendar(view, w.rows);
        expect(kept.days).toEqual(calendarOf(view, w.rows));
        for (const one of doings) {
          const { seq } = w;
          house.act(one);
          seen.accepted += Number(w.seq > seq);
          const before = kept.days;
          expect(kept.take(house.since())).toBe(true);
          const anew = calendarOf(view, w.rows);
          expect(kept.days).toEqual(anew);
          for (const [date, entries] of anew) {
            if (isSaidAlike(before.get(date), entries)) expect(kept.days.get(date)).toBe(before.get(date));
            seen.ahead += Number(entries.some(({ kind }) => kind === 'ahead'));
            seen.slots += Number(entries.some(({ kind }) => kind === 'slot'));
          }
        }
      },
    ),
    { numRuns: 80 },
  );
  // it was not all refused, nor all of one kind
  expect(Object.entries(seen).filter(([, many]) => many < 40)).toEqual([]);
});

const isSaidAlike = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);
