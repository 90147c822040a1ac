import type { Item } from '../model/item.ts';
import { USUAL_NATURE } from '../model/nature.ts';
import type { Deciding } from './deciding.ts';
import { makePart } from './parts.ts';
import { nextKeyIn, type Container } from './container.ts';

const BLANK = {
  ...USUAL_NATURE,
  due: null,
  start: null,
  seriesId: null,
  recurrenceId: null,
  turn: null,
  missedAt: null,
  stageId: null,
  noteId: null,
  removedAt: null,
  purgedAt: null,
};

/** An item as it is when it is made; what is left out is as usual. */
export function insertItem(d: Deciding, fields: Container & { title: string; makerId: string } & Partial<Item>, id = d.newId()): Item {
  const made = { ...BLANK, createdAt: d.now } as Record<string, unknown>;
  // what was left out is as usual
  for (const field in fields) if (fields[field as keyof Item] !== undefined) made[field] = fields[field as keyof Item];
  made['position'] ??= nextKeyIn(fields, fields.makerId, d);
  const item = d.insert('item', id, made as never);
  makePart(id, null, d);
  return item;
}
