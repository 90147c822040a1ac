import { COLOURS, PATTERNS, partId, type CommandName, type Noun, type Payload, type Role, type Row } from '@kotiva/core';
import { v7 } from 'uuid';
import type { CommandOutcome } from '../sync/apply.ts';
import type { RealServer } from './real-server.ts';

/** A house on a real server, every command of it over HTTP as one of its people. For tests. */
export class Household {
  readonly houseId = v7();
  /** So many commands were given as what others are tried on. */
  given = 0;
  private readonly people = new Map<string, { accountId: string; cookie: string }>();

  constructor(protected readonly server: RealServer) {}

  /** A house of Aino's with these people in it. */
  static async of(server: RealServer, members: Record<string, Exclude<Role, 'outside'>>): Promise<Household> {
    const house = new Household(server);
    await house.found('Aino');
    for (const [name, role] of Object.entries(members)) await house.join(name, role, 'Aino');
    return house;
  }

  async found(manager: string): Promise<void> {
    await this.must(manager, 'house.make', { name: 'House', zone: 'Europe/Helsinki', person: this.looks(manager) });
  }

  async join(name: string, role: Exclude<Role, 'outside'>, by: string): Promise<void> {
    const token = v7().replaceAll('-', '') + name;
    await this.must(by, 'invitation.make', { role, uses: 'one', token });
    await this.must(name, 'person.join', { token, ...this.looks(name) });
  }

  async send(by: string, command: { id?: string; name: string; payload: unknown; at?: string; seen?: number }): Promise<CommandOutcome> {
    const envelope = { id: v7(), houseId: this.houseId, at: new Date().toISOString(), seen: 1_000_000, ...command };
    const response = await this.fetch(by, 'POST', '/api/commands', { commands: [envelope] });
    const { outcomes } = (await response.json()) as { outcomes: CommandOutcome[] };
    return outcomes[0]!;
  }

  async must<N extends CommandName>(by: string, name: N, payload: Payload<N>): Promise<string> {
    const id = v7();
    this.given += 1;
    const outcome = await this.send(by, { id, name, payload });
    if (outcome.outcome === 'refused') throw new Error(`${name} by ${by}: ${outcome.reason.code} ${JSON.stringify(payload).slice(0, 300)}`);
    return id;
  }

  fetch(by: string, method: string, path: string, body?: unknown): Promise<Response> {
    const headers = { cookie: this.account(by).cookie, 'content-type': 'application/json' };
    return this.server.fetch(path, { method, headers, body: body === undefined ? undefined : JSON.stringify(body) });
  }

  /** What the server holds: for building payloads, and for looking at what came of them. */
  rows<N extends Noun>(noun: N): Row<N>[] {
    return this.server.services.ledger.rows(this.houseId).all(noun);
  }

  /** The row of that noun a command made. */
  made<N extends Noun>(noun: N, commandId: string): Row<N> {
    const found = this.rows(noun).find((row) => row.stamps['']?.c === commandId);
    if (!found) throw new Error(`the command made no ${noun}`);
    return found;
  }

  person(name: string): string {
    return this.rows('person').find((row) => row.name === name)!.id;
  }

  part(itemId: string, name: string): Row<'part'> | undefined {
    return this.rows('part').find((row) => row.id === partId(itemId, this.person(name)));
  }

  account(name: string): { accountId: string; cookie: string } {
    const known = this.people.get(name);
    if (known) return known;
    const made = this.server.signIn(`${name}${this.houseId.slice(-6)}`);
    this.people.set(name, made);
    return made;
  }

  private looks(name: string) {
    const nth = this.people.size;
    return { name, mark: name.slice(0, 3), colour: COLOURS[nth % COLOURS.length]!, pattern: PATTERNS[nth % PATTERNS.length]! };
  }
}
