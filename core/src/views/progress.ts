import type { Rows } from '../reader/finding.ts';
import { isDone } from '../followup/standing.ts';
import type { Item } from '../model/item.ts';
import type { List } from '../model/list.ts';
import { contentsOf } from './list-contents.ts';

/** How far something has come. In minutes where every effort is known, by count otherwise: figure and band use the same measure. */
export interface Measure {
  done: number;
  of: number;
  unit: 'minutes' | 'count';
}

/** Completed top items of a list ÷ its top items; what was cleared out of sight counts in neither. */
export function progressOfList(list: Pick<List, 'id' | 'clearedAt'>, rows: Rows): Measure {
  const { open, done } = contentsOf(list, rows);
  return measure([...open, ...done], rows);
}

export function measure(items: readonly Item[], rows: Rows): Measure {
  const done = items.filter((item) => isDone(item, rows.by('part', 'itemId', item.id)));
  if (items.length === 0 || items.some((item) => item.effort === null)) return { done: done.length, of: items.length, unit: 'count' };
  const minutes = (some: readonly Item[]) => some.reduce((sum, item) => sum + item.effort!, 0);
  return { done: minutes(done), of: minutes(items), unit: 'minutes' };
}
