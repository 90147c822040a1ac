import { readFindQuery } from './find-query.ts';

const known = { tags: [{ id: 'b', name: 'boats' }, { id: 'k', name: 'Käsityö' }], people: [{ id: 'l', name: 'Leila' }], today: '2026-11-25' }; // prettier-ignore

test.each([
  ['winch', { words: 'winch', tagIds: [], personIds: [] }],
  ['#boats winch', { words: ' winch', tagIds: ['b'], personIds: [] }],
  ['winch #BOATS @leila #kasityo', { words: 'winch   ', tagIds: ['b', 'k'], personIds: ['l'] }],
  // what names nothing is a word
  ['#boa @nobody', { words: '#boa @nobody', tagIds: [], personIds: [] }],
  ['a@leila', { words: 'a@leila', tagIds: [], personIds: [] }],
  ['# @', { words: '# @', tagIds: [], personIds: [] }],
])('“%s”', (typed, query) => expect(readFindQuery(typed, known)).toEqual({ due: null, onlyOpen: false, ...query }));

test.each([
  ['oars due this week', 'oars', ['2026-11-23', '2026-11-29']],
  ['Due next week #boats', '', ['2026-11-30', '2026-12-06']],
  ['due late', '', ['1970-01-01', '2026-11-24']],
  ['due today', '', ['2026-11-25', '2026-11-25']],
  ['planks due within 10 days', 'planks', ['2026-11-25', '2026-12-05']],
  ['due in 9999 days', '', ['2026-11-25', '2036-12-02']],
])('days: “%s”', (typed, words, [from, to]) => {
  const query = readFindQuery(typed, known);
  expect([query.words.trim(), query.due]).toEqual([words, { from, to }]);
});

test.each(['due', 'overdue today', 'due todayish', 'due 31 February', 'residue today'])('a word: “%s”', (typed) =>
  expect(readFindQuery(typed, known)).toMatchObject({ words: typed, due: null }),
);

test('only what is open', () => expect(readFindQuery('oars not done', known)).toMatchObject({ words: 'oars ', onlyOpen: true }));
