import { CLUSTERED, epochOf, instantOf, isHeldByAll, isLiving, WINDOW_DAYS, type Change, type Noun } from '@kotiva/core';
import type { HouseRows } from '../houses/house-rows.ts';
import type { HouseStorage, HouseWriter } from '../houses/house-storage.ts';

const DAY_MS = 86_400_000;

/**
 * Which part of a house its devices hold. Keeps the two things storage needs to find it: where each day begins, and what somebody has still to
 * do with. How it is chosen: {@link isHeldByAll} and its file.
 */
export class Window {
  private readonly starts = new Map<string, { day: string; from: number }>();
  /** The last day that was marked, by house. */
  private readonly marked = new Map<string, string>();

  constructor(private readonly storage: HouseStorage) {}

  /** The number of the last command before the window of a house that stands at `seq`: 0 where it holds everything. */
  from(houseId: string, seq: number, now: string): number {
    const day = now.slice(0, 10);
    const known = this.starts.get(houseId);
    if (known?.day === day) return known.from;
    const first = this.storage.firstSince(houseId, dayOf(now, -WINDOW_DAYS));
    const from = first !== null ? first - 1 : this.storage.hasDays(houseId) ? seq : 0;
    this.starts.set(houseId, { day, from });
    return from;
  }

  /** Marks where a day begins, and what somebody has still to do with after a command. In its transaction. */
  follow(houseId: string, seq: number, now: string, changes: readonly Change[], rows: HouseRows, writer: HouseWriter): void {
    if (this.isNewDay(houseId, now)) writer.beginDay(houseId, now.slice(0, 10), seq);
    for (const itemId of itemsIn(changes, rows, ['item', 'part'])) {
      const item = rows.find('item', itemId);
      if (item === undefined) continue;
      writer.setLiving(houseId, itemId, isLiving(item, rows.by('part', 'itemId', itemId)));
    }
  }

  /** The items of what a command writes that some device of those who see them may not hold. Asked before it is written. */
  notHeldByAll(houseId: string, from: number, changes: readonly Change[], rows: HouseRows): string[] {
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
function itemsIn(changes: readonly Change[], rows: HouseRows, nouns: readonly Noun[]): Set<string> {
  const found = new Set<string>();
  for (const { noun, id, made, fields } of changes) {
    if (!nouns.includes(noun)) continue;
    const row = made ? fields : rows.find(noun, id);
    const itemId = noun === 'item' ? id : row === undefined ? null : (row as { itemId?: string | null }).itemId;
    if (itemId) found.add(itemId);
  }
  return found;
}
