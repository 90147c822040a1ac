import { epochOf, instantOf, VISITS_KEPT_DAYS } from '@kotiva/core';
import type { Raw } from '../db/open.ts';

const HOUR_MS = 3_600_000;

/** The commands by which devices told where somebody came and left: gone after as many days as the visits themselves. */
export class VisitReports {
  private next = 0;
  private readonly old;

  constructor(raw: Raw) {
    // what forgets a visit holds when it was, and is not needed once it has happened
    this.old = raw.prepare(`DELETE FROM command WHERE name IN ('visit.report', 'visit.forget') AND at <= CASE name WHEN 'visit.forget' THEN ? ELSE ? END`);
  }

  /** At most once an hour. */
  forget(now: string): void {
    if (epochOf(now) < this.next) return;
    this.next = epochOf(now) + HOUR_MS;
    this.old.run(now, instantOf(epochOf(now) - VISITS_KEPT_DAYS * 24 * HOUR_MS));
  }
}
