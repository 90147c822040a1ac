import type { Item } from '../model/item.ts';
import type { Reader } from './reader.ts';

/** Steps under steps, walked without ever going round: broken rows may be wrong, but hang nothing. */

/** A step lies at most so many levels below its item. */
export const DEEPEST = 20;

interface Finds {
  find(noun: 'item', id: string): Item | undefined;
}

/** What stands above an item, the nearest first, as far as it is held; each once. */
export function* above({ id, parentId }: Pick<Item, 'id' | 'parentId'>, rows: Finds): Generator<Item> {
  const met = new Set([id]);
  for (let up = parentId; up !== null && !met.has(up);) {
    met.add(up);
    const parent = rows.find('item', up);
    if (!parent) return;
    yield parent;
    up = parent.parentId;
  }
}

/** An item's id and those of all under it, parents before their steps; each once. */
export function withBelow(itemId: string, rows: Pick<Reader, 'by'>, into: Set<string> = new Set()): Set<string> {
  const waiting = [itemId];
  for (let id = waiting.pop(); id !== undefined; id = waiting.pop()) {
    if (into.has(id)) continue;
    into.add(id);
    for (const step of rows.by('item', 'parentId', id)) waiting.push(step.id);
  }
  return into;
}

/** Whether going up from one thing leads back to it. */
export function goesRound<T extends { id: string }>(one: T, parentOf: (one: T) => T | undefined): boolean {
  const met = new Set([one.id]);
  for (let up = parentOf(one); up !== undefined; up = parentOf(up)) {
    if (met.has(up.id)) return true;
    met.add(up.id);
  }
  return false;
}

/** How many levels there are under an item; no further than is asked. */
export function levelsBelow(itemId: string, most: number, rows: Pick<Reader, 'by'>): number {
  let level = [itemId];
  for (let depth = 0; depth < most; depth++) {
    const next = level.flatMap((id) => rows.by('item', 'parentId', id).map((step) => step.id));
    if (next.length === 0) return depth;
    level = next;
  }
  return most;
}
