import fc from 'fast-check';
import type { Filter, FilterCondition } from '../model/filter.ts';
import { Filter as FilterSchema } from '../model/filter-schema.ts';
import type { Item } from '../model/item.ts';
import { World } from '../testing/world.ts';
import { demandsOf } from './demands.ts';
import { daysOfSpan, filtered, liveConditions, meeting } from './filter.ts';

/** A Tuesday. */
const TODAY = '2026-11-24';

function house() {
  const w = new World();
  w.join('Leila', 'helper');
  w.join('Petri');
  const boats = w.list('Aino', 'Boats', [
    ['Leila', 'check'],
    ['Petri', 'edit'],
  ]);
  const yard = w.list('Aino', 'Yard', [['Petri', 'edit']]);
  w.must('Aino', 'tag.make', { name: 'outdoors' });
  const tag = (name: string) => w.rows.all('tag').find((one) => one.name === name)!.id;
  w.must('Aino', 'tag.make', { name: 'boats', parent: tag('outdoors') } as never);
  w.item('Aino', 'Paint the hull', { list: boats, tags: ['boats', 'paint'], due: '2026-11-30', persons: [w.person('Leila')] });
  w.item('Aino', 'Oil the oars', { list: boats, tags: ['boats'], due: '2026-12-20', importance: 2, effort: 30 });
  w.item('Aino', 'Paint the fence', { list: yard, tags: ['paint'], due: '2026-11-20', persons: [w.person('Petri')] });
  w.item('Aino', 'Mend the roof', { list: yard, tags: ['roof'], effort: 240 });
  w.item('Aino', 'Rake leaves', { list: yard });
  return { w, boats, yard, tag };
}

const look = (w: World, filter: Filter, who = 'Aino'): string[] =>
  filtered(filter, { personId: w.person(who), now: w.now, house: w.rows.all('house')[0]! }, w.rows).map(({ item }) => item.title).sort(); // prettier-ignore
type Loose = FilterCondition extends infer C ? (C extends { not: boolean } ? Omit<C, 'not'> & { not?: boolean } : never) : never;
const filter = (conditions: Loose[], more: Partial<Filter> = {}): Filter => FilterSchema.parse({ match: 'all', state: 'open', conditions, ...more });

