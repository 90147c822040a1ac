import type { ChangedRow, Filter, PlanView, Reader } from '@kotiva/core';
import { KeptMatches } from '@kotiva/core/filtering';
import { asNow, Kept } from '@/store/kept.ts';

/** What meets a filter, which takes what changed and nothing else. */
export class MatchesKept extends Kept {
  private readonly matches: KeptMatches;

  constructor(at: string, now: () => Reader, filter: Filter, view: PlanView, before: Kept | undefined) {
    super(at);
    this.matches = new KeptMatches(filter, view, asNow(now), before instanceof MatchesKept ? before.matches : null);
  }

  get value(): KeptMatches['entries'] {
    return this.matches.entries;
  }

  protected follow(changes: readonly ChangedRow[]): boolean {
    return this.matches.take(changes);
  }
}
