import type { Activity } from '@kotiva/core';
import { Household } from '../testing/household.ts';
import { RealServer } from '../testing/real-server.ts';

interface ActivityPage {
  entries: Activity[];
  titles: Record<string, string>;
  next: string | null;
}

describe('what happened, by page', () => {
  const server = new RealServer();
  let house: Household;
  beforeAll(() => server.start());
  afterAll(() => server.stop());
  beforeEach(async () => {
    house = await Household.of(server, { Leila: 'helper' });
  });
  const get = async (who: string, query = ''): Promise<ActivityPage> =>
    (await (await house.fetch(who, 'GET', `/api/houses/${house.houseId}/activity${query}`)).json()) as ActivityPage;
  const all = async (who: string, query = ''): Promise<Activity[]> => {
    const found: Activity[] = [];
    for (let next: string | null = ''; next !== null;) {
      const page: ActivityPage = await get(who, `?${query}${next ? `&before=${next}` : ''}`);
      found.push(...page.entries);
      next = page.next;
    }
    return found;
  };

  test('newest first, each entry once, to the very first', async () => {
    for (let nth = 0; nth < 130; nth++) await house.must('Aino', 'item.add', { title: `Thing ${nth}` });
    const page = await get('Aino');
    expect(page.entries).toHaveLength(50);
    expect(page.titles[page.entries[0]!.itemId!]).toBe('Thing 129');
    const found = await all('Aino');
    expect(found.map(({ seq }) => seq)).toEqual([...found.map(({ seq }) => seq)].sort((a, b) => b - a));
    expect(new Set(found.map(({ id }) => id)).size).toBe(found.length);
    expect(found.filter(({ kind }) => kind === 'item.add')).toHaveLength(130);
  });

  test('of an item, a list, a person, a kind; and each reads what they may see', async () => {
    const list = house.made('list', await house.must('Aino', 'list.make', { name: 'Boats', colour: 'moss', icon: 'leaf' })).id;
    const item = house.made('item', await house.must('Aino', 'item.add', { title: 'Oars', list })).id;
    await house.must('Aino', 'item.add', { title: 'Private' });
    await house.must('Aino', 'part.handOver', { items: [item], persons: [house.person('Leila')] });
    await house.must('Leila', 'part.checkOff', { item, person: house.person('Leila') });
    const kinds = async (who: string, query: string) => (await all(who, query)).map(({ kind }) => kind);
    expect(await kinds('Aino', `item=${item}`)).toEqual(['part.checkOff', 'part.handOver', 'item.add']);
    expect(await kinds('Aino', `list=${list}&group=done`)).toEqual(['part.checkOff']);
    expect(await kinds('Aino', `person=${house.person('Leila')}&group=done`)).toEqual(['part.checkOff']);
    // from the handover on, and nothing of what is Aino's alone
    expect(await kinds('Leila', `list=${list}`)).toEqual(['part.checkOff', 'part.handOver']);
    expect((await all('Leila')).some(({ itemId }) => itemId !== null && itemId !== item)).toBe(false);
  });

  test('narrowed by a filter, as its reader sees things: done ones too, and nothing that is about no item', async () => {
    const list = house.made('list', await house.must('Aino', 'list.make', { name: 'Boats', colour: 'moss', icon: 'leaf' })).id;
    const oars = house.made('item', await house.must('Aino', 'item.add', { title: 'Oars', list, tags: ['wood'] })).id;
    const rope = house.made('item', await house.must('Aino', 'item.add', { title: 'Rope', list })).id;
    await house.must('Aino', 'part.checkOff', { item: oars, person: null });
    await house.must('Aino', 'part.handOver', { items: [rope], persons: [house.person('Leila')] });
    const tag = server.services.ledger
      .rows(house.houseId)
      .all('tag')
      .find(({ name }) => name === 'wood')!;
    const by = (condition: object) => `filter=${encodeURIComponent(JSON.stringify({ match: 'all', state: 'open', conditions: [condition] }))}`;
    const kinds = async (who: string, query: string) => (await all(who, query)).map(({ kind }) => kind);
    expect(await kinds('Aino', by({ of: 'tag', ids: [tag.id] }))).toEqual(['part.checkOff', 'item.add']);
    expect(await kinds('Aino', by({ of: 'giver', who: ['me'] }))).toEqual(['part.handOver', 'item.add']);
    // Leila was handed one of them: of the other she is told nothing
    expect(await kinds('Leila', by({ of: 'list', ids: [list] }))).toEqual([]);
    expect(await kinds('Leila', by({ of: 'words', words: 'rope' }))).toEqual(['part.handOver']);
    expect((await house.fetch('Aino', 'GET', `/api/houses/${house.houseId}/activity?filter=%7B`)).status).toBe(422);
  });

  test('a query that is none is refused with what is wrong', async () => {
    const answer = await house.fetch('Aino', 'GET', `/api/houses/${house.houseId}/activity?before=x`);
    expect(answer.status).toBe(422);
    expect(await answer.json()).toMatchObject({ field: 'before' });
  });
});
