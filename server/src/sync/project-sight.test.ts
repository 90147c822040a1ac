import type { Noun, Row } from '@kotiva/core';
import { Household } from '../testing/household.ts';
import { RealServer } from '../testing/real-server.ts';

/** A project comes onto a device with the first of it that is seen there, and goes with the last. */

const server = new RealServer();
beforeAll(() => server.start());
afterAll(() => server.stop());

test('by sharing a list, by handing over, and by putting into it what is seen already', async () => {
  const house = await Household.of(server, { Leila: 'helper' });
  const held = new Set<string>();
  let since = 0;
  const projects = async () => {
    const page = (await (await house.fetch('Leila', 'GET', `/api/houses/${house.houseId}/changes?since=${since}`)).json()) as {
      seq: number;
      put: { noun: Noun; row: Row }[];
      evict: { noun: Noun; id: string }[];
    };
    for (const { noun, row } of page.put) held.add(`${noun}:${row.id}`);
    for (const { noun, id } of page.evict) held.delete(`${noun}:${id}`);
    since = page.seq;
    const many = (noun: Noun) => [...held].filter((key) => key.startsWith(`${noun}:`)).length;
    // what is with it comes and goes with it
    expect(many('attachment')).toBe(many('project'));
    return [many('project'), many('membership')];
  };
  const list = house.made('list', await house.must('Aino', 'list.make', { name: 'Wood', colour: 'moss', icon: 'leaf' } as never)).id;
  const item = house.made('item', await house.must('Aino', 'item.add', { title: 'Permit' } as never)).id;
  await house.must('Aino', 'project.make', { name: 'The new pier', lists: [list] } as never);
  const project = house.rows('project')[0]!.id;
  await house.must('Aino', 'attachment.link', { project, url: 'https://example.org/pier' });
  const leila = house.person('Leila');
  expect(await projects()).toEqual([0, 0]);
  await house.must('Aino', 'list.share', { list, person: leila, access: 'view' });
  expect(await projects()).toEqual([1, 1]);
  await house.must('Aino', 'list.share', { list, person: leila, access: null });
  expect(await projects()).toEqual([0, 0]);
  await house.must('Aino', 'part.handOver', { items: [item], persons: [leila] } as never);
  expect(await projects()).toEqual([0, 0]);
  await house.must('Aino', 'project.setMembers', { project, items: [item] } as never);
  expect(await projects()).toEqual([1, 1]);
  await house.must('Aino', 'project.setMembers', { project, items: [item], on: false } as never);
  expect(await projects()).toEqual([0, 0]);
});
