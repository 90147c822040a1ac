import { byPosition } from '../model/position.ts';
import type { Item } from '../model/item.ts';
import type { Membership } from '../model/project.ts';
import type { PlanRows } from '../planning/rows.ts';
import { contentsOf } from './list-contents.ts';

export interface ProjectRows extends PlanRows {
  by: PlanRows['by'] & ((noun: 'membership', field: 'projectId', value: string) => Membership[]);
}

/** Everything that belongs to a project and can be seen from here, each once: what lies at the top of its lists, and its single items. */
export function itemsOfProject(projectId: string, rows: ProjectRows): Item[] {
  const found = new Map<string, Item>();
  for (const { listId, itemId, endedAt } of rows.by('membership', 'projectId', projectId)) {
    if (endedAt !== null) continue;
    const list = listId === null ? 'absent' : rows.get('list', listId);
    if (typeof list !== 'string' && list.removedAt === null) {
      const { open, done } = contentsOf(list, rows);
      for (const item of [...open, ...done]) found.set(item.id, item);
    }
    const item = itemId === null ? 'absent' : rows.get('item', itemId);
    if (typeof item !== 'string' && item.removedAt === null) found.set(item.id, item);
  }
  return [...found.values()].sort(byPosition);
}
