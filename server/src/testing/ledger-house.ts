import { COLOURS, PATTERNS, type CommandName, type Notice, type Payload, type Row } from '@kotiva/core';
import { v5 } from 'uuid';
import { Accounts } from '../auth/accounts.ts';
import type { Storage } from '../db/open.ts';
import { SqliteHouses } from '../db/sqlite-houses.ts';
import { Ledger } from '../sync/apply.ts';
import { openNew } from './empty-storage.ts';

const NAMES = '6ba7b811-9dad-11d1-80b4-00c04fd430c8';

/** A house on a database of its own, its clock what it is told to be. For tests of what happens beside commands. */
export class LedgerHouse {
  readonly houseId = v5('house', NAMES);
  readonly storage: Storage = openNew();
  nowMs = Date.parse('2026-11-24T10:00:00.000Z');
  readonly clock = { now: () => new Date(this.nowMs).toISOString() };
  readonly ledger = new Ledger(new SqliteHouses(this.storage.raw), this.clock);
  readonly accounts = new Accounts(this.storage.db);
  private commands = 0;

  constructor(...people: string[]) {
    people.forEach((name, nth) => this.enter(name, nth));
  }

  later(minutes: number): void {
    this.nowMs += minutes * 60_000;
  }

  give<N extends CommandName>(by: string, name: N, payload: Payload<N>): string {
    const id = v5(`command ${this.commands++}`, NAMES);
    const command = { id, houseId: this.houseId, name, payload, at: this.clock.now(), seen: 1e9 };
    const outcome = this.ledger.apply(command, { id: v5(by, NAMES), name: by });
    if (outcome.outcome === 'refused') throw new Error(`${name} by ${by}: ${outcome.reason.code}`);
    return id;
  }

  item(by: string, title: string, fields: Partial<Payload<'item.add'>> = {}): string {
    this.give(by, 'item.add', { title, ...fields });
    return this.row('item', (item) => item.title === title).id;
  }

  person = (name: string): string => this.row('person', (person) => person.name === name).id;
  accountOf = (name: string): string => v5(name, NAMES);

  row<N extends 'item' | 'person' | 'part' | 'notice' | 'comment' | 'attachment'>(noun: N, matches: (row: Row<N>) => boolean): Row<N> {
    const found = this.ledger.rows(this.houseId).all(noun).find(matches);
    if (!found) throw new Error(`no such ${noun}`);
    return found;
  }

  notices(name: string): Notice[] {
    return this.ledger.rows(this.houseId).by('notice', 'personId', this.person(name));
  }

  private enter(name: string, nth: number): void {
    const looks = { name, mark: name.slice(0, 2), colour: COLOURS[nth]!, pattern: PATTERNS[nth]! };
    this.storage.raw
      .prepare("INSERT INTO account (id, email, name, \"passwordHash\", theme, \"createdAt\") VALUES (?, ?, ?, '', 'device', '')")
      .run(v5(name, NAMES), `${name.toLowerCase()}@kaislaranta.example`, name);
    if (nth === 0) return void this.give(name, 'house.make', { name: 'Kaislaranta', zone: 'Europe/Helsinki', person: looks });
    const token = name.padEnd(40, 'x');
    const first = this.ledger.rows(this.houseId).all('person')[0]!;
    this.give(first.name, 'invitation.make', { role: 'helper', uses: 'one', token });
    this.give(name, 'person.join', { token, ...looks });
  }
}
