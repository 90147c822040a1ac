import type { IndexOf, Noun, Row } from '../model/nouns.ts';

/** What looking for one row gives: the row, the certainty that there is none, or no knowledge. */
export type Held<N extends Noun> = Row<N> | 'absent' | 'not-held';

/**
 * What deciding reads through: synchronous, of one house. The SQLite connection answers `absent` for what is not there;
 * a device, which holds only what its person sees, answers `not-held`.
 */
export interface Reader {
  get<N extends Noun>(noun: N, id: string): Held<N>;
  /** The rows held whose field has that value, in no particular order. */
  by<N extends Noun>(noun: N, field: IndexOf<N>, value: string): Row<N>[];
  all<N extends Noun>(noun: N): Row<N>[];
  /** Many lookups of one field are about to be asked for: a store that reads from a disk may read them all at once. */
  lookUp?<N extends Noun>(noun: N, field: IndexOf<N>, values: readonly string[]): void;
  /** A command decided before, for undoing it. */
  command(id: string): RecordedCommand | 'absent' | 'not-held';
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
