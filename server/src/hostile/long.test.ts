import { isHere, type Row } from '@kotiva/core';
import { v7 } from 'uuid';
import { Household } from '../testing/household.ts';
import { RealServer } from '../testing/real-server.ts';

/** What writes much is done in slices, and comes to the same as if it had been done at once. */

const server = new RealServer();
let house: Household;
beforeAll(() => server.start());
afterAll(() => server.stop());
beforeEach(async () => {
  house = await Household.of(server, { Leila: 'member' });
});

/** An item with twelve hundred steps, three deep. */
async function tree(): Promise<{ top: string; under: () => Row<'item'>[] }> {
  const list = house.made('list', await house.must('Aino', 'list.make', { name: 'Move', colour: 'moss', icon: 'leaf' })).id;
  const top = house.made('item', await house.must('Aino', 'item.add', { title: 'Move house', list })).id;
  for (let room = 0; room < 3; room++) {
    const items = Array.from({ length: 400 }, (_, nth) => ({ title: `Box ${room} ${nth}`, under: nth === 0 ? null : 0 }));
    await house.must('Aino', 'item.addMany', { parent: top, items });
  }
  return { top, under: () => house.rows('item').filter(({ id }) => id !== top) };
}
const records = (id: string) => server.raw.prepare('SELECT COUNT(*) AS many FROM command WHERE id = ? OR "houseId" = ?').get(id, house.houseId) as { many: number }; // prettier-ignore

test('removing, bringing back, and undoing either', async () => {
  const { top, under } = await tree();
  const before = records(top).many;
  const removed = await house.must('Aino', 'item.remove', { items: [top] });
  expect(records(top).many).toBeGreaterThan(before + 1);
  // what goes together went at one moment, and is one entry of the history
  expect(new Set(house.rows('item').map(({ removedAt }) => removedAt))).toHaveProperty('size', 1);
  expect(house.rows('activity').filter(({ kind }) => kind === 'item.remove')).toHaveLength(1);
  await house.must('Aino', 'undo', { command: removed });
  expect([...under(), ...house.rows('item')].every(({ removedAt }) => removedAt === null)).toBe(true);
  await house.must('Aino', 'item.remove', { items: [top] });
  const back = await house.must('Aino', 'item.bringBack', { items: [top] });
  expect(house.rows('item').every(({ removedAt }) => removedAt === null)).toBe(true);
  await house.must('Aino', 'undo', { command: back });
  expect(house.rows('item').every(({ removedAt }) => removedAt !== null)).toBe(true);
});

test('what was removed before by itself stays removed when the rest comes back', async () => {
  const { top, under } = await tree();
  const alone = under().find(({ title }) => title === 'Box 1 7')!.id;
  await house.must('Aino', 'item.remove', { items: [alone] });
  await house.must('Aino', 'item.remove', { items: [top] });
  await house.must('Aino', 'item.bringBack', { items: [top] });
  expect(under().filter(({ removedAt }) => removedAt !== null).map(({ id }) => id)).toEqual([alone]); // prettier-ignore
});

test('one that was cut off in the middle goes on where it was when it is given again', async () => {
  const { top } = await tree();
  const { ledger } = server.services;
  const apply = ledger.apply.bind(ledger);
  let left = 2;
  const cut = jest.spyOn(ledger, 'apply').mockImplementation((...given) => {
    if (left-- === 0) throw new Error('the power went');
    return apply(...given);
  });
  const silent = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const command = { id: v7(), name: 'item.remove', payload: { items: [top] } };
  expect(await house.send('Aino', command)).toMatchObject({ outcome: 'refused', reason: { code: 'failed' } });
  cut.mockRestore();
  silent.mockRestore();
  const gone = () => house.rows('item').filter(({ removedAt }) => removedAt !== null).length;
  expect(gone()).toBeGreaterThan(0);
  expect(gone()).toBeLessThan(1_000);
  expect(await house.send('Aino', command)).toMatchObject({ outcome: 'accepted' });
  expect(gone()).toBe(house.rows('item').length);
  await house.must('Aino', 'undo', { command: command.id });
  expect(gone()).toBe(0);
});

