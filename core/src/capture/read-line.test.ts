import fc from 'fast-check';
import type { CaptureContext } from './context.ts';
import { piecesOf, titleOf } from './pieces.ts';
import { readLine } from './read-line.ts';
import { spanName, type Span } from './span.ts';
import { EVERYDAY } from './everyday.ts';
import { TABLE } from './table.ts';

const CONTEXT: CaptureContext = {
  today: '2026-11-24',
  time: '10:42',
  dayParts: { morning: '06:00', day: '10:00', evening: '17:00' },
  people: [
    { id: 'leila', name: 'Leila', mark: 'Le' },
    { id: 'noor', name: 'Noor', mark: 'No' },
    { id: 'petri', name: 'Petri', mark: 'Pe' },
    { id: 'marek', name: 'Marek Nowak', mark: 'Ma' },
  ],
  places: [
    { id: 'quay', name: 'Quay' },
    { id: 'shop', name: 'Village shop' },
    { id: 'dairy', name: 'Dairy' },
  ],
  lists: [
    { id: 'l-shop', name: 'Shop', sections: [] },
    { id: 'l-groceries', name: 'Groceries', sections: [] },
    { id: 'l-boathouse', name: 'Boathouse', sections: [{ id: 's-winter', name: 'Before winter' }] },
  ],
};

interface Row {
  typed: string;
  stretches: string[];
  title: string;
  context: CaptureContext;
}

/** Takes the brackets out of a row of the table: what is left was typed, where they stood is what must be found. */
function rowOf(line: string): Row {
  const [, moment, marked, title] = /^(?:<(\S+ \S+)> )?(.*) => (.*)$/.exec(line)!;
  let typed = '';
  const stretches: string[] = [];
  let at = 0;
  for (const mark of marked!.matchAll(/\[([?!]?)([\w-]+):((?:[^|\]]|\](?!))*?)(?:\|([^\]]*))?\](?=\W|\w|$)/g)) {
    typed += marked!.slice(at, mark.index);
    const from = typed.length;
    typed += mark[3];
    stretches.push(`${mark[1]}${mark[2]} ${from}-${typed.length} ${mark[4] ?? ''}`.trim());
    at = mark.index + mark[0].length;
  }
  typed += marked!.slice(at);
  const [today, time] = moment?.split(' ') ?? [CONTEXT.today, CONTEXT.time];
  return { typed, stretches, title: title!, context: { ...CONTEXT, today: today!, time: time! } };
}

function valueOf(span: Span): string {
  switch (span.kind) {
    case 'person':
      return [span.value.ids.join(','), span.value.policy].filter(Boolean).join(' ');
    case 'rule':
      return [span.value.rrule ?? `after ${span.value.afterDone}`, span.value.time].filter(Boolean).join(' ');
    case 'place-reminder':
      return `${span.value.place} ${span.value.when}`;
    case 'alarm':
      return 'before' in span.value ? span.value.before : span.value.at;
    case 'list':
      return [span.value.list, span.value.section].filter(Boolean).join(' ');
    default:
      return String(span.value);
  }
}

const found = ({ typed, context }: Row): string[] => {
  const { spans, questions } = readLine(typed, context);
  return [
    ...spans.map((span) => ({ from: span.from, said: `${span.chosen ? '' : '?'}${span.kind} ${span.from}-${span.to} ${valueOf(span)}` })),
    ...questions.map(({ from, to, doubt }) => ({ from, said: `!${doubt.code} ${from}-${to}` })),
  ]
    .sort((a, b) => a.from - b.from)
    .map(({ said }) => said);
};

test('the table is long enough', () => expect(TABLE.length).toBeGreaterThanOrEqual(200));

test.each([...TABLE, ...EVERYDAY])('%s', (line) => {
  const row = rowOf(line);
  expect(found(row)).toEqual(row.stretches);
  expect(readLine(row.typed, row.context).title).toBe(row.title);
});

