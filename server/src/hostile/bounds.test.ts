import { instantOf } from '@kotiva/core';
import { connect } from 'node:net';
import { v7 } from 'uuid';
import { Forgetting, REFUSALS_KEPT_DAYS } from '../jobs/forgetting.ts';
import { Lanes, Busy } from '../lanes.ts';
import { MOST_STREAMS } from '../sync/live.ts';
import { Household } from '../testing/household.ts';
import { RealServer } from '../testing/real-server.ts';

/** Nothing grows without a bound, and what comes in has one. */

const server = new RealServer();
let house: Household;
beforeAll(() => server.start());
afterAll(() => server.stop());
beforeEach(async () => {
  house = await Household.of(server, { Leila: 'helper' });
});

const open: AbortController[] = [];
afterEach(() => {
  for (const stream of open.splice(0)) stream.abort();
});

/** Opens a live stream; reads events until one of a name comes, or as many as asked for. */
async function stream(who: string, since: number) {
  const controller = new AbortController();
  open.push(controller);
  const response = await fetch(`${server.base}/api/houses/${house.houseId}/live?since=${since}`, {
    headers: { cookie: house.account(who).cookie },
    signal: controller.signal,
  });
  const reader = response.body!.getReader();
  let heard = '';
  const until = async (event: string): Promise<string[]> => {
    while (!heard.includes(`event: ${event}\n`)) {
      const { value, done } = await reader.read();
      if (done) break;
      heard += Buffer.from(value).toString();
    }
    return [...heard.matchAll(/^event: (\w+)$/gm)].map((found) => found[1]!);
  };
  return { until, stop: () => controller.abort() };
}
const seq = () => server.services.ledger.seq(house.houseId);

describe('live streams', () => {
  test('carry only what follows: who lacks something is told to fetch it, and fetches it by pages', async () => {
    for (let nth = 0; nth < 3; nth++) await house.must('Aino', 'item.add', { title: `Thing ${nth}` });
    expect(await (await stream('Aino', 0)).until('behind')).toEqual(['behind']);
    const page = await (await house.fetch('Aino', 'GET', `/api/houses/${house.houseId}/changes?since=0&limit=100000`)).json();
    expect(page).toMatchObject({ seq: seq(), more: false });
    const live = await stream('Aino', seq());
    expect(await live.until('clock')).toEqual(['clock']);
    await house.must('Aino', 'item.add', { title: 'What follows' });
    expect(await live.until('changes')).toEqual(['clock', 'changes']);
  });

  test('an account has so many; one more is told, and there is room again when one closes', async () => {
    const streams = [];
    for (let nth = 0; nth < MOST_STREAMS; nth++) {
      const one = await stream('Leila', seq());
      await one.until('clock');
      streams.push(one);
    }
    expect(await (await stream('Leila', seq())).until('full')).toEqual(['full']);
    expect(await (await stream('Aino', seq())).until('clock')).toEqual(['clock']);
    streams[0]!.stop();
    await until(() => server.services.hub.size <= MOST_STREAMS);
    expect(await (await stream('Leila', seq())).until('clock')).toEqual(['clock']);
  });

  test('one that is not read holds at most 256 kB, and is then ended', async () => {
    const { hub } = server.services;
    const before = hub.size;
    const socket = connect(Number(new URL(server.base).port), '127.0.0.1');
    socket.on('error', () => undefined);
    const { cookie } = house.account('Aino');
    socket.write(`GET /api/houses/${house.houseId}/live?since=${seq()} HTTP/1.1\r\nHost: kotiva\r\nCookie: ${cookie}\r\n\r\n`);
    await until(() => hub.size === before + 1);
    socket.pause();
    const notes = 'x'.repeat(20_000);
    for (let nth = 0; nth < 2_000 && hub.size > before; nth++) await house.must('Aino', 'item.add', { title: `Thing ${nth}`, notes });
    expect(hub.size).toBe(before);
    socket.destroy();
  });
});

/** Waits for what happens by itself, a turn of the loop at a time. */
async function until(holds: () => boolean): Promise<void> {
  while (!holds()) await new Promise((resolve) => setImmediate(resolve));
}

test('houses that do not exist are not kept, whatever is asked of them', async () => {
  const { ledger } = server.services;
  const before = ledger.held.houses;
  for (let nth = 0; nth < 50; nth++) {
    const other = v7();
    expect((await house.fetch('Aino', 'GET', `/api/houses/${other}/changes?since=0`)).status).toBe(403);
    const command = { id: v7(), houseId: other, name: 'item.add', payload: { title: 'x' }, at: instantOf(Date.now()), seen: 0 };
    await house.fetch('Aino', 'POST', '/api/commands', { commands: [command] });
  }
  expect(ledger.held.houses).toBe(before);
});

