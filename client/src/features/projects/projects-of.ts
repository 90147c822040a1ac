import { above, type Item, type Reader, type Project } from '@kotiva/core';

/** The projects an item belongs to, by itself or with its list; a step with what it is a step of. */
export function projectsOf(item: Item, rows: Reader): Project[] {
  const found = new Map<string, Project>();
  const take = (field: 'itemId' | 'listId', id: string) => {
    for (const { projectId, endedAt } of rows.by('membership', field, id)) {
      const project = endedAt === null ? rows.find('project', projectId) : undefined;
      if (project !== undefined && project.removedAt === null) found.set(project.id, project);
    }
  };
  for (const { id } of [item, ...above(item, rows)]) take('itemId', id);
  if (item.listId !== null) take('listId', item.listId);
  return [...found.values()];
}
