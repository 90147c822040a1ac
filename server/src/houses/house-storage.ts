import type { IndexOf, Noun, RecordedCommand, Row } from '@kotiva/core';

/** In place of noun and id where somebody's devices are to fetch everything anew. */
export const RESET = '*';

/** Somebody sees a row since a commit, or doesn't any more; `RESET` in place of noun and id: everything is to be fetched anew. */
export interface Sighted {
  personId: string;
  noun: Noun | typeof RESET;
  rowId: string;
}

/** A row a person's devices are missing. */
export interface ChangedKey {
  noun: Noun;
  id: string;
  seq: number;
  /** 1: it came into somebody's sight, or went out of it. */
  sighted: 0 | 1;
}

/** A row a device that begins is given, with whose it is where it is somebody's alone. */
export interface BeginningKey extends ChangedKey {
  sighted: 0;
  personId: string | null;
}

/** A command as the log has it; one that was refused has no `seq`. */
export interface LoggedCommand {
  /** Empty: the system's own. */
  accountId: string;
  id: string;
  houseId: string;
  name: string;
  payload: unknown;
  actorId: string | null;
  seq: number | null;
  /** What undoing it needs to know. */
  changes: RecordedCommand['changes'];
  /** What was answered, as JSON. */
  outcome: string;
  /** The moment it was decided at. */
  at: string;
}

/** What went wrong: `storage`: the machine, and the same may go well later; `taken`: a row of that id or that token is there already. */
export type Fault = 'storage' | 'taken';

/** A house has gone on since it was read: what was decided rests on what is no longer so. */
export class HouseMoved extends Error {
  constructor(houseId: string, since: number) {
    super(`house ${houseId} no longer stands at ${since}`);
  }
}

/** What is written in one commit. */
export interface HouseWriter {
  /** Throws what `faultOf` calls `taken` where a row of that id is there, of whichever house. */
  insert(noun: Noun, row: Row): void;
  /** Some fields of a row that is there. */
  update(noun: Noun, row: Row, fields: readonly string[]): void;
  log(command: LoggedCommand): void;
  sight(houseId: string, seq: number, sighted: Sighted): void;
  /** The first sequence number of a day (a date, in UTC); a later one of the same day changes nothing. */
  beginDay(houseId: string, day: string, seq: number): void;
  /** Whether somebody has still to do with an item. */
  setLiving(houseId: string, itemId: string, lives: boolean): void;
  /** The house stood at `since` while this was decided, and stands at `seq` now. Throws {@link HouseMoved} where it stood elsewhere. */
  stand(houseId: string, since: number, seq: number): void;
}

/**
 * Where houses are kept: their rows, the log of their commands, and who came to see what. The one thing beneath the ledger; what implements
 * it is tried by the same tests (`testing/house-storage.contract.ts`). Nothing above it that decides or commits knows SQL.
 */
export interface HouseStorage {
  /** The last sequence number of a house; 0 before its first command. */
  seqOf(houseId: string): number;
  find<N extends Noun>(houseId: string, noun: N, id: string): Row<N> | undefined;
  /** The rows of a lookup. Throws where rows are not looked up by it. */
  by<N extends Noun>(houseId: string, noun: N, index: IndexOf<N>, value: string): Row<N>[];
  all<N extends Noun>(houseId: string, noun: N): Row<N>[];
  /** Rows by their ids or by the values of a field they are looked up by, asked for together. */
  among<N extends Noun>(houseId: string, noun: N, field: string, values: readonly string[]): Row<N>[];
  /** All rows of a noun a page at a time. What is written meanwhile may come again or not at all. */
  pages<N extends Noun>(houseId: string, noun: N): Iterable<Row<N>[]>;
  /** A command that was accepted. */
  command(houseId: string, id: string): RecordedCommand | undefined;
  /** What was answered to a command of this id, by each account that used it. */
  outcomesOf(id: string): Pick<LoggedCommand, 'accountId' | 'outcome'>[];

  /** The first sequence number on this day or later; null: nothing happened since. */
  firstSince(houseId: string, day: string): number | null;
  /** Whether days are known of a house at all. */
  hasDays(houseId: string): boolean;
  /** What was written, or came into or went out of a person's sight, after `since` up to `until`: in its order, at most `limit`. */
  changedKeys(asked: { houseId: string; personId: string; since: number; until: number; limit: number }): ChangedKey[];
  /** Whether a person's devices were told after `since` to begin anew. */
  isReset(houseId: string, personId: string, since: number): boolean;
  /** What a device that begins is to hold of a house whose window begins after `from`; `today`: slots from this day on are held anyway. */
  beginningKeys(houseId: string, from: number, today: string): BeginningKey[];
  /** What a person was told up to `from` and has not read: the newest first, at most `limit`. */
  unreadUntil(personId: string, from: number, limit: number): BeginningKey[];

  /** All that is written is kept, or nothing of it: where the task throws, and where it can't be kept, which is thrown. */
  commit<T>(task: (writer: HouseWriter) => T): T;
  /** What an error it threw says; null: it is not its own. */
  faultOf(error: unknown): Fault | null;
}