describe('what is refused', () => {
  const kept = () => server.raw.prepare('SELECT id, payload, at FROM command WHERE seq IS NULL AND "houseId" = ?').all(house.houseId) as { id: string; payload: string; at: string }[]; // prettier-ignore
  const large = { item: v7(), notes: 'x'.repeat(20_000) };

  test('of a member leaves its id, reason and digest, and is answered the same again', async () => {
    const command = { id: v7(), name: 'item.change', payload: large };
    const first = await house.send('Leila', command);
    expect(first).toMatchObject({ outcome: 'refused', reason: { code: 'gone' } });
    expect(await house.send('Leila', command)).toEqual(first);
    expect(kept()).toMatchObject([{ id: command.id, payload: expect.stringMatching(/^\{"sha256":"[0-9a-f]{64}"\}$/) as string }]);
  });

  test('of anybody else leaves nothing', async () => {
    for (let nth = 0; nth < 5; nth++) await house.send('Stranger', { name: 'item.change', payload: large });
    expect(kept()).toEqual([]);
  });

  test('is forgotten after 30 days', async () => {
    await house.send('Leila', { name: 'item.change', payload: large });
    const later = (days: number) => instantOf(Date.now() + days * 86_400_000);
    new Forgetting(server.raw).run(later(REFUSALS_KEPT_DAYS - 1));
    expect(kept()).toHaveLength(1);
    new Forgetting(server.raw).run(later(REFUSALS_KEPT_DAYS + 1));
    expect(kept()).toEqual([]);
  });
});

describe('bodies', () => {
  const post = (path: string, body: string, headers: Record<string, string> = {}) =>
    fetch(server.base + path, { method: 'POST', headers: { 'content-type': 'application/json', ...headers }, body });

  test('of strangers are small', async () => {
    for (const path of ['/api/session', '/api/accounts']) expect((await post(path, JSON.stringify({ email: 'x'.repeat(20_000) }))).status).toBe(413);
  });

  test('that are no form, no JSON or not whole are the sender’s fault', async () => {
    const { cookie } = house.account('Aino');
    for (const body of ['', '{', 'null', '[]', '"x"', '{"commands":1}', '\u0000']) {
      const { status } = await post('/api/commands', body, { cookie });
      expect([body, status >= 400 && status < 500]).toEqual([body, true]);
    }
    house.must('Aino', 'person.add', { name: 'Workshop', mark: 'Ws', colour: 'moss', pattern: 'twill' }).catch(() => undefined);
    await until(() => house.rows('person').some(({ name }) => name === 'Workshop'));
    const { pathname } = new URL(server.services.desk.linkOf({ houseId: house.houseId, personId: house.person('Workshop') }));
    for (const [type, body] of [
      ['multipart/form-data; boundary=x', '--x\r\nnot a part'],
      ['multipart/form-data', 'no boundary'],
      ['application/x-www-form-urlencoded', '%%%&&&==='],
      ['text/plain', 'words'],
    ] as const) {
      const answer = await post(pathname, body, { 'content-type': type });
      expect([type, answer.status]).toEqual([type, 422]);
    }
  });

  test('a page of somebody without an account tells nobody its address', async () => {
    await house.must('Aino', 'person.add', { name: 'Mill', mark: 'Mi', colour: 'moss', pattern: 'twill' });
    const { pathname } = new URL(server.services.desk.linkOf({ houseId: house.houseId, personId: house.person('Mill') }));
    const { headers } = await fetch(server.base + pathname);
    expect(headers.get('referrer-policy')).toBe('no-referrer');
    // so its own form comes without an origin, while one of another site says whose it is
    const from = (origin: string, path = `${pathname}/stop`) => fetch(server.base + path, { method: 'POST', headers: { origin }, redirect: 'manual' });
    expect([(await from('null')).status, (await from('https://other.example')).status, (await from('null', '/api/session')).status]).toEqual([303, 403, 403]);
    expect(headers.get('content-security-policy')).toContain("form-action 'self'");
    expect(headers.get('permissions-policy')).toContain('camera=()');
  });
});

test('so many at once, so many in line, the rest is turned away; a place is given on', async () => {
  const lanes = new Lanes(2, 3);
  const ends: (() => void)[] = [];
  const done: number[] = [];
  const give = (nth: number) => lanes.run(() => new Promise<void>((resolve) => ends.push(() => (done.push(nth), resolve()))));
  const all = [1, 2, 3, 4, 5].map(give);
  await expect(give(6)).rejects.toThrow(Busy);
  expect(ends).toHaveLength(2);
  while (ends.length > 0) {
    ends.shift()!();
    await new Promise((resolve) => setImmediate(resolve));
  }
  await Promise.all(all);
  expect(done).toEqual([1, 2, 3, 4, 5]);
  await expect(lanes.run(() => Promise.reject(new Error('its own')))).rejects.toThrow('its own');
  expect(await lanes.run(() => Promise.resolve('goes on'))).toBe('goes on');
});
