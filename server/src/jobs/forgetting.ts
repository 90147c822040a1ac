import { epochOf, instantOf, VISITS_KEPT_DAYS } from '@kotiva/core';
import type { Raw } from '../db/open.ts';

const HOUR_MS = 3_600_000;
/** So long a command that was refused is answered the same again. */
export const REFUSALS_KEPT_DAYS = 30;
const AT_ONCE = 1_000;

/** Commands that are kept for a time only, beside those kept for ever. */
export class Forgetting {
  private next = 0;
  private readonly visits;
  private readonly refusals;

  constructor(raw: Raw) {
    // by which devices told where somebody came and left: gone after as many days as the visits themselves.
    // what forgets a visit holds when it was, and is not needed once it has happened
    this.visits = raw.prepare(`DELETE FROM command WHERE name IN ('visit.report', 'visit.forget') AND at <= CASE name WHEN 'visit.forget' THEN ? ELSE ? END`);
    this.refusals = raw.prepare(`DELETE FROM command WHERE rowid IN (SELECT rowid FROM command WHERE seq IS NULL AND at <= ? LIMIT ${AT_ONCE})`);
  }

  /** About once an hour. */
  run(now: string): void {
    if (epochOf(now) < this.next) return;
    this.visits.run(now, instantOf(epochOf(now) - VISITS_KEPT_DAYS * 24 * HOUR_MS));
    const { changes } = this.refusals.run(instantOf(epochOf(now) - REFUSALS_KEPT_DAYS * 24 * HOUR_MS));
    // where more are left they go the next time
    if (changes < AT_ONCE) this.next = epochOf(now) + HOUR_MS;
  }
}
