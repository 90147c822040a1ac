import fc from 'fast-check';
import { INDEXES, lookupValues, NOUNS, YES, type Row } from '../model/nouns.ts';
import { MemoryRows } from './memory.ts';

/** What is done to rows, one thing after the other; `layer`: from here on a copy is written to. */
const steps = fc.array(
  fc.oneof(
    {
      weight: 6,
      arbitrary: fc.record({ put: fc.constantFrom('a', 'b', 'c', 'd', 'e'), itemId: fc.constantFrom('x', 'y'), done: fc.boolean(), nudged: fc.boolean() }),
    },
    { weight: 2, arbitrary: fc.record({ evict: fc.constantFrom('a', 'b', 'c', 'd', 'e') }) },
    { weight: 1, arbitrary: fc.constant('layer' as const) },
  ),
  { maxLength: 40 },
);

const part = ({ put: id, itemId, done, nudged }: { put: string; itemId: string; done: boolean; nudged: boolean }, seq: number): Row<'part'> =>
  ({
    id,
    itemId,
    seq,
    stamps: {},
    excusedAt: null,
    takenBackAt: null,
    passedTo: null,
    standing: done ? 'completed' : 'accepted',
    completedAt: done ? '2026-11-24T10:00:00.000Z' : null,
    nudgedAt: nudged ? '2026-11-23T10:00:00.000Z' : null,
  }) as never;

const sorted = (rows: readonly Row[]): string[] => rows.map(({ id, seq }) => `${id} ${seq}`).sort();

test('rows laid over rows answer as if they had been written to one store, and what lies beneath stays as it was', () => {
  fc.assert(
    fc.property(steps, (done) => {
      let rows = new MemoryRows('all');
      const held = new Map<string, Row<'part'>>();
      const beneath: { rows: MemoryRows; was: string[] }[] = [];
      for (const [seq, step] of done.entries()) {
        if (step === 'layer') {
          beneath.push({ rows, was: sorted(rows.all('part')) });
          rows = rows.over();
        } else if ('evict' in step) {
          rows.evict('part', step.evict);
          held.delete(step.evict);
        } else {
          const row = part(step, seq);
          rows.put('part', row);
          held.set(row.id, row);
        }
        // asked in between, so that lookups are there to be followed
        rows.by('part', 'open', YES);
      }
      expect(sorted(rows.all('part'))).toEqual(sorted([...held.values()]));
      for (const id of 'abcde') expect(rows.find('part', id)).toBe(held.get(id) ?? undefined);
      for (const index of INDEXES.part)
        for (const value of ['x', 'y', YES, '2026-11-24'])
          expect(sorted(rows.by('part', index, value))).toEqual(sorted([...held.values()].filter((row) => lookupValues('part', index, row).includes(value))));
      for (const { rows: lower, was } of beneath) expect(sorted(lower.all('part'))).toEqual(was);
      expect(NOUNS.filter((noun) => noun !== 'part').flatMap((noun) => rows.all(noun))).toEqual([]);
    }),
    { numRuns: 300 },
  );
});
