import { isHere, MemoryRows, type Actor, type Change, type Command, type Note, type Noun, type Reason, type Row, type Slice } from '@kotiva/core';
import { decide, slicesOfCommand } from '@kotiva/core/commands';
import { createHash } from 'node:crypto';
import type { Clock } from '../clock.ts';
import { isNotUnique, isOfStorage } from '../db/faults.ts';
import { HeldHouses, mostHeldIn, USUAL_CACHE_MB } from '../db/held-houses.ts';
import type { Raw } from '../db/open.ts';
import type { SqliteRows } from '../db/sqlite-rows.ts';
import { readsHours } from '../places/opening-hours.ts';
import { differences, isScopeLarge, isScopeEmpty, visibilityScopeOf, RESET, seenInScope, sightsOf } from './visibility-scope.ts';
import { Window } from './window.ts';

/** What becomes of a command: its place in the house's sequence, or the reason it does not apply. */
export type CommandOutcome = { id: string; outcome: 'accepted'; seq: number; notes: Note[] } | { id: string; outcome: 'refused'; reason: Reason };

export type { Actor };

/** A command as it is given. */
export type NewCommand = Pick<Command, 'id' | 'name' | 'houseId' | 'at' | 'seen'> & { payload: unknown };

/** Of a command done in slices: the moment they share, and whether this is one of them or what is left after them. */
export interface How {
  now?: string;
  slice?: boolean;
  ahead?: number;
}

/** One of what came in together. */
export interface Given {
  command: NewCommand;
  account: Actor | null;
  how?: How;
}

/** Somebody sees a row since a commit, or doesn't any more; `RESET` in place of noun and id: everything is to be fetched anew. */
export interface Sighted {
  personId: string;
  noun: Noun | typeof RESET;
  rowId: string;
}

/** What one commit came to in a house: which rows it wrote, the last time as they are now, and whose sight of which others it changed. */
export interface Commit {
  houseId: string;
  /** Where the house stood before, and where it stands: one further for each of its commands. */
  since: number;
  seq: number;
  /** Where what devices hold of it begins: see `Window`. */
  from: number;
  written: { noun: Noun; row: Row }[];
  sighted: Sighted[];
}

/** By house. */
type Commits = Map<string, Commit>;

/** Writes what has to be kept with a command, in its transaction. */
export type TransactionHook = (houseId: string, changes: readonly Change[], rows: SqliteRows, by: { account: Actor | null; now: string }) => void;

/** A house that does not exist. */
const NOTHING = new MemoryRows('all');

/** The one way shared data changes: commands, each in one transaction, each applied once. */
export class Ledger {
  private readonly houses;
  private readonly seqs = new Map<string, number>();
  private readonly listeners = new Set<(commit: Commit) => void>();
  private readonly besides: TransactionHook[] = [];
  private readonly statements;
  readonly window: Window;

  constructor(
    private readonly raw: Raw,
    private readonly clock: Clock,
    cacheMb = USUAL_CACHE_MB,
  ) {
    this.houses = new HeldHouses(raw, mostHeldIn(cacheMb));
    this.window = new Window(raw);
    this.statements = {
      begin: raw.prepare('BEGIN IMMEDIATE'),
      commit: raw.prepare('COMMIT'),
      rollback: raw.prepare('ROLLBACK'),
      known: raw.prepare('SELECT "accountId", outcome FROM command WHERE id = ?'),
      keep: raw.prepare(
        'INSERT INTO command ("accountId", id, "houseId", name, payload, "actorId", seq, changes, outcome, at) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
      ),
      step: raw.prepare('UPDATE sequence SET seq = ? WHERE "houseId" = ?'),
      first: raw.prepare('INSERT INTO sequence (seq, "houseId") VALUES (?, ?)'),
      last: raw.prepare('SELECT seq FROM sequence WHERE "houseId" = ?'),
      sight: raw.prepare('INSERT INTO sight ("houseId", "personId", seq, noun, "rowId") VALUES (?, ?, ?, ?, ?)'),
    };
  }

  /** The rows of a house. Of one that does not exist nothing is kept: anybody can ask for any id. */
  rows(houseId: string): SqliteRows {
    return this.houses.of(houseId, () => this.exists(houseId));
  }

  /** The last sequence number of a house; 0 before its first command. */
  seq(houseId: string): number {
    const known = this.seqs.get(houseId);
    if (known !== undefined) return known;
    const seq = (this.statements.last.get(houseId) as { seq: number } | undefined)?.seq ?? 0;
    if (seq > 0) this.seqs.set(houseId, seq);
    return seq;
  }

  /** Where what devices hold of a house begins. */
  from(houseId: string): number {
    return this.window.from(houseId, this.seq(houseId), this.clock.now());
  }

