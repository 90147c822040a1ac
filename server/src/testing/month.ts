import { appendFileSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { COLOURS, PATTERNS, type CommandName, type Payload } from '@kotiva/core';
import { v5 } from 'uuid';
import { openStorage } from '../db/open.ts';
import { Timers } from '../jobs/timers.ts';
import { SENT, type Sent } from '../notify/messenger.ts';
import { Outbox } from '../notify/outbox.ts';
import { SqliteHouses } from '../db/sqlite-houses.ts';
import { Ledger } from '../sync/apply.ts';

/**
 * A process that lives through a month of one house and is killed on the way: `month.mjs FOLDER MIGRATIONS POINT COUNT`. It sends itself
 * SIGKILL when it comes to the named point for the count-th time (0: never). Begun again on the same folder it goes on.
 */
export const POINTS = ['before-commit', 'after-commit', 'before-send', 'after-send', 'any'] as const;

const [folder, migrations, point, countText] = process.argv.slice(2) as [string, string, string, string];
let left = Number(countText);
function pass(here: (typeof POINTS)[number]): void {
  if (left === 0 || (point !== here && point !== 'any')) return;
  left -= 1;
  if (left === 0) process.kill(process.pid, 'SIGKILL');
}

const NAMES = '6ba7b811-9dad-11d1-80b4-00c04fd430c8';
const HOUSE = v5('house', NAMES);
const START = Date.parse('2026-11-24T10:00:00.000Z');
const DAY = 86_400_000;
const END = new Date(START + 31 * DAY).toISOString();

mkdirSync(folder, { recursive: true });
const clockFile = join(folder, 'clock');
const sentFile = join(folder, 'sent');
let now = existsSync(clockFile) ? readFileSync(clockFile, 'utf8') : new Date(START).toISOString();
const clock = { now: () => now };
const storage = openStorage(join(folder, 'kotiva.sqlite'), migrations);
// what a killed process has written is there all the same: only a power cut takes what is not on the disk yet
storage.raw.pragma('synchronous = OFF');
const ledger = new Ledger(new SqliteHouses(storage.raw), clock);
const apply = ledger.apply.bind(ledger);
ledger.apply = (...command) => {
  pass('before-commit');
  const outcome = apply(...command);
  pass('after-commit');
  return outcome;
};
const send = (id: string): Promise<Sent> => {
  pass('before-send');
  appendFileSync(sentFile, `${id}\n`);
  pass('after-send');
  return Promise.resolve(SENT);
};
const timers = new Timers(storage.raw, ledger, clock);
const outbox = new Outbox(storage.raw, ledger, clock, {
  push: { send: (_target, { tag }) => send(`push ${tag}`) },
  mail: { send: ({ messageId }) => send(`mail ${messageId}`) },
  outside: () => ({ footer: '' }),
  publicUrl: 'https://kaislaranta.example',
  mailDomain: 'kaislaranta.example',
});

/** The same commands every time: what was given before is answered from what is kept. */
function furnish(): void {
  let commands = 0;
  const give = <N extends CommandName>(by: string, name: N, payload: Payload<N>): void => {
    const id = v5(`command ${commands++}`, NAMES);
    const outcome = ledger.apply({ id, houseId: HOUSE, name, payload, at: new Date(START).toISOString(), seen: 1e9 }, { id: v5(by, NAMES), name: by });
    if (outcome.outcome === 'refused') throw new Error(`${name} by ${by}: ${outcome.reason.code}`);
  };
  const looks = (nth: number, name: string) => ({ name, mark: name.slice(0, 2), colour: COLOURS[nth]!, pattern: PATTERNS[nth]! });
  for (const name of ['Aino', 'Leila', 'Noor', 'Tapio'])
    storage.raw
      .prepare("INSERT OR IGNORE INTO account (id, email, name, \"passwordHash\", theme, \"createdAt\") VALUES (?, ?, ?, '', 'device', '')")
      .run(v5(name, NAMES), `${name.toLowerCase()}@kaislaranta.example`, name);
  give('Aino', 'house.make', { name: 'House', zone: 'Europe/Helsinki', person: looks(0, 'Aino') });
  ['Leila', 'Noor', 'Tapio'].forEach((name, nth) => {
    const token = name.padEnd(40, 'x');
    give('Aino', 'invitation.make', { role: 'helper', uses: 'one', token });
    give(name, 'person.join', { token, ...looks(nth + 1, name) });
  });
  const person = (name: string) =>
    ledger
      .rows(HOUSE)
      .all('person')
      .find((one) => one.name === name)!.id;
  const people = ['Leila', 'Noor', 'Tapio'].map(person);
  for (let nth = 0; nth < 9; nth++)
    give('Aino', 'item.add', {
      title: `Thing ${nth}`,
      persons: [people[nth % 3]!],
      due: nth % 3 === 0 ? undefined : `2026-12-${String(1 + nth * 3).padStart(2, '0')}${nth % 2 ? 'T17:00' : ''}`,
      alarms:
        nth % 2
          ? [
              { kind: 'relative', to: 'due', offset: '-P1D' },
              { kind: 'absolute', at: `2026-12-${String(2 + nth).padStart(2, '0')}T08:30` },
            ]
          : [],
    });
  give('Aino', 'item.add', { title: 'Every day', plan: '2026-11-24' });
  give('Aino', 'notice.choose', { lastCall: '20:00', mail: ['answers', 'reminders'] });
}

async function live(): Promise<void> {
  furnish();
  for (;;) {
    const next = [timers.nextAt(), outbox.nextAt()].reduce((a, b) => (a !== null && (b === null || a < b) ? a : b));
    if (next === null || next > END) break;
    if (next > now) {
      now = next;
      writeFileSync(clockFile, now);
    }
    timers.run();
    await outbox.run();
  }
  const told = ledger
    .rows(HOUSE)
    .all('notice')
    .map(({ id, at, kind, params }) => `${at.slice(0, 16)} ${kind} ${id}${params['late'] === true ? ' late' : ''}`)
    .sort();
  writeFileSync(join(folder, 'told'), JSON.stringify(told));
  storage.close();
}

await live();
