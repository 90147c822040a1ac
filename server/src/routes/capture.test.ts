import { v7 } from 'uuid';
import { Household } from '../testing/household.ts';
import { RealServer } from '../testing/real-server.ts';

describe('adding from elsewhere with a key', () => {
  const server = new RealServer();
  let house: Household;
  let secret: string;
  let tokenId: string;
  beforeAll(() => server.start());
  afterAll(() => server.stop());
  beforeEach(async () => {
    house = await Household.of(server, { Leila: 'helper' });
    const made = await house.fetch('Aino', 'POST', `/api/houses/${house.houseId}/tokens`, { name: 'phone shortcut' });
    ({
      secret,
      token: { id: tokenId },
    } = (await made.json()) as { secret: string; token: { id: string } });
  });
  const add = (body: string, headers: Record<string, string> = {}) =>
    fetch(`${server.base}/api/capture`, { method: 'POST', body, headers: { authorization: `Bearer ${secret}`, 'content-type': 'text/plain', ...headers } });

  test('a line is read as if its owner had typed it', async () => {
    const answer = await add('Ask Leila to order 40 candles #shop 15 min');
    expect(answer.status).toBe(201);
    expect(await answer.json()).toMatchObject({ added: [{ title: 'Order 40 candles', step: false }] });
    const [item] = house.rows('item');
    expect(item).toMatchObject({ title: 'Order 40 candles', effort: 15, makerId: house.person('Aino'), listId: null });
    expect(house.part(item!.id, 'Leila')).toMatchObject({ giverId: house.person('Aino'), standing: 'needs-action' });
  });

  test('several lines, as text or JSON; the same request twice adds once', async () => {
    const key = v7();
    const body = JSON.stringify({ text: '- Jackets\n  - small sizes\n- Oars' });
    for (let time = 0; time < 2; time++) expect((await add(body, { 'content-type': 'application/json', 'idempotency-key': key })).status).toBe(201);
    expect(
      house
        .rows('item')
        .map((item) => item.title)
        .sort(),
    ).toEqual(['Jackets', 'Oars', 'small sizes']);
  });

  test.each([
    ['an unknown key', 'A', { authorization: 'Bearer kotiva_nothing' }, 401, 'unknown-key'],
    ['no key', 'A', { authorization: '' }, 401, 'unknown-key'],
    ['nothing in it', ' \n ', {}, 422, 'nothing-to-add'],
    ['more than it takes', 'a\n'.repeat(501), {}, 422, 'too-many'],
    ['a title that is too long', 'x'.repeat(501), {}, 422, 'too-long'],
    ['no JSON', '{', { 'content-type': 'application/json' }, 400, 'malformed'],
  ] as const)('%s is answered with what is wrong', async (_name, body, headers, status, code) => {
    const answer = await add(body, headers);
    expect(answer.status).toBe(status);
    expect(await answer.json()).toMatchObject({ code });
    expect(house.rows('item')).toEqual([]);
  });

  test('withdrawn by its owner it opens nothing more; nobody else can withdraw or see it', async () => {
    await house.fetch('Leila', 'DELETE', `/api/me/tokens/${tokenId}`);
    expect((await add('Still here')).status).toBe(201);
    expect(await (await house.fetch('Leila', 'GET', '/api/me/tokens')).json()).toEqual({ tokens: [] });
    const own = (await (await house.fetch('Aino', 'GET', '/api/me/tokens')).json()) as { tokens: object[] };
    expect(own.tokens).toMatchObject([{ id: tokenId, name: 'phone shortcut', lastUsedAt: expect.any(String) }]);
    expect(JSON.stringify(own)).not.toContain(secret);
    await house.fetch('Aino', 'DELETE', `/api/me/tokens/${tokenId}`);
    expect((await add('Gone')).status).toBe(401);
  });

  test('whoever has left the house adds nothing', async () => {
    const made = await house.fetch('Leila', 'POST', `/api/houses/${house.houseId}/tokens`, { name: 'hers' });
    const { secret: hers } = (await made.json()) as { secret: string };
    await house.must('Aino', 'person.end', { person: house.person('Leila') });
    expect((await add('A', { authorization: `Bearer ${hers}` })).status).toBe(401);
  });
});
