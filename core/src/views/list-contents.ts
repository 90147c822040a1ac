import type { Rows } from '../reader/finding.ts';
import { byPosition } from '../model/position.ts';
import { countingParts, isDone } from '../followup/standing.ts';
import type { Item } from '../model/item.ts';
import type { List } from '../model/list.ts';
import type { Part } from '../model/part.ts';

/** What a list holds at its top, each in its order. Of a chore only what is open: what was stands on the chore's own page. */
export interface ListContents {
  open: Item[];
  done: Item[];
  /** Done before the list was last cleared: out of sight, still in the history. */
  cleared: Item[];
}

export function contentsOf(list: Pick<List, 'id' | 'clearedAt'>, rows: Rows): ListContents {
  const contents: ListContents = { open: [], done: [], cleared: [] };
  for (const item of rows.by('item', 'listId', list.id)) {
    if (item.removedAt || item.parentId !== null) continue;
    const parts = rows.by('part', 'itemId', item.id);
    if (!isDone(item, parts)) contents.open.push(item);
    else if (item.seriesId !== null) continue;
    else if (list.clearedAt && lastCompleted(parts) <= list.clearedAt) contents.cleared.push(item);
    else contents.done.push(item);
  }
  for (const items of Object.values(contents) as Item[][]) items.sort(byPosition);
  return contents;
}

/** When the last of it was checked off, as it arrived: a tap that came later than the clearing is still to be seen. */
const lastCompleted = (parts: readonly Part[]): string =>
  countingParts(parts).reduce((last, { arrivedAt }) => (arrivedAt && arrivedAt > last ? arrivedAt : last), '');
