import { askAhead, changesOf, forgetAhead, KEPT_ME, takeAhead } from './asked-ahead.ts';
import { httpTransport } from './http-transport.ts';

const HOUSE = '018f0000-0000-7000-8000-000000000001';
const page = { seq: 4, more: false, from: 0, put: [], evict: [], now: '2026-12-01T10:00:00.000Z' };
const answer = (status: number, body: unknown) => {
  const one = { ok: status < 400, status, json: async () => body, clone: () => one };
  return one as unknown as Response;
};

describe('what a new device asks for before anything is drawn', () => {
  const asked: string[] = [];
  let answers: Record<string, Response>;
  const fetchBefore = globalThis.fetch;
  beforeEach(() => {
    localStorage.clear();
    asked.length = 0;
    answers = { '/api/me': answer(200, { houses: [{ houseId: HOUSE }] }), [changesOf(HOUSE, 0, true)]: answer(200, page) };
    globalThis.fetch = (async (path: string) => {
      asked.push(path);
      if (!answers[path]) throw new TypeError('no line');
      return answers[path];
    }) as typeof fetch;
  });
  afterEach(() => {
    globalThis.fetch = fetchBefore;
    for (const path of asked) takeAhead(path);
  });

  it('is taken once by whoever asks for it, and asked for anew after that', async () => {
    await askAhead();
    expect(asked).toEqual(['/api/me', changesOf(HOUSE, 0, true)]);
    const transport = httpTransport(HOUSE);
    expect((await transport.changes(0, true)).seq).toBe(4);
    expect(asked).toHaveLength(2);
    await transport.changes(0, true);
    expect(asked).toHaveLength(3);
  });

  it('is nothing where the device knows somebody: it shows what it holds', async () => {
    localStorage.setItem(KEPT_ME, '{}');
    await askAhead();
    expect(asked).toEqual([]);
  });

  it('is who is signed in alone where nobody is, or where they are in no house', async () => {
    answers['/api/me'] = answer(401, { code: 'signed-out' });
    await askAhead();
    answers['/api/me'] = answer(200, { houses: [] });
    await askAhead();
    expect(asked).toEqual(['/api/me', '/api/me']);
  });

  it('is for nobody else: signing out lets go of what was not taken', async () => {
    await askAhead();
    forgetAhead();
    expect([takeAhead('/api/me'), takeAhead(changesOf(HOUSE, 0, true))]).toEqual([null, null]);
  });

  it('says what it would have said without a line', async () => {
    answers = {};
    await askAhead();
    await expect(takeAhead('/api/me')).rejects.toThrow('no line');
    answers['/api/me'] = answer(200, { houses: [{ houseId: HOUSE }] });
    await askAhead();
    await expect(httpTransport(HOUSE).changes(0, true)).rejects.toMatchObject({ kind: 'offline' });
  });
});
