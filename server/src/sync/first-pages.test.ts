import { LedgerHouse } from '../testing/ledger-house.ts';
import { SqliteHouses } from '../db/sqlite-houses.ts';
import { ChangeFeed, joined, type ChangePage } from './changes.ts';

test('pages joined to one answer say of each row what was so last, also where it changed between two of them', () => {
  const house = new LedgerHouse('Aino', 'Leila');
  const feed = new ChangeFeed(new SqliteHouses(house.storage.raw));
  const aino = house.ledger.rows(house.houseId).find('person', house.person('Aino'));
  if (aino === undefined) throw new Error(aino);
  const page = (since: number, limit?: number) =>
    feed.page(house.ledger.rows(house.houseId), aino, {
      since,
      until: house.ledger.seq(house.houseId),
      from: 0,
      now: house.clock.now(),
      begins: true,
      limit,
    });
  const made = ['Oars', 'Rope', 'Tar', 'Buoy'].map((title) => house.give('Aino', 'item.add', { title }));
  const ids = made.map((command) => {
    const item = house.ledger
      .rows(house.houseId)
      .all('item')
      .find(({ stamps }) => stamps['']?.c === command);
    return item!.id;
  });
  let answer = page(0, 3);
  expect(answer.more).toBe(true);
  let between = 0;
  while (answer.more) {
    // the first of them is in an earlier page by now
    if (between++ === 1) house.give('Aino', 'item.change', { item: ids[0]!, title: 'Long oars' });
    answer = joined(answer, page(answer.seq, 3));
  }
  expect(between).toBeGreaterThan(1);
  expect(inOrder(answer)).toEqual(inOrder(page(0)));
  const titles = answer.put.flatMap(({ noun, row }) => (noun === 'item' ? [(row as { title: string }).title] : []));
  expect(titles.sort()).toEqual(['Buoy', 'Long oars', 'Rope', 'Tar']);
});

test('what went in a later page is not put, what came back is', () => {
  const row = (id: string) => ({ noun: 'item' as const, row: { id } as ChangePage['put'][number]['row'] });
  const base = { seq: 1, more: true, from: 0 };
  const gone = joined({ ...base, put: [row('a'), row('b')], evict: [] }, { ...base, seq: 2, more: false, put: [], evict: [{ noun: 'item', id: 'a' }] });
  expect(gone).toEqual({ seq: 2, more: false, from: 0, put: [row('b')], evict: [{ noun: 'item', id: 'a' }] });
  expect(joined(gone, { ...base, seq: 3, put: [row('a')], evict: [] })).toMatchObject({ put: [row('b'), row('a')], evict: [] });
});

const inOrder = ({ put, evict }: ChangePage) => ({
  put: put.map(({ noun, row }) => `${noun}:${row.id}:${row.seq}`).sort(),
  evict: evict.map(({ noun, id }) => `${noun}:${id}`).sort(),
});
