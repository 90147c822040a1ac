import type { Guest } from '../model/guest-schema.ts';
import type { Item } from '../model/item.ts';
import type { Part } from '../model/part.ts';
import type { Person } from '../model/person.ts';
import type { Finding } from '../reader/finding.ts';
import { above } from '../reader/tree.ts';
import { namedBy } from './standing-in.ts';
import type { AccessRelation } from './table.ts';

export type ListRelation = Exclude<AccessRelation, 'own-part' | 'stand-in' | 'guest'>;

/** What a person is to a list, or null if they cannot open it. */
export function relationToList(listId: string, person: Person, d: Finding): ListRelation | null {
  if (person.role === 'outside') return null;
  const list = d.find('list', listId);
  if (!list) return null;
  if (list.ownerId === person.id) return 'owner';
  const shares = d.by('share', 'listId', listId).filter((share) => share.access !== null && share.personId !== list.ownerId);
  if (person.role === 'manager') return shares.length > 0 ? 'edit' : null;
  const access = shares.find((share) => share.personId === person.id)?.access ?? null;
  return access === 'edit' && person.role === 'helper' ? 'check' : access;
}

export function relationsToItem(item: Item, person: Person, d: Finding): AccessRelation[] {
  const relations: AccessRelation[] = [];
  if (item.listId === null) {
    if (item.makerId === person.id) relations.push('owner');
  } else {
    const relation = relationToList(item.listId, person, d);
    if (relation) relations.push(relation);
  }
  if (isOwn(item, person, d) || hasPartAbove(item, person, d)) relations.push('own-part');
  if (guestRow(item, person, d)) relations.push('guest');
  const absent = namedBy(person, d);
  if (absent.size > 0 && [item, ...above(item, d)].some(({ id }) => isGivenBy(absent, id, d))) relations.push('stand-in');
  return relations;
}

/** What lets somebody in who was addressed there, or at what it is a step of. */
export function guestRow(item: Item, person: Person, d: Finding): Guest | undefined {
  const invited = person.role === 'outside' ? [] : d.by('guest', 'welcome', person.id);
  if (invited.length === 0) return undefined;
  const ids = new Set([item, ...above(item, d)].map(({ id }) => id));
  return invited.find(({ itemId }) => ids.has(itemId));
}

const isGivenBy = (givers: ReadonlySet<string>, itemId: string, d: Pick<Finding, 'by'>): boolean =>
  d
    .by('part', 'itemId', itemId)
    .some(({ giverId, originId, takenBackAt }) => takenBackAt === null && (givers.has(giverId ?? '') || givers.has(originId ?? '')));

const isOwn = (item: Item, person: Person, d: Pick<Finding, 'by'>): boolean => d.by('part', 'itemId', item.id).some((part) => isOwnPart(part, person));

export const isOwnPart = (part: Part, person: Person): boolean => part.personId === person.id && part.takenBackAt === null;

export function hasPartAbove(item: Item, person: Person, d: Finding): boolean {
  for (const parent of above(item, d)) if (isOwn(parent, person, d)) return true;
  return false;
}
