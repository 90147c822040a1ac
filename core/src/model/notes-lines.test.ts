import fc from 'fast-check';
import { linesOfSteps, noteLines, stepsOfLines, withoutLines, type LineStep } from './notes-lines.ts';
import { changedLines, mergeNotes } from './notes-merge.ts';

const stepsIn = (text: string) => stepsOfLines(noteLines(text));

test('lines of every kind become steps, boxes with their ticks, what is further in below', () => {
  const text = '# Before the ice\n\nCall Raimo\n- [x] Oars\n  - [ ] the left one\n    a splinter\n1. Sail\n* Rope\n| a | b |\n|---|---|\n';
  expect(noteLines(text).map(({ at, words, kind, done }) => [at, words, kind, done])).toEqual([
    [0, 'Before the ice', 'heading', false],
    [2, 'Call Raimo', 'text', false],
    [3, 'Oars', 'item', true],
    [4, 'the left one', 'item', false],
    [5, 'a splinter', 'more', false],
    [6, 'Sail', 'item', false],
    [7, 'Rope', 'item', false],
    [8, '| a | b |', 'text', false],
  ]);
  expect(stepsIn('- [x] Oars\n  - [ ] the left one\n    a splinter\n- Sail')).toEqual([
    { title: 'Oars', done: true, notes: '', steps: [{ title: 'the left one', done: false, notes: 'a splinter', steps: [] }] },
    { title: 'Sail', done: false, notes: '', steps: [] },
  ]);
});

test('a line longer than a title keeps all of its words', () => {
  const long = 'word '.repeat(200).trim();
  const [step] = stepsIn(long) as [LineStep];
  expect(step.title.length).toBeLessThanOrEqual(500);
  expect(`${step.title} ${step.notes}`).toBe(long);
});

test('however far in a line is, it has a place', () => {
  const deep = Array.from({ length: 60 }, (_, nth) => `${'  '.repeat(nth)}- ${nth}`).join('\n');
  const levels = (steps: LineStep[]): number => (steps.length === 0 ? 0 : 1 + Math.max(...steps.map((step) => levels(step.steps))));
  const count = (steps: LineStep[]): number => steps.reduce((sum, step) => sum + 1 + count(step.steps), 0);
  expect([levels(stepsIn(deep)), count(stepsIn(deep))]).toEqual([10, 60]);
});

test('what is taken out leaves no hole', () => expect(withoutLines('a\n\nb\n\nc', new Set([2]))).toBe('a\n\nc'));

const word = fc.stringMatching(/^[A-Za-zäöåÄ][A-Za-z0-9 äöå,.]{0,20}[a-zä]$/);
const step = fc.letrec<{ step: LineStep }>((tie) => ({
  step: fc.record({
    title: word,
    done: fc.boolean(),
    notes: fc.array(word, { maxLength: 2 }).map((lines) => lines.join('\n')),
    steps: fc.oneof({ maxDepth: 3, depthIdentifier: 'step' }, fc.constant<LineStep[]>([]), fc.array(tie('step'), { maxLength: 3 })),
  }),
})).step;

test('steps written as lines and read again are the same steps', () => {
  fc.assert(
    fc.property(fc.array(step, { maxLength: 5 }), (steps) => expect(stepsIn(linesOfSteps(steps).join('\n'))).toEqual(steps)),
    { numRuns: 300 },
  );
});

test('lines made into steps and back lose no word', () => {
  const line = fc.tuple(fc.constantFrom('', '- ', '* [x] ', '2. ', '# ', '   ', '> '), word).map(([sign, words]) => sign + words);
  fc.assert(
    fc.property(fc.array(fc.oneof(line, fc.constant('')), { maxLength: 12 }), (lines) => {
      const words = (text: string) => text.match(/[\p{L}\d]+/gu)?.filter((one) => one !== 'x' && !/^\d+$/.test(one)) ?? [];
      expect(words(linesOfSteps(stepsIn(lines.join('\n'))).join('\n'))).toEqual(words(lines.join('\n')));
    }),
    { numRuns: 500 },
  );
});

describe('two that write at once', () => {
  test('lines that look like the marks of a merge are lines like others', () => {
    const { text, besides } = mergeNotes('Heading\nwords', 'Heading\n=======\nmine', 'Heading\n<<<<<<< x\ntheirs');
    expect(text.split('\n')).toEqual(['Heading', '<<<<<<< x', 'theirs', '=======', 'mine']);
    expect(besides).toBe(true);
  });

  test('no line of either is lost, and where only one wrote that is what stands', () => {
    const lines = fc.array(fc.constantFrom('a', 'b', 'c', '', '=======', '||||||| x', '>>>>>>> y', '- d'), { maxLength: 8 });
    fc.assert(
      fc.property(lines, lines, lines, (base, mine, theirs) => {
        const merged = mergeNotes(base.join('\n'), mine.join('\n'), theirs.join('\n')).text.split('\n');
        for (const writer of [mine, theirs]) for (const line of new Set(writer)) if (line !== '' && !base.includes(line)) expect(merged).toContain(line);
        if (base.join('\n') === theirs.join('\n')) expect(merged.join('\n')).toBe(mine.join('\n'));
        if (base.join('\n') === mine.join('\n')) expect(merged.join('\n')).toBe(theirs.join('\n'));
      }),
      { numRuns: 2_000 },
    );
  });

  test('what was changed is told by its lines, bounded', () => {
    expect(changedLines('a\nb\nc', 'a\nB\nc\nd')).toEqual({ added: ['B', 'd'], removed: ['b'] });
    const { added } = changedLines('', Array.from({ length: 50 }, () => 'x'.repeat(500)).join('\n'));
    expect([added.length, added[0]!.length]).toEqual([12, 160]);
  });
});
