import type { Rows } from '../reader/finding.ts';
import type { Item } from '../model/item.ts';
import { lookupValues, YES } from '../model/nouns.ts';
import type { Part } from '../model/part.ts';
import type { ChangedRow } from '../reader/tracked.ts';
import { addDays } from '../time/clock.ts';

/** A day of some zone lies in the one before it, its own and the one after it of UTC. */
const AROUND = [-1, 0, 1];

/** Items somebody still has in hand: whatever else there is, is done or nobody's any more. */
export const openItems = (rows: Rows): Item[] => itemsOf(openIds(rows), rows);

/** The same, and what was done around a day: nothing else shows on that day. */
export function itemsInPlay(date: string, rows: Rows): Item[] {
  const ids = openIds(rows);
  for (const day of daysAround(date)) for (const { itemId } of rows.by('part', 'completedDay', day)) ids.add(itemId);
  return itemsOf(ids, rows);
}

/** The days in which what was done on that day may lie. */
export const daysAround = (date: string): string[] => AROUND.map((days) => addDays(date, days));

/** Of one item whether it is in play on a day, with the days around it: the item, or null. */
export function inPlayOn(around: readonly string[], id: string, rows: Rows): Item | null {
  const item = rows.find('item', id);
  if (item === undefined || item.removedAt !== null) return null;
  const isIn = (part: Part) =>
    lookupValues('part', 'open', part).includes(YES) || lookupValues('part', 'completedDay', part).some((day) => around.includes(day));
  return rows.by('part', 'itemId', id).some(isIn) ? item : null;
}

/** The items changes are of, or of parts of which they are: also of those nobody has looked up yet. */
export function itemsTouchedBy(changes: readonly ChangedRow[]): Set<string> {
  const touched = new Set<string>();
  for (const { noun, id, before, after } of changes) {
    if (noun === 'item') touched.add(id);
    if (noun === 'part') for (const part of [before, after]) if (part) touched.add((part as Part).itemId);
  }
  return touched;
}

/** Items due, or that somebody means to do, in the months from one day to another, and no others of those days. */
export function itemsBetween(from: string, to: string, rows: Rows): Item[] {
  const ids = new Set<string>();
  for (let month = from.slice(0, 7); month <= to.slice(0, 7); month = monthAfter(month)) {
    for (const { id } of rows.by('item', 'dueMonth', month)) ids.add(id);
    for (const { itemId } of rows.by('part', 'planMonth', month)) ids.add(itemId);
  }
  return itemsOf(ids, rows);
}

const monthAfter = (month: string): string => addDays(`${month}-28`, 4).slice(0, 7);

const openIds = (rows: Rows): Set<string> => new Set(rows.by('part', 'open', YES).map(({ itemId }) => itemId));

function itemsOf(ids: ReadonlySet<string>, rows: Rows): Item[] {
  const found: Item[] = [];
  for (const id of ids) {
    const item = rows.find('item', id);
    if (item !== undefined && item.removedAt === null) found.push(item);
  }
  return found;
}
