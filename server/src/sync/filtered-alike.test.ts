import { MemoryRows, type Filter, type FilterCondition, type Noun, type Row } from '@kotiva/core';
import { filtered, judging } from '@kotiva/core/filtering';
import * as fc from 'fast-check';
import { rowPages } from '../db/row-pages.ts';
import { itemWhere } from '../filter/item-where.ts';
import { Household } from '../testing/household.ts';
import { RealServer } from '../testing/real-server.ts';
import { SeenRows } from './seen-rows.ts';

/** A device with what it was given, and the server with what the same person may see, find the same items by the same filter. */
describe('a filter finds the same on a device and on the server', () => {
  const server = RealServer.quick();
  let house: Household;
  const lists: string[] = [];
  let place: string;
  const people = ['Aino', 'Leila', 'Tapio', 'Petri'] as const;
  beforeAll(async () => {
    await server.start();
    house = await Household.of(server, { Leila: 'helper', Tapio: 'helper', Petri: 'member' });
    for (const [by, name, shared] of [
      ['Aino', 'Boats', ['Leila', 'Petri']],
      ['Aino', 'Own', []],
      ['Petri', 'Yard', ['Tapio']],
    ] as const) {
      const { id } = house.made('list', await house.must(by, 'list.make', { name, colour: 'moss', icon: 'leaf' }));
      for (const person of shared) await house.must(by, 'list.share', { list: id, person: house.person(person), access: 'check' });
      lists.push(id);
    }
    place = house.made('place', await house.must('Aino', 'place.make', { name: 'Jetty' })).id;
    for (let nth = 0; nth < 60; nth++) {
      const [list, by] = [lists[nth % 3]!, nth % 3 === 2 ? 'Petri' : 'Aino'];
      const persons = nth % 4 === 0 ? [house.person(people[1 + (nth % 3)]!)] : [];
      const due = nth % 5 === 0 ? undefined : new Date(Date.now() + ((nth % 23) - 8) * 86_400_000).toISOString().slice(0, 10);
      const { id } = house.made('item', await house.must(by, 'item.add', { title: `Thing ${nth}`, list, due, persons, tags: nth % 2 ? ['wood'] : ['shore', 'paint'], importance: nth % 4, effort: nth % 3 ? nth : undefined, energy: nth % 8 ? undefined : 'low', place: nth % 9 ? undefined : place })); // prettier-ignore
      if (nth % 6 === 0) await house.must(by, 'comment.say', { item: id, text: 'Soon', audience: 'all' } as never);
      if (nth % 10 === 0) await house.must(by, 'attachment.link', { item: id, url: 'https://example.org/thing' });
      if (nth % 7 === 0) await house.must(by, 'part.checkOff', { item: id, person: persons[0] ?? null });
    }
  });
  afterAll(() => server.stop());

  async function deviceOf(who: string): Promise<MemoryRows> {
    const rows = new MemoryRows('seen');
    const response = await house.fetch(who, 'GET', `/api/houses/${house.houseId}/changes?since=0`);
    const { put, more } = (await response.json()) as { put: { noun: Noun; row: Row }[]; more: boolean };
    expect(more).toBe(false);
    for (const { noun, row } of put) rows.put(noun, row);
    return rows;
  }

  test('for everybody, and 400 filters', async () => {
    const devices = new Map(await Promise.all(people.map(async (who) => [who, await deviceOf(who)] as const)));
    const all = server.services.ledger.rows(house.houseId);
    const personOf = (who: string) => all.all('person').find(({ id }) => id === house.person(who))!;
    const seenBy = new Map(people.map((who) => [who, new SeenRows(all, personOf(who))]));
    const now = new Date().toISOString();
    const tags = all.all('tag').map(({ id }) => id);
    const condition: fc.Arbitrary<FilterCondition> = fc.oneof(
      fc.record({ of: fc.constant('tag' as const), ids: fc.subarray(tags, { minLength: 1 }), not: fc.boolean() }),
      fc.record({ of: fc.constant('list' as const), ids: fc.subarray(lists, { minLength: 1 }), not: fc.boolean() }),
      fc.record({ of: fc.constant('person' as const), who: fc.subarray(['me', 'nobody', house.person('Leila')], { minLength: 1 }), not: fc.boolean() }),
      fc.record({ of: fc.constant('giver' as const), who: fc.subarray(['me', house.person('Petri')], { minLength: 1 }), not: fc.boolean() }),
      fc.record({ of: fc.constant('date' as const), field: fc.constantFrom('due' as const, 'done' as const, 'made' as const, 'touched' as const), span: fc.record({ kind: fc.constantFrom('next' as const, 'last' as const), days: fc.nat(12) }), not: fc.boolean() }), // prettier-ignore
      fc.record({ of: fc.constant('has' as const), what: fc.constantFrom('comments' as const, 'notes' as const, 'files' as const), not: fc.boolean() }),
      fc.record({ of: fc.constant('importance' as const), least: fc.nat(3), not: fc.boolean() }),
      fc.record({ of: fc.constant('effort' as const), most: fc.oneof(fc.constant(null), fc.integer({ min: 1, max: 60 })), not: fc.boolean() }),
      fc.record({ of: fc.constant('energy' as const), levels: fc.constant(['low'] as ('low' | 'middle' | 'high')[]), not: fc.boolean() }),
      fc.record({ of: fc.constant('place' as const), ids: fc.constant([place] as string[]), not: fc.boolean() }),
      fc.record({ of: fc.constant('words' as const), words: fc.constantFrom('thing 1', 'no such'), not: fc.boolean() }),
      fc.record({ of: fc.constant('date' as const), field: fc.constantFrom('due' as const, 'start' as const, 'plan' as const, 'done' as const), span: fc.record({ kind: fc.constantFrom('none' as const, 'any' as const, 'past' as const) }), not: fc.boolean() }), // prettier-ignore
    );
    const aFilter: fc.Arbitrary<Filter> = fc.record({
      match: fc.constantFrom('all', 'any'),
      state: fc.constantFrom('open', 'done', 'both'),
      conditions: fc.array(condition, { maxLength: 4 }),
    });
    fc.assert(
      fc.property(aFilter, fc.constantFrom(...people), (filter, who) => {
        const device = devices.get(who)!;
        const view = { personId: house.person(who), now, house: device.all('house')[0]! };
        const seen = seenBy.get(who)!;
        const there = filtered(filter, view, seen);
        const here = filtered(filter, view, device);
        expect(here.map(({ item }) => item.title).sort()).toEqual(there.map(({ item }) => item.title).sort());
        // what the database leaves out beforehand would not have met it either
        const judge = judging(filter, view, seen);
        const pages = [...rowPages(server.raw, 'item', house.houseId, { newestFirst: true, where: itemWhere(filter, view, seen), size: 7 })];
        const picked = pages.flat().filter((item) => judge(item) !== null && seen.find('item', item.id) !== undefined);
        expect(picked.map(({ title }) => title).sort()).toEqual(there.map(({ item }) => item.title).sort());
      }),
      { numRuns: 400 },
    );
  });

  test('where the database can tell all of it, nothing else is read', () => {
    const rows = server.services.ledger.rows(house.houseId);
    const view = { personId: house.person('Aino'), now: new Date().toISOString(), house: rows.all('house')[0]! };
    const filter: Filter = {
      match: 'all',
      state: 'both',
      conditions: [
        { of: 'list', ids: [lists[0]!], not: false },
        { of: 'importance', least: 2, not: true },
      ],
    };
    const read = [...rowPages(server.raw, 'item', house.houseId, { where: itemWhere(filter, view, rows) })].flat();
    expect(read.length).toBeGreaterThan(3);
    expect(read.map(({ title }) => title).sort()).toEqual(
      filtered(filter, view, rows)
        .map(({ item }) => item.title)
        .sort(),
    );
  });
});
