import type { Item } from '../model/item.ts';
import { isHere, type Person } from '../model/person.ts';
import type { Series } from '../model/series-schema.ts';
import type { Finding } from '../reader/finding.ts';
import { hasPartAbove, relationsToItem, relationToList } from './relations.ts';
import { ACCESS_TABLE } from './table.ts';

/** One thing a command asks leave for. */
export type AccessRequest =
  | { permission: 'manage' | 'keep' }
  | { permission: 'self'; is: boolean }
  | { permission: 'see' | 'add' | 'share' | 'change'; list: string }
  | { permission: 'see' | 'change' | 'pass-on' | 'answer' | 'say' | 'check' | 'tie'; item: string; giver?: boolean };

/** Whether somebody may do that, by role and sharing: what every screen and every command asks. Of a list or an item that isn't there: no. */
export function allows(request: AccessRequest, person: Person, rows: Finding): boolean {
  if (!isHere(person)) return false;
  if ('list' in request) return grantedByList(request.permission, request.list, person, rows);
  if ('is' in request) return request.is;
  if (!('item' in request)) return request.permission === 'manage' ? person.role === 'manager' : person.role !== 'outside';
  const item = rows.find('item', request.item);
  return item !== undefined && grantedByItem(request.permission, item, person, request.giver ?? false, rows);
}

/** Whether somebody may say what a chore is like: of a list, who may change things there; of a pile, who made it. */
export function mayChangeChore({ listId, makerId }: Pick<Series, 'listId' | 'makerId'>, person: Person, rows: Finding): boolean {
  return listId === null ? makerId === person.id : allows({ permission: 'change', list: listId }, person, rows);
}

function grantedByList(permission: 'see' | 'add' | 'share' | 'change', listId: string, person: Person, rows: Finding): boolean {
  const relation = relationToList(listId, person, rows);
  if (!relation) return false;
  const grant = ACCESS_TABLE[relation][permission];
  return grant === 'yes' || (grant === 'manager' && person.role === 'manager');
}

function grantedByItem(permission: keyof (typeof ACCESS_TABLE)['owner'], item: Item, person: Person, giver: boolean, rows: Finding): boolean {
  return relationsToItem(item, person, rows).some((relation) => {
    const grant = ACCESS_TABLE[relation][permission];
    if (grant === 'yes') return true;
    if (grant === 'giver') return giver || person.role === 'manager';
    if (grant === 'own-items') return item.makerId === person.id;
    if (grant === 'roles') return person.role === 'manager' || person.role === 'member';
    if (grant === 'its-steps') return item.parentId !== null && hasPartAbove(item, person, rows);
    return false;
  });
}
