import { isDone } from '@kotiva/core';
import { v7 } from 'uuid';
import { Household } from '../testing/household.ts';
import { RealServer } from '../testing/real-server.ts';

describe('commands over HTTP', () => {
  const server = new RealServer();
  let house: Household;
  beforeAll(() => server.start());
  afterAll(() => server.stop());
  beforeEach(async () => {
    house = await Household.of(server, { Leila: 'helper', Noor: 'helper' });
  });
  const anItem = async (names: string[], more: object = {}) =>
    house.made('item', await house.must('Aino', 'item.add', { title: 'Jackets', persons: names.map((name) => house.person(name)), ...more })).id;
  const seqOf = () => server.services.ledger.seq(house.houseId);

  test('a replayed command is answered with its first outcome and applied once', async () => {
    const command = { id: v7(), name: 'item.add', payload: { title: 'Once' } };
    const first = await house.send('Aino', command);
    const seq = seqOf();
    expect(await house.send('Aino', command)).toEqual(first);
    expect(await house.send('Aino', { ...command, payload: { title: 'Something else' } })).toEqual(first);
    expect(seqOf()).toBe(seq);
    expect(house.rows('item').map((item) => item.title)).toEqual(['Once']);
  });

  test('an id another account has used is refused: nobody writes over what came of it', async () => {
    const id = v7();
    await house.send('Aino', { id, name: 'item.add', payload: { title: 'Mine' } });
    const copied = await house.send('Leila', { id, name: 'item.add', payload: { title: 'Not yours' } });
    expect(copied).toMatchObject({ outcome: 'refused', reason: { code: 'malformed', field: 'id' } });
    expect(house.rows('item').map((item) => item.title)).toEqual(['Mine']);
  });

  test('a fault in one command holds up none behind it, and it may be given again', async () => {
    jest.spyOn(console, 'error').mockImplementationOnce(() => undefined);
    jest.spyOn(server.services.ledger, 'apply').mockImplementationOnce(() => {
      throw new Error('the disk is full');
    });
    const command = { id: v7(), name: 'item.add', payload: { title: 'Again' } };
    expect(await house.send('Aino', command)).toEqual({ id: command.id, outcome: 'refused', reason: { code: 'failed', params: {} } });
    expect(await house.send('Aino', command)).toMatchObject({ outcome: 'accepted' });
  });

  test.each(['null', 'https://elsewhere.example'])('a request from another site is refused: %s', async (origin) => {
    const response = await fetch(`${server.base}/api/commands`, {
      method: 'POST',
      headers: { cookie: house.account('Aino').cookie, 'content-type': 'application/json', origin },
      body: '{"commands":[]}',
    });
    expect(response.status).toBe(403);
  });

  test.each([
    ['no id', { name: 'item.add', payload: { title: 'A' }, id: 'not-an-id' }],
    ['an unknown name', { name: 'item.destroy', payload: {} }],
    ['a payload of another shape', { name: 'item.add', payload: { title: 17 } }],
    ['no moment', { name: 'item.add', payload: { title: 'A' }, at: 'yesterday' }],
  ])('%s is refused and changes nothing', async (_name, command) => {
    const seq = seqOf();
    expect(await house.send('Aino', command)).toMatchObject({ outcome: 'refused', reason: { code: 'malformed' } });
    expect(seqOf()).toBe(seq);
  });

  test('a refused command leaves nothing half applied', async () => {
    const item = await anItem([]);
    const outcome = await house.send('Aino', { name: 'part.handOver', payload: { items: [item], persons: [house.person('Leila'), v7()], due: '2026-12-01' } });
    expect(outcome).toMatchObject({ outcome: 'refused', reason: { code: 'unknown-person', field: 'persons' } });
    expect(house.rows('item').find((row) => row.id === item)!.due).toBeNull();
    expect(house.part(item, 'Leila')).toBeUndefined();
  });

  test('two check the same any item at the same instant: one is first, the other is told who', async () => {
    const item = await anItem(['Leila', 'Noor'], { policy: 'any' });
    const check = (name: string) => house.send(name, { name: 'part.checkOff', payload: { item, person: house.person(name) } });
    const [a, b] = await Promise.all([check('Leila'), check('Noor')]);
    const notes = [a, b].map((outcome) => (outcome.outcome === 'accepted' ? outcome.notes : []));
    expect(notes.map((some) => some.length).sort()).toEqual([0, 1]);
    const told = notes.flat()[0]!;
    expect(['Leila', 'Noor']).toContain(told.params.by);
    const row = house.rows('item').find((one) => one.id === item)!;
    expect(
      isDone(
        row,
        house.rows('part').filter((part) => part.itemId === item),
      ),
    ).toBe(true);
    expect(house.rows('notice').filter((notice) => notice.kind === 'completed')).toHaveLength(1);
  });

  test('a handover shows the item, never its list, siblings or earlier history', async () => {
    const list = house.made('list', await house.must('Aino', 'list.make', { name: 'Secret plans', colour: 'moss', icon: 'leaf' })).id;
    await house.must('Aino', 'item.add', { title: 'A surprise', list });
    const item = house.made('item', await house.must('Aino', 'item.add', { title: 'First title', list })).id;
    await house.must('Aino', 'item.change', { item, title: 'Jackets' });
    // both happened before; a moment later it is handed over
    while (new Date().toISOString() <= house.rows('activity').at(-1)!.arrivedAt);
    await house.must('Aino', 'part.handOver', { items: [item], persons: [house.person('Leila')], message: 'Count them' });
    await house.must('Aino', 'item.add', { title: 'A step', parent: item });
    const page = await (await house.fetch('Leila', 'GET', `/api/houses/${house.houseId}/changes?since=0`)).text();
    expect(page).toContain('Jackets');
    expect(page).toContain('Count them');
    expect(page).toContain('A step');
    expect(page).not.toContain('Secret plans');
    expect(page).not.toContain('A surprise');
    expect(page).not.toContain('First title');
    expect(await (await house.fetch('Noor', 'GET', `/api/houses/${house.houseId}/changes?since=0`)).text()).not.toContain('Jackets');
  });

  test('a reason for declining is read by giver and person only', async () => {
    const item = await anItem(['Leila', 'Noor'], { policy: 'each' });
    await house.must('Leila', 'part.decline', { item, reason: 'A private matter' });
    const seen = async (name: string) => (await house.fetch(name, 'GET', `/api/houses/${house.houseId}/changes?since=0`)).text();
    expect(await seen('Aino')).toContain('A private matter');
    expect(await seen('Leila')).toContain('A private matter');
    expect(await seen('Noor')).not.toContain('A private matter');
  });

  test('an invitation link gives away the house, who invites and the role, no title', async () => {
    await house.must('Aino', 'list.make', { name: 'Secret plans', colour: 'moss', icon: 'leaf' });
    const list = house.rows('list')[0]!.id;
    const token = 'an-invitation-link'.padEnd(40, 'x') + house.houseId.slice(-4);
    await house.must('Aino', 'invitation.make', { role: 'helper', uses: 'one', token, lists: [{ listId: list, access: 'view' }] });
    const text = await (await fetch(`${server.base}/api/invitations/${token}`)).text();
    expect(JSON.parse(text)).toMatchObject({ house: 'House', by: 'Aino', role: 'helper', closed: null });
    expect(text).not.toContain('Secret');
    expect((await fetch(`${server.base}/api/invitations/unknown`)).status).toBe(404);
  });

  test('more than 1 MB is refused', async () => {
    const response = await house.fetch('Aino', 'POST', '/api/commands', { commands: [], filler: 'x'.repeat(1_100_000) });
    expect(response.status).toBe(413);
    expect(await response.json()).toMatchObject({ code: 'too-large' });
  });

  test('health says the version and the last sequence number', async () => {
    expect(await (await fetch(`${server.base}/api/health`)).json()).toMatchObject({ status: 'ok', version: 'test', seq: expect.any(Number) });
  });
});
