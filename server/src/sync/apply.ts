import { isHere, MemoryRows, type Actor, type Change, type Command, type Note, type Noun, type Reason, type Row, type Slice } from '@kotiva/core';
import { decide, slicesOfCommand } from '@kotiva/core/commands';
import { createHash } from 'node:crypto';
import type { Clock } from '../clock.ts';
import { HeldHouses, mostHeldIn, USUAL_CACHE_MB } from '../houses/held-houses.ts';
import type { HouseRows } from '../houses/house-rows.ts';
import { HouseMoved, RESET, type HouseStorage, type HouseWriter, type LoggedCommand, type Sighted } from '../houses/house-storage.ts';
import { readsHours } from '../places/opening-hours.ts';
import { differences, isScopeLarge, isScopeEmpty, visibilityScopeOf, seenInScope, sightsOf } from './visibility-scope.ts';
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
export type TransactionHook = (houseId: string, changes: readonly Change[], rows: HouseRows, by: { account: Actor | null; now: string }) => void;

/** So often a group is decided anew where a house had gone on meanwhile. */
const MOST_TRIES = 5;

/** A house that does not exist. */
const NOTHING = new MemoryRows('all');

/** The one way shared data changes: commands, each in one transaction, each applied once. */
export class Ledger {
  private readonly houses;
  private readonly seqs = new Map<string, number>();
  private readonly listeners = new Set<(commit: Commit) => void>();
  private readonly besides: TransactionHook[] = [];
  readonly window: Window;

  constructor(
    private readonly storage: HouseStorage,
    private readonly clock: Clock,
    cacheMb = USUAL_CACHE_MB,
  ) {
    this.houses = new HeldHouses(storage, mostHeldIn(cacheMb));
    this.window = new Window(storage);
  }

  /** The rows of a house. Of one that does not exist nothing is kept: anybody can ask for any id. */
  rows(houseId: string): HouseRows {
    return this.houses.of(houseId, () => this.exists(houseId));
  }

  /** The last sequence number of a house; 0 before its first command. */
  seq(houseId: string): number {
    const known = this.seqs.get(houseId);
    if (known !== undefined) return known;
    const seq = this.storage.seqOf(houseId);
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

  /** The machine is at fault, not what was given: nothing of it has happened, and the same may go well later. */
  isFaultOfStorage(error: unknown): boolean {
    return this.storage.faultOf(error) === 'storage';
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
      if (this.storage.faultOf(error) !== 'taken') throw error;
      // what another house has already, such as the token of an invitation
      return { id: command.id, outcome: 'refused', reason: { code: 'taken', params: {} } };
    }
  }

  /**
   * Decides what came in together in its order, each on what those before it wrote, and commits it at once: one write to the disk for all
   * of it. Gives for each its outcome, or the fault it was decided with. It ends when `enough` says so after one of them: the rest is still
   * to be given. Throws what a write or the commit fails with: then nothing of it has happened. Where a house had gone on since it was read,
   * by another process, all of it is decided anew.
   */
  applyGroup(given: readonly Given[], enough: () => boolean = () => false): (CommandOutcome | Error)[] {
    for (let tries = 1; ; tries++) {
      try {
        return this.tryGroup(given, enough);
      } catch (error) {
        if (!(error instanceof HouseMoved) || tries === MOST_TRIES) throw error;
      }
    }
  }