  exists(houseId: string): boolean {
    return this.seq(houseId) > 0;
  }

  /** Houses and rows held in memory. */
  get held(): { houses: number; rows: number } {
    return { houses: this.houses.size, rows: this.houses.rows };
  }

  /** Called within each transaction, after its rows were written. */
  beside(write: TransactionHook): void {
    this.besides.push(write);
  }

  /** Called after each commit. Returns how to stop listening. */
  onCommit(listener: (commit: Commit) => void): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  /** What was answered to a command before; null: it is new. */
  known(id: string, account: Actor | null): CommandOutcome | null {
    return this.knownOutcome(id, account);
  }

  /** What of a command is done ahead of it; nothing for most. */
  slicesOf(command: NewCommand, account: Actor | null): Slice[] {
    if (!this.exists(command.houseId)) return [];
    return slicesOfCommand(command, this.rows(command.houseId), { now: this.clock.now(), account, readsHours });
  }

  now(): string {
    return this.clock.now();
  }

  /** Decides and commits one command. A second time it gets its first outcome. */
  apply(command: NewCommand, account: Actor | null, how: How = {}): CommandOutcome {
    try {
      const [outcome] = this.applyGroup([{ command, account, how }]);
      if (outcome instanceof Error) throw outcome;
      return outcome!;
    } catch (error) {
      if (!isNotUnique(error)) throw error;
      // what another house has already, such as the token of an invitation
      return { id: command.id, outcome: 'refused', reason: { code: 'taken', params: {} } };
    }
  }

  /**
   * Decides what came in together in its order, each on what those before it wrote, and commits it at once: one write to the disk for all
   * of it. Gives for each its outcome, or the fault it was decided with. It ends when `enough` says so after one of them: the rest is still
   * to be given. Throws what a write or the commit fails with: then nothing of it has happened.
   */
  applyGroup(given: readonly Given[], enough: () => boolean = () => false): (CommandOutcome | Error)[] {
    const commits: Commits = new Map();
    const outcomes: (CommandOutcome | Error)[] = [];
    this.inTransaction(new Set(given.map(({ command }) => command.houseId)), () => {
      for (const { command, account, how = {} } of given) {
        outcomes.push(this.knownOutcome(command.id, account) ?? this.decideAndWrite(command, account, how, commits));
        if (enough()) break;
      }
      for (const commit of commits.values()) this.keepSeq(commit);
    });
    for (const commit of commits.values()) this.tell(commit);
    return outcomes;
  }

  /** Whoever listens and fails holds up nobody else: what was committed is. */
  private tell(commit: Commit): void {
    for (const listener of this.listeners) {
      try {
        listener(commit);
      } catch (error) {
        console.error(error);
      }
    }
  }

  private inTransaction(houses: ReadonlySet<string>, task: () => void): void {
    const { begin, commit, rollback } = this.statements;
    this.houses.trim(houses);
    begin.run();
    try {
      task();
      commit.run();
    } catch (error) {
      if (this.raw.inTransaction) rollback.run();
      for (const houseId of houses) {
        this.houses.forget(houseId);
        this.seqs.delete(houseId);
        this.window.forget(houseId);
      }
      throw error;
    }
  }

  /**
   * What was answered before. An id another account has used is refused: the ids of what a command makes follow from its own,
   * so whoever copied one would write over rows that are not theirs. What the system does is looked up among its own only: nobody can
   * claim beforehand what the clock will do.
   */
  private knownOutcome(id: string, account: Actor | null): CommandOutcome | null {
    const known = (this.statements.known.all(id) as { accountId: string; outcome: string }[]).filter(
      ({ accountId }) => (accountId === '') === (account === null),
    );
    if (known.length === 0) return null;
    const own = known.find(({ accountId }) => accountId === (account?.id ?? ''));
    return own ? (JSON.parse(own.outcome) as CommandOutcome) : { id, outcome: 'refused', reason: { code: 'malformed', field: 'id', params: { field: 'id' } } };
  }