test('a tag, a section and somebody’s access, with more than goes in one', async () => {
  const list = house.made('list', await house.must('Aino', 'list.make', { name: 'Cellar', colour: 'moss', icon: 'leaf' })).id;
  const section = house.made('section', await house.must('Aino', 'section.make', { list, name: 'Shelf' })).id;
  const persons = [house.person('Leila')];
  for (let part = 0; part < 3; part++)
    await house.must('Aino', 'item.addMany', { list, section, items: Array.from({ length: 300 }, (_, nth) => ({ title: `Jar ${part} ${nth}`, tags: ['jam'], persons })) }); // prettier-ignore
  const [tag] = house.rows('tag');
  await house.must('Aino', 'tag.make', { name: 'jelly' });
  const into = house.rows('tag').find(({ name }) => name === 'jelly')!.id;
  await house.must('Aino', 'tag.merge', { from: tag!.id, into });
  expect(new Set(house.rows('item').map(({ tagIds }) => tagIds.join()))).toEqual(new Set([into]));
  await house.must('Aino', 'tag.remove', { tag: into });
  expect(house.rows('item').every(({ tagIds }) => tagIds.length === 0)).toBe(true);
  await house.must('Aino', 'section.remove', { section });
  expect(house.rows('item').every(({ sectionId }) => sectionId === null)).toBe(true);
  const parts = house.rows('item').map(({ id }) => ({ item: id, to: 'nobody' as const }));
  await house.must('Aino', 'person.end', { person: house.person('Leila'), parts });
  expect(house.rows('person').filter(isHere).map(({ name }) => name)).toEqual(['Aino']); // prettier-ignore
  expect(house.rows('part').filter(({ personId, takenBackAt }) => personId !== null && takenBackAt === null)).toEqual([]);
});

test('handing over five hundred, and taking it back', async () => {
  const list = house.made('list', await house.must('Aino', 'list.make', { name: 'Move', colour: 'moss', icon: 'leaf' })).id;
  await house.must('Aino', 'item.addMany', { list, items: Array.from({ length: 500 }, (_, nth) => ({ title: `Box ${nth}` })) });
  const items = house.rows('item').map(({ id }) => id);
  const before = records(list).many;
  const handed = await house.must('Aino', 'part.handOver', { items, persons: [house.person('Leila')], message: 'Please' });
  expect(records(list).many).toBeGreaterThan(before + 1);
  const leilas = () => house.rows('part').filter(({ personId, takenBackAt }) => personId === house.person('Leila') && takenBackAt === null);
  expect(leilas()).toHaveLength(500);
  // said once of each
  expect(house.rows('activity').filter(({ kind }) => kind === 'part.handOver')).toHaveLength(500);
  expect(house.rows('notice').filter(({ kind }) => kind === 'handed')).toHaveLength(500);
  await house.must('Aino', 'undo', { command: handed });
  expect(leilas()).toEqual([]);
});

test('of what is refused as a whole nothing is done', async () => {
  const list = house.made('list', await house.must('Aino', 'list.make', { name: 'Move', colour: 'moss', icon: 'leaf' })).id;
  await house.must('Aino', 'item.addMany', { list, items: Array.from({ length: 500 }, (_, nth) => ({ title: `Box ${nth}` })) });
  const items = house.rows('item').map(({ id }) => id);
  await house.must('Aino', 'item.remove', { items: items.slice(-1) });
  const payload = { items, persons: [house.person('Leila')] };
  expect(await house.send('Aino', { name: 'part.handOver', payload })).toMatchObject({ outcome: 'refused', reason: { code: 'gone' } });
  const secret = house.made('item', await house.must('Leila', 'item.add', { title: 'Her own' })).id;
  const stranger = { items: [...items.slice(0, -2), secret], persons: [house.person('Leila')] };
  expect(await house.send('Aino', { name: 'part.handOver', payload: stranger })).toMatchObject({ outcome: 'refused', reason: { code: 'not-allowed' } });
  expect(house.rows('notice').filter(({ kind }) => kind === 'handed')).toEqual([]);
});

test('a list of twelve hundred done things is used again', async () => {
  const list = house.made('list', await house.must('Aino', 'list.make', { name: 'Season', colour: 'moss', icon: 'leaf' })).id;
  const persons = [house.person('Leila')];
  for (let part = 0; part < 3; part++)
    await house.must('Aino', 'item.addMany', { list, items: Array.from({ length: 400 }, (_, nth) => ({ title: `Bed ${part} ${nth}`, ticked: true, persons: nth % 4 ? [] : persons })) }); // prettier-ignore
  const open = () => house.rows('part').filter(({ standing, takenBackAt }) => takenBackAt === null && standing !== 'completed').length;
  expect(open()).toBe(0);
  const told = house.rows('notice').filter(({ kind }) => kind === 'handed').length;
  const again = await house.must('Aino', 'list.useAgain', { list });
  expect(open()).toBe(1_200);
  expect(house.rows('activity').find(({ kind }) => kind === 'list.useAgain')).toMatchObject({ params: { count: 1_200 } });
  // one event is one notice
  expect(house.rows('notice').filter(({ kind }) => kind === 'handed')).toHaveLength(told + 1);
  await house.must('Aino', 'undo', { command: again });
  expect(open()).toBe(0);
});

