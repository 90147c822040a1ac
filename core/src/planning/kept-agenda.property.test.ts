import * as fc from 'fast-check';
import { doing, EventfulHouse, PEOPLE } from '../testing/eventful-house.ts';
import { agendaOf } from './agenda.ts';
import { KeptAgenda } from './kept-agenda.ts';
import type { PlanView } from './rows.ts';

/** An agenda that is kept is the agenda worked out from nothing, whatever happens in the house. */

test('after each thing that is done it is what it would be worked out from nothing; what is as it was is the same object', () => {
  let accepted = 0;
  fc.assert(
    fc.property(fc.array(doing, { minLength: 1, maxLength: 25 }), fc.constantFrom(...PEOPLE), (doings, name) => {
      const house = new EventfulHouse();
      const view: PlanView = { personId: house.w.person(name), now: house.w.now, house: house.w.rows.all('house')[0]! };
      house.w.rows.changed();
      const kept = new KeptAgenda(view, house.w.rows);
      for (const one of doings) {
        const { seq } = house.w;
        if (house.w.rows.all('item').length === 0) return;
        house.act(one);
        accepted += Number(house.w.seq > seq);
        const before = kept.entries;
        expect(kept.take(house.since())).toBe(true);
        const anew = agendaOf(view, house.w.rows);
        expect(kept.entries).toEqual(anew);
        if (JSON.stringify(before) === JSON.stringify(anew)) expect(kept.entries).toBe(before);
      }
      const nextMinute = new KeptAgenda(view, house.w.rows, kept);
      expect(nextMinute.entries).toBe(kept.entries);
    }),
    { numRuns: 200 },
  );
  // it was not all refused
  expect(accepted).toBeGreaterThan(500);
});
