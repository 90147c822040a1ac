import { generateKeyBetween } from 'fractional-indexing';
import * as z from 'zod/mini';
import type { Item } from '../model/item.ts';
import { Id } from '../model/row-schema.ts';
import { withBelow } from '../reader/tree.ts';
import type { Deciding } from './deciding.ts';
import type { CommandRequest } from './required-permissions.ts';
import { keyAtEnd, keysBeside, type Neighbours } from '../model/position.ts';

/** Where an item lies: in a list and maybe a section, under another item, or in its maker's own pile. */
export interface Container {
  listId: string | null;
  sectionId: string | null;
  parentId: string | null;
}

/** How a command names it. */
export const CONTAINER = { list: z.optional(z.nullable(Id)), section: z.optional(z.nullable(Id)), parent: z.optional(z.nullable(Id)) };

export const NEIGHBOURS = { after: z.optional(z.nullable(Id)), before: z.optional(z.nullable(Id)) };

/** Those it stands among, removed ones left out. */
const siblingsIn = ({ listId, sectionId, parentId }: Container, makerId: string, d: Deciding): Item[] => {
  if (parentId) return d.by('item', 'parentId', parentId).filter((item) => !item.removedAt);
  if (listId) return d.by('item', 'listId', listId).filter((item) => !item.removedAt && item.parentId === null && item.sectionId === sectionId);
  return d.by('item', 'pile', makerId);
};

/** A key at the end of a place. Its neighbours are looked up once, however many a command puts there. */
export function nextKeyIn(spot: Container, makerId: string, d: Deciding): string {
  const last = d.once('last-keys', () => new Map<string, string>());
  const name = spot.parentId ?? `${spot.listId}:${spot.sectionId}:${spot.listId ? '' : makerId}`;
  const before = last.get(name);
  const key = before === undefined ? keyAtEnd(siblingsIn(spot, makerId, d)) : generateKeyBetween(before, null);
  last.set(name, key);
  return key;
}

/** The place a new or moved item goes to: a step is where its item is. */
export function containerOf({ list, section, parent }: { list?: string | null; section?: string | null; parent?: string | null }, d: Deciding): Container {
  if (parent) {
    const above = d.need('item', parent);
    return { listId: above.listId, sectionId: above.sectionId, parentId: above.id };
  }
  if (!list) return { listId: null, sectionId: null, parentId: null };
  const known = section ? d.find('section', section) : undefined;
  return { listId: d.need('list', list).id, sectionId: known && known.listId === list && !known.removedAt ? known.id : null, parentId: null };
}

export const askForContainer = ({ list, parent }: { list?: string | null; parent?: string | null }): CommandRequest =>
  parent ? { permission: 'change', item: parent } : list ? { permission: 'add', list } : { permission: 'keep' };

/** Puts an item beside the neighbours named. */
export const putBeside = (itemId: string, place: Container, neighbours: Neighbours, d: Deciding): void => putAllBeside([itemId], place, neighbours, d);

/** Puts items that lie there one after the other beside the neighbours named: those are looked up once, however many there are. */
export function putAllBeside(itemIds: readonly string[], place: Container, neighbours: Neighbours, d: Deciding): void {
  const moved = new Set(itemIds);
  const siblings = siblingsIn(place, d.need('item', itemIds[0]!).makerId, d).filter((item) => !moved.has(item.id));
  const { positions, respaced } = keysBeside(siblings, neighbours, moved.size);
  for (const [id, key] of respaced) d.set('item', id, { position: key });
  for (const [nth, id] of [...moved].entries()) d.set('item', id, { position: positions[nth] });
}

/** What is under an item goes where it goes. */
export function moveStepsAlong(parentId: string, { listId, sectionId }: Container, d: Deciding): void {
  for (const id of withBelow(parentId, d)) if (id !== parentId) d.set('item', id, { listId, sectionId });
}
