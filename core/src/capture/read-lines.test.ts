import fc from 'fast-check';
import { countOf, readLines } from './read-lines.ts';

const shape = (lines: ReturnType<typeof readLines>): unknown[] =>
  lines.map(({ text, ticked, steps }) => [ticked ? `✓ ${text}` : text, ...(steps.length > 0 ? [shape(steps)] : [])]);

test('a message with bullets, numbers, boxes and indentation', () => {
  const pasted = `
- Check the life jackets
    - small sizes
    - [x] children's sizes
* Sweep the floor
1. Put out the oars
2) Oil the rowlocks
[ ] Empty the bilge
☑ Air the sails
\t• the small jib
Coffee for the crew
`;
  expect(shape(readLines(pasted))).toEqual([
    ['Check the life jackets', [['small sizes'], ["✓ children's sizes"]]],
    ['Sweep the floor'],
    ['Put out the oars'],
    ['Oil the rowlocks'],
    ['Empty the bilge'],
    ['✓ Air the sails', [['the small jib']]],
    ['Coffee for the crew'],
  ]);
  expect(countOf(readLines(pasted))).toBe(10);
});

test('steps of steps; coming back out by less indentation', () => {
  expect(shape(readLines('a\n  b\n    c\n  d\ne'))).toEqual([['a', [['b', [['c']]], ['d']]], ['e']]);
});

test.each([
  ['', []],
  ['\n \n', []],
  ['- \n', []],
  ['2.5 kg of flour', [['2.5 kg of flour']]],
  ['a\r\nb\rc', [['a'], ['b'], ['c']]],
])('%j', (pasted, expected) => expect(shape(readLines(pasted))).toEqual(expected));

test('every line with words in it is kept once, in order', () => {
  const word = fc.stringMatching(/^[A-Z][a-z]{2,8}$/);
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.nat(6), word)), (lines) => {
      const flat = (some: ReturnType<typeof readLines>): string[] => some.flatMap(({ text, steps }) => [text, ...flat(steps)]);
      expect(flat(readLines(lines.map(([indent, text]) => ' '.repeat(indent) + text).join('\n')))).toEqual(lines.map(([, text]) => text));
    }),
  );
});