  private decideAndWrite(command: NewCommand, account: Actor | null, how: How, commits: Commits): CommandOutcome | Error {
    const { now = this.clock.now(), ...slicing } = how;
    const rows = this.rows(command.houseId);
    const decision = this.decided(command, { ...slicing, now, account }, rows);
    if (decision instanceof Error) return decision;
    if (decision.outcome === 'refused') {
      const outcome: CommandOutcome = { id: command.id, outcome: 'refused', reason: decision.reason };
      if (account !== null && this.isMember(account, command.houseId)) this.keepRefusal(command, account, outcome, now);
      return outcome;
    }
    const reach = visibilityScopeOf(decision.changes, rows);
    const concerned = () => this.readers(rows).filter(({ id }) => reach.people === null || reach.people.has(id));
    const tooFar = isScopeLarge(reach, rows, concerned().length);
    const watched = !tooFar && !isScopeEmpty(reach);
    const before = watched ? seenInScope(reach, rows, concerned()) : null;
    const from = this.from(command.houseId);
    const beyond = this.window.notHeldByAll(command.houseId, from, decision.changes, rows);
    const seq = this.nextSeq(command.houseId);
    const { record, rows: written } = rows.write(decision.changes, {
      commandId: command.id,
      name: command.name,
      payload: command.payload,
      actorId: decision.actorId,
      seq,
    });
    const sighted: Sighted[] = before ? [...differences(before, seenInScope(reach, rows, concerned()))] : [];
    if (beyond.length > 0) sighted.push(...sightsOf(beyond, rows, this.readers(rows)));
    // who sees what is not compared row by row: their devices begin anew
    const anew = tooFar ? concerned().map(({ id }) => id) : otherRole(decision.changes);
    for (const personId of anew) sighted.push({ personId, noun: RESET, rowId: RESET });
    for (const { personId, noun, rowId } of sighted) this.statements.sight.run(command.houseId, personId, seq, noun, rowId);
    this.window.follow(command.houseId, seq, now, decision.changes, rows);
    for (const write of this.besides) write(command.houseId, decision.changes, rows, { account, now });
    const outcome: CommandOutcome = { id: command.id, outcome: 'accepted', seq, notes: decision.notes };
    this.keep(command, account, decision.actorId, seq, record.changes, outcome, now);
    addTo(commits, { houseId: command.houseId, since: seq - 1, seq, from, written, sighted });
    return outcome;
  }

  /** A fault while deciding is this command's alone: nothing was written yet. */
  private decided(command: NewCommand, how: Omit<How, 'now'> & { now: string; account: Actor | null }, rows: SqliteRows) {
    try {
      const decision = decide(command, this.exists(command.houseId) ? rows : NOTHING, { ...how, readsHours });
      return decision.outcome === 'unknown' ? new Error(`the server did not hold what ${command.name} needs`) : decision;
    } catch (error) {
      if (isOfStorage(error)) throw error;
      return error instanceof Error ? error : new Error(String(error));
    }
  }

  private nextSeq(houseId: string): number {
    const seq = this.seq(houseId) + 1;
    this.seqs.set(houseId, seq);
    return seq;
  }

  private keepSeq({ houseId, since, seq }: Commit): void {
    (since === 0 ? this.statements.first : this.statements.step).run(seq, houseId);
  }

  /** Of a member's command that was refused only what a second answer needs is kept, and not for ever; of anybody else's nothing. */
  private keepRefusal(command: Pick<Command, 'id' | 'name' | 'houseId'> & { payload: unknown }, account: Actor, outcome: CommandOutcome, now: string): void {
    const sha256 = createHash('sha256')
      .update(JSON.stringify(command.payload ?? null))
      .digest('hex');
    this.keep({ ...command, payload: { sha256 } }, account, null, null, [], outcome, now);
  }

  private isMember(account: Actor, houseId: string): boolean {
    if (!this.exists(houseId)) return false;
    const rows = this.rows(houseId);
    const person = account.personId === undefined ? rows.by('person', 'accountId', account.id).find(isHere) : rows.find('person', account.personId);
    return person !== undefined && isHere(person);
  }

  private readers(rows: SqliteRows) {
    return rows.all('person').filter((person) => person.accountId !== null || !isHere(person));
  }

  private keep(
    command: Pick<Command, 'id' | 'name' | 'houseId'> & { payload: unknown },
    account: Actor | null,
    actorId: string | null,
    seq: number | null,
    changes: unknown,
    outcome: CommandOutcome,
    at: string,
  ): void {
    this.statements.keep.run(
      account?.id ?? '',
      command.id,
      command.houseId,
      command.name,
      JSON.stringify(command.payload ?? null),
      actorId,
      seq,
      JSON.stringify(changes),
      JSON.stringify(outcome),
      at,
    );
  }
}

/** Whose role changed: they read the same rows in another way. */
const otherRole = (changes: readonly Change[]): string[] =>
  changes.flatMap(({ noun, id, made, fields }) => (noun === 'person' && !made && 'role' in fields ? [id] : []));

function addTo(commits: Commits, commit: Commit): void {
  const earlier = commits.get(commit.houseId);
  if (!earlier) return void commits.set(commit.houseId, commit);
  earlier.seq = commit.seq;
  earlier.from = commit.from;
  earlier.written.push(...commit.written);
  earlier.sighted.push(...commit.sighted);
}
