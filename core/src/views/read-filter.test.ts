import fc from 'fast-check';
import { Filter } from '../model/filter-schema.ts';
import { NO_FILTER } from '../model/filter.ts';
import { readFilter, readFilterText } from './read-filter.ts';

const TAG = { of: 'tag', ids: ['0190f7a0-0000-7000-8000-000000000001'], not: false };

test('what another version kept is read as far as it is known here', () => {
  const kept = { match: 'any', state: 'both', conditions: [TAG, { of: 'colour', is: 'red' }, { of: 'date', field: 'due', span: { kind: 'moon' } }] };
  expect(readFilter(kept)).toEqual({ filter: { match: 'any', state: 'both', conditions: [TAG] }, unknown: 2 });
});

test.each(['', '{', 'null', '[]', '7', '{"conditions":7}', '{"conditions":[null,7,"x",{"of":"__proto__"},{"of":"constructor"}]}'])(
  'the address %s is no filter, and no fault',
  (text) => expect(readFilterText(text).filter).toEqual(NO_FILTER),
);

test('whatever is read is what the schema lets in', () => {
  const odd = fc.record(
    {
      of: fc.constantFrom('tag', 'person', 'date', 'importance', 'effort', 'words', 'has', 'energy', 'other'),
      ids: fc.oneof(fc.constant(TAG.ids), fc.jsonValue()),
      who: fc.oneof(fc.constant(['me']), fc.jsonValue()),
      field: fc.constantFrom('due', 'done', 'odd'),
      span: fc.oneof(fc.record({ kind: fc.constantFrom('next', 'week', 'between', 'none'), days: fc.integer(), weeks: fc.integer(), from: fc.constantFrom('2026-12-01', 'x', '2026-02-31', '0000-01-01', '9999-12-31'), to: fc.constant('2026-12-02') }), fc.jsonValue()), // prettier-ignore
      least: fc.oneof(fc.nat(5), fc.double()),
      most: fc.oneof(fc.constant(null), fc.integer()),
      words: fc.string(),
      what: fc.constantFrom('steps', 'odd'),
      levels: fc.jsonValue(),
      not: fc.jsonValue(),
    },
    { requiredKeys: ['of'] },
  );
  fc.assert(
    fc.property(fc.array(odd, { maxLength: 25 }), (conditions) => {
      expect(Filter.safeParse(readFilter({ match: 'all', state: 'open', conditions }).filter).success).toBe(true);
    }),
    { numRuns: 500 },
  );
});
