import type { Item, MemoryRows, Project } from '@kotiva/core';

/** The projects an item belongs to, by itself or with its list; a step with what it is a step of. */
export function projectsOf(item: Item, rows: MemoryRows): Project[] {
  const found = new Map<string, Project>();
  const take = (field: 'itemId' | 'listId', id: string) => {
    for (const { projectId, endedAt } of rows.by('membership', field, id)) {
      const project = endedAt === null ? rows.get('project', projectId) : 'absent';
      if (typeof project !== 'string' && project.removedAt === null) found.set(project.id, project);
    }
  };
  const met = new Set<string>();
  for (let one: Item | string = item; typeof one !== 'string' && !met.has(one.id); one = one.parentId === null ? 'absent' : rows.get('item', one.parentId)) {
    met.add(one.id);
    take('itemId', one.id);
  }
  if (item.listId !== null) take('listId', item.listId);
  return [...found.values()];
}
