import * as fc from 'fast-check';
import type { Filter, FilterCondition } from '../model/filter.ts';
import type { PlanView } from '../planning/rows.ts';
import { doing, EventfulHouse, PEOPLE } from '../testing/eventful-house.ts';
import { filtered } from './filter.ts';
import { KeptMatches } from './kept-matches.ts';

/** What is kept of a filter is what it finds from nothing, whatever happens in the house. */

const not = fc.boolean();
const condition = (house: EventfulHouse): fc.Arbitrary<FilterCondition> =>
  fc.oneof(
    fc.record({ of: fc.constant('tag' as const), ids: fc.subarray([house.tag(0), house.tag(1)], { minLength: 1 }), not }),
    fc.record({ of: fc.constant('list' as const), ids: fc.subarray(house.lists, { minLength: 1 }), not }),
    fc.record({ of: fc.constant('person' as const), who: fc.subarray(['me', 'nobody', house.w.person('Petri')], { minLength: 1 }), not }),
    fc.record({ of: fc.constant('giver' as const), who: fc.subarray(['me', house.w.person('Aino')], { minLength: 1 }), not }),
    fc.record({
      of: fc.constant('date' as const),
      field: fc.constantFrom('due' as const, 'plan' as const, 'done' as const, 'touched' as const),
      span: fc.constantFrom({ kind: 'next' as const, days: 1 }, { kind: 'past' as const }, { kind: 'none' as const }, { kind: 'last' as const, days: 3 }),
      not,
    }),
    fc.record({ of: fc.constant('has' as const), what: fc.constantFrom('comments' as const, 'steps' as const, 'waits' as const), not }),
    fc.record({ of: fc.constant('importance' as const), least: fc.nat(3), not }),
    fc.record({ of: fc.constant('words' as const), words: fc.constantFrom('thing', 'made 1'), not }),
  );
const aFilter = (house: EventfulHouse): fc.Arbitrary<Filter> =>
  fc.record({
    match: fc.constantFrom('all' as const, 'any' as const),
    state: fc.constantFrom('open' as const, 'done' as const, 'both' as const),
    conditions: fc.array(condition(house), { maxLength: 3 }),
  });

const FIRST = new EventfulHouse();

test('after each thing that is done it is what the filter finds from nothing; what is as it was is the same object', () => {
  let [accepted, found, anew] = [0, 0, 0];
  fc.assert(
    // every such house begins with the same ids
    fc.property(fc.array(doing, { minLength: 1, maxLength: 25 }), fc.constantFrom(...PEOPLE), aFilter(FIRST), (doings, name, filter) => {
      const house = new EventfulHouse();
      const view: PlanView = { personId: house.w.person(name), now: house.w.now, house: house.w.rows.all('house')[0]! };
      house.w.rows.changed();
      let kept = new KeptMatches(filter, view, house.w.rows);
      for (const one of doings) {
        const { seq } = house.w;
        if (house.w.rows.all('item').length === 0) return;
        house.act(one);
        accepted += Number(house.w.seq > seq);
        const before = kept.entries;
        // a tag or a list is another one: the rule itself is to be looked up anew
        if (!kept.take(house.since())) {
          anew += 1;
          kept = new KeptMatches(filter, view, house.w.rows, kept);
        }
        const expected = filtered(filter, view, house.w.rows);
        found += expected.length;
        expect(kept.entries).toEqual(expected);
        if (before.length === expected.length && expected.every(({ item, part }, nth) => item === before[nth]!.item && part === before[nth]!.part))
          expect(kept.entries).toBe(before);
      }
    }),
    { numRuns: 300 },
  );
  // it was not all refused, nothing, or begun anew
  expect(accepted).toBeGreaterThan(1_000);
  expect(found).toBeGreaterThan(1_000);
  expect(anew).toBeLessThan(accepted / 3);
});

test('a thing is drawn anew only if it is another one, and the list is the same one where nothing in it is', () => {
  const house = new EventfulHouse();
  const view: PlanView = { personId: house.w.person('Aino'), now: house.w.now, house: house.w.rows.all('house')[0]! };
  const kept = new KeptMatches({ match: 'all', state: 'open', conditions: [] }, view, house.w.rows);
  const [first, second] = kept.entries;
  house.since();
  house.w.must('Aino', 'item.change', { item: second!.item.id, importance: 2 });
  kept.take(house.since());
  expect(kept.entries[0]).toBe(first);
  expect(kept.entries[1]!.item.importance).toBe(2);
  const now = kept.entries;
  house.w.must('Aino', 'comment.say', { item: second!.item.id, text: 'In the boathouse' });
  kept.take(house.since());
  expect(kept.entries).toBe(now);
});