describe('what a filter finds', () => {
  test('tags: both, one or the other, and a broader one with what is below it', () => {
    const { w, tag } = house();
    const of = (...names: string[]): Loose => ({ of: 'tag', ids: names.map(tag) });
    expect(look(w, filter([of('boats'), of('paint')]))).toEqual(['Paint the hull']);
    expect(look(w, filter([of('paint', 'roof')]))).toEqual(['Mend the roof', 'Paint the fence', 'Paint the hull']);
    expect(look(w, filter([of('outdoors')]))).toEqual(['Oil the oars', 'Paint the hull']);
    expect(look(w, filter([of('paint'), { ...of('boats'), not: true } as Loose]))).toEqual(['Paint the fence']);
    expect(look(w, filter([of('roof'), { of: 'importance', least: 2 }], { match: 'any' }))).toEqual(['Mend the roof', 'Oil the oars']);
  });

  test('days: moving ones, weeks, fixed ones given the wrong way round, none; what has no day meets neither a span nor its opposite', () => {
    const { w } = house();
    const due = (span: object, not = false): Loose => ({ of: 'date', field: 'due', span, not }) as Loose;
    expect(look(w, filter([due({ kind: 'next', days: 10 })]))).toEqual(['Paint the hull']);
    expect(look(w, filter([due({ kind: 'next', days: 10 }, true)]))).toEqual(['Oil the oars', 'Paint the fence']);
    expect(look(w, filter([due({ kind: 'past' })]))).toEqual(['Paint the fence']);
    expect(look(w, filter([due({ kind: 'week', weeks: 1 })]))).toEqual(['Paint the hull']);
    expect(look(w, filter([due({ kind: 'between', from: '2026-12-31', to: '2026-12-01' })]))).toEqual(['Oil the oars']);
    expect(look(w, filter([due({ kind: 'none' })]))).toEqual(['Mend the roof', 'Rake leaves']);
    expect(look(w, filter([due({ kind: 'any' })]))).toHaveLength(3);
  });

  test('last touched: by anybody but the clock, and its making counts', () => {
    const { w } = house();
    const touched = (span: object): Loose => ({ of: 'date', field: 'touched', span }) as Loose;
    w.later(10 * 24 * 60);
    const roof = w.rows.all('item').find(({ title }) => title === 'Mend the roof')!.id;
    w.must('Petri', 'item.change', { item: roof, title: 'Mend the barn roof' });
    expect(look(w, filter([touched({ kind: 'last', days: 3 })]))).toEqual(['Mend the barn roof']);
    expect(look(w, filter([{ ...touched({ kind: 'last', days: 3 }), not: true } as Loose]))).toHaveLength(4);
  });

  test('minutes: unknown is not at most, and not more than it either', () => {
    const { w } = house();
    expect(look(w, filter([{ of: 'effort', most: 60 }]))).toEqual(['Oil the oars']);
    expect(look(w, filter([{ of: 'effort', most: 60, not: true }]))).toEqual(['Mend the roof']);
    expect(look(w, filter([{ of: 'effort', most: null }]))).toHaveLength(3);
  });

  test('people: mine for whoever looks, nobody’s, another’s; a plan is the reader’s own', () => {
    const { w } = house();
    expect(look(w, filter([{ of: 'person', who: ['me'] }]), 'Petri')).toEqual(['Paint the fence']);
    expect(look(w, filter([{ of: 'person', who: ['me'] }]), 'Leila')).toEqual(['Paint the hull']);
    expect(look(w, filter([{ of: 'person', who: ['nobody', w.person('Leila')] }]))).toEqual(['Mend the roof', 'Oil the oars', 'Paint the hull', 'Rake leaves']);
    const hull = w.rows.all('item').find(({ title }) => title === 'Paint the hull')!.id;
    w.must('Leila', 'part.plan', { items: [hull], plan: '2026-11-25' });
    const planned = filter([{ of: 'date', field: 'plan', span: { kind: 'next', days: 3 } } as Loose]);
    expect(look(w, planned, 'Leila')).toEqual(['Paint the hull']);
    expect(look(w, planned, 'Petri')).toEqual([]);
  });

  test('open, done, or both; done by the house’s day of the tap', () => {
    const { w } = house();
    const rake = w.rows.all('item').find(({ title }) => title === 'Rake leaves')!.id;
    w.now = '2026-11-24T22:30:00.000Z';
    w.must('Aino', 'part.checkOff', { item: rake, person: null });
    const on = (from: string): Filter => filter([{ of: 'date', field: 'done', span: { kind: 'between', from, to: from } } as Loose], { state: 'done' });
    // half past midnight in Helsinki
    expect(look(w, on('2026-11-25'))).toEqual(['Rake leaves']);
    expect(look(w, on('2026-11-24'))).toEqual([]);
    expect(look(w, filter([], { state: 'both' }))).toHaveLength(5);
    expect(look(w, filter([{ of: 'list', ids: [w.row(rake).listId!] }]))).toEqual(['Mend the roof', 'Paint the fence']);
  });

  test('what it names that is gone is left out; if nothing of it is left, it finds nothing', () => {
    const { w, tag } = house();
    const both = filter([
      { of: 'tag', ids: [tag('paint')] },
      { of: 'tag', ids: [tag('boats')] },
    ]);
    const gone = tag('boats');
    w.must('Aino', 'tag.remove', { tag: gone });
    expect(liveConditions(both, w.rows)).toMatchObject({ conditions: [{ of: 'tag' }], gone: [{ ids: [gone] }] });
    expect(look(w, both)).toEqual(['Paint the fence', 'Paint the hull']);
    expect(look(w, filter([{ of: 'tag', ids: [gone] }]))).toEqual([]);
  });
});

test('what has a file, until it is taken away; what came out of a talk', () => {
  const { w } = house();
  const [hull] = w.rows.all('item').filter(({ title }) => title === 'Paint the hull');
  w.must('Leila', 'attachment.link', { item: hull!.id, url: 'https://paint.example' });
  w.must('Aino', 'note.make', { persons: [w.person('Petri')], date: TODAY });
  w.item('Aino', 'Order planks', { note: w.rows.all('meetingNote')[0]!.id });
  expect(look(w, filter([{ of: 'has', what: 'files' }]))).toEqual(['Paint the hull']);
  expect(look(w, filter([{ of: 'has', what: 'talk' }]))).toEqual(['Order planks']);
  w.must('Leila', 'attachment.remove', { attachment: w.rows.all('attachment')[0]!.id });
  expect(look(w, filter([{ of: 'has', what: 'files' }]))).toEqual([]);
});

