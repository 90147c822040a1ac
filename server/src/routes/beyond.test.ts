import type { Noun, Row } from '@kotiva/core';
import { Household } from '../testing/household.ts';
import { RealServer } from '../testing/real-server.ts';

interface Reached {
  seq: number;
  put: { noun: Noun; row: Row }[];
}

describe('what lies beyond what a device holds', () => {
  const server = RealServer.quick();
  let house: Household;
  let list: string;
  let item: string;
  beforeAll(() => server.start());
  afterAll(() => server.stop());
  beforeEach(async () => {
    house = await Household.of(server, { Leila: 'helper' });
    list = house.made('list', await house.must('Aino', 'list.make', { name: 'Boats', colour: 'moss', icon: 'leaf' })).id;
    item = house.made('item', await house.must('Aino', 'item.add', { title: 'Äänekoski oars', list, due: '2026-03-04' })).id;
    await house.must('Aino', 'item.add', { title: 'Varnish', parent: item });
    await house.must('Aino', 'part.handOver', { items: [item], persons: [house.person('Leila')] });
    await house.must('Aino', 'item.add', { title: 'Private', list });
  });
  const get = async (who: string, query: string) => house.fetch(who, 'GET', `/api/houses/${house.houseId}/beyond?${query}`);
  const titles = async (who: string, query: string) =>
    ((await (await get(who, query)).json()) as Reached).put.flatMap(({ noun, row }) => (noun === 'item' ? [(row as Row<'item'>).title] : [])).sort();

  test('an item comes with its steps and everything that names it', async () => {
    const { put, seq } = (await (await get('Aino', `item=${item}`)).json()) as Reached;
    expect(seq).toBe(server.services.ledger.seq(house.houseId));
    expect(new Set(put.map(({ noun }) => noun))).toEqual(new Set(['item', 'part', 'activity']));
    expect(await titles('Aino', `item=${item}`)).toEqual(['Varnish', 'Äänekoski oars']);
  });

  test('by list, by month, by person, by words without marks', async () => {
    for (const query of [`list=${list}&before=100`, 'month=2026-03', `person=${house.person('Leila')}`, 'words=aanekoski'])
      expect(await titles('Aino', query)).toEqual(expect.arrayContaining(['Äänekoski oars']));
    expect(await titles('Aino', `list=${list}&before=1`)).toEqual([]);
    expect(await titles('Aino', 'month=2026-04')).toEqual([]);
    expect(await titles('Aino', 'words=rudder')).toEqual([]);
  });

  test('by a filter: what is done too, by the same rule as on the device, and what narrows nothing is refused', async () => {
    const by = (filter: object) => `filter=${encodeURIComponent(JSON.stringify(filter))}`;
    const inList = {
      match: 'all',
      state: 'both',
      conditions: [
        { of: 'list', ids: [list] },
        { of: 'date', field: 'due', span: { kind: 'any' } },
      ],
    };
    expect(await titles('Aino', by(inList))).toEqual(['Varnish', 'Äänekoski oars']);
    // of a list one can't open nothing can be asked: that condition is left out, as on the device
    expect(await titles('Leila', by({ ...inList, conditions: [inList.conditions[0]!] }))).toEqual([]);
    expect(await titles('Leila', by({ ...inList, conditions: [inList.conditions[1]!] }))).toEqual(['Varnish', 'Äänekoski oars']);
    for (const filter of [
      {},
      { conditions: [{ of: 'odd' }] },
      { conditions: [{ of: 'date', field: 'due', span: { kind: 'between', from: '2026-02-31', to: '2026-03-01' } }] },
    ])
      expect((await get('Aino', by(filter))).status).toBe(422);
    expect((await get('Aino', `filter=${'x'.repeat(16_001)}`)).status).toBe(422);
  });

  test('everyone gets what they may see, and nobody else’s', async () => {
    expect(await titles('Leila', `list=${list}&before=100`)).toEqual(['Varnish', 'Äänekoski oars']);
    expect(await titles('Leila', 'words=private')).toEqual([]);
    const other = await Household.of(server, {});
    const reached = (await (await other.fetch('Aino', 'GET', `/api/houses/${other.houseId}/beyond?item=${item}`)).json()) as Reached;
    expect(reached.put).toEqual([]);
  });

  test('a query that is none, or two, is refused', async () => {
    for (const query of ['', 'item=x', 'month=2026-13', 'words=', `words=${'x'.repeat(201)}`, `item=${item}&month=2026-03`, `list=${list}`])
      expect((await get('Aino', query)).status).toBe(422);
  });
});
