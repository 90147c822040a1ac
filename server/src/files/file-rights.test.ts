import { v5 } from 'uuid';
import { RELATIONS, ROLES, SHARINGS, Situation } from '../rights/situation.ts';
import { FilesHouse } from '../testing/files-house.ts';
import { RealServer } from '../testing/real-server.ts';

const BYTES = new TextEncoder().encode('Turn the valve to the left.');

/** Who may change an item, whatever else: the owner of its list. */
const keeperOf = (house: FilesHouse, itemId: string): string => {
  const { listId } = house.rows('item').find(({ id }) => id === itemId)!;
  const owner = house.rows('list').find(({ id }) => id === listId)!.ownerId;
  return house.rows('person').find(({ id }) => id === owner)!.name;
};

describe.each(ROLES)('files, as a %s', (role) => {
  const server = RealServer.quick();
  beforeAll(() => server.start());
  afterAll(() => server.stop());

  test.each(SHARINGS.flatMap((sharing) => RELATIONS.map((relation) => [sharing, relation] as const)))('list %s, item %s', async (sharing, relation) => {
    const house = new FilesHouse(server);
    await house.found('Owner');
    for (const [name, as] of [['Actor', role], ['Other', 'member'], ['Third', 'member']] as const) await house.join(name, as, 'Owner'); // prettier-ignore
    const s = new Situation(house, role, sharing, relation);
    const item = await s.item();
    const file = await house.attach(keeperOf(house, item), item, 'valve.txt', BYTES);
    const [sees, adds] = [s.allows('see'), s.allows('answer')];

    expect((await house.get('Actor', file)).status).toBe(sees ? 200 : 404);
    expect((await house.get('Actor', file, 'small')).status).toBe(404);
    const command = await house.send('Actor', { name: 'attachment.add', payload: { item, name: 'own.txt', size: BYTES.length } });
    expect(command.outcome).toBe(adds ? 'accepted' : 'refused');
    const own = v5('0', command.id);
    expect((await house.begin('Actor', own, BYTES.length)).status).toBe(adds ? 201 : 404);
    expect((await house.put('Actor', own, BYTES)).status).toBe(adds ? 204 : 404);
    // another's is nobody's to go on with, whatever one may do with the item
    const coming = await house.announce(keeperOf(house, item), item, 'coming.txt', BYTES.length);
    if (keeperOf(house, item) !== 'Actor') for (const sent of [await house.begin('Actor', coming, BYTES.length), await house.ask('Actor', 'HEAD', coming), await house.put('Actor', coming, BYTES), await house.ask('Actor', 'DELETE', coming)]) expect(sent.status).toBe(404); // prettier-ignore
    // once it is removed nobody reads it
    await house.must(keeperOf(house, item), 'attachment.remove', { attachment: file });
    expect((await house.get('Actor', file)).status).toBe(404);
    expect((await house.get(keeperOf(house, item), file)).status).toBe(404);
  });

  test('who is not in the house, or not any more, reads and sends nothing', async () => {
    const house = await FilesHouse.of(server, { Actor: role });
    const item = house.made('item', await house.must('Aino', 'item.add', { title: 'Valve', persons: [house.person('Actor')] })).id;
    const file = await house.attach('Actor', item, 'valve.txt', BYTES);
    const coming = await house.announce('Actor', item, 'coming.txt', BYTES.length);
    expect((await house.begin('Actor', coming, BYTES.length)).status).toBe(201);
    expect((await house.get('Stranger', file)).status).toBe(403);
    await house.must('Aino', 'person.end', { person: house.person('Actor'), parts: [{ item, to: 'nobody' }] });
    expect((await house.get('Actor', file)).status).toBe(403);
    expect((await house.put('Actor', coming, BYTES)).status).toBe(404);
    expect((await house.fetch('Actor', 'GET', `/api/houses/${house.houseId}/files`)).status).toBe(403);
  });
});