test.each([
  [{ kind: 'next', days: 0 }, TODAY, TODAY],
  [{ kind: 'next', days: 14 }, TODAY, '2026-12-08'],
  [{ kind: 'last', days: 30 }, '2026-10-25', TODAY],
  [{ kind: 'week', weeks: 0 }, '2026-11-23', '2026-11-29'],
  [{ kind: 'week', weeks: -1 }, '2026-11-16', '2026-11-22'],
  [{ kind: 'past' }, '0000-01-01', '2026-11-23'],
] as const)('the days of %j', (span, from, to) => expect(daysOfSpan(span as never, TODAY)).toEqual([from, to]));

test('what is typed in a narrowed view takes over what is one value, and what is not is named', () => {
  const { w, boats, tag } = house();
  const asked = filter([
    { of: 'tag', ids: [tag('boats')] },
    { of: 'tag', ids: [tag('paint'), tag('roof')] },
    { of: 'list', ids: [boats] },
    { of: 'person', who: ['me'] },
    { of: 'date', field: 'due', span: { kind: 'next', days: 10 } } as Loose,
    { of: 'tag', ids: [tag('outdoors')], not: true },
  ]);
  const { demands, open } = demandsOf(asked);
  expect(demands).toEqual({ tagIds: [tag('boats')], situationIds: [], listId: boats, personId: 'me' });
  expect(open.map(({ of }) => of)).toEqual(['tag', 'date']);
  expect(demandsOf({ ...asked, match: 'any' }).open).toHaveLength(6);
  void w;
});

