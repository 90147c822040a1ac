import { FilesHouse } from '../testing/files-house.ts';
import { RealServer } from '../testing/real-server.ts';

/** Files with remarks, projects and notes of talks: read by whoever reads what they are with, on their devices and by address. */

const server = RealServer.quick();
beforeAll(() => server.start());
afterAll(() => server.stop());

const BYTES = new TextEncoder().encode('Turn the valve to the left.');

async function household() {
  const house = await FilesHouse.of(server, { Leila: 'member', Marek: 'helper' });
  /** What a device that begins now is given. */
  const begins = async (who: string): Promise<string[]> => {
    const page = (await (await house.fetch(who, 'GET', `/api/houses/${house.houseId}/changes?since=0`)).json()) as {
      put: { noun: string; row: { id: string } }[];
    };
    return page.put.filter(({ noun }) => noun === 'attachment').map(({ row }) => row.id);
  };
  const reads = async (who: string, file: string) => [(await house.get(who, file)).status === 200, (await begins(who)).includes(file)];
  return { house, begins, reads };
}
const BOTH = [true, true];
const NEITHER = [false, false];

test('what came with words between two the third neither reads nor is named', async () => {
  const { house, reads } = await household();
  const { id: item } = house.made('item', await house.must('Aino', 'item.add', { title: 'Valve', persons: [house.person('Leila'), house.person('Marek')] }));
  const asked = house.made('comment', await house.must('Marek', 'part.decline', { item, reason: 'Not for that pay' }));
  expect(asked).toMatchObject({ audience: 'pair' });
  const file = await house.attach('Marek', { comment: asked.id }, 'salary.txt', BYTES);
  expect([await reads('Aino', file), await reads('Marek', file), await reads('Leila', file)]).toEqual([BOTH, BOTH, NEITHER]);
  expect(house.rows('activity').filter(({ params }) => JSON.stringify(params).includes('salary'))).toEqual([]);
  // another's remark takes nothing of one's own
  expect((await house.send('Aino', { name: 'attachment.add', payload: { comment: asked.id, name: 'x', size: 1 } })).outcome).toBe('refused');
});

test('a remark that is taken back takes its file along, and brings it back', async () => {
  const { house, reads } = await household();
  const { id: item } = house.made('item', await house.must('Aino', 'item.add', { title: 'Valve', persons: [house.person('Leila')] }));
  const { id: comment } = house.made('comment', await house.must('Leila', 'comment.say', { item, text: 'This one' }));
  const file = await house.attach('Leila', { comment }, 'valve.txt', BYTES);
  expect(await reads('Aino', file)).toEqual(BOTH);
  const back = await house.must('Leila', 'comment.takeBack', { comment });
  expect((await house.get('Aino', file)).status).toBe(404);
  await house.must('Leila', 'undo', { command: back });
  expect((await house.get('Aino', file)).status).toBe(200);
  // said after all not: what came with it is gone with it
  const { id: second } = house.made('comment', await house.must('Leila', 'comment.say', { item, text: 'Or this one' }));
  const other = await house.attach('Leila', { comment: second }, 'other.txt', BYTES);
  await house.must('Leila', 'undo', { command: house.rows('comment').find(({ id }) => id === second)!.stamps['']!.c });
  expect((await house.get('Leila', other)).status).toBe(404);
  // it is no part of what is done again
  await house.must('Aino', 'item.copy', { items: [item] });
  expect(house.rows('attachment')).toHaveLength(2);
});

test('what is with notes of a talk is read while these are shared', async () => {
  const { house, reads } = await household();
  const { id: note } = house.made('meetingNote', await house.must('Aino', 'note.make', { persons: [house.person('Leila')], date: '2026-11-25' }));
  const file = await house.attach('Aino', { note }, 'plan.txt', BYTES);
  expect([await reads('Aino', file), await reads('Leila', file)]).toEqual([BOTH, NEITHER]);
  await house.must('Aino', 'note.change', { note, shared: true });
  expect([await reads('Leila', file), await reads('Marek', file)]).toEqual([BOTH, NEITHER]);
  const removed = await house.must('Aino', 'note.remove', { note });
  expect((await house.get('Aino', file)).status).toBe(404);
  await house.must('Aino', 'undo', { command: removed });
  expect((await house.get('Aino', file)).status).toBe(200);
});

test('what is with a project goes with it, and is back with it; a template’s files are on a device that begins', async () => {
  const { house, reads, begins } = await household();
  const { id: project } = house.made('project', await house.must('Aino', 'project.make', { name: 'The new pier', answerable: house.person('Leila') }));
  const file = await house.attach('Leila', { project }, 'offer.txt', BYTES);
  expect([await reads('Aino', file), await reads('Leila', file), await reads('Marek', file)]).toEqual([BOTH, BOTH, NEITHER]);
  await house.must('Aino', 'project.change', { project, removed: true });
  expect((await house.get('Leila', file)).status).toBe(404);
  await house.must('Aino', 'project.change', { project, removed: false });
  expect((await house.get('Leila', file)).status).toBe(200);

  const { id: item } = house.made('item', await house.must('Aino', 'item.add', { title: 'Barn' }));
  await house.attach('Aino', item, 'barn.txt', BYTES);
  await house.must('Aino', 'template.keep', { item, name: 'Barn', isShared: true });
  const kept = house.rows('attachment').find(({ itemId }) => house.rows('templateItem').some(({ id }) => id === itemId))!;
  expect(await begins('Leila')).toContain(kept.id);
});
