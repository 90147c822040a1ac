import { FILES_KEPT_DAYS, epochOf, instantOf } from '@kotiva/core';
import type { Raw } from '../db/open.ts';

const DAY_MS = 86_400_000;

/** Bytes. */
export interface FileLimits {
  file: number;
  house: number;
}

/** Before this moment whatever was taken away is gone. */
export const keptSince = (now: string): string => instantOf(epochOf(now) - FILES_KEPT_DAYS * DAY_MS);

/** How much of its room a house uses: each file once, and what is on its way. */
export class HouseRoom {
  private readonly statements;

  constructor(
    raw: Raw,
    readonly limits: FileLimits,
  ) {
    this.statements = {
      kept: raw.prepare(
        'SELECT COALESCE(SUM(size), 0) AS bytes FROM (SELECT DISTINCT sha256, size FROM attachment WHERE "houseId" = ? AND sha256 IS NOT NULL AND ("removedAt" IS NULL OR "removedAt" > ?))',
      ),
      coming: raw.prepare('SELECT COALESCE(SUM(size), 0) AS bytes FROM upload WHERE "houseId" = ? AND id <> ?'),
      reserve: raw.prepare(
        'INSERT INTO upload (id, "houseId", size, at) VALUES (?, ?, ?, ?) ON CONFLICT (id) DO UPDATE SET size = excluded.size, at = excluded.at',
      ),
      release: raw.prepare('DELETE FROM upload WHERE id = ?'),
      all: raw.prepare('SELECT id, "houseId", size, at FROM upload WHERE id > ? ORDER BY id LIMIT 100'),
    };
  }

  /** Bytes used, but for one file on its way. */
  used(houseId: string, now: string, butFor = ''): number {
    const { kept, coming } = this.statements;
    return (kept.get(houseId, keptSince(now)) as { bytes: number }).bytes + (coming.get(houseId, butFor) as { bytes: number }).bytes;
  }

  /** Takes the room for a file on its way; false: there is not enough. Two at once are asked one after the other. */
  reserve(id: string, houseId: string, size: number, now: string): boolean {
    if (this.used(houseId, now, id) + size > this.limits.house) return false;
    this.statements.reserve.run(id, houseId, size, now);
    return true;
  }

  release(id: string): void {
    this.statements.release.run(id);
  }

  /** What is on its way, in pages. */
  *coming(): Generator<{ id: string; houseId: string; size: number; at: string }> {
    for (let after = ''; ;) {
      const page = this.statements.all.all(after) as { id: string; houseId: string; size: number; at: string }[];
      yield* page;
      const last = page.at(-1);
      if (!last) return;
      after = last.id;
    }
  }
}
