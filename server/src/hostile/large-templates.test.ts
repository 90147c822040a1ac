import type { Noun, Row } from '@kotiva/core';
import { v7 } from 'uuid';
import { Household } from '../testing/household.ts';
import { RealServer } from '../testing/real-server.ts';

/** The largest template there is: made, used, kept anew and undone, in slices, each coming to one action. */

const server = new RealServer();
let house: Household;
beforeAll(() => server.start());
afterAll(() => server.stop());
beforeEach(async () => {
  house = await Household.of(server, { Leila: 'helper' });
});

const ITEMS = 500;
const STEPS = 4;
const rows = Array.from({ length: ITEMS }, (_, nth) => ({ title: `Item ${nth} for {guests}`, holders: nth % 10 === 0 ? [{ role: 'driver' }] : [] }));
const steps = rows.flatMap((_, under) => Array.from({ length: STEPS }, (__, nth) => ({ title: `Step ${nth} of ${under}`, under })));
const make = (shared = false) => house.must('Aino', 'template.make', { name: 'Opening', isShared: shared, items: [...rows, ...steps] } as never);
const inList = () => house.rows('item').filter(({ listId, removedAt }) => listId !== null && removedAt === null);

test('used, undone, kept anew', async () => {
  await make();
  const template = house.rows('template')[0]!.id;
  expect(house.rows('templateItem')).toHaveLength(ITEMS * (1 + STEPS));
  const use = { template, blanks: { guests: '40' }, roles: { driver: [house.person('Leila')] } };
  const used = await house.must('Aino', 'template.use', use as never);
  expect(inList()).toHaveLength(ITEMS * (1 + STEPS));
  expect(inList().find(({ title }) => title === 'Item 7 for 40')).toBeTruthy();
  const under = new Map(inList().map((item) => [item.id, item]));
  expect(inList().filter(({ parentId, title }) => parentId !== null && under.get(parentId)?.title === `Item ${title.split(' of ')[1]} for 40`)).toHaveLength(
    ITEMS * STEPS,
  );
  // fifty things of hers, told once
  expect(house.rows('notice').filter(({ kind, personId }) => kind === 'handed' && personId === house.person('Leila'))).toHaveLength(1);
  const list = house.rows('list')[0]!.id;
  await house.must('Aino', 'template.keep', { list, name: 'Kept anew' });
  const kept = house.rows('template').find(({ name }) => name === 'Kept anew')!.id;
  expect(house.rows('templateItem').filter(({ templateId }) => templateId === kept)).toHaveLength(ITEMS * (1 + STEPS));
  await house.must('Aino', 'undo', { command: used });
  expect(inList()).toEqual([]);
  expect(house.rows('list')[0]!.removedAt).not.toBeNull();
}, 60_000);

test('what would be refused at its end is not begun with; nobody’s slice is taken from outside', async () => {
  await make();
  const template = house.rows('template')[0]!.id;
  const before = house.rows('item').length;
  for (const payload of [
    { template, roles: { driver: [] } },
    { template, blanks: { guests: '40' }, roles: {} },
  ])
    expect(await house.send('Aino', { id: v7(), name: 'template.use', payload })).toMatchObject({ outcome: 'refused' });
  expect(house.rows('item')).toHaveLength(before);
  // another's own is not used, by whatever slice of it
  const theft = { template, root: v7(), rows: [house.rows('templateItem')[0]!.id], blanks: { guests: '40' }, roles: { driver: [] } };
  expect(await house.send('Leila', { id: v7(), name: 'template.use', payload: theft })).toMatchObject({ outcome: 'refused', reason: { code: 'not-allowed' } });
}, 60_000);

/** A device that holds what it was given so far. */
class Device {
  private readonly held = new Map<string, Row>();
  private since = 0;

  async templateItems(): Promise<number> {
    let fresh = this.since === 0;
    for (let more = true; more;) {
      const response = await house.fetch('Leila', 'GET', `/api/houses/${house.houseId}/changes?since=${this.since}${fresh ? '&fresh=1' : ''}`);
      const page = (await response.json()) as {
        seq: number;
        more: boolean;
        reset?: true;
        put: { noun: Noun; row: Row }[];
        evict: { noun: Noun; id: string }[];
      };
      if (page.reset) {
        this.held.clear();
        fresh = true;
      }
      for (const { noun, row } of page.put) this.held.set(`${noun}:${row.id}`, row);
      for (const { noun, id } of page.evict) this.held.delete(`${noun}:${id}`);
      this.since = page.seq;
      more = page.more;
    }
    return [...this.held.keys()].filter((key) => key.startsWith('templateItem:')).length;
  }
}

test('shared and no longer, all of it comes onto another’s device and goes', async () => {
  const leila = new Device();
  await leila.templateItems();
  await make();
  const template = house.rows('template')[0]!.id;
  expect(await leila.templateItems()).toBe(0);
  for (const isShared of [true, false, true]) {
    await house.must('Aino', 'template.change', { template, isShared });
    expect(await leila.templateItems()).toBe(isShared ? ITEMS * (1 + STEPS) : 0);
  }
  // made for the house at once
  await make(true);
  expect(await leila.templateItems()).toBe(2 * ITEMS * (1 + STEPS));
}, 60_000);
