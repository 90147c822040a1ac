import fc from 'fast-check';
import { hasTerms, MOST_TERMS, termsOf, wordsIn } from './terms.ts';

const has = (text: string, typed: string): boolean => hasTerms(wordsIn(text), termsOf(typed));

test.each([
  ['Two boats', 'boat ', true],
  ['A boat', 'boats', true],
  ['Berries', 'berry', true],
  ['A berry', 'berries', true],
  ['Boxes', 'box', true],
  ['The box', 'boxes', true],
  ['Shelf', 'shelves', true],
  ['Knives', 'knife', true],
  ['Potatoes', 'potato', true],
  ['Glass', 'glasses', true],
  // short ones stay as they are
  ['Bus', 'bu ', false],
  ['A gas', 'ga ', false],
  // the last word is a beginning while it is typed, the others are whole
  ['Varnish the rail', 'varn', true],
  ['Varnish the rail', 'varn ', false],
  ['Varnish the rail', 'varn rail', false],
  ['Varnish the rail', 'rail varn', true],
  // not in the middle of a word
  ['Washboard', 'board', false],
  ['Sähkölasku', 'SAHKO', true],
  ['Don’t forget', 'dont', false],
  ['Don’t forget', "don't", true],
  ['Room 12', '12', true],
  ['مفتاح المخزن', 'المخزن', true],
])('“%s” by “%s”: %s', (text, typed, found) => expect(has(text, typed)).toBe(found));

test('whatever is typed, there is a bound, and a text is found by any of its words and by the beginning of its last', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme', maxLength: 60 }), fc.string({ unit: 'grapheme', maxLength: 2_000 }), (text, typed) => {
      expect(termsOf(typed).length).toBeLessThanOrEqual(MOST_TERMS);
      for (const word of wordsIn(text)) expect(has(text, word)).toBe(true);
      const last = wordsIn(text).at(-1);
      if (last) expect(has(text, [...last].slice(0, 2).join(''))).toBe(true);
    }),
    { numRuns: 300 },
  );
});

test('signs and nothing else look for nothing', () => {
  for (const typed of ['', '  ', '%', '"', '*', '🙂', '---']) expect(termsOf(typed)).toEqual([]);
  expect(termsOf('NEAR(boat')).toHaveLength(2);
});
