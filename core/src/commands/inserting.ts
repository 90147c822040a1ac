import { USUAL_NATURE, type Item } from '../model/item.ts';
import type { Deciding } from './deciding.ts';
import { makePart } from './parts.ts';
import { keyAtEnd } from './position.ts';
import { siblingsAt, type Spot } from './spot.ts';

/** An item as it is when it is made; what is left out is as usual. */
export function insertItem(d: Deciding, fields: Spot & { title: string; makerId: string } & Partial<Item>, id = d.newId()): Item {
  // what was left out is as usual
  const given = Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as typeof fields;
  const item = d.insert('item', id, {
    ...USUAL_NATURE,
    due: null,
    start: null,
    seriesId: null,
    recurrenceId: null,
    turn: null,
    missedAt: null,
    noteId: null,
    createdAt: d.now,
    removedAt: null,
    purgedAt: null,
    ...given,
    position: fields.position ?? keyAtEnd(siblingsAt(fields, fields.makerId, d)),
  });
  makePart(id, null, d);
  return item;
}
