import { epochOf, instantOf, isHere, WINDOW_MS, type Reader } from '@kotiva/core';
import type { Clock } from '../clock.ts';
import type { Raw } from '../db/open.ts';
import type { Ledger } from '../sync/apply.ts';
import { VisitReports } from './visit-reports.ts';
import { PLANNERS, roundOf, type Due } from './planners.ts';

/**
 * Does what is due by the clock of each house. Nothing is remembered here: what comes next follows from the rows, and each is one
 * command whose id follows from what it is about and its moment. So it may be cut off anywhere and begun again: nothing happens
 * twice, nothing is missed.
 */
export class Timers {
  /** What comes next in each house, as long as nothing in it has changed. */
  private readonly known = new Map<string, { seq: number; next: Due | null }>();

  private readonly reports: VisitReports;

  constructor(
    private readonly raw: Raw,
    private readonly ledger: Ledger,
    private readonly clock: Clock,
  ) {
    this.reports = new VisitReports(raw);
  }

  /** Does everything whose time has come, earliest first; what is overdue happens once. Returns how many. */
  run(): number {
    this.reports.forget(this.clock.now());
    let done = 0;
    let before = '';
    for (let due = this.next(); due !== null && due.at <= this.clock.now(); due = this.next()) {
      // each happens once; met again, its house would have to be looked at by somebody
      if (due.id === before) throw new Error(`the same thing fell due twice: ${JSON.stringify(due)}`);
      this.give(due);
      if (due.name === 'nudge.send') this.pullForward(due);
      before = due.id;
      done += 1;
    }
    return done;
  }

  /** The moment of what comes next in any house, or null. */
  nextAt(): string | null {
    return this.next()?.at ?? null;
  }

  /** The window a nudge opens is the account's: what it would be asked in its other houses within it is asked now. */
  private pullForward({ houseId, payload }: Due): void {
    const { person: personId } = payload as { person: string };
    const person = this.ledger.rows(houseId).get('person', personId);
    if (typeof person === 'string' || person.accountId === null) return;
    const until = instantOf(epochOf(this.clock.now()) + WINDOW_MS);
    for (const other of this.houses()) {
      if (other === houseId) continue;
      const rows: Reader = this.ledger.rows(other);
      const house = rows.get('house', other);
      const self = rows.by('person', 'accountId', person.accountId).find(isHere);
      const due = typeof house === 'string' || !self ? null : roundOf(self.id, until, house, rows);
      if (due) this.give(due);
    }
  }

  private give({ id, houseId, name, payload }: Due): void {
    const outcome = this.ledger.apply({ id, houseId, name, payload, at: this.clock.now(), seen: 0 }, null);
    if (outcome.outcome === 'refused') throw new Error(`${name} was refused: ${JSON.stringify(outcome.reason)}`);
  }

  private next(): Due | null {
    let earliest: Due | null = null;
    for (const houseId of this.houses()) {
      const due = this.nextOf(houseId);
      if (due && (earliest === null || due.at < earliest.at)) earliest = due;
    }
    return earliest;
  }

  private nextOf(houseId: string): Due | null {
    const seq = this.ledger.seq(houseId);
    const known = this.known.get(houseId);
    if (known?.seq === seq) return known.next;
    const rows: Reader = this.ledger.rows(houseId);
    const house = rows.get('house', houseId);
    const dues = typeof house === 'string' ? [] : PLANNERS.map((plan) => plan(house, rows, this.clock.now()));
    const next = dues.reduce((first, due) => (due && (!first || due.at < first.at) ? due : first), null);
    this.known.set(houseId, { seq, next });
    return next;
  }

  private houses(): string[] {
    return (this.raw.prepare('SELECT "houseId" FROM sequence').all() as { houseId: string }[]).map(({ houseId }) => houseId);
  }
}
