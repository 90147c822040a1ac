import { readFindQuery } from './find-query.ts';

const known = { tags: [{ id: 'b', name: 'boats' }, { id: 'k', name: 'Käsityö' }], people: [{ id: 'l', name: 'Leila' }] }; // prettier-ignore

test.each([
  ['winch', { words: 'winch', tagIds: [], personIds: [] }],
  ['#boats winch', { words: ' winch', tagIds: ['b'], personIds: [] }],
  ['winch #BOATS @leila #kasityo', { words: 'winch   ', tagIds: ['b', 'k'], personIds: ['l'] }],
  // what names nothing is a word
  ['#boa @nobody', { words: '#boa @nobody', tagIds: [], personIds: [] }],
  ['a@leila', { words: 'a@leila', tagIds: [], personIds: [] }],
  ['# @', { words: '# @', tagIds: [], personIds: [] }],
])('“%s”', (typed, query) => expect(readFindQuery(typed, known)).toEqual(query));
