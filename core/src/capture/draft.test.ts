import fc from 'fast-check';
import { onArriving } from '../model/alarm.ts';
import type { CaptureContext } from './context.ts';
import { batchesOf, draftOf, settled, type Draft } from './draft.ts';
import { readLine } from './read-line.ts';
import { countOf, readLines } from './read-lines.ts';

const CONTEXT: CaptureContext = {
  today: '2026-11-24',
  time: '10:42',
  dayParts: { morning: '06:00', day: '10:00', evening: '17:00' },
  people: ['Leila', 'Noor', 'Petri'].map((name) => ({ id: name.toLowerCase(), name, mark: name.slice(0, 2) })),
  places: [{ id: 'quay', name: 'Quay' }],
  lists: [{ id: 'groceries', name: 'Groceries', sections: [{ id: 'dairy', name: 'Dairy' }] }],
};
const draft = (typed: string, taken: string[] = []) => draftOf(settled(typed, readLine(typed, CONTEXT), new Set(taken)), ['leila', 'noor', 'petri']);

test.each<[string, Partial<Draft>]>([
  ['Ask Leila to order candles by Friday 15 min #shop', { title: 'Order candles', persons: ['leila'], due: '2026-11-27', effort: 15, tags: ['shop'] }],
  ['Towels @Leila and @Noor', { title: 'Towels', persons: ['leila', 'noor'], policy: 'each' }],
  ['Towels @Leila or @Noor', { title: 'Towels', persons: ['leila', 'noor'], policy: 'any' }],
  ['Read the plan everyone', { title: 'Read the plan', persons: ['leila', 'noor', 'petri'], policy: 'each' }],
  ['Tie up at Quay, very important', { title: 'Tie up', place: 'quay', importance: 3 }],
  [
    'Covers every other Friday',
    { title: 'Covers', rule: { rrule: 'FREQ=WEEKLY;INTERVAL=2;BYDAY=FR', afterDone: null, time: null, words: 'every other Friday' } },
  ],
  ['Tie the boat when I get to Quay', { title: 'Tie the boat', place: 'quay', alarms: [onArriving('quay')] }],
  ['Close the damper when I leave the Quay', { title: 'Close the damper', alarms: [onArriving('quay', 'leave')] }],
  ['Milk to Groceries', { title: 'Milk to Groceries', persons: [] }],
  ['Pay by 1 Dec remind me 2 days before', { title: 'Pay', due: '2026-12-01', alarms: [{ kind: 'relative', to: 'due', offset: '-P2D' }] }],
  // it hangs on the date there is
  ['Pay on 1 Dec remind me 2 days before', { title: 'Pay', plan: '2026-12-01', alarms: [{ kind: 'relative', to: 'plan', offset: '-P2D' }] }],
  // without one the wish is kept
  ['Pay remind me 30 min before', { title: 'Pay', alarms: [{ kind: 'relative', to: 'due', offset: '-PT30M' }] }],
  ['Pay the plumber remind me on 1 Dec at 14:30', { title: 'Pay the plumber', alarms: [{ kind: 'absolute', at: '2026-12-01T14:30' }] }],
])('%s', (typed, expected) => expect(draft(typed)).toMatchObject(expected));

test('an offer that is taken up counts, and its words leave the title', () => {
  expect(draft('Milk to Groceries', ['list:to groceries'])).toMatchObject({ title: 'Milk', list: 'groceries', section: null });
  expect(draft('A present for Leila', ['person:for leila'])).toMatchObject({ title: 'A present', persons: ['leila'] });
});

describe('pasted lines in commands', () => {
  const plain = (text: string): Draft => ({ title: text, persons: [] });
  const batches = (text: string, most: number) =>
    batchesOf(readLines(text), plain, most).map((batch) => batch.map(({ title, under }) => `${title}${under === null ? '' : `<${under}`}`));

  test('an item and its steps stay together', () => {
    expect(batches('a\n  b\n  c\nd\n  e', 3)).toEqual([
      ['a', 'b<0', 'c<0'],
      ['d', 'e<0'],
    ]);
  });

  test('steps beyond what fits stand by themselves rather than be lost', () => {
    expect(batches('a\n  b\n  c\n  d', 2)).toEqual([
      ['a', 'b<0'],
      ['c', 'd'],
    ]);
  });

  test('of lines that come back no command gets more than it takes', () => {
    const read = readLines(Array.from({ length: 250 }, (_, nth) => `Water ${nth}`).join('\n'));
    const rule = { rrule: 'FREQ=DAILY', afterDone: null, time: null, words: 'every day' };
    const made = batchesOf(read, (title) => ({ title, persons: [], rule }), 500);
    expect(made.map(({ length }) => length)).toEqual([100, 100, 50]);
  });

  test('nothing pasted is nothing to give', () => expect(batches('\n \n', 10)).toEqual([]));

  test('whatever is pasted, every line goes once, and nobody stands under what comes later', () => {
    const lines = fc.array(fc.tuple(fc.nat(4), fc.stringMatching(/^[A-Z][a-z]{3,6}$/)), { minLength: 1, maxLength: 40 });
    fc.assert(
      fc.property(lines, fc.integer({ min: 1, max: 9 }), (some, most) => {
        const read = readLines(some.map(([indent, text]) => ' '.repeat(indent) + text).join('\n'));
        const made = batchesOf(read, plain, most);
        expect(made.flat()).toHaveLength(countOf(read));
        for (const batch of made) {
          expect(batch.length).toBeLessThanOrEqual(most);
          batch.forEach(({ under }, nth) => expect(under === null || under < nth).toBe(true));
        }
      }),
    );
  });
});