  private tryGroup(given: readonly Given[], enough: () => boolean): (CommandOutcome | Error)[] {
    const commits: Commits = new Map();
    const outcomes: (CommandOutcome | Error)[] = [];
    const houses = new Set(given.map(({ command }) => command.houseId));
    this.inTransaction(houses, (writer) => {
      const stood = [...houses].map((houseId) => [houseId, this.seq(houseId)] as const);
      for (const { command, account, how = {} } of given) {
        outcomes.push(this.knownOutcome(command.id, account) ?? this.decideAndWrite(command, account, how, commits, writer));
        if (enough()) break;
      }
      for (const [houseId, since] of stood) writer.stand(houseId, since, this.seq(houseId));
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

  private inTransaction(houses: ReadonlySet<string>, task: (writer: HouseWriter) => void): void {
    this.houses.trim(houses);
    try {
      this.storage.commit(task);
    } catch (error) {
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
    const known = this.storage.outcomesOf(id).filter(({ accountId }) => (accountId === '') === (account === null));
    if (known.length === 0) return null;
    const own = known.find(({ accountId }) => accountId === (account?.id ?? ''));
    return own ? (JSON.parse(own.outcome) as CommandOutcome) : { id, outcome: 'refused', reason: { code: 'malformed', field: 'id', params: { field: 'id' } } };
  }

  private decideAndWrite(command: NewCommand, account: Actor | null, how: How, commits: Commits, writer: HouseWriter): CommandOutcome | Error {
    const { now = this.clock.now(), ...slicing } = how;
    const rows = this.rows(command.houseId);
    const decision = this.decided(command, { ...slicing, now, account }, rows);
    if (decision instanceof Error) return decision;
    if (decision.outcome === 'refused') {
      const outcome: CommandOutcome = { id: command.id, outcome: 'refused', reason: decision.reason };
      if (account !== null && this.isMember(account, command.houseId)) this.keepRefusal(command, account, outcome, now, writer);
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
    const { actorId } = decision;
    const by = { commandId: command.id, name: command.name, payload: command.payload, actorId, seq };
    const { record, rows: written } = rows.write(decision.changes, by, writer);
    const sighted: Sighted[] = before ? [...differences(before, seenInScope(reach, rows, concerned()))] : [];
    if (beyond.length > 0) sighted.push(...sightsOf(beyond, rows, this.readers(rows)));
    // who sees what is not compared row by row: their devices begin anew
    const anew = tooFar ? concerned().map(({ id }) => id) : otherRole(decision.changes);
    for (const personId of anew) sighted.push({ personId, noun: RESET, rowId: RESET });
    for (const one of sighted) writer.sight(command.houseId, seq, one);
    this.window.follow(command.houseId, seq, now, decision.changes, rows, writer);
    for (const write of this.besides) write(command.houseId, decision.changes, rows, { account, now });
    const outcome: CommandOutcome = { id: command.id, outcome: 'accepted', seq, notes: decision.notes };
    writer.log(logged(command, account, outcome, { actorId, seq, changes: record.changes, at: now }));
    addTo(commits, { houseId: command.houseId, since: seq - 1, seq, from, written, sighted });
    return outcome;
  }

  /** A fault while deciding is this command's alone: nothing was written yet. */
  private decided(command: NewCommand, how: Omit<How, 'now'> & { now: string; account: Actor | null }, rows: HouseRows) {
    try {
      const decision = decide(command, this.exists(command.houseId) ? rows : NOTHING, { ...how, readsHours });
      return decision.outcome === 'unknown' ? new Error(`the server did not hold what ${command.name} needs`) : decision;
    } catch (error) {
      if (this.isFaultOfStorage(error)) throw error;
      return error instanceof Error ? error : new Error(String(error));
    }
  }

  private nextSeq(houseId: string): number {
    const seq = this.seq(houseId) + 1;
    this.seqs.set(houseId, seq);
    return seq;
  }

  /** Of a member's command that was refused only what a second answer needs is kept, and not for ever; of anybody else's nothing. */
  private keepRefusal(
    command: Pick<Command, 'id' | 'name' | 'houseId'> & { payload: unknown },
    account: Actor,
    outcome: CommandOutcome,
    at: string,
    writer: HouseWriter,
  ): void {
    const sha256 = createHash('sha256')
      .update(JSON.stringify(command.payload ?? null))
      .digest('hex');
    writer.log(logged({ ...command, payload: { sha256 } }, account, outcome, { actorId: null, seq: null, changes: [], at }));
  }

  private isMember(account: Actor, houseId: string): boolean {
    if (!this.exists(houseId)) return false;
    const rows = this.rows(houseId);
    const person = account.personId === undefined ? rows.by('person', 'accountId', account.id).find(isHere) : rows.find('person', account.personId);
    return person !== undefined && isHere(person);
  }

  private readers(rows: HouseRows) {
    return rows.all('person').filter((person) => person.accountId !== null || !isHere(person));
  }
}

const logged = (
  { id, houseId, name, payload }: Pick<NewCommand, 'id' | 'name' | 'houseId' | 'payload'>,
  account: Actor | null,
  outcome: CommandOutcome,
  rest: Pick<LoggedCommand, 'actorId' | 'seq' | 'changes' | 'at'>,
): LoggedCommand => ({ accountId: account?.id ?? '', id, houseId, name, payload, outcome: JSON.stringify(outcome), ...rest });

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
