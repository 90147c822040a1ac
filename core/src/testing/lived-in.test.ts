import { decide } from '../commands/decide.ts';
import { MemoryRows } from '../reader/memory.ts';
import { LivedIn } from './lived-in.ts';

const life = { name: 'a', done: 60, open: 12, years: 8, chores: 6 };
const NOW = '2026-11-24T12:00:00.000Z';

function held(name = 'a') {
  const house = new LivedIn({ ...life, name });
  const pairs = [...house.rows()];
  return { house, pairs, rows: MemoryRows.from('all', pairs) };
}

test('as many done and open things as were asked for, over the years, each row once and in order', () => {
  const { house, pairs, rows } = held();
  const ids = pairs.map(([noun, row]) => `${noun} ${row.id}`);
  expect(new Set(ids).size).toBe(ids.length);
  expect(pairs.every(([, row], nth) => nth === 0 || row.seq >= pairs[nth - 1]![1].seq)).toBe(true);
  expect(pairs.at(-1)![1].seq).toBe(house.lastSeq);
  const plain = rows.all('item').filter(({ parentId, seriesId }) => parentId === null && seriesId === null);
  expect(plain).toHaveLength(72);
  expect(
    plain
      .map(({ createdAt }) => createdAt)
      .sort()[0]!
      .slice(0, 4),
  ).toBe('2018');
  for (const part of rows.all('part')) expect(rows.find('item', part.itemId)).not.toBeUndefined();
});

test('it goes on through commands: what is open is checked off by who has it', () => {
  const { house, rows } = held();
  const tapio = rows.all('person').find(({ name }) => name === 'Tapio')!;
  const open = rows.all('part').filter(({ personId, standing }) => personId === tapio.id && standing === 'needs-action');
  expect(open).toHaveLength(6);
  const item = open[0]!.itemId;
  const command = { id: '0190a000-0000-7000-8000-000000000001', name: 'part.checkOff', houseId: house.houseId, at: NOW, seen: house.lastSeq } as const;
  const decision = decide({ ...command, payload: { item, person: tapio.id } }, rows, { now: NOW, account: house.account('Tapio') });
  expect(decision.outcome).toBe('accepted');
});

test('two houses share nothing', () => {
  const [one, other] = [held('one'), held('other')];
  const ids = new Set(one.pairs.map(([, row]) => row.id));
  expect(other.pairs.some(([, row]) => ids.has(row.id))).toBe(false);
  expect(one.house.account('Aino').id).not.toBe(other.house.account('Aino').id);
});
