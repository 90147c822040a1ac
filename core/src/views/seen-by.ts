import { allows } from '../access/allows.ts';
import { relationToList, type ListRelation } from '../access/relations.ts';
import { countingParts, isDone } from '../followup/standing.ts';
import type { Item } from '../model/item.ts';
import type { List } from '../model/list.ts';
import { isHere, type Person } from '../model/person.ts';
import { byPosition } from '../model/position.ts';
import type { Finding, Rows } from '../reader/finding.ts';

/** What somebody may do with an item, the most of it. */
export type MostAllowed = 'change' | 'check' | 'answer' | 'see';

export interface SeenItem {
  item: Item;
  most: MostAllowed;
}
export interface SeenList {
  list: List;
  relation: ListRelation;
  items: SeenItem[];
}
/** What somebody has before them, as far as the rows go. */
export interface SeenBy {
  lists: SeenList[];
  /** In no list they can open: handed to them, or made by them and shown to others. */
  others: SeenItem[];
}

/** What is open and in a person's sight, with what they may do there. Shown to another, `rows` are what both may see. */
export function seenBy(person: Person, rows: Rows): SeenBy {
  const lists = new Map<string, SeenList>();
  for (const list of rows.all('list')) {
    const relation = list.removedAt || list.filedAt ? null : relationToList(list.id, person, rows);
    if (relation) lists.set(list.id, { list, relation, items: [] });
  }
  const others: SeenItem[] = [];
  for (const item of rows.all('item')) {
    const most = isShown(item, rows) ? mostAllowed(item, person, rows) : null;
    if (most) (lists.get(item.listId ?? '')?.items ?? others).push({ item, most });
  }
  for (const { items } of lists.values()) items.sort((a, b) => byPosition(a.item, b.item));
  return { lists: [...lists.values()].sort((a, b) => a.list.name.localeCompare(b.list.name)), others: others.sort((a, b) => byDue(a.item, b.item)) };
}

/** To be done, and not under something that is shown itself. */
function isShown(item: Item, rows: Finding): boolean {
  if (item.removedAt || item.purgedAt || item.missedAt) return false;
  if (item.parentId !== null && rows.find('item', item.parentId)) return false;
  return !isDone(item, countingParts(rows.by('part', 'itemId', item.id)));
}

function mostAllowed(item: Item, person: Person, rows: Finding): MostAllowed | null {
  const order = ['change', 'check', 'answer', 'see'] as const;
  return isHere(person) ? (order.find((permission) => allows({ permission, item: item.id }, person, rows)) ?? null) : null;
}

const byDue = (a: Item, b: Item): number => ((a.due ?? '9') < (b.due ?? '9') ? -1 : 1);
