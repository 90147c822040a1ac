import { lookupValues, type IndexOf, type Noun, type Row } from '../model/nouns.ts';
import type { Reader, RecordedCommand } from './reader.ts';

/** A row that is another one now, came or went. */
export interface ChangedRow {
  noun: Noun;
  id: string;
  before: Row | undefined;
  after: Row | undefined;
}

/** Something worked out of rows, that knows what it was worked out of. */
export interface Touched {
  /** Whether a change could make it another one. */
  isTouchedBy(changes: readonly ChangedRow[]): boolean;
}

/** The lookups somebody made, so that it can be said whether a change could give another answer to any of them. */
class Lookups {
  private readonly found = new Map<Noun, Set<string>>();
  private readonly by = new Map<Noun, Map<string, Set<string>>>();
  private readonly all = new Set<Noun>();

  byId(noun: Noun, id: string): void {
    const ids = this.found.get(noun);
    if (ids) ids.add(id);
    else this.found.set(noun, new Set([id]));
  }

  byIndex(noun: Noun, index: string, value: string): void {
    let indexes = this.by.get(noun);
    if (!indexes) this.by.set(noun, (indexes = new Map<string, Set<string>>()));
    const values = indexes.get(index);
    if (values) values.add(value);
    else indexes.set(index, new Set([value]));
  }

  ofAll(noun: Noun): void {
    this.all.add(noun);
  }

  isTouchedBy({ noun, id, before, after }: ChangedRow): boolean {
    if (this.all.has(noun) || this.found.get(noun)?.has(id)) return true;
    for (const [index, values] of this.by.get(noun) ?? []) {
      if (before && lookupValues(noun, index, before).some((value) => values.has(value))) return true;
      if (after && lookupValues(noun, index, after).some((value) => values.has(value))) return true;
    }
    return false;
  }
}

/**
 * Rows as somebody reads them who wants to know when what they read is no longer so. What is read is always what holds at that moment;
 * what was read is remembered, and `isTouchedBy` says whether a change concerns any of it. A command looked up for undoing is not followed.
 */
export class TrackedRows implements Reader, Touched {
  private readonly lookups = new Lookups();
  private readonly others = new Map<string, Touched>();

  /** `now` gives the rows that hold. */
  constructor(private readonly now: () => Reader) {}

  get whole(): boolean {
    return this.now().whole;
  }

  find<N extends Noun>(noun: N, id: string): Row<N> | undefined {
    this.lookups.byId(noun, id);
    return this.now().find(noun, id);
  }

  by<N extends Noun>(noun: N, index: IndexOf<N>, value: string): Row<N>[] {
    this.lookups.byIndex(noun, String(index), value);
    return this.now().by(noun, index, value);
  }

  all<N extends Noun>(noun: N): Row<N>[] {
    this.lookups.ofAll(noun);
    return this.now().all(noun);
  }

  command(id: string): RecordedCommand | undefined {
    return this.now().command(id);
  }

  /** What was read for something under that name counts as read here: it was taken over, in place of what it was before. */
  takeOver(name: string, other: Touched): void {
    this.others.set(name, other);
  }

  isTouchedBy(changes: readonly ChangedRow[]): boolean {
    if (changes.some((change) => this.lookups.isTouchedBy(change))) return true;
    for (const other of this.others.values()) if (other.isTouchedBy(changes)) return true;
    return false;
  }
}
