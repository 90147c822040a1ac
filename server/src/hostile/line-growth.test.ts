import { batchesOf, draftOf, readLines, titleOf, type CaptureContext } from '@kotiva/core/capture';
import { readLine } from '@kotiva/core/capture/read-line';
import { MOST_READ } from '@kotiva/core/capture/folding';

const person = (name: string, mark = name) => ({ id: name, name, mark });
const CONTEXT: CaptureContext = {
  today: '2026-11-24',
  time: '10:42',
  dayParts: { morning: '06:00', day: '10:00', evening: '17:00' } as CaptureContext['dayParts'],
  // names chosen so that one stretch could be met in several ways
  people: [person('x'), person('X', 'x'), person('x, x', 'xx'), person('s'), person('ſ'), person('a and', 'aa'), person('and b', 'bb'), person('Leila')],
  places: [{ id: 'quay', name: 'Quay' }],
  lists: [{ id: 'shop', name: 'Shop', sections: [] }],
};

const STRETCHES = [' ', '\u00a0', '\t ', '-', ',', ', ', ' ,', ';', '(', '( ', 'a ', '#', '@', '@x, ', 'x, ', 'x and ', '1', '1 ', '1/', '1.', '12.', ':', 'every ', 'on ', 'by ', 'at ', 'the ', 'remind me ', 'an hour and ', 'Leila, ', 'Mon, ', 'tomorrow ', '4 Dec ', '\0', 'ä', '🎂', 'in 3 days ', 'very ', 'for x, ']; // prettier-ignore
const hostile = (length: number): string[] =>
  STRETCHES.flatMap((one) => {
    const run = one.repeat(Math.ceil(length / one.length)).slice(0, length);
    return [run, `${run}!`, `ask ${run}`, `a${run}b`, `${run}\0${run}`.slice(0, length)];
  });

/** The quickest of some, so that what else the machine does is left out. */
function quickest(task: () => unknown): number {
  let best = Number.POSITIVE_INFINITY;
  for (let time = 0; time < 3; time++) {
    const from = performance.now();
    task();
    best = Math.min(best, performance.now() - from);
  }
  return best;
}

/** Four times as much may take four times as long; where it took next to nothing, little more. */
const growsInLine = (task: (text: string) => unknown, short: string, long: string): boolean =>
  quickest(() => task(long)) <= 4 * 2.5 * quickest(() => task(short)) + 3;

/** What grows faster does so every time it is looked at; what the machine was busy with does not. */
const growsIn = (task: (text: string) => unknown, short: string, long: string): boolean => Array.from({ length: 4 }).some(() => growsInLine(task, short, long));

test('a line takes as long as it is, whatever stands in it', () => {
  const read = (text: string) => readLine(text, CONTEXT);
  read('warm');
  const [short, long] = [hostile(MOST_READ / 4), hostile(MOST_READ)];
  expect(short.filter((one, nth) => !growsIn(read, one, long[nth]!)).map((one) => one.slice(0, 30))).toEqual([]);
});

test('nor does anything far longer: it is a title that is too long', () => {
  const read = (text: string) => readLine(text, CONTEXT);
  const tidy = (text: string) => titleOf(text, []);
  const [short, long] = [hostile(12_500), hostile(50_000)];
  for (const task of [read, tidy, readLines]) expect(short.filter((one, nth) => !growsIn(task, one, long[nth]!)).map((one) => one.slice(0, 30))).toEqual([]);
});

test('blanks are read as one, however many; each stretch is told as it was typed', () => {
  const blanks = ' '.repeat(32_000);
  const { title, spans } = readLine(`Call${blanks}the dairy by${blanks}Friday`, CONTEXT);
  expect(title).toBe('Call the dairy');
  expect(spans).toMatchObject([{ kind: 'due', value: '2026-11-27', text: `by${blanks}Friday` }]);
});

test('what is indented deeper than steps may lie stands beside the deepest, and nothing is lost', () => {
  const pasted = Array.from({ length: 40 }, (_, nth) => `${' '.repeat(nth)}- Thing ${nth}`).join('\n');
  const [items] = batchesOf(readLines(pasted), (text) => draftOf(readLine(text, CONTEXT), []), 500);
  expect(items!.map(({ title }) => title)).toEqual(Array.from({ length: 40 }, (_, nth) => `Thing ${nth}`));
  const depthOf = (nth: number): number => (items![nth]!.under === null ? 0 : 1 + depthOf(items![nth]!.under!));
  expect(Math.max(...items!.map((_, nth) => depthOf(nth)))).toBe(20);
});

test('people are still told apart where names hold what stands between names', () => {
  expect(readLine('Ask Leila to wash @x', CONTEXT).spans.map(({ kind, value }) => [kind, value])).toMatchObject([['person', { ids: ['Leila'] }]]);
});
