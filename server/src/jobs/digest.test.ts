import { COLOURS, PATTERNS, type CommandName, type Payload } from '@kotiva/core';
import { v5 } from 'uuid';
import { SENT, type Mail } from '../notify/messenger.ts';
import { Outbox } from '../notify/outbox.ts';
import { LedgerHouse } from '../testing/ledger-house.ts';
import { Timers } from './timers.ts';

const NAMES = '6ba7b811-9dad-11d1-80b4-00c04fd430c8';

/** Leila is in Aino's guesthouse and, by the same account, in Aino's home. */
function twoHouses() {
  const guesthouse = new LedgerHouse('Aino', 'Leila');
  const home = v5('home', NAMES);
  let commands = 0;
  const atHome = <N extends CommandName>(by: string, name: N, payload: Payload<N>) => {
    const id = v5(`at home ${commands++}`, NAMES);
    const at = guesthouse.clock.now();
    const outcome = guesthouse.ledger.apply({ id, houseId: home, name, payload, at, seen: 1e9 }, { id: guesthouse.accountOf(by), name: by });
    if (outcome.outcome === 'refused') throw new Error(`${name}: ${outcome.reason.code}`);
  };
  const looks = (nth: number, name: string) => ({ name, mark: name.slice(0, 2), colour: COLOURS[nth]!, pattern: PATTERNS[nth]! });
  atHome('Aino', 'house.make', { name: 'Home', zone: 'Europe/Helsinki', person: looks(0, 'Aino') });
  atHome('Aino', 'invitation.make', { role: 'helper', uses: 'one', token: 'x'.repeat(40) });
  atHome('Leila', 'person.join', { token: 'x'.repeat(40), ...looks(1, 'Leila') });
  const rows = guesthouse.ledger.rows(home);
  const leila = rows.all('person').find(({ name }) => name === 'Leila')!.id;
  const mails: Mail[] = [];
  const outbox = new Outbox(guesthouse.storage.raw, guesthouse.ledger, guesthouse.clock, {
    push: { send: () => Promise.resolve(SENT) },
    mail: { send: (mail) => Promise.resolve(mails.push(mail)).then(() => SENT) },
    outside: () => ({ footer: '' }),
    publicUrl: 'https://kaislaranta.example',
    mailDomain: 'kaislaranta.example',
  });
  const timers = new Timers(guesthouse.storage.raw, guesthouse.ledger, guesthouse.clock);
  const nudged = () =>
    [...guesthouse.notices('Leila'), ...rows.by('notice', 'personId', leila)].filter(({ kind }) => kind.startsWith('nudge')).map(({ at }) => at);
  /** Runs to a moment, minute by minute, as a server would. */
  const until = async (iso: string) => {
    while (guesthouse.clock.now() < iso) {
      guesthouse.later(1);
      timers.run();
      await outbox.run();
    }
  };
  return { guesthouse, atHome, leila, mails, nudged, until };
}

test('what falls into the window of one nudge is asked with it, in every house of the account, and goes out as one', async () => {
  const { guesthouse, atHome, leila, mails, nudged, until } = twoHouses();
  guesthouse.item('Aino', 'Order candles', { persons: [guesthouse.person('Leila')], due: '2026-11-25T12:00' });
  guesthouse.later(20);
  atHome('Aino', 'item.add', { title: 'Empty the bins', persons: [leila], due: '2026-11-25T12:20' });
  await until('2026-11-24T12:00:00.000Z');
  mails.length = 0;
  // half-way, a day ahead or at the deadline: whichever, both at once
  await until('2026-11-25T11:00:00.000Z');
  const moments = nudged();
  expect(moments.length).toBeGreaterThanOrEqual(4);
  for (const moment of new Set(moments)) expect(moments.filter((one) => one === moment)).toHaveLength(2);
  expect(mails).toHaveLength(moments.length / 2);
  for (const mail of mails) {
    expect(mail.subject).toContain('Order candles');
    expect(mail.subject).toContain('Empty the bins');
  }
});

test('further apart than the window, each is asked by itself', async () => {
  const { guesthouse, atHome, leila, mails, nudged, until } = twoHouses();
  guesthouse.item('Aino', 'Order candles', { persons: [guesthouse.person('Leila')], due: '2026-11-25T12:00' });
  atHome('Aino', 'item.add', { title: 'Empty the bins', persons: [leila], due: '2026-11-25T15:30' });
  // the end of the night brings both together; at their deadlines they are apart
  await until('2026-11-25T09:00:00.000Z');
  mails.length = 0;
  await until('2026-11-25T14:00:00.000Z');
  expect(nudged().filter((at) => at > '2026-11-25T09')).toHaveLength(2);
  expect(mails.map(({ subject }) => [subject.includes('Order candles'), subject.includes('Empty the bins')])).toEqual([
    [true, false],
    [false, true],
  ]);
});
