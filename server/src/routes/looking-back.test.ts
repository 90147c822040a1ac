import { calendarDateOf } from '@kotiva/core/time/clock';
import type { Deed } from '@kotiva/core/views/looking-back';
import { Household } from '../testing/household.ts';
import { RealServer } from '../testing/real-server.ts';

describe('what was done between two days', () => {
  const server = RealServer.quick();
  let house: Household;
  let oars: string;
  const today = () => calendarDateOf(new Date().toISOString(), 'Europe/Helsinki');
  const path = (query: string) => `/api/houses/${house.houseId}/looking-back?${query}`;
  const deeds = async (who: string, query = `from=${today()}&to=${today()}`) =>
    ((await (await house.fetch(who, 'GET', path(query))).json()) as { deeds: Deed[]; more: boolean }).deeds;
  const titles = async (who: string, query?: string) => (await deeds(who, query)).map(({ item }) => item.title).sort();

  beforeAll(() => server.start());
  afterAll(() => server.stop());
  beforeEach(async () => {
    house = await Household.of(server, { Leila: 'helper', Tapio: 'helper' });
    const shared = house.made('list', await house.must('Aino', 'list.make', { name: 'Boats', colour: 'moss', icon: 'leaf' })).id;
    await house.must('Aino', 'list.share', { list: shared, person: house.person('Tapio'), access: 'check' });
    oars = house.made('item', await house.must('Aino', 'item.add', { title: 'Oil the oars', list: shared, due: '2026-03-04', notes: 'secret of the list', tags: ['wood'] })).id; // prettier-ignore
    const own = house.made('item', await house.must('Aino', 'item.add', { title: 'Own letter' })).id;
    const given = house.made('item', await house.must('Aino', 'item.add', { title: 'Buy rope', persons: [house.person('Leila')] })).id;
    for (const item of [oars, own]) await house.must('Aino', 'part.checkOff', { item, person: null });
    await house.must('Leila', 'part.checkOff', { item: given, person: house.person('Leila') });
  });

  test('each is told what they may see, and of it only what looking back says', async () => {
    expect(await titles('Aino')).toEqual(['Buy rope', 'Oil the oars', 'Own letter']);
    expect(await titles('Tapio')).toEqual(['Oil the oars']);
    expect(await titles('Leila')).toEqual(['Buy rope']);
    const [deed] = (await deeds('Tapio')) as [Deed];
    expect(Object.keys(deed.item).sort()).toEqual(['id', 'listId', 'tagIds', 'title']);
    expect(Object.keys(deed.part).sort()).toEqual(['completedAt', 'id']);
    expect(deed).toMatchObject({ personId: house.person('Aino'), isOnTime: false, item: { id: oars } });
    expect(JSON.stringify(deed)).not.toContain('secret');
  });

  test('other days, days the wrong way round, and narrowed by a filter', async () => {
    expect(await titles('Aino', 'from=2020-01-01&to=2020-12-31')).toEqual([]);
    expect(await titles('Aino', `from=${today()}&to=2020-01-01`)).toHaveLength(3);
    const filter = encodeURIComponent(JSON.stringify({ match: 'all', state: 'open', conditions: [{ of: 'words', words: 'oars' }] }));
    expect(await titles('Aino', `from=${today()}&to=${today()}&filter=${filter}`)).toEqual(['Oil the oars']);
  });

  test('a day that is none, a filter that is none, somebody of another house', async () => {
    for (const query of ['from=2026-02-30&to=2026-03-01', 'from=2026-01-01', `from=${today()}&to=${today()}&filter=%7B`, `from=${today()}&to=${today()}&x=1`])
      expect((await house.fetch('Aino', 'GET', path(query))).status).toBe(422);
    const other = await Household.of(server, {});
    expect((await other.fetch('Aino', 'GET', path(`from=${today()}&to=${today()}`))).status).toBeGreaterThanOrEqual(403);
  });
});
