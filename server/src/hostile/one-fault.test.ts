import { instantOf, type Reader } from '@kotiva/core';
import { connect } from 'node:net';
import { v5, v7 } from 'uuid';
import { Setbacks } from '../jobs/setbacks.ts';
import { PLANNERS, type Planner } from '../jobs/planners.ts';
import { Timers } from '../jobs/timers.ts';
import { listenForMail } from '../mail-in/listening.ts';
import type { MailIn } from '../mail-in/mail-in.ts';
import { Household } from '../testing/household.ts';
import { LedgerHouse } from '../testing/ledger-house.ts';
import { RealServer } from '../testing/real-server.ts';

/** One fault stays one fault: what fails is set aside, said once, tried again, and the rest goes on. */

const MINUTE = 60_000;

/** A house with two reminders in an hour, and timers whose log is kept. */
function house(planners: Readonly<Record<string, Planner>> = PLANNERS) {
  const at = new LedgerHouse('Aino', 'Leila');
  const logged: string[] = [];
  const setbacks = new Setbacks(at.clock, (line) => logged.push(line));
  const timers = new Timers(at.storage.raw, at.ledger, at.clock, setbacks, planners);
  const remind = (title: string, hour: string) => at.item('Aino', title, { alarms: [{ kind: 'absolute', at: `2026-11-24T${hour}` }] });
  const rung = () => at.notices('Aino').filter(({ kind }) => kind === 'reminder').map(({ params }) => params['title']); // prettier-ignore
  return { at, timers, setbacks, logged, remind, rung };
}

const failing = (): never => {
  throw new Error('broken');
};

describe('timers', () => {
  test('a planner that throws holds up none of the others, and is tried again ever more rarely', () => {
    let broken = true;
    const tries: number[] = [];
    const nudges: Planner = (...asked) => {
      tries.push(at.nowMs);
      return broken ? failing() : PLANNERS['nudges']!(...asked);
    };
    const { at, timers, setbacks, logged, remind, rung } = house({ ...PLANNERS, nudges });
    remind('Lamp', '13:00');
    for (let minute = 0; minute < 240; minute++) {
      at.later(1);
      timers.run();
    }
    expect(rung()).toEqual(['Lamp']);
    expect(logged).toEqual([expect.stringContaining('nudges of house')]);
    expect(setbacks.counts()).toEqual({ nudges: 1 });
    const pauses = tries.slice(1).map((time, nth) => Math.round((time - tries[nth]!) / MINUTE));
    expect(pauses).toEqual([1, 2, 4, 8, 16, 32, 64]);
    broken = false;
    at.later(180);
    timers.run();
    expect(setbacks.counts()).toEqual({});
  });

  test('a due that is refused hides none of those behind it, and is not kept under its id', () => {
    const { at, timers, setbacks, logged, remind, rung } = house();
    const [first] = [remind('First', '13:00'), remind('Second', '13:05')];
    const apply = at.ledger.apply.bind(at.ledger);
    const isFirst = (payload: unknown) => at.ledger.rows(at.houseId).by('alarm', 'itemId', first).some(({ id }) => id === (payload as { alarm?: string }).alarm); // prettier-ignore
    const refusing = jest.spyOn(at.ledger, 'apply').mockImplementation((command, ...how) => {
      if (command.name !== 'alarm.ring' || !isFirst(command.payload)) return apply(command, ...how);
      return apply({ ...command, payload: { alarm: 'none', at: 'never' } }, ...how);
    });
    at.later(70);
    timers.run();
    expect(rung()).toEqual(['Second']);
    expect(setbacks.counts()).toEqual({ 'alarm.ring': 1 });
    expect(logged).toHaveLength(1);
    expect(at.storage.raw.prepare('SELECT id FROM command WHERE seq IS NULL AND "accountId" = \'\'').all()).toEqual([]);
    // what stood in its way is gone
    refusing.mockRestore();
    at.later(2);
    timers.run();
    expect(rung()).toEqual(['Second', 'First']);
    expect(setbacks.counts()).toEqual({});
  });

  test('of two houses one that can’t be read at all rests, the other goes on; it goes on by itself once it can', () => {
    const { at, setbacks, remind, rung } = house();
    remind('Lamp', '13:00');
    const other = v5('another house', at.houseId);
    at.storage.raw.prepare('INSERT INTO sequence ("houseId", seq) VALUES (?, 1)').run(other);
    const timers = new Timers(at.storage.raw, at.ledger, at.clock, setbacks);
    const rows = at.ledger.rows.bind(at.ledger);
    const unreadable = jest
      .spyOn(at.ledger, 'rows')
      .mockImplementation((id) => (id === other ? ({ get: failing, by: failing, all: failing } as unknown as ReturnType<typeof rows>) : rows(id)));
    at.later(70);
    expect(() => timers.run()).not.toThrow();
    expect(rung()).toEqual(['Lamp']);
    expect([timers.rests(other), timers.rests(at.houseId)]).toEqual([true, false]);
    expect(setbacks.counts()).toEqual({ house: 1 });
    unreadable.mockRestore();
    at.later(2);
    timers.run();
    expect(timers.rests(other)).toBe(false);
  });

  test('a due that changes nothing, and so falls due again, is set aside', () => {
    const again: Planner = ({ id }: { id: string }, _rows: Reader, now: string) => [
      { houseId: id, at: now, id: v5(`again ${now}`, id), name: 'chore.appear', payload: { series: id, recurrenceId: '2026-11-24' } },
    ];
    const { at, timers, setbacks, remind, rung } = house({ again, reminders: PLANNERS['reminders']! });
    remind('Lamp', '13:00');
    at.later(70);
    expect(timers.run()).toBe(1);
    expect(rung()).toEqual(['Lamp']);
    expect(setbacks.counts()).toEqual({ 'chore.appear': 1 });
  });

  test('what can’t be saved is nobody’s fault: nothing is set aside, and it is done once there is room', () => {
    const { at, timers, setbacks, remind, rung } = house();
    remind('Lamp', '13:00');
    at.later(70);
    const full = Object.assign(new Error('database or disk is full'), { code: 'SQLITE_FULL' });
    const apply = jest.spyOn(at.ledger, 'apply').mockImplementation(() => {
      throw full;
    });
    expect(() => timers.run()).toThrow(full);
    apply.mockRestore();
    timers.run();
    expect(rung()).toEqual(['Lamp']);
    expect(setbacks.failures).toBe(0);
  });
});

