import type { BoardBy } from '../model/arrangement.ts';
import { valueIn, type FieldRows } from '../followup/fields.ts';
import { fieldOfKey, isFieldKey, type OwnField } from '../model/own-field.ts';
import type { Person } from '../model/person.ts';
import type { Item } from '../model/item.ts';
import { stageOf } from '../followup/stages.ts';
import type { List } from '../model/list.ts';
import { countingParts } from '../followup/standing.ts';
import type { Arrangeable } from './arrange.ts';
import type { PlanRows } from './rows.ts';

/** `key`: the id of a person, list, section, stage or option, or an importance; null: what has none of it. */
export interface BoardColumn<T> {
  key: string | null;
  entries: T[];
}

/** What a board looks up. */
interface BoardRows {
  by: PlanRows['by'] & FieldRows['by'];
  all(noun: 'ownField'): OwnField[];
  get(noun: 'ownField', id: string): OwnField | 'absent' | 'not-held';
  get(noun: 'person', id: string): Person | 'absent' | 'not-held';
  get(noun: 'list', id: string): List | 'absent' | 'not-held';
}

/**
 * The same items in columns: in those that are named, in their order, also where they are empty, and after them in whatever else there is.
 * What several people have stands with each of them. Each column keeps the order given.
 */
export function boardOf<T extends Arrangeable>(entries: readonly T[], by: BoardBy, named: readonly (string | null)[], rows: BoardRows): BoardColumn<T>[] {
  const columns = new Map<string | null, T[]>(named.map((key) => [key, []]));
  for (const entry of entries)
    for (const key of keysOf(entry.item, by, rows)) {
      const column = columns.get(key);
      if (column) column.push(entry);
      else columns.set(key, [entry]);
    }
  return [...columns].map(([key, found]) => ({ key, entries: found }));
}

function keysOf(item: Item, by: BoardBy, rows: BoardRows): (string | null)[] {
  if (isFieldKey(by)) {
    const field = rows.get('ownField', fieldOfKey(by));
    const value = typeof field === 'string' ? null : valueIn(item, field, rows);
    return [value === null ? null : String(value)];
  }
  switch (by) {
    case 'list':
      return [item.listId];
    case 'section':
      return [item.sectionId];
    case 'stage': {
      const list = item.listId === null ? 'absent' : rows.get('list', item.listId);
      return [typeof list === 'string' ? null : (stageOf(item, list, rows.by('part', 'itemId', item.id))?.id ?? null)];
    }
    case 'importance':
      return [String(item.importance)];
    case 'person': {
      const people = new Set(countingParts(rows.by('part', 'itemId', item.id)).flatMap(({ personId }) => personId ?? []));
      return people.size === 0 ? [null] : [...people];
    }
  }
}
