import type { Rows } from '../reader/finding.ts';
import { byPosition } from '../model/position.ts';
import type { Item } from '../model/item.ts';
import { contentsOf } from './list-contents.ts';

/** Everything that belongs to a project and can be seen from here, each once: what lies at the top of its lists, and its single items. */
export function itemsOfProject(projectId: string, rows: Rows): Item[] {
  const found = new Map<string, Item>();
  for (const { listId, itemId, endedAt } of rows.by('membership', 'projectId', projectId)) {
    if (endedAt !== null) continue;
    const list = listId === null ? undefined : rows.find('list', listId);
    if (list !== undefined && list.removedAt === null) {
      const { open, done } = contentsOf(list, rows);
      for (const item of [...open, ...done]) found.set(item.id, item);
    }
    const item = itemId === null ? undefined : rows.find('item', itemId);
    if (item !== undefined && item.removedAt === null) found.set(item.id, item);
  }
  return [...found.values()].sort(byPosition);
}
