import { wayRound } from './firsts.ts';
import fc from 'fast-check';
import { blanksIn, filledIn } from './blanks.ts';
import { momentAt, offsetTo } from './offsets.ts';

describe('blanks', () => {
  test.each([
    ['Menu for {guests}', ['guests']],
    ['{couple} and {Couple}, {guests} on {Saturday}', ['couple', 'guests', 'Saturday']],
    ['never closed {guest', []],
    ['a blank in a blank {a {b} c}', ['b']],
    ['over\n{two\nlines}', []],
    ['{} { } {x}', ['x']],
    [`{${'n'.repeat(41)}}`, []],
    ['{ guests }', ['guests']],
  ])('%j asks for %j', (text, names) => expect(blanksIn([text])).toEqual(names));

  test('are filled wherever they stand, whatever their case; others stay as they are written', () => {
    const said = { Couple: 'Elsa & Ville', guests: '48' };
    expect(filledIn('{couple}: {guests} plates, {Guests} glasses, {wine} and {guest', said)).toBe('Elsa & Ville: 48 plates, 48 glasses, {wine} and {guest');
  });

  test('what fills one is not read again: nobody fills a blank with a blank', () => {
    expect(filledIn('{a} {b}', { a: '{b}', b: 'x' })).toBe('{b} x');
    // nor is a sign of the pattern's own
    expect(filledIn('{a}', { a: '$& $1' })).toBe('$& $1');
  });

  test('filled with everything it asks for, nothing is left to ask', () => {
    const text = fc.array(fc.oneof(fc.string(), fc.constantFrom('{', '}', '{x}', '{ Guests }', '\n')), { maxLength: 12 }).map((some) => some.join(''));
    fc.assert(
      fc.property(text, (written) => {
        const said = Object.fromEntries(blanksIn([written]).map((name) => [name, 'said']));
        expect(blanksIn([filledIn(written, said)]).filter((name) => name in said)).toEqual([]);
      }),
    );
  });
});

describe('days by their distance', () => {
  test.each([
    // two days before a Saturday in the week the clocks go forward: 10 o'clock is 10 o'clock
    ['2027-03-28', { days: -2, time: '10:00' }, '2027-03-26T10:00'],
    ['2027-03-28', { days: 1, time: null }, '2027-03-29'],
    ['2028-02-28', { days: 1, time: null }, '2028-02-29'],
    ['2026-12-31', { days: 1, time: '00:15' }, '2027-01-01T00:15'],
  ])('%s, %j is %s', (anchor, offset, moment) => {
    expect(momentAt(anchor, offset)).toBe(moment);
    expect(offsetTo(anchor, moment)).toEqual(offset);
  });

  test('there and back, any day by any other', () => {
    const day = fc.date({ min: new Date('2000-01-01'), max: new Date('2009-12-31'), noInvalidDate: true }).map((date) => date.toISOString().slice(0, 10));
    const time = fc.option(
      fc.tuple(fc.integer({ min: 0, max: 23 }), fc.integer({ min: 0, max: 59 })).map((two) => two.map((n) => String(n).padStart(2, '0')).join(':')),
    );
    fc.assert(
      fc.property(day, day, time, (anchor, other, at) => {
        const moment = `${other}${at === null ? '' : `T${at}`}`;
        expect(momentAt(anchor, offsetTo(anchor, moment)!)).toBe(moment);
      }),
    );
  });

  test('further than ten years is none', () => expect(offsetTo('2000-01-01', '2011-01-01')).toBeNull());
});

test('a way round is found where there is one, and nowhere else: steps, what comes first, and what that is a step of', () => {
  const row = (id: string, parentId: string | null, firstIds: string[]) => ({ id, title: id, parentId, firstIds }) as never;
  const arbitrary = fc.array(fc.record({ parent: fc.option(fc.nat(7)), firsts: fc.array(fc.nat(7), { maxLength: 2 }) }), { minLength: 1, maxLength: 8 });
  fc.assert(
    fc.property(arbitrary, (given) => {
      // a parent stands before its steps, so that there is no circle among them alone
      const parentOf = given.map(({ parent }, nth) => (parent !== null && parent < nth ? parent : null));
      const rows = given.map(({ firsts }, nth) => row(String(nth), parentOf[nth] === null ? null : String(parentOf[nth]), firsts.map(String)));
      const needs = (nth: number): number[] => {
        const own = given.flatMap((_, other) => (parentOf[other] === nth ? [other] : []));
        for (let up: number | null = nth; up !== null; up = parentOf[up]!) own.push(...given[up]!.firsts.filter((first) => first < given.length));
        return own;
      };
      const reach = given.map((_, nth) => new Set(needs(nth)));
      for (let again = 0; again < given.length; again++) for (const all of reach) for (const one of [...all]) for (const more of reach[one]!) all.add(more);
      const way = wayRound(rows);
      expect(way !== null).toBe(reach.some((all, nth) => all.has(nth)));
      if (way) expect(way[0]).toBe(way.at(-1));
      for (let at = 1; way && at < way.length; at++) expect(needs(Number(way[at - 1]!.id))).toContain(Number(way[at]!.id));
    }),
  );
});
