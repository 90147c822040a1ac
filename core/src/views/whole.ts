import type { Rows } from '../reader/finding.ts';
import type { Item } from '../model/item.ts';
import { isDone } from '../followup/standing.ts';
import { nextDay, partFor } from '../planning/whereabouts.ts';
import type { Arrangeable } from '../planning/arrange.ts';

/**
 * Everything open that can be seen from here, whoever has it: shelved and undated things too, but nothing from lists to look things up in
 * or filed away. A step stands by itself only when it has a person or a day of its own.
 */
export function wholeHouse(personId: string, rows: Rows): Arrangeable[] {
  const found: Arrangeable[] = [];
  for (const item of rows.all('item')) {
    if (item.removedAt !== null || isInClosedList(item, rows)) continue;
    const parts = rows.by('part', 'itemId', item.id);
    if (isDone(item, parts)) continue;
    const part = partFor(item, parts, personId, rows);
    const isOwnStep =
      parts.some((one) => one.personId !== null && one.takenBackAt === null) || item.due !== null || (part !== null && nextDay(item, part) !== null);
    if (item.parentId === null || isOwnStep) found.push({ item, part });
  }
  return found;
}

function isInClosedList(item: Item, rows: Rows): boolean {
  if (item.listId === null) return false;
  const list = rows.find('list', item.listId);
  return list !== undefined && (list.removedAt !== null || list.filedAt !== null || list.kind === 'reference');
}