describe('over HTTP', () => {
  const server = new RealServer();
  let house: Household;
  beforeAll(() => server.start());
  afterAll(() => server.stop());
  beforeEach(async () => {
    house = await Household.of(server, { Leila: 'helper' });
  });
  const health = async () => (await (await fetch(`${server.base}/api/health`)).json()) as { status: string; setAside: Record<string, number> };

  test('ids the clock will use can’t be claimed beforehand', async () => {
    await house.must('Aino', 'chore.make', { title: 'Water', rrule: 'FREQ=DAILY', dtstart: instantOf(Date.now()).slice(0, 10) });
    const [series] = house.rows('series');
    const ids = Array.from({ length: 400 }, (_, nth) => v5(`appear:${instantOf(Date.now() + nth * 86_400_000).slice(0, 10)}`, series!.id));
    for (const id of ids.slice(0, 3)) {
      const outcome = await house.send('Leila', { id, name: 'item.add', payload: { title: 'Mine' } });
      expect(outcome).toMatchObject({ outcome: 'refused', reason: { code: 'malformed', field: 'id' } });
    }
    // also where somebody has one already, from before they were looked at
    const { ledger, accounts } = server.services;
    const leila = accounts.byId(house.account('Leila').accountId)!;
    for (const id of ids) ledger.apply({ id, houseId: house.houseId, name: 'item.add', payload: { title: 'Mine' }, at: instantOf(Date.now()), seen: 0 }, leila);
    await house.must('Aino', 'part.checkOff', { item: house.rows('item').find(({ seriesId }) => seriesId === series!.id)!.id, person: null });
    server.services.timers.run();
    expect(server.services.timers.setbacks.counts()).toEqual({});
  });

  test('a phone that was offline for weeks still gets its commands in', async () => {
    const old = `0190a000-0000-7${v7().slice(15)}`;
    expect(await house.send('Aino', { id: old, name: 'item.add', payload: { title: 'Typed in July' } })).toMatchObject({ outcome: 'accepted' });
  });

  test('a house is made under an id of its own kind, so that it can be no other thing', async () => {
    const person = { name: 'Aino', mark: 'Ai', colour: 'moss', pattern: 'twill' };
    for (const houseId of ['00000000-0000-0000-0000-000000000000', v5('house', house.houseId)]) {
      const envelope = {
        id: v7(),
        houseId,
        name: 'house.make',
        payload: { name: 'Other', zone: 'Europe/Helsinki', person },
        at: instantOf(Date.now()),
        seen: 0,
      };
      const answer = await house.fetch('Aino', 'POST', '/api/commands', { commands: [envelope] });
      expect(await answer.json()).toMatchObject({ outcomes: [{ outcome: 'refused', reason: { field: 'houseId' } }] });
    }
  });

  test('while a house rests its people read, are told, and keep what they did; others go on', async () => {
    const other = new Household(server);
    await other.found('Noor');
    const { setbacks } = server.services.timers;
    const printed = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    setbacks.add(`house ${house.houseId}`, { houseId: house.houseId, kind: 'house' }, new Error('broken'));
    printed.mockRestore();
    const command = { id: v7(), houseId: house.houseId, name: 'item.add', payload: { title: 'Lamp' }, at: instantOf(Date.now()), seen: 0 };
    const answer = await house.fetch('Aino', 'POST', '/api/commands', { commands: [command] });
    expect([answer.status, ((await answer.json()) as { code: string }).code, answer.headers.get('retry-after')]).toEqual([503, 'house-rests', '15']);
    expect((await house.fetch('Aino', 'GET', `/api/houses/${house.houseId}/changes?since=0`)).status).toBe(200);
    expect(await other.send('Noor', { name: 'item.add', payload: { title: 'Rope' } })).toMatchObject({ outcome: 'accepted' });
    expect(await health()).toMatchObject({ status: 'degraded', setAside: { house: 1 } });
    setbacks.clear(`house ${house.houseId}`);
    expect(await house.send('Aino', command)).toMatchObject({ outcome: 'accepted' });
  });

  test('the token of another house’s invitation is refused with its reason, and nothing is printed', async () => {
    const printed = jest.spyOn(console, 'error');
    const other = new Household(server);
    await other.found('Noor');
    const payload = { role: 'helper' as const, uses: 'several' as const, token: v7().replaceAll('-', '') };
    await house.must('Aino', 'invitation.make', payload);
    expect(await other.send('Noor', { name: 'invitation.make', payload })).toMatchObject({ outcome: 'refused', reason: { code: 'taken' } });
    expect(printed).not.toHaveBeenCalled();
    printed.mockRestore();
  });

  test('who listens to commits and fails takes nobody’s answer away', async () => {
    const printed = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const stop = server.services.ledger.onCommit(failing);
    expect(await house.send('Aino', { name: 'item.add', payload: { title: 'Lamp' } })).toMatchObject({ outcome: 'accepted' });
    stop();
    printed.mockRestore();
  });
});

