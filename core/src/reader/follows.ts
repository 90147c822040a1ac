import { INDEXES, lookupValues, type IndexOf, type Noun, type Row } from '../model/nouns.ts';
import type { Rows } from './finding.ts';
import type { ChangedRow } from './tracked.ts';

/**
 * Who looked up what, so that a change says at once whom it concerns: of ten thousand things that were worked out each by itself, those
 * few that have to be worked out anew.
 */
export class Follows {
  /** By lookup, who made it: mostly one. */
  private readonly byLookup = new Map<string, string | Set<string>>();
  private readonly byReader = new Map<string, string[]>();
  private reader = '';
  private made: string[] = [];
  private readonly followed: Rows;

  constructor(rows: Rows) {
    this.followed = {
      find: <N extends Noun>(noun: N, id: string): Row<N> | undefined => {
        this.follow(`${noun} ${id}`);
        return rows.find(noun, id);
      },
      by: <N extends Noun>(noun: N, index: IndexOf<N>, value: string): Row<N>[] => {
        this.follow(`${noun} ${String(index)} ${value}`);
        return rows.by(noun, index, value);
      },
      all: <N extends Noun>(noun: N): Row<N>[] => {
        this.follow(noun);
        return rows.all(noun);
      },
    };
  }

  /** What `reader` makes of the rows, all at once; what it looked up before is forgotten. */
  as<T>(reader: string, read: (rows: Rows) => T): T {
    this.forget(reader);
    this.reader = reader;
    this.made = [];
    const made = read(this.followed);
    this.byReader.set(reader, this.made);
    return made;
  }

  private follow(lookup: string): void {
    const { reader } = this;
    const readers = this.byLookup.get(lookup);
    if (readers === reader) return;
    if (readers === undefined) this.byLookup.set(lookup, reader);
    else if (typeof readers === 'string') this.byLookup.set(lookup, new Set([readers, reader]));
    else if (readers.has(reader)) return;
    else readers.add(reader);
    this.made.push(lookup);
  }

  private forget(reader: string): void {
    for (const lookup of this.byReader.get(reader) ?? []) {
      const readers = this.byLookup.get(lookup);
      if (readers instanceof Set) readers.delete(reader);
      else this.byLookup.delete(lookup);
    }
    this.byReader.delete(reader);
  }

  /** Those to whom a lookup they made could give another answer now. */
  concernedBy(changes: readonly ChangedRow[]): Set<string> {
    const concerned = new Set<string>();
    const tell = (lookup: string): void => {
      const readers = this.byLookup.get(lookup);
      if (typeof readers === 'string') concerned.add(readers);
      else for (const reader of readers ?? []) concerned.add(reader);
    };
    for (const { noun, id, before, after } of changes) {
      tell(noun);
      tell(`${noun} ${id}`);
      for (const index of INDEXES[noun] as readonly string[]) {
        for (const value of before ? lookupValues(noun, index, before) : []) tell(`${noun} ${index} ${value}`);
        for (const value of after ? lookupValues(noun, index, after) : []) tell(`${noun} ${index} ${value}`);
      }
    }
    return concerned;
  }
}
