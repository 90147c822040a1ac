import { CLUSTERED, epochOf, instantOf, isHeldByAll, isLiving, WINDOW_DAYS, type Change, type Noun } from '@kotiva/core';
import type { Raw } from '../db/open.ts';
import type { SqliteRows } from '../db/sqlite-rows.ts';

const DAY_MS = 86_400_000;

/**
 * Which part of a house its devices hold. Keeps the two things SQL needs to find it: where each day begins, and what somebody has still to
 * do with. How it is chosen: {@link isHeldByAll} and its file.
 */
export class Window {
  private readonly statements;
  private readonly starts = new Map<string, { day: string; from: number }>();
  /** The last day that was marked, by house. */
  private readonly marked = new Map<string, string>();

  constructor(raw: Raw) {
    this.statements = {
      marks: raw.prepare('INSERT OR IGNORE INTO house_day ("houseId", day, seq) VALUES (?, ?, ?)'),
      first: raw.prepare('SELECT MIN(seq) AS seq FROM house_day WHERE "houseId" = ? AND day >= ?'),
      isMarked: raw.prepare('SELECT 1 FROM house_day WHERE "houseId" = ? LIMIT 1'),
      lives: raw.prepare('INSERT OR IGNORE INTO living ("houseId", "itemId") VALUES (?, ?)'),
      rests: raw.prepare('DELETE FROM living WHERE "houseId" = ? AND "itemId" = ?'),
    };
  }

  /** The number of the last command before the window of a house that stands at `seq`: 0 where it holds everything. */
  from(houseId: string, seq: number, now: string): number {
    const day = now.slice(0, 10);
    const known = this.starts.get(houseId);
    if (known?.day === day) return known.from;
    const { seq: first } = this.statements.first.get(houseId, dayOf(now, -WINDOW_DAYS)) as { seq: number | null };
    const from = first !== null ? first - 1 : this.statements.isMarked.get(houseId) ? seq : 0;
    this.starts.set(houseId, { day, from });
    return from;
  }

  /** Marks where a day begins, and what somebody has still to do with after a command. In its transaction. */
  follow(houseId: string, seq: number, now: string, changes: readonly Change[], rows: SqliteRows): void {
    if (this.isNewDay(houseId, now)) this.statements.marks.run(houseId, now.slice(0, 10), seq);
    for (const itemId of itemsIn(changes, rows, ['item', 'part'])) {
      const item = rows.find('item', itemId);
      if (item === undefined) continue;
      this.statements[isLiving(item, rows.by('part', 'itemId', itemId)) ? 'lives' : 'rests'].run(houseId, itemId);
    }
  }

  /** The items of what a command writes that some device of those who see them may not hold. Asked before it is written. */
  notHeldByAll(houseId: string, from: number, changes: readonly Change[], rows: SqliteRows): string[] {
    if (from === 0) return [];
    return [...itemsIn(changes, rows, ['item', ...CLUSTERED])].filter((itemId) => {
      const item = rows.find('item', itemId);
      return item !== undefined && item.purgedAt === null && !isHeldByAll(item, rows.by('part', 'itemId', itemId), from);
    });
  }

  /** A transaction was undone, or what was known of a house may be wrong. */
  forget(houseId: string): void {
    this.starts.delete(houseId);
    this.marked.delete(houseId);
  }

  private isNewDay(houseId: string, now: string): boolean {
    const day = now.slice(0, 10);
    if (this.marked.get(houseId) === day) return false;
    this.marked.set(houseId, day);
    return true;
  }
}

/** A date so many days from now, in UTC: of a house it may be the next or the one before. */
export const dayOf = (now: string, days: number): string => instantOf(epochOf(now) + days * DAY_MS).slice(0, 10);

/** The items some changes are about, of these nouns. */
function itemsIn(changes: readonly Change[], rows: SqliteRows, nouns: readonly Noun[]): Set<string> {
  const found = new Set<string>();
  for (const { noun, id, made, fields } of changes) {
    if (!nouns.includes(noun)) continue;
    const row = made ? fields : rows.find(noun, id);
    const itemId = noun === 'item' ? id : row === undefined ? null : (row as { itemId?: string | null }).itemId;
    if (itemId) found.add(itemId);
  }
  return found;
}
