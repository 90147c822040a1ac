import { Household } from '../testing/household.ts';
import { RealServer } from '../testing/real-server.ts';

describe('a list or a view installed by itself', () => {
  const server = RealServer.quick();
  let house: Household;
  beforeAll(() => server.start());
  afterAll(() => server.stop());
  beforeEach(async () => {
    house = await Household.of(server, { Leila: 'helper', Petri: 'manager' });
  });

  const asked = async (by: string, noun: string, id: string) => house.fetch(by, 'GET', `/api/houses/${house.houseId}/manifest/${noun}/${id}`);

  test('has its name and opens at it, for whoever sees it', async () => {
    const { id } = house.made('list', await house.must('Aino', 'list.make', { name: 'Boathouse and shore', colour: 'moss', icon: 'leaf' }));
    await house.must('Aino', 'list.share', { list: id, person: house.person('Leila'), access: 'check' });
    for (const name of ['Aino', 'Leila']) {
      const answer = await asked(name, 'list', id);
      expect([answer.status, answer.headers.get('content-type')]).toEqual([200, 'application/manifest+json']);
      expect(await answer.json()).toMatchObject({
        name: 'Boathouse and shore',
        short_name: 'Boathouse an',
        start_url: `/lists/${id}`,
        id: `/lists/${id}`,
        scope: '/',
      });
    }
    const view = { name: 'Late', isShared: false, filter: { state: 'open', match: 'all', conditions: [{ of: 'date', field: 'due', span: { kind: 'past' } }] }, group: 'none', sort: 'usual', layout: 'rows', boardBy: 'person' }; // prettier-ignore
    const { id: viewId } = house.made('savedView', await house.must('Aino', 'savedView.make', view as never));
    expect(await (await asked('Aino', 'savedView', viewId)).json()).toMatchObject({ name: 'Late', start_url: `/views/${viewId}` });
    expect((await asked('Petri', 'savedView', viewId)).status).toBe(404);
  });

  test('is not there for anybody else, nor for what is no page, or was removed', async () => {
    const { id } = house.made('list', await house.must('Leila', 'list.make', { name: 'Her own', colour: 'moss', icon: 'leaf' }));
    for (const [by, noun, of] of [
      ['Aino', 'list', id],
      ['Leila', 'item', id],
      ['Leila', 'constructor', id],
      ['Leila', 'list', 'nothing'],
      ['Leila', 'savedView', id],
    ] as const)
      expect((await asked(by, noun, of)).status).toBe(404);
    await house.must('Leila', 'list.remove', { list: id });
    expect((await asked('Leila', 'list', id)).status).toBe(404);
    expect((await server.fetch(`/api/houses/${house.houseId}/manifest/list/${id}`, {})).status).toBe(401);
  });
});
