import fc from 'fast-check';
import { addDays } from '../time/clock.ts';
import { DUE_BANDS, dueBandOf, dueIn, prioritiesOf } from './priorities.ts';

const TODAY = '2026-11-24';

test.each([
  ['2026-11-23', 'late'],
  ['2026-11-24T08:00', 'today'],
  ['2026-11-25', 'tomorrow'],
  ['2026-11-26', 'days'],
  ['2026-11-27', 'days'],
  ['2026-11-28', 'week'],
  ['2026-12-01', 'week'],
  ['2026-12-02', 'fortnight'],
  ['2026-12-08', 'fortnight'],
  ['2026-12-09', 'month'],
  ['2026-12-24', 'month'],
  ['2026-12-25', 'later'],
  [null, 'none'],
] as const)('%s stands under “%s”', (due, band) => expect(dueBandOf(due, TODAY)).toBe(band));

test.each([
  ['tomorrow', '2026-12-20T09:30', '2026-11-25T09:30'],
  ['week', null, '2026-12-01'],
  ['none', '2026-12-20T09:30', null],
  ['late', '2026-12-20', undefined],
  ['late', '2026-11-20', '2026-11-20'],
  ['later', '2026-11-24', '2027-01-23'],
  // where it is already nothing changes
  ['week', '2026-11-29', '2026-11-29'],
] as const)('moved to “%s” from %s: %s', (band, due, moved) => expect(dueIn(band, due, TODAY)).toBe(moved));

test('wherever something is moved, it stands there', () => {
  const due = fc.option(fc.integer({ min: -400, max: 400 }).map((days) => addDays(TODAY, days)));
  fc.assert(
    fc.property(due, fc.constantFrom(...DUE_BANDS), (before, band) => {
      const after = dueIn(band, before, TODAY);
      expect(after === undefined ? 'late' : dueBandOf(after, TODAY)).toBe(band);
    }),
  );
});

test('every item stands in one place, the most important first', () => {
  const some = fc.array(fc.record({ importance: fc.integer({ min: 0, max: 3 }), due: fc.constantFrom(null, '2026-11-20', '2026-11-24', '2026-12-30') }));
  fc.assert(
    fc.property(some, (items) => {
      const entries = items.map((item) => ({ item: item as never, part: null }));
      const bands = prioritiesOf(entries, TODAY);
      expect(bands.map(({ band }) => band)).toEqual([...DUE_BANDS]);
      expect(bands.flatMap(({ lanes }) => lanes.flat()).length).toBe(entries.length);
      for (const { lanes } of bands)
        lanes.forEach((lane, nth) => lane.forEach(({ item }) => expect((item as { importance: number }).importance).toBe(3 - nth)));
    }),
  );
});
