import type { Noun, Row } from '@kotiva/core';
import { Household } from '../testing/household.ts';
import { RealServer } from '../testing/real-server.ts';

/** What a list’s fields are called comes onto a device with the list, or with the first item that says something in them. */

const server = new RealServer();
beforeAll(() => server.start());
afterAll(() => server.stop());

test('by sharing, by handing over, by filling in, and gone again with the last of it', async () => {
  const house = await Household.of(server, { Leila: 'helper', Noor: 'helper' });
  const device = (who: string) => {
    const held = new Map<string, Row>();
    let since = 0;
    return async () => {
      const page = (await (await house.fetch(who, 'GET', `/api/houses/${house.houseId}/changes?since=${since}`)).json()) as {
        seq: number;
        put: { noun: Noun; row: Row }[];
        evict: { noun: Noun; id: string }[];
      };
      for (const { noun, row } of page.put) held.set(`${noun}:${row.id}`, row);
      for (const { noun, id } of page.evict) held.delete(`${noun}:${id}`);
      since = page.seq;
      const names = [...held].flatMap(([key, row]) => (key.startsWith('ownField:') ? (row as Row<'ownField'>).name : []));
      return [names.sort(), [...held.keys()].filter((key) => key.startsWith('fieldValue:')).length];
    };
  };
  const [leila, noor] = [device('Leila'), device('Noor')];
  const list = house.made('list', await house.must('Aino', 'list.make', { name: 'Wood', colour: 'moss', icon: 'leaf' } as never)).id;
  const item = house.made('item', await house.must('Aino', 'item.add', { title: 'Planks', list } as never)).id;
  const price = house.made('ownField', await house.must('Aino', 'field.make', { list, name: 'Price', kind: 'number', unit: '€' } as never)).id;
  await house.must('Aino', 'field.make', { list, name: 'What it is really for', kind: 'text' } as never);
  await house.must('Aino', 'field.make', { list: null, name: 'Depth', kind: 'number' } as never);
  expect(await leila()).toEqual([['Depth'], 0]);
  await house.must('Aino', 'list.share', { list, person: house.person('Leila'), access: 'view' });
  expect(await leila()).toEqual([['Depth', 'Price', 'What it is really for'], 0]);
  // who has a part of one item sees what that item says, and no field it says nothing in
  await house.must('Aino', 'part.handOver', { items: [item], persons: [house.person('Noor')] } as never);
  expect(await noor()).toEqual([['Depth'], 0]);
  await house.must('Aino', 'item.setFields', { item, values: [{ field: price, value: 120 }] } as never);
  expect([await noor(), await leila()]).toEqual([
    [['Depth', 'Price'], 1],
    [['Depth', 'Price', 'What it is really for'], 1],
  ]);
  await house.must('Aino', 'item.setFields', { item, values: [{ field: price, value: null }] } as never);
  expect((await noor())[0]).toEqual(['Depth']);
  await house.must('Aino', 'list.share', { list, person: house.person('Leila'), access: null });
  await house.must('Aino', 'part.takeBack', { item, persons: [house.person('Noor')] } as never);
  expect([await noor(), await leila()]).toEqual([
    [['Depth'], 0],
    [['Depth'], 0],
  ]);
});
