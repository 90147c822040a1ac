import { isDone } from '../followup/standing.ts';
import type { Item } from '../model/item.ts';
import { byPosition } from '../model/position.ts';
import type { Reader } from '../reader/reader.ts';

/**
 * What goes into a template that is kept from a list, or from an item: all that is not removed, each before its steps. What was done is in it
 * as well, but for what was cleared away and what a chore left behind.
 */
export function rowsToKeep(source: { list?: string; item?: string }, rows: Pick<Reader, 'by' | 'find'>): Item[] {
  const tops = source.list ? itemsOfList(source.list, rows) : [rows.find('item', source.item ?? '')].filter((row) => row !== undefined);
  const ordered: Item[] = [];
  const waiting = tops.reverse();
  const met = new Set<string>();
  for (let item = waiting.pop(); item !== undefined; item = waiting.pop()) {
    if (met.has(item.id)) continue;
    met.add(item.id);
    ordered.push(item);
    const steps = rows.by('item', 'parentId', item.id).filter(({ removedAt }) => removedAt === null);
    waiting.push(...steps.sort(byPosition).reverse());
  }
  return ordered;
}

function itemsOfList(listId: string, rows: Pick<Reader, 'by' | 'find'>): Item[] {
  const list = rows.find('list', listId);
  const clearedAt = list?.clearedAt ?? null;
  const counts = (item: Item) => {
    if (item.parentId !== null || item.removedAt !== null) return false;
    const parts = rows.by('part', 'itemId', item.id);
    if (!isDone(item, parts)) return true;
    return item.seriesId === null && !(clearedAt !== null && parts.every(({ completedAt }) => completedAt === null || completedAt < clearedAt));
  };
  return rows.by('item', 'listId', listId).filter(counts).sort(byPosition);
}
