import type { Activity, Noun, Row } from '@kotiva/core';
import { Household } from '../testing/household.ts';
import { RealServer } from '../testing/real-server.ts';

interface Shown {
  put: { noun: Noun; row: Row }[];
  more: boolean;
}

describe('what a manager sees as somebody else', () => {
  const server = RealServer.quick();
  let house: Household;
  beforeAll(() => server.start());
  afterAll(() => server.stop());
  beforeEach(async () => {
    house = await Household.of(server, { Leila: 'helper', Tapio: 'member', Petri: 'manager' });
  });

  const look = (by: string, person: string) => house.fetch(by, 'POST', `/api/houses/${house.houseId}/as/${person}`);
  const shown = async (by: string, as: string) => (await (await look(by, house.person(as))).json()) as Shown;
  const of = <N extends Noun>({ put }: Shown, noun: N) => put.filter((one) => one.noun === noun).map(({ row }) => row as Row<N>);
  const list = async (by: string, name: string, share?: { with: string; access: 'view' | 'check' | 'edit' }) => {
    const { id } = house.made('list', await house.must(by, 'list.make', { name, colour: 'moss', icon: 'leaf' }));
    if (share) await house.must(by, 'list.share', { list: id, person: house.person(share.with), access: share.access });
    return id;
  };
  const item = async (by: string, title: string, more: object = {}) => house.made('item', await house.must(by, 'item.add', { title, ...more })).id;
  const happened = async (by: string) =>
    ((await (await house.fetch(by, 'GET', `/api/houses/${house.houseId}/activity`)).json()) as { entries: Activity[] }).entries.filter(({ kind }) => kind === 'person.lookAs'); // prettier-ignore

  /** What there is, who made it how, and whether it is shown to Aino as Leila. */
  const TABLE: [string, () => Promise<unknown>, boolean][] = [
    ['in a list both can open', async () => item('Aino', 'It', { list: await list('Aino', 'Both', { with: 'Leila', access: 'check' }) }), true],
    ['in a list of the manager’s alone', async () => item('Aino', 'It', { list: await list('Aino', 'Own') }), false],
    ['in a list of hers alone', async () => item('Leila', 'It', { list: await list('Leila', 'Hers') }), false],
    ['in a list of hers that is shared with another: managers see it', async () => item('Leila', 'It', { list: await list('Leila', 'Hers', { with: 'Tapio', access: 'view' }) }), true], // prettier-ignore
    ['in a list of others', async () => item('Aino', 'It', { list: await list('Aino', 'Others', { with: 'Tapio', access: 'edit' }) }), false],
    ['in no list, handed to her by the manager', async () => item('Aino', 'It', { persons: [house.person('Leila')] }), true],
    ['in no list, handed to her by somebody else: the manager can’t see it', async () => item('Tapio', 'It', { persons: [house.person('Leila')] }), false],
    ['in no list, her own', async () => item('Leila', 'It'), false],
    ['in no list, the manager’s own', async () => item('Aino', 'It'), false],
  ];
  test.each(TABLE)('an item %s', async (_what, make, isShown) => {
    await make();
    const both = await shown('Aino', 'Leila');
    expect(of(both, 'item').map(({ title }) => title)).toEqual(isShown ? ['It'] : []);
    expect(both.more).toBe(false);
  });

  test('of her own: no plan, order or shelf; a day that came with the handover is there', async () => {
    const [given, planned, shelved] = [
      await item('Aino', 'Given', { persons: [house.person('Leila')] }),
      await item('Aino', 'Planned', { persons: [house.person('Leila')] }),
      await item('Aino', 'Shelved', { list: await list('Aino', 'Both', { with: 'Leila', access: 'check' }) }),
    ];
    await house.must('Aino', 'part.planFor', { item: given, person: house.person('Leila'), plan: '2030-01-03' });
    await house.must('Leila', 'part.plan', { items: [planned], plan: '2030-01-04' });
    await house.must('Leila', 'part.take', { item: shelved });
    await house.must('Leila', 'part.shelve', { items: [shelved], shelved: true, askAgain: '2030-02-01' } as never);
    expect(house.part(shelved, 'Leila')!.shelvedAt).not.toBeNull();
    const parts = new Map(of(await shown('Aino', 'Leila'), 'part').map((part) => [part.itemId, part]));
    expect(parts.get(given)).toMatchObject({ plan: '2030-01-03' });
    expect(parts.get(planned)).toMatchObject({ plan: null, pulledInto: null, ownOrder: null });
    expect(parts.get(shelved)).toMatchObject({ shelvedAt: null, askAgain: null, takenOff: null });
  });

  test('no notices, reminders, talks, slots, remarks or arrangements: only what stands before her', async () => {
    const handed = await item('Aino', 'Handed', { persons: [house.person('Leila')] });
    await house.must('Leila', 'alarm.set', { item: handed, trigger: { kind: 'absolute', at: '2030-01-03T10:00' } } as never);
    await house.must('Leila', 'slot.book', { items: [handed], start: '2030-01-02T16:00', minutes: 45 });
    await house.must('Leila', 'matter.add', { person: house.person('Aino'), words: 'The keys' });
    await house.must('Leila', 'comment.say', { item: handed, text: 'Where is it?', audience: 'all' } as never);
    const nouns = new Set((await shown('Aino', 'Leila')).put.map(({ noun }) => noun));
    expect([...nouns].sort()).toEqual(['house', 'item', 'part', 'person']);
  });

  test('what is done, removed or in the past is not listed', async () => {
    const both = await list('Aino', 'Both', { with: 'Leila', access: 'edit' });
    const done = await item('Aino', 'Done', { list: both });
    await house.must('Aino', 'part.checkOff', { item: done, person: null });
    await house.must('Aino', 'item.remove', { items: [await item('Aino', 'Removed', { list: both })] });
    await item('Aino', 'Open', { list: both });
    expect(of(await shown('Aino', 'Leila'), 'item').map(({ title }) => title)).toEqual(['Open']);
  });

  test('she reads that it was looked at, each time, and so do managers; nobody else does', async () => {
    await shown('Aino', 'Leila');
    await shown('Aino', 'Leila');
    for (const who of ['Leila', 'Aino', 'Petri']) expect(await happened(who)).toHaveLength(2);
    expect(await happened('Tapio')).toEqual([]);
    expect((await happened('Leila'))[0]).toMatchObject({ actorId: house.person('Aino'), params: { person: house.person('Leila') } });
  });

  test('managers alone, of nobody who is a manager, has left or is elsewhere; nothing is written where it is refused', async () => {
    const other = await Household.of(server, { Noor: 'member' });
    const [left, noor] = [house.person('Tapio'), other.person('Noor')];
    for (const by of ['Leila', 'Tapio']) expect((await look(by, house.person('Leila'))).status).toBe(403);
    for (const who of ['Petri', 'Aino']) expect((await look('Aino', house.person(who))).status).toBe(403);
    await house.must('Aino', 'person.end', { person: left });
    for (const who of [left, noor, 'x', '%00', crypto.randomUUID()]) expect((await look('Aino', who)).status).toBe(404);
    expect((await other.fetch('Noor', 'POST', `/api/houses/${house.houseId}/as/${house.person('Leila')}`)).status).toBe(403);
    expect((await house.fetch('Aino', 'GET', `/api/houses/${house.houseId}/as/${house.person('Leila')}`)).status).toBe(404);
    expect(await happened('Aino')).toEqual([]);
  });
});