/** Words of the grammar that say nothing by themselves. */
const DANGLING =
  /^(?:to|by|due|until|till|at|every|no later|not before|first thing)\s|(?:^|\s)(?:by|due|deadline|on|from|at|until|till|before|after|every|to|later than|latest|not before|first thing|a week|week on|['’]s|for|times)$/i;

test.each([...TABLE, ...EVERYDAY])('half a phrase is never left: %s', (line) => {
  const { typed, stretches, context } = rowOf(line);
  if (stretches.some((one) => !/^[?!]/.test(one))) expect(readLine(typed, context).title).not.toMatch(DANGLING);
});

test('the words in any order around a title: what is left is the title', () => {
  const days = fc.constantFrom('tomorrow', 'on Friday', 'by Friday at 17:00', 'no later than Monday', 'a week on Friday', 'first thing tomorrow', 'in 20 minutes', 'every other Wednesday at 7', 'on the last working day of the month', 'every day for 5 days'); // prettier-ignore
  const others = fc.subarray(['#shop', '@Noor', '45 min', 'important']);
  fc.assert(
    fc.property(days, others, fc.boolean(), (day, more, isFirst) => {
      const behind = [...(isFirst ? [] : [day]), ...more].join(', ');
      const typed = isFirst ? `${day}: iron the napkins ${behind}`.trim() : `Iron the napkins ${behind}`;
      expect(readLine(typed, CONTEXT).title.toLowerCase()).toBe('iron the napkins');
    }),
  );
});

const aLine = fc.oneof(
  fc.string({ maxLength: 60 }),
  fc
    .array(fc.oneof(fc.constantFrom(...TABLE.map((line) => rowOf(line).typed)), fc.string({ maxLength: 12 })), { maxLength: 3 })
    .map((parts) => parts.join(' ')),
);

test('title and stretches give back exactly what was typed, whatever it is', () => {
  fc.assert(
    fc.property(aLine, (typed) => {
      const { spans, title } = readLine(typed, CONTEXT);
      expect(
        piecesOf(typed, spans)
          .map(({ text }) => text)
          .join(''),
      ).toBe(typed);
      for (const [nth, span] of spans.entries()) {
        expect(span.text).toBe(typed.slice(span.from, span.to));
        expect(span.from).toBeLessThan(span.to);
        if (nth > 0) expect(spans[nth - 1]!.to).toBeLessThanOrEqual(span.from);
      }
      expect(title).toBe(titleOf(typed, spans));
    }),
    { numRuns: 500 },
  );
});

test('a guess that is taken back goes into the title as typed, and nothing else is read from its words', () => {
  const typed = 'Order candles by Friday 15 min #shop';
  const [due] = readLine(typed, CONTEXT).spans;
  const again = readLine(typed, { ...CONTEXT, declined: new Set([spanName(due!)]) });
  expect(again.title).toBe('Order candles by Friday');
  expect(again.spans.map(({ kind }) => kind)).toEqual(['effort', 'tag']);
});

describe('two of one first name', () => {
  const twins = {
    ...CONTEXT,
    people: [...CONTEXT.people, { id: 'leila-v', name: 'Leila Virta', mark: 'LV' }, { id: 'leila-h', name: 'Leila Haddad', mark: 'LH' }].slice(1),
  };

  test('which one is asked; the whole name, the mark or the answer tells', () => {
    const asked = readLine('Towels @Leila', twins);
    expect(asked).toMatchObject({ title: 'Towels @Leila', spans: [], questions: [{ doubt: { code: 'which-person', ids: ['leila-v', 'leila-h'] } }] });
    expect(readLine('Towels @Leila Virta', twins).spans).toMatchObject([{ value: { ids: ['leila-v'] } }]);
    expect(readLine('Towels @LH', twins).spans).toMatchObject([{ value: { ids: ['leila-h'] } }]);
    expect(readLine('Towels @Leila', { ...twins, meant: new Map([['leila', 'leila-h']]) }).spans).toMatchObject([{ value: { ids: ['leila-h'] } }]);
  });
});

test('a group is named as a person is, by its whole name: its people have it, whoever gets to it first, unless each is said', () => {
  const group = { id: 'drivers', name: 'Night drivers', mark: '', members: ['leila', 'petri'] };
  const context = { ...CONTEXT, people: [...CONTEXT.people, group] };
  const who = (line: string) => readLine(line, context).spans.filter(({ kind }) => kind === 'person').map(({ value }) => value); // prettier-ignore
  const both = (policy: string) => [{ ids: ['leila', 'petri'], policy }];
  expect([who('Fetch the guests @night drivers'), who('Ask Night drivers to fetch the guests'), who('Night drivers: fetch the guests')]).toEqual([both('any'), both('any'), both('any')]); // prettier-ignore
  expect(who('Read the rota each of Night drivers and Noor')).toEqual([{ ids: ['leila', 'petri', 'noor'], policy: 'each' }]);
  // its first word alone is a word
  expect(who('Night: lock the gate')).toEqual([]);
});

test.each([
  ['Pay the tax by 3/12', '2026-12-03', '2027-03-12'],
  ['Pay the tax 3/12/2027', '2027-12-03', '2027-03-12'],
  ['Pay the tax 12/31/2026', null, '2026-12-31'],
  // with dots the day comes first for everybody, and with dashes the year
  ['Pay the tax 3.12.', '2026-12-03', '2026-12-03'],
  ['Pay the tax 2026-12-03', '2026-12-03', '2026-12-03'],
])('“%s”: the first figure is the day, or for who is used to it the month', (typed, dayFirst, monthFirst) => {
  for (const [isMonthFirst, date] of [
    [false, dayFirst],
    [true, monthFirst],
  ] as const) {
    const found = readLine(typed, { ...CONTEXT, isMonthFirst }).spans.flatMap((span) => (span.kind === 'due' || span.kind === 'plan' ? [span.value] : []));
    expect(JSON.stringify(found)).toContain(date ?? '[]');
  }
});