test('what somebody who goes had handed to others is followed by whoever ends their access', async () => {
  await house.must('Aino', 'person.setRole', { person: house.person('Leila'), role: 'manager' });
  const list = house.made('list', await house.must('Aino', 'list.make', { name: 'Move', colour: 'moss', icon: 'leaf' })).id;
  await house.must('Aino', 'list.share', { list, person: house.person('Leila'), access: 'edit' });
  const items = Array.from({ length: 300 }, (_, nth) => ({ title: `Box ${nth}`, persons: [house.person('Leila')] }));
  for (let part = 0; part < 3; part++) await house.must('Aino', 'item.addMany', { list, items });
  await house.must('Leila', 'person.end', { person: house.person('Aino'), parts: [] });
  const origins = house.rows('part').flatMap(({ personId, originId }) => (personId === house.person('Leila') ? [originId] : []));
  expect(origins).toEqual(Array.from({ length: 900 }, () => house.person('Leila')));
});

test('who may not do the whole does none of it', async () => {
  const { top } = await tree();
  expect(await house.send('Leila', { name: 'item.remove', payload: { items: [top] } })).toMatchObject({ outcome: 'refused', reason: { code: 'not-allowed' } });
  expect(house.rows('item').every(({ removedAt }) => removedAt === null)).toBe(true);
});

test('a slice’s own words over the wire do nothing beside', async () => {
  const item = house.made('item', await house.must('Aino', 'item.add', { title: 'Lamp', tags: ['wood', 'shore'] })).id;
  const wood = house.rows('tag').find(({ name }) => name === 'wood')!.id;
  await house.must('Aino', 'tag.remove', { tag: wood, items: [] });
  expect(house.rows('item').find(({ id }) => id === item)!.tagIds).toHaveLength(1);
});

test('sharing a large list tells devices to begin anew, and they end with all of it', async () => {
  const { top } = await tree();
  const list = house.rows('list')[0]!.id;
  const since = server.services.ledger.seq(house.houseId);
  const page = async (from: number, fresh = '') =>
    (await (await house.fetch('Leila', 'GET', `/api/houses/${house.houseId}/changes?since=${from}${fresh}`)).json()) as {
      seq: number;
      more: boolean;
      reset?: boolean;
      put: { noun: string; row: { id: string } }[];
    };
  await house.must('Aino', 'list.share', { list, person: house.person('Leila'), access: 'edit' });
  const seen = new Set<string>();
  let one = await page(since);
  expect(one.reset).toBe(true);
  for (let pages = 0; pages < 100; pages++) {
    for (const { row } of one.put) seen.add(row.id);
    if (!one.more) break;
    one = await page(one.seq, '&fresh=1');
    expect(one.reset).toBeUndefined();
  }
  expect(house.rows('item').every(({ id }) => seen.has(id))).toBe(true);
  expect(seen.has(top)).toBe(true);
  // who has begun anew is not told again
  expect((await page(one.seq)).reset).toBeUndefined();
});

test('adding many tagged things makes nobody begin anew', async () => {
  const since = server.services.ledger.seq(house.houseId);
  const list = house.made('list', await house.must('Aino', 'list.make', { name: 'Shed', colour: 'moss', icon: 'leaf', shares: [{ person: house.person('Leila'), access: 'view' }] })).id; // prettier-ignore
  await house.must('Aino', 'item.addMany', { list, items: Array.from({ length: 400 }, (_, nth) => ({ title: `Nail ${nth}`, tags: ['iron'] })) });
  const nouns = new Set<string>();
  for (let from = since, more = true; more;) {
    const page = (await (await house.fetch('Leila', 'GET', `/api/houses/${house.houseId}/changes?since=${from}`)).json()) as {
      seq: number;
      more: boolean;
      reset?: boolean;
      put: { noun: string }[];
    };
    expect(page.reset).toBeUndefined();
    for (const { noun } of page.put) nouns.add(noun);
    ({ seq: from, more } = page);
  }
  expect(nouns.has('tag')).toBe(true);
});