describe('a filter is what its sentence says, for random houses and filters', () => {
  const who = fc.constantFrom('me', 'nobody', 'Leila', 'Petri');
  const span = fc.oneof(
    fc.constantFrom({ kind: 'none' }, { kind: 'any' }, { kind: 'past' }),
    fc.record({ kind: fc.constantFrom('next', 'last'), days: fc.nat(20) }),
    fc.record({ kind: fc.constant('week'), weeks: fc.integer({ min: -2, max: 2 }) }),
    fc.record({ kind: fc.constant('between'), from: fc.constantFrom('2026-11-20', '2026-12-01'), to: fc.constantFrom('2026-11-22', '2026-12-20') }),
  );
  const condition = fc.oneof(
    fc.record({ of: fc.constant('tag'), names: fc.subarray(['boats', 'paint', 'roof', 'outdoors'], { minLength: 1 }), not: fc.boolean() }),
    fc.record({ of: fc.constant('list'), names: fc.subarray(['Boats', 'Yard'], { minLength: 1 }), not: fc.boolean() }),
    fc.record({ of: fc.constant('person'), who: fc.uniqueArray(who, { minLength: 1, maxLength: 3 }), not: fc.boolean() }),
    fc.record({ of: fc.constant('date'), field: fc.constant('due'), span, not: fc.boolean() }),
    fc.record({ of: fc.constant('importance'), least: fc.nat(3), not: fc.boolean() }),
    fc.record({ of: fc.constant('effort'), most: fc.constantFrom(null, 30, 100), not: fc.boolean() }),
  );
  const thing = fc.record({
    list: fc.constantFrom('Boats', 'Yard'),
    tags: fc.subarray(['boats', 'paint', 'roof']),
    due: fc.option(fc.integer({ min: -10, max: 30 }), { nil: null }),
    importance: fc.nat(3),
    effort: fc.constantFrom(undefined, 15, 60, 200),
    persons: fc.subarray(['Leila', 'Petri']),
    done: fc.boolean(),
  });
  const day = (offset: number): string => new Date(Date.parse(TODAY) + offset * 86_400_000).toISOString().slice(0, 10);

  test('the same as asking each item by itself', () => {
    fc.assert(
      fc.property(
        fc.array(thing, { minLength: 1, maxLength: 8 }),
        fc.array(condition, { minLength: 1, maxLength: 4 }),
        fc.constantFrom('all' as const, 'any' as const),
        fc.constantFrom('open' as const, 'done' as const, 'both' as const),
        (things, conditions, match, state) => {
          const { w, boats, yard, tag } = house();
          const facts = new Map<string, (typeof things)[number]>();
          for (const [nth, one] of things.entries()) {
            const { list, due, persons, done, ...others } = one;
            const id = w.item('Aino', `Thing ${nth}`, { ...others, list: list === 'Boats' ? boats : yard, due: due === null ? undefined : day(due), persons: persons.map((name) => w.person(name)) } as never); // prettier-ignore
            if (done) w.must('Aino', 'part.checkOff', { item: id, person: persons[0] ? w.person(persons[0]) : null });
            facts.set(id, one);
          }
          const parsed = filter(
            conditions.map((one) => ('names' in one ? { of: one.of, ids: one.names.map((name) => (one.of === 'tag' ? tag(name) : name === 'Boats' ? boats : yard)), not: one.not } : 'who' in one ? { ...one, who: one.who.map((name) => (name === 'Leila' || name === 'Petri' ? w.person(name) : name)) } : one)) as Loose[], // prettier-ignore
            { match, state },
          );
          const expected = [...facts].filter(([, fact]) => holds(fact, conditions, match, state)).map(([id]) => id);
          const view = { personId: w.person('Petri'), now: w.now, house: w.rows.all('house')[0]! };
          const found = filtered(parsed, view, w.rows).map(({ item }: { item: Item }) => item.id).filter((id) => facts.has(id)); // prettier-ignore
          expect(new Set(found)).toEqual(new Set(expected));
        },
      ),
      { numRuns: 300 },
    );
  });

  type Fact = { list: string; tags: string[]; due: number | null; importance: number; effort: number | undefined; persons: string[]; done: boolean };

  /** Said once more, from what was put in rather than from rows. */
  function holds(fact: Fact, conditions: readonly unknown[], match: 'all' | 'any', state: string): boolean {
    // the first of several to check it off completes it; of those it was given to each had a part
    if (state !== 'both' && fact.done !== (state === 'done')) return false;
    const each = conditions.map((one) => one as { of: string; not: boolean } & Record<string, unknown>).map((one) => {
      const is = meets(fact, one);
      return is !== null && is !== one.not;
    }); // prettier-ignore
    return match === 'all' ? each.every(Boolean) : each.some(Boolean);
  }

  function meets(fact: Fact, one: Record<string, unknown>): boolean | null {
    if (one['of'] === 'tag') return (one['names'] as string[]).some((name) => fact.tags.includes(name) || (name === 'outdoors' && fact.tags.includes('boats')));
    if (one['of'] === 'list') return (one['names'] as string[]).includes(fact.list);
    if (one['of'] === 'importance') return fact.importance >= (one['least'] as number);
    if (one['of'] === 'effort')
      return one['most'] === null ? fact.effort === undefined : fact.effort === undefined ? null : fact.effort <= (one['most'] as number);
    if (one['of'] === 'person') {
      const having = fact.persons.length === 0 ? ['nobody'] : fact.persons;
      return (one['who'] as string[]).some((name) => having.includes(name === 'me' ? 'Petri' : name));
    }
    const asked = one['span'] as { kind: string; days: number; weeks: number; from: string; to: string };
    if (asked.kind === 'none') return fact.due === null;
    if (asked.kind === 'any') return fact.due !== null;
    if (fact.due === null) return null;
    if (asked.kind === 'past') return fact.due < 0;
    if (asked.kind === 'next') return fact.due >= 0 && fact.due <= asked.days;
    if (asked.kind === 'last') return fact.due <= 0 && fact.due >= -asked.days;
    // Monday is a day before today
    if (asked.kind === 'week') return Math.floor((fact.due + 1) / 7) === asked.weeks;
    const [from, to] = [asked.from, asked.to].sort() as [string, string];
    return day(fact.due) >= from && day(fact.due) <= to;
  }
});

test('a view with a rule of its own is narrowed by the conditions alone: steps, archived lists and what is to be looked up as well', () => {
  const { w, boats } = house();
  const hull = w.rows.all('item').find(({ title }) => title === 'Paint the hull')!;
  const step = w.item('Aino', 'Sand it first', { parent: hull.id });
  w.must('Aino', 'list.change', { list: boats, filed: true } as never);
  const meets = (conditions: Loose[]) => meeting(filter(conditions, { state: 'both' }), { personId: w.person('Aino'), now: w.now, house: w.rows.all('house')[0]! }, w.rows); // prettier-ignore
  const inBoats = meets([{ of: 'list', ids: [boats] }]);
  expect(inBoats(w.row(hull.id))).toBe(true);
  expect(inBoats(w.row(step))).toBe(true);
  expect(meets([{ of: 'words', words: 'roof' }])(w.row(hull.id))).toBe(false);
  // nothing of what it names is there any more: nothing meets it
  expect(meets([{ of: 'tag', ids: ['00000000-0000-4000-8000-000000000000'] }])(w.row(hull.id))).toBe(false);
});
