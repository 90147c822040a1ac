import fc from 'fast-check';
import { INDEXES, NOUNS, type Noun, type Row } from '../model/nouns.ts';
import { World } from '../testing/world.ts';
import { MemoryRows } from './memory.ts';
import { TrackedRows, type ChangedRow } from './tracked.ts';

/** A house with something of much: what is looked up finds rows of many kinds. */
function livedIn(): MemoryRows {
  const w = new World();
  w.join('Leila', 'helper');
  const list = w.list('Aino', 'Rooms', [['Leila', 'check']]);
  for (const nth of [1, 2, 3, 4]) w.item('Aino', `Room ${nth}`, { list, tags: [nth % 2 ? 'beds' : 'floors'], due: `2026-11-2${nth}` });
  const whole = w.item('Aino', 'The sauna', { list });
  w.item('Aino', 'Firewood', { parent: whole });
  w.must('Aino', 'part.handOver', { items: [whole], persons: [w.person('Leila')] });
  return w.rows;
}
const HOUSE = livedIn();
const ROWS = NOUNS.flatMap((noun) => HOUSE.all(noun).map((row): [Noun, Row] => [noun, row]));
const PLACES = ROWS.flatMap(([noun, row]) => INDEXES[noun].map((index) => ({ noun, index: String(index), row })));

interface Lookup {
  how: 'find' | 'by' | 'all';
  nth: number;
}
const lookups = fc.array(fc.record<Lookup>({ how: fc.constantFrom('find', 'by', 'all'), nth: fc.nat() }), { minLength: 1, maxLength: 6 });
/** Of a row: it goes, or it is another one from now on, as it stands or with a field that is looked up by of some other row of its kind. */
const changes = fc.array(fc.record({ nth: fc.nat(), becomes: fc.constantFrom('gone', 'newer', 'like another'), other: fc.nat() }), {
  minLength: 1,
  maxLength: 3,
});

const valueOf = (row: Row, index: string): string => String((row as unknown as Record<string, unknown>)[index] ?? 'none');

function answer(rows: TrackedRows | MemoryRows, { how, nth }: Lookup): unknown {
  const [noun, row] = ROWS[nth % ROWS.length]!;
  if (how === 'find') return rows.find(noun, row.id) ?? null;
  if (how === 'all') return sorted(rows.all(noun));
  const at = PLACES[nth % PLACES.length]!;
  return sorted(rows.by(at.noun, at.index as never, valueOf(at.row, at.index)));
}
const sorted = (rows: readonly Row[]): Row[] => [...rows].sort((a, b) => (a.id < b.id ? -1 : 1));

function change(rows: MemoryRows, { nth, becomes, other }: { nth: number; becomes: string; other: number }): void {
  const [noun, row] = ROWS[nth % ROWS.length]!;
  if (becomes === 'gone') return rows.evict(noun, row.id);
  const alike = ROWS.filter(([one]) => one === noun);
  const [, like] = alike[other % alike.length]!;
  rows.put(noun, becomes === 'newer' ? { ...row, seq: row.seq + 1_000 } : ({ ...like, id: row.id } as never));
}

test('whoever would be answered otherwise is told, whatever they looked up and whatever changed', () => {
  fc.assert(
    fc.property(lookups, changes, (asked, changing) => {
      const now = MemoryRows.from('seen', ROWS);
      now.changed();
      const tracked = new TrackedRows(() => now);
      const before = asked.map((lookup) => answer(tracked, lookup));
      for (const one of changing) change(now, one);
      const told = now.changed().map((one): ChangedRow => ({ ...one, after: now.find(one.noun, one.id) }));
      const isOther = asked.some((lookup, nth) => JSON.stringify(answer(now, lookup)) !== JSON.stringify(before[nth]));
      if (isOther) expect(tracked.isTouchedBy(told)).toBe(true);
      // what others made of it counts as read
      const other = new TrackedRows(() => now);
      other.takeOver('what it read', tracked);
      expect(other.isTouchedBy(told)).toBe(tracked.isTouchedBy(told));
    }),
    { numRuns: 1_000 },
  );
});

test('a change elsewhere concerns nobody: a lookup of one list is not touched by an item of another', () => {
  const w = new World();
  const [rooms, boats] = [w.list('Aino', 'Rooms'), w.list('Aino', 'Boats')];
  const bed = w.item('Aino', 'Bed', { list: rooms });
  const oar = w.item('Aino', 'Oar', { list: boats });
  w.rows.changed();
  const tracked = new TrackedRows(() => w.rows);
  tracked.by('item', 'listId', rooms);
  tracked.find('item', bed);
  const since = (): ChangedRow[] => w.rows.changed().map((one) => ({ ...one, after: w.rows.find(one.noun, one.id) }));
  w.must('Aino', 'item.change', { item: oar, title: 'Oars' });
  expect(tracked.isTouchedBy(since())).toBe(false);
  w.must('Aino', 'item.move', { items: [oar], list: rooms });
  expect(tracked.isTouchedBy(since())).toBe(true);
});
