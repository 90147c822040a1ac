import { nudgeRounds, type NudgeRound, type Reader } from '@kotiva/core';
import { v5 } from 'uuid';
import type { Clock } from '../clock.ts';
import type { Raw } from '../db/open.ts';
import type { Ledger } from '../sync/apply.ts';

/** A round of a house that is to come. */
interface Due {
  houseId: string;
  round: NudgeRound;
}

const idOf = ({ houseId, round: { personId, at } }: Due): string => v5(`nudge:${personId}:${at}`, houseId);

/**
 * Sends what is due to be asked. Nothing is remembered here: what comes next follows from the rows, and a round is one command whose
 * id follows from its person and its moment. So it may be cut off anywhere and begun again: nothing is sent twice, nothing is missed.
 */
export class Nudger {
  /** The next round of each house, as long as nothing in it has changed. */
  private readonly known = new Map<string, { seq: number; next: NudgeRound | null }>();

  constructor(
    private readonly raw: Raw,
    private readonly ledger: Ledger,
    private readonly clock: Clock,
  ) {}

  /** Sends every round whose time has come, earliest first; what is overdue is sent once. Returns how many. */
  run(): number {
    let sent = 0;
    let before = '';
    for (let due = this.next(); due !== null && due.round.at <= this.clock.now(); due = this.next()) {
      const id = idOf(due);
      // a round is sent once; met again, its house would have to be looked at by somebody
      if (id === before) throw new Error(`the same round of nudges came twice: ${JSON.stringify(due)}`);
      this.send(due, id);
      before = id;
      sent += 1;
    }
    return sent;
  }

  /** The moment of the next round in any house, or null. */
  nextAt(): string | null {
    return this.next()?.round.at ?? null;
  }

  private send({ houseId, round: { personId, at, partIds } }: Due, id: string): void {
    const payload = { person: personId, parts: partIds, at };
    const outcome = this.ledger.apply({ id, houseId, name: 'nudge.send', payload, at: this.clock.now(), seen: 0 }, null);
    if (outcome.outcome === 'refused') throw new Error(`a round of nudges was refused: ${JSON.stringify(outcome.reason)}`);
  }

  private next(): Due | null {
    let earliest: Due | null = null;
    for (const houseId of this.houses()) {
      const round = this.nextOf(houseId);
      if (round && (earliest === null || round.at < earliest.round.at)) earliest = { houseId, round };
    }
    return earliest;
  }

  private nextOf(houseId: string): NudgeRound | null {
    const seq = this.ledger.seq(houseId);
    const known = this.known.get(houseId);
    if (known?.seq === seq) return known.next;
    const rows: Reader = this.ledger.rows(houseId);
    const house = rows.get('house', houseId);
    const next = typeof house === 'string' ? null : (nudgeRounds(house, rows as never)[0] ?? null);
    this.known.set(houseId, { seq, next });
    return next;
  }

  private houses(): string[] {
    return (this.raw.prepare('SELECT "houseId" FROM sequence').all() as { houseId: string }[]).map(({ houseId }) => houseId);
  }
}
