import fc from 'fast-check';
import { readMarkdown } from '@/ui/read-markdown.ts';
import { openDocument, saveDocument, type Edited } from './document.ts';
import { joined, type Block, type Inline, type List, type Words } from './model.ts';
import { isReadAs, writeBlock } from './write.ts';

const lex = readMarkdown;
const open = (text: string) => openDocument(text, lex);
const untouched = (text: string) =>
  saveDocument(
    open(text).map((origin) => ({ block: origin.block, origin, isChanged: false })),
    lex,
  );

const EVERYTHING = `  # The valve  #
Under the sauna boiler.
Second line\\
third

* brass
* **left** one, ~~not~~ *that* [maker](https://valves.example/x)
    1) unscrew
    2) wait
- [x] ordered
- [ ] fitted

> Raimo said so

| a | b |
|---|:-:|
| 1 | 2 |

<b>html</b>

\`\`\`
code
\`\`\`

![photo](x.png) and text

***
`;

test('what nobody touches is written back letter by letter', () => {
  expect(untouched(EVERYTHING)).toBe(EVERYTHING);
  for (const text of ['', '\n\n', 'a\r\nb', '  x', '- a\n\n\n- b\n', 'a\n# b\nc\n===\n', '\t- tab\n', '1. a\n1. b\n\n\n\nend   '])
    expect(untouched(text)).toBe(text);
});

test('what the editor does not know is kept raw, the rest is formatted', () => {
  const kinds = open(EVERYTHING).map(({ block }) => block.kind);
  expect(kinds).toEqual(['heading', 'paragraph', 'list', 'list', 'quote', 'raw', 'raw', 'raw', 'raw', 'raw']);
});

test('one changed block changes its own letters only', () => {
  const parts: Edited[] = open(EVERYTHING).map((origin) => ({ block: origin.block, origin, isChanged: false }));
  parts[1] = {
    block: { kind: 'paragraph', words: [{ text: 'Under the ' }, { text: 'old', bold: true }, { text: ' boiler.' }] },
    origin: parts[1]!.origin,
    isChanged: true,
  };
  const saved = saveDocument(parts, lex);
  expect(saved).toBe(EVERYTHING.replace('#\nUnder the sauna boiler.\nSecond line\\\nthird', '#\nUnder the **old** boiler.'));
});

test('any text whatever comes back as it was', () => {
  const line = fc.oneof(
    fc.string({ maxLength: 12 }),
    fc.constantFrom('# a', '- b', '  - c', '1. d', '> e', '```', '| x | y |', '|--|--|', '**b** *i*', '- [ ] t', '', '---', '<i>', '[x]: y'),
  );
  fc.assert(
    fc.property(fc.array(line, { maxLength: 12 }), (lines) => expect(untouched(lines.join('\n'))).toBe(lines.join('\n'))),
    { numRuns: 2_000 },
  );
});

const text = fc.stringMatching(/^[A-Za-zäö0-9*_~[\]()#>+.!-]([A-Za-zäö0-9 *_~`[\]()#>+.!<|&\\-]{0,10}[A-Za-zäö0-9*_.!-])?$/);
const word: fc.Arbitrary<Words> = fc.record({ text }, { requiredKeys: ['text'] });
const words = fc
  .array(word, { minLength: 1, maxLength: 3 })
  .map((some): Inline[] => joined(some.flatMap((one, nth) => (nth > 0 ? [{ text: ' ' }, one] : [one]))));
const items = (list: fc.Arbitrary<List | null>) => fc.array(fc.record({ words, checked: fc.constant(null), list }), { minLength: 1, maxLength: 3 });
const list = (below: fc.Arbitrary<List | null>): fc.Arbitrary<List> =>
  fc.record({ kind: fc.constant('list' as const), ordered: fc.constant(false), start: fc.constant(1), loose: fc.constant(false), items: items(below) });
const block: fc.Arbitrary<Block> = fc.oneof(
  fc.record({ kind: fc.constant('paragraph' as const), words }),
  fc.record({ kind: fc.constant('heading' as const), depth: fc.integer({ min: 1, max: 6 }), words }),
  list(fc.oneof(fc.constant(null), list(fc.constant(null)))),
);
const saidBy = (one: Block): string => {
  if (one.kind === 'raw') return one.text;
  const said = (some: readonly Inline[]) => some.map((piece) => (piece === 'break' ? '\n' : piece.text)).join('');
  return one.kind === 'list' ? one.items.map((item) => said(item.words) + (item.list ? saidBy(item.list) : '')).join('') : said(one.words);
};

test('whatever signs somebody types, what they wrote is read again as the same words', () => {
  fc.assert(
    fc.property(block, (one) => {
      const written = writeBlock(one, lex);
      const [part, ...others] = open(written);
      expect(others).toEqual([]);
      expect(saidBy(part!.block).replace(/\s+/g, '')).toBe(saidBy(one).replace(/\s+/g, ''));
    }),
    { numRuns: 1_500 },
  );
});

test('plain words get no signs they don’t need', () => {
  for (const plain of ['2 * 3 = 6', 'a_b_c', 'Call Raimo (before noon)!', 'C&A', 'under 5 < 6'])
    expect(writeBlock({ kind: 'paragraph', words: [{ text: plain }] }, lex)).toBe(plain);
  expect(writeBlock({ kind: 'paragraph', words: [{ text: '# not a heading' }] }, lex)).toBe('\\# not a heading');
  const bold: Block = { kind: 'paragraph', words: [{ text: 'a ' }, { text: 'b*c', bold: true }] };
  expect(isReadAs(writeBlock(bold, lex), bold, lex)).toBe(true);
});

test.each(['- ', '## What went well\n\n- ', '- a\n- \n\n  ', 'words  \n \n'])(
  'what ends in a point still to be written is taken apart all the same: %j',
  (text) => {
    expect(open(text).map(({ block }) => block.kind)).not.toContain('raw');
    expect(untouched(text)).toBe(text);
  },
);