test('a connection that ends in the middle of a mail ends that mail, and nothing else', async () => {
  const taken: string[] = [];
  const mailIn = { knows: () => true, take: (_raw: unknown, to: string) => Promise.resolve((taken.push(to), { outcome: 'added' })) } as unknown as MailIn;
  const server = listenForMail(mailIn, 'kaislaranta.example');
  await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening));
  const { port } = server.server.address() as { port: number };
  const talk = (lines: string[], cut: boolean) =>
    new Promise<string>((said) => {
      const socket = connect(port, '127.0.0.1');
      let heard = '';
      const waiting = [...lines];
      socket.on('data', (chunk) => {
        heard += String(chunk);
        if (!/^\d{3} /m.test(String(chunk))) return;
        const next = waiting.shift();
        if (next === undefined) return void socket.destroy();
        socket.write(`${next}\r\n`, () => cut && waiting.length === 0 && socket.destroy());
      });
      socket.on('close', () => said(heard));
      socket.on('error', () => undefined);
    });
  const begin = ['EHLO there', 'MAIL FROM:<a@b.example>', 'RCPT TO:<cx@kaislaranta.example>', 'RCPT TO:<CX@kaislaranta.example>', 'DATA'];
  await talk([...begin, 'Subject: half a ma'], true);
  const heard = await talk([...begin, 'Subject: whole\r\n\r\nwords\r\n.'], false);
  expect(heard).toContain('250');
  // each recipient once, and only of the mail that came whole
  expect(taken).toEqual(['cx@kaislaranta.example']);
  await new Promise<void>((closed) => server.close(closed));
});
