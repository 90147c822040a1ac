import { decide, isHere, type Actor, type Change, type Command, type Note, type Reason, type RecordedCommand } from '@kotiva/core';
import type { Clock } from '../clock.ts';
import type { Raw } from '../db/open.ts';
import { SqliteRows } from '../db/sqlite-rows.ts';
import { readsHours } from '../places/opening-hours.ts';
import { differences, reachesNothing, reachOf, seenInReach } from './reach.ts';

/** What becomes of a command: its place in the house's sequence, or the reason it does not apply. */
export type Outcome = { id: string; outcome: 'accepted'; seq: number; notes: Note[] } | { id: string; outcome: 'refused'; reason: Reason };

export type { Actor };

/** Writes what has to be kept with a command, in its transaction. */
export type Beside = (houseId: string, changes: readonly Change[], rows: SqliteRows, by: { account: Actor | null; now: string }) => void;

/** The one way shared data changes: commands, each in one transaction, each applied once. */
export class Ledger {
  private readonly houses = new Map<string, SqliteRows>();
  private readonly seqs = new Map<string, number>();
  private readonly listeners = new Set<(houseId: string, seq: number) => void>();
  private readonly besides: Beside[] = [];
  private readonly statements;

  constructor(
    private readonly raw: Raw,
    private readonly clock: Clock,
  ) {
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

  rows(houseId: string): SqliteRows {
    const known = this.houses.get(houseId);
    if (known) return known;
    const made = new SqliteRows(this.raw, houseId);
    this.houses.set(houseId, made);
    return made;
  }

  /** The last sequence number of a house; 0 before its first command. */
  seq(houseId: string): number {
    const known = this.seqs.get(houseId) ?? (this.statements.last.get(houseId) as { seq: number } | undefined)?.seq ?? 0;
    this.seqs.set(houseId, known);
    return known;
  }

  /** Called within each transaction, after its rows were written. */
  beside(write: Beside): void {
    this.besides.push(write);
  }

  /** Called after each commit. Returns how to stop listening. */
  onCommit(listener: (houseId: string, seq: number) => void): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  /** Decides and commits one command. A second time it gets its first outcome. */
  apply(command: Pick<Command, 'id' | 'name' | 'houseId' | 'at' | 'seen'> & { payload: unknown }, account: Actor | null): Outcome {
    let seq: number | null = null;
    const outcome = this.inTransaction(command.houseId, () => {
      const known = this.knownOutcome(command.id, account);
      if (known) return known;
      const decided = this.decideAndWrite(command, account);
      seq = decided.outcome === 'accepted' ? decided.seq : null;
      return decided;
    });
    if (seq !== null) for (const listener of this.listeners) listener(command.houseId, seq);
    return outcome;
  }

  private inTransaction(houseId: string, task: () => Outcome): Outcome {
    const { begin, commit, rollback } = this.statements;
    begin.run();
    try {
      const outcome = task();
      commit.run();
      return outcome;
    } catch (error) {
      if (this.raw.inTransaction) rollback.run();
      this.rows(houseId).forget();
      this.seqs.delete(houseId);
      throw error;
    }
  }

  /**
   * What was answered before. An id another account has used is refused: the ids of what a command makes follow from its own,
   * so whoever copied one would write over rows that are not theirs.
   */
  private knownOutcome(id: string, account: Actor | null): Outcome | null {
    const known = this.statements.known.all(id) as { accountId: string; outcome: string }[];
    if (known.length === 0) return null;
    const own = known.find(({ accountId }) => accountId === (account?.id ?? ''));
    return own ? (JSON.parse(own.outcome) as Outcome) : { id, outcome: 'refused', reason: { code: 'malformed', field: 'id', params: { field: 'id' } } };
  }

  private decideAndWrite(command: Pick<Command, 'id' | 'name' | 'houseId' | 'at' | 'seen'> & { payload: unknown }, account: Actor | null): Outcome {
    const rows = this.rows(command.houseId);
    const now = this.clock.now();
    const decision = decide(command, rows, { now, account, readsHours });
    if (decision.outcome === 'unknown') throw new Error(`the server did not hold what ${command.name} needs`);
    if (decision.outcome === 'refused') {
      const outcome: Outcome = { id: command.id, outcome: 'refused', reason: decision.reason };
      this.keep(command, account, null, null, [], outcome, now);
      return outcome;
    }
    const reach = reachOf(decision.changes, rows);
    const watched = !reachesNothing(reach);
    const before = watched ? seenInReach(reach, rows, this.readers(rows)) : null;
    const seq = this.nextSeq(command.houseId);
    const recorded: RecordedCommand = rows.apply(decision.changes, {
      commandId: command.id,
      name: command.name,
      payload: command.payload,
      actorId: decision.actorId,
      seq,
    });
    if (before) {
      const after = seenInReach(reach, rows, this.readers(rows));
      for (const { personId, noun, rowId } of differences(before, after)) this.statements.sight.run(command.houseId, personId, seq, noun, rowId);
    }
    for (const write of this.besides) write(command.houseId, decision.changes, rows, { account, now });
    const outcome: Outcome = { id: command.id, outcome: 'accepted', seq, notes: decision.notes };
    this.keep(command, account, decision.actorId, seq, recorded.changes, outcome, now);
    return outcome;
  }

  private nextSeq(houseId: string): number {
    const seq = this.seq(houseId) + 1;
    if (seq === 1) this.statements.first.run(seq, houseId);
    else this.statements.step.run(seq, houseId);
    this.seqs.set(houseId, seq);
    return seq;
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
    outcome: Outcome,
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
