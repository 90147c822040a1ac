import type { IndexOf, Noun } from '../model/nouns.ts';
import type { Rows } from './finding.ts';

/** What deciding reads through: synchronous, of one house. */
export interface Reader extends Rows {
  /** The whole house is held, as the SQLite connection does: what is not found is not there. A device holds only what its person sees. */
  readonly whole: boolean;
  /** Many lookups of one field are about to be asked for: a store that reads from a disk may read them all at once. */
  lookUp?<N extends Noun>(noun: N, field: IndexOf<N>, values: readonly string[]): void;
  /** A command decided before, for undoing it. */
  command(id: string): RecordedCommand | undefined;
}

/** One row touched by a command: what was written, and what stood there before (null: the row was made). */
export interface RecordedChange {
  noun: Noun;
  id: string;
  before: Record<string, unknown> | null;
}

export interface RecordedCommand {
  id: string;
  name: string;
  actorId: string | null;
  payload: unknown;
  changes: RecordedChange[];
}
