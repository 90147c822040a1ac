import type { Raw } from '../db/open.ts';

/** Something is due next in a house at this instant, for as long as it stands at this sequence number; null: never. */
export interface HouseDue {
  seq: number;
  at: string | null;
}

/**
 * What was worked out of houses is kept beside them, so that a server that starts looks only into those where something is due or that
 * changed since. Of another build nothing is believed: it may think of other things.
 */
export class HouseDues {
  private readonly statements;
  private readonly unsaved = new Map<string, HouseDue>();

  constructor(
    private readonly raw: Raw,
    private readonly build: string,
  ) {
    this.statements = {
      all: raw.prepare('SELECT d."houseId", d.seq, d.at FROM house_due d JOIN sequence s ON s."houseId" = d."houseId" AND s.seq = d.seq WHERE d.build = ?'),
      keep: raw.prepare(
        'INSERT INTO house_due ("houseId", seq, at, build) VALUES (?, ?, ?, ?) ON CONFLICT ("houseId") DO UPDATE SET seq = excluded.seq, at = excluded.at, build = excluded.build',
      ),
    };
  }

  /** Of every house that has not changed since. */
  all(): Map<string, HouseDue> {
    const found = this.statements.all.all(this.build) as (HouseDue & { houseId: string })[];
    return new Map(found.map(({ houseId, seq, at }) => [houseId, { seq, at }]));
  }

  /** Is written with the next `save`. */
  put(houseId: string, due: HouseDue): void {
    this.unsaved.set(houseId, due);
  }

  /** All in one: nobody waits for it, and what is lost with the power is worked out anew. */
  save(): void {
    if (this.unsaved.size === 0) return;
    this.raw.exec('BEGIN IMMEDIATE');
    try {
      for (const [houseId, { seq, at }] of this.unsaved) this.statements.keep.run(houseId, seq, at, this.build);
      this.raw.exec('COMMIT');
    } catch (error) {
      if (this.raw.inTransaction) this.raw.exec('ROLLBACK');
      throw error;
    }
    this.unsaved.clear();
  }
}
