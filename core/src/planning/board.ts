import type { Rows } from '../reader/finding.ts';
import type { BoardBy } from '../model/arrangement.ts';
import { valueIn } from '../followup/fields.ts';
import { fieldOfKey, isFieldKey } from '../model/own-field.ts';
import type { Item } from '../model/item.ts';
import { stageOf } from '../followup/stages.ts';
import { countingParts } from '../followup/standing.ts';
import type { Arrangeable } from './arrange.ts';

/** `key`: the id of a person, list, section, stage or option, or an importance; null: what has none of it. */
export interface BoardColumn<T> {
  key: string | null;
  entries: T[];
}

/**
 * The same items in columns: in those that are named, in their order, also where they are empty, and after them in whatever else there is.
 * What several people have stands with each of them. Each column keeps the order given.
 */
export function boardOf<T extends Arrangeable>(entries: readonly T[], by: BoardBy, named: readonly (string | null)[], rows: Rows): BoardColumn<T>[] {
  const columns = new Map<string | null, T[]>(named.map((key) => [key, []]));
  for (const entry of entries)
    for (const key of keysOf(entry.item, by, rows)) {
      const column = columns.get(key);
      if (column) column.push(entry);
      else columns.set(key, [entry]);
    }
  return [...columns].map(([key, found]) => ({ key, entries: found }));
}

function keysOf(item: Item, by: BoardBy, rows: Rows): (string | null)[] {
  if (isFieldKey(by)) {
    const field = rows.find('ownField', fieldOfKey(by));
    const value = field === undefined ? null : valueIn(item, field, rows);
    return [value === null ? null : String(value)];
  }
  switch (by) {
    case 'list':
      return [item.listId];
    case 'section':
      return [item.sectionId];
    case 'stage': {
      const list = item.listId === null ? undefined : rows.find('list', item.listId);
      return [list === undefined ? null : (stageOf(item, list, rows.by('part', 'itemId', item.id))?.id ?? null)];
    }
    case 'importance':
      return [String(item.importance)];
    case 'person': {
      const people = new Set(countingParts(rows.by('part', 'itemId', item.id)).flatMap(({ personId }) => personId ?? []));
      return people.size === 0 ? [null] : [...people];
    }
  }
}
