import * as fc from 'fast-check';
import type { Item } from '../model/item.ts';
import { World } from '../testing/world.ts';
import { addDays, instantAt } from '../time/clock.ts';
import { nextAppearance } from './chores.ts';
import { choresAhead, holderOf } from './whose-turn.ts';

/** A daily chore in turns from 1 December on, as the rule of the queue says it goes, worked out here once more and plainly. */

const NAMES = ['Petri', 'Oona', 'Eetu', 'Helmi'];
const FIRST = '2026-12-01';
const ZONE = 'Europe/Helsinki';

interface Story {
  people: number;
  days: number;
  /** Who is away from which day, for how many. */
  aways: { who: number; from: number; length: number }[];
  /** Two days whose turns are changed, before the first of them has begun. */
  swap: { one: number; other: number } | null;
  /** The order in which what was done comes to the server, whatever day it was of. */
  arrivals: number[];
}

const story: fc.Arbitrary<Story> = fc.record({ people: fc.integer({ min: 2, max: 4 }), days: fc.integer({ min: 3, max: 9 }) }).chain(({ people, days }) =>
  fc.record({
    people: fc.constant(people),
    days: fc.constant(days),
    aways: fc.array(fc.record({ who: fc.nat(people - 1), from: fc.nat(days - 1), length: fc.integer({ min: 1, max: 4 }) }), { maxLength: 3 }),
    swap: fc.option(fc.record({ one: fc.integer({ min: 1, max: days - 1 }), other: fc.integer({ min: 1, max: days - 1 }) })),
    arrivals: fc.shuffledSubarray(
      Array.from({ length: days }, (_, nth) => nth),
      { minLength: days, maxLength: days },
    ),
  }),
);

const isAway = ({ aways }: Story, who: number, day: number): boolean => aways.some((one) => one.who === who && one.from <= day && day < one.from + one.length);

/** Whoever is first of those there has it and goes to the end; who is away keeps their place. */
function turnsOf(told: Story): (number | null)[] {
  let queue = Array.from({ length: told.people }, (_, nth) => nth);
  return Array.from({ length: told.days + 1 }, (_, day) => {
    const who = queue.find((one) => !isAway(told, one, day)) ?? null;
    if (who !== null) queue = [...queue.filter((one) => one !== who), who];
    return who;
  });
}

function chore(told: Story) {
  const w = new World();
  const names = NAMES.slice(0, told.people);
  for (const name of names) w.join(name);
  w.now = instantAt('2026-11-30T12:00', ZONE);
  for (const { who, from, length } of told.aways)
    w.must('Aino', 'away.add', { person: w.person(names[who]!), from: addDays(FIRST, from), to: addDays(FIRST, from + length - 1) });
  w.must('Aino', 'chore.make', {
    title: 'Fire',
    rrule: 'FREQ=DAILY',
    dtstart: FIRST,
    missed: 'keep',
    turn: 'turns',
    persons: names.map((name) => w.person(name)),
  });
  const house = () => w.rows.all('house')[0]!;
  const series = () => w.rows.all('series')[0]!;
  const numberOf = (id: string | null) => (id === null ? null : names.findIndex((name) => w.person(name) === id));
  const itemOn = (day: number): Item => w.rows.all('item').find((item) => item.recurrenceId === addDays(FIRST, day))!;
  const dayBegins = (day: number) => {
    w.now = instantAt(`${addDays(FIRST, day)}T00:30`, ZONE);
    const next = nextAppearance(series(), w.now, house(), w.rows);
    if (next && next.at <= w.now) w.system('chore.appear', { series: series().id, recurrenceId: next.occurrence.recurrenceId });
  };
  return { w, names, house, series, numberOf, itemOn, dayBegins, holderOn: (day: number) => numberOf(holderOf(itemOn(day), w.rows)) };
}

test('turns follow the queue past those who are away, as foretold, whatever order the taps arrive in', () => {
  fc.assert(
    fc.property(story, (told) => {
      const { w, house, series, numberOf, itemOn, dayBegins, holderOn, names } = chore(told);
      const expected = turnsOf(told);
      const ahead = choresAhead(addDays(FIRST, told.days), w.rows, house());
      expect(ahead.map(({ assigned }) => numberOf(assigned.personIds[0] ?? null))).toEqual(expected.slice(1));
      for (let day = 0; day < told.days; day++) dayBegins(day);
      const held = Array.from({ length: told.days }, (_, day) => holderOn(day));
      expect(held).toEqual(expected.slice(0, told.days));
      for (const day of told.arrivals) {
        const who = holderOn(day);
        w.must(who === null ? 'Aino' : names[who]!, 'part.checkOff', { item: itemOn(day).id, person: who === null ? null : w.person(names[who]!) });
      }
      // settled in any order: one next, and it is the turn of whoever the queue says
      expect(w.rows.by('item', 'seriesId', series().id).filter((item) => item.removedAt === null)).toHaveLength(told.days + 1);
      expect(holderOn(told.days)).toEqual(expected[told.days]);
    }),
    { numRuns: 60 },
  );
});

test('two who change turns change only these; the queue goes on as if they had not', () => {
  fc.assert(
    fc.property(story, (told) => {
      const expected = turnsOf(told);
      const { swap } = told;
      fc.pre(swap !== null && swap.one !== swap.other);
      const [one, other] = [swap!.one, swap!.other];
      const [mine, theirs] = [expected[one]!, expected[other]!];
      fc.pre(mine !== null && theirs !== null && mine !== theirs && !isAway(told, mine, other) && !isAway(told, theirs, one));
      const { w, series, dayBegins, holderOn } = chore(told);
      w.must('Aino', 'chore.swap', { series: series().id, one: addDays(FIRST, one), other: addDays(FIRST, other) });
      for (let day = 0; day <= told.days; day++) dayBegins(day);
      const held = Array.from({ length: told.days + 1 }, (_, day) => holderOn(day));
      expect(held).toEqual(expected.map((who, day) => (day === one ? theirs : day === other ? mine : who)));
    }),
    { numRuns: 60 },
  );
});
