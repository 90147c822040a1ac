import type { Person } from '../model/person.ts';
import type { Finding } from '../reader/finding.ts';
import type { Reader } from '../reader/reader.ts';
import { relationsToItem } from './relations.ts';

/** Tags carried by an item this person sees; with the ones they made themselves, all they see. */
export function tagsInSight(person: Person, rows: Pick<Reader, 'all'> & Finding): Set<string> {
  const seen = new Set<string>();
  for (const item of rows.all('item')) {
    if (item.tagIds.some((id) => !seen.has(id)) && relationsToItem(item, person, rows).length > 0) for (const id of item.tagIds) seen.add(id);
  }
  return seen;
}
