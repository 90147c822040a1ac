import { v5 } from 'uuid';
import { decide, type Decision, type Payload } from '../commands/decide.ts';
import type { Note } from '../commands/deciding.ts';
import type { CommandName } from '../commands/required-permissions.ts';
import { partId } from '../commands/parts.ts';
import type { Reason } from '../commands/reasons.ts';
import type { Access } from '../model/list.ts';
import type { Item } from '../model/item.ts';
import type { Part } from '../model/part.ts';
import { COLOURS, PATTERNS, type Role } from '../model/person.ts';
import { MemoryRows } from '../reader/memory.ts';
import { epochOf, instantOf } from '../time/clock.ts';

const SPACE = '6ba7b811-9dad-11d1-80b4-00c04fd430c8';
export const idOf = (name: string): string => v5(name, SPACE);

/** A house in memory, driven through commands only, as an account of the name given. For tests. */
export class World {
  readonly houseId = idOf('house');
  readonly rows = new MemoryRows('all');
  now = '2026-11-24T10:00:00.000Z';
  seq = 0;
  private commands = 0;

  /** So many commands were tried: their ids are `command 0` and so on. */
  get given(): number {
    return this.commands;
  }

  constructor(manager = 'Aino') {
    this.must(manager, 'house.make', { name: 'Kaislaranta', zone: 'Europe/Helsinki', person: looks(manager, 0) });
  }

  /** Lets an account join with a role, by an invitation of the first manager. */
  join(name: string, role: Exclude<Role, 'outside'> = 'member', by = 'Aino'): string {
    const token = `${name}-`.padEnd(40, 'x');
    this.must(by, 'invitation.make', { role, uses: 'one', token });
    this.must(name, 'person.join', { token, ...looks(name, this.rows.all('person').length) });
    return this.person(name);
  }

  list(by: string, name: string, shares: [string, Access][] = []): string {
    this.must(by, 'list.make', { name, colour: 'petrol', icon: 'list', shares: shares.map(([who, access]) => ({ person: this.person(who), access })) });
    return this.rows.all('list').find((list) => list.name === name)!.id;
  }

  item(by: string, title: string, fields: Partial<Payload<'item.add'>> = {}): string {
    this.must(by, 'item.add', { title, ...fields });
    return this.rows.all('item').find((item) => item.title === title)!.id;
  }

  try<N extends CommandName>(by: string, name: N, payload: Payload<N>, more: { id?: string; at?: string; seen?: number } = {}): Decision & { id: string } {
    const id = more.id ?? idOf(`command ${this.commands++}`);
    const command = { id, name, payload, houseId: this.houseId, at: more.at ?? this.now, seen: more.seen ?? this.seq };
    const decision = decide(command, this.rows, { now: this.now, account: { id: idOf(`account ${by}`), name: by } });
    if (decision.outcome === 'accepted') this.rows.apply(decision.changes, { commandId: id, name, payload, actorId: decision.actorId, seq: ++this.seq });
    return { ...decision, id };
  }

  must<N extends CommandName>(by: string, name: N, payload: Payload<N>, more: { at?: string; seen?: number } = {}): { id: string; notes: Note[] } {
    const done = this.try(by, name, payload, more);
    if (done.outcome !== 'accepted') throw new Error(`${name} by ${by}: ${done.outcome} ${done.outcome === 'refused' ? JSON.stringify(done.reason) : ''}`);
    return { id: done.id, notes: done.notes };
  }

  /** What the clock does, nobody being signed in. */
  system<N extends CommandName>(name: N, payload: Payload<N>): void {
    const id = idOf(`system ${this.commands++}`);
    const decision = decide({ id, name, payload, houseId: this.houseId, at: this.now, seen: this.seq }, this.rows, { now: this.now, account: null });
    if (decision.outcome !== 'accepted') throw new Error(`${name}: ${JSON.stringify(decision)}`);
    this.rows.apply(decision.changes, { commandId: id, name, payload, actorId: null, seq: ++this.seq });
  }

  refused<N extends CommandName>(by: string, name: N, payload: Payload<N>, more: { at?: string; seen?: number } = {}): Reason {
    const done = this.try(by, name, payload, more);
    if (done.outcome !== 'refused') throw new Error(`${name} by ${by} was ${done.outcome}`);
    return done.reason;
  }

  person(name: string): string {
    return this.rows.all('person').find((person) => person.name === name)!.id;
  }

  part(itemId: string, name: string | null): Part {
    const part = this.rows.find('part', partId(itemId, name === null ? null : this.person(name)));
    if (part === undefined) throw new Error(`no part of ${name}`);
    return part;
  }

  parts(itemId: string): Part[] {
    return this.rows.by('part', 'itemId', itemId);
  }

  row(itemId: string): Item {
    return this.rows.find('item', itemId) as Item;
  }

  /** What a person has been told and not had withdrawn, as `kind` in the order told. */
  told(name: string): string[] {
    return this.rows
      .by('notice', 'personId', this.person(name))
      .filter((notice) => !notice.withdrawnAt)
      .sort((a, b) => a.stamps['']!.s - b.stamps['']!.s)
      .map((notice) => notice.kind);
  }

  later(minutes: number): void {
    this.now = instantOf(epochOf(this.now) + minutes * 60_000);
  }
}

export const looks = (name: string, nth: number) => ({
  name,
  mark: name.slice(0, 3),
  colour: COLOURS[nth % COLOURS.length]!,
  pattern: PATTERNS[nth % PATTERNS.length]!,
});
