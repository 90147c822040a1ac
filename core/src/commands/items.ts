import { mergeDiff3 } from 'node-diff3';
import * as z from 'zod/mini';
import { Effort, Energy, Importance, Policy, type Item } from '../model/item.ts';
import { Id, Moment, Text, TEXT_MAX, Title } from '../model/row.ts';
import { countingParts } from '../followup/standing.ts';
import { instantDue, isMoment } from '../time/clock.ts';
import { tellingOfCompletion } from './completion.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import type { Ask } from './may.ts';
import { givePart, makePart, needPerson } from './parts.ts';
import { keyAtEnd, keyBeside } from './position.ts';
import { refuse } from './reasons.ts';

const NEIGHBOURS = { after: z.optional(z.nullable(Id)), before: z.optional(z.nullable(Id)) };
const SEVERAL = z.array(Id).check(z.minLength(1), z.maxLength(500));

interface Place {
  listId: string | null;
  sectionId: string | null;
  parentId: string | null;
}

const siblingsAt = ({ listId, sectionId, parentId }: Place, makerId: string, d: Deciding): Item[] => {
  if (parentId) return d.by('item', 'parentId', parentId).filter((item) => !item.removedAt);
  if (listId) return d.by('item', 'listId', listId).filter((item) => !item.removedAt && item.parentId === null && item.sectionId === sectionId);
  return d.all('item').filter((item) => item.listId === null && item.parentId === null && item.makerId === makerId && !item.removedAt);
};

export function insertItem(d: Deciding, fields: Place & { title: string; makerId: string } & Partial<Item>): Item {
  const id = d.newId();
  // what was left out is as usual
  const given = Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as typeof fields;
  const item = d.insert('item', id, {
    notes: '',
    due: null,
    start: null,
    importance: 0,
    effort: null,
    energy: null,
    policy: 'any',
    confirm: false,
    createdAt: d.now,
    removedAt: null,
    position: keyAtEnd(siblingsAt(fields, fields.makerId, d)),
    ...given,
  });
  makePart(id, null, d);
  return item;
}

/** The place a new or moved item goes to: a step is where its item is. */
function placeOf({ list, section, parent }: { list?: string | null; section?: string | null; parent?: string | null }, d: Deciding): Place {
  if (parent) {
    const above = d.need('item', parent);
    return { listId: above.listId, sectionId: above.sectionId, parentId: above.id };
  }
  if (!list) return { listId: null, sectionId: null, parentId: null };
  const known = section ? d.find('section', section) : undefined;
  return { listId: d.need('list', list).id, sectionId: known && known.listId === list && !known.removedAt ? known.id : null, parentId: null };
}

const askForPlace = ({ list, parent }: { list?: string | null; parent?: string | null }): Ask =>
  parent ? { deed: 'change', item: parent } : list ? { deed: 'add', list } : { deed: 'keep' };

function refuseBadDates(due: string | null, start: string | null): void {
  if (due && !isMoment(due)) refuse('malformed', { value: due }, 'due');
  if (start && !isMoment(start)) refuse('malformed', { value: start }, 'start');
  if (due && start && due.slice(0, Math.max(10, Math.min(due.length, start.length))) < start.slice(0, Math.min(due.length, start.length)))
    refuse('due-before-start', { due, start }, 'due');
}

function noteIfPast(due: string | null | undefined, d: Deciding): void {
  const zone = d.find('house', d.context.houseId)?.zone;
  if (due && zone && instantDue(due, zone) < d.now) d.note('due-past', { due });
}

const DATES = { due: z.optional(z.nullable(Moment)), start: z.optional(z.nullable(Moment)) };
const NATURE = { importance: z.optional(Importance), effort: z.optional(z.nullable(Effort)), energy: z.optional(z.nullable(Energy)) };

export const addItem = commandKind({
  name: 'item.add',
  payload: z.object({
    title: Title,
    notes: z.optional(Text),
    list: z.optional(z.nullable(Id)),
    section: z.optional(z.nullable(Id)),
    parent: z.optional(z.nullable(Id)),
    /** Handed over in the same action. */
    persons: z._default(z.array(Id).check(z.maxLength(60)), []),
    policy: z.optional(Policy),
    confirm: z.optional(z.boolean()),
    message: z._default(Text, ''),
    ...DATES,
    ...NATURE,
    ...NEIGHBOURS,
  }),
  asks: (payload) => [askForPlace(payload)],
  decide({ list, section, parent, persons, message, after, before, ...fields }, d) {
    const place = placeOf({ list, section, parent }, d);
    refuseBadDates(fields.due ?? null, fields.start ?? null);
    const people = persons.map((id) => needPerson(id, d));
    const item = insertItem(d, { ...fields, ...place, makerId: d.actor.id });
    if (after !== undefined || before !== undefined) putBeside(item.id, place, { after, before }, d);
    for (const person of people) {
      givePart(item.id, person, d, message.trim(), d.actor.id);
      d.tell(person.id, 'handed', item.id, { title: item.title, message: message.trim() });
    }
    if (people.length > 0) for (const part of d.by('part', 'itemId', item.id)) if (part.personId === null) d.set('part', part.id, { takenBackAt: d.now });
    noteIfPast(fields.due, d);
    d.enter('item.add', { itemId: item.id }, people.length > 0 ? { to: people.map((person) => person.name) } : {});
  },
});

const textChanges = ['title', 'notes', 'start', 'importance', 'effort', 'energy', 'confirm'] as const;

/** Changes what the item says of itself. Notes carry the text they were based on and are merged line by line. */
export const changeItem = commandKind({
  name: 'item.change',
  payload: z.object({
    item: Id,
    title: z.optional(Title),
    notes: z.optional(Text),
    notesBase: z.optional(Text),
    start: DATES.start,
    confirm: z.optional(z.boolean()),
    ...NATURE,
  }),
  asks: ({ item }) => [{ deed: 'change', item }],
  decide({ item: itemId, notesBase, ...fields }, d) {
    const item = d.need('item', itemId);
    refuseBadDates(item.due, fields.start === undefined ? item.start : fields.start);
    const notes = fields.notes === undefined ? undefined : mergedNotes(notesBase ?? item.notes, fields.notes, item.notes, d);
    tellingOfCompletion(item, d, () => d.set('item', itemId, { ...fields, ...(notes === undefined ? {} : { notes }) }));
    for (const field of textChanges) {
      const value = fields[field];
      if (value === undefined || value === item[field]) continue;
      d.enter('item.change', { itemId }, field === 'notes' ? { field } : { field, from: item[field], to: value });
    }
    if ((fields.title !== undefined && fields.title !== item.title) || (fields.confirm !== undefined && fields.confirm !== item.confirm)) tellHolders(item, d);
  },
});

/** Three-way by line; where both changed the same lines, both stay, the one that was there first. */
function mergedNotes(base: string, mine: string, theirs: string, d: Deciding): string {
  if (theirs === base || theirs === mine) return mine;
  const merged = mergeDiff3(theirs, base, mine, { stringSeparator: /\r?\n/, excludeFalseConflicts: true });
  if (merged.conflict) d.note('merged-beside', {});
  const lines = merged.conflict ? withoutMarks(merged.result) : merged.result;
  return lines.join('\n').slice(0, TEXT_MAX);
}

/** Of a conflict keeps both sides and drops the markers and the common ancestor between them. */
function withoutMarks(lines: string[]): string[] {
  const kept: string[] = [];
  let inBase = false;
  for (const line of lines) {
    if (/^<{7}( |$)|^>{7}( |$)/.test(line)) continue;
    if (/^\|{7}( |$)/.test(line)) inBase = true;
    else if (/^={7}( |$)/.test(line)) inBase = false;
    else if (!inBase) kept.push(line);
  }
  return kept;
}

const tellHolders = (item: Item, d: Deciding): void => {
  for (const part of countingParts(d.by('part', 'itemId', item.id))) d.tell(part.personId, 'changed', item.id, { title: d.need('item', item.id).title });
};

/** The deadline is never overwritten blindly: if somebody set it since it was seen, mine is refused and offered again. */
export const setDue = commandKind({
  name: 'item.setDue',
  payload: z.object({ item: Id, due: z.nullable(Moment) }),
  asks: ({ item }) => [{ deed: 'change', item }],
  decide({ item: itemId, due }, d) {
    const item = d.need('item', itemId);
    if (due === item.due) return;
    d.refuseIfChanged('item', itemId, 'due');
    refuseBadDates(due, item.start);
    d.set('item', itemId, { due });
    noteIfPast(due, d);
    tellHolders(item, d);
    d.enter('item.change', { itemId }, { field: 'due', from: item.due, to: due });
  },
});

export const setPolicy = commandKind({
  name: 'item.setPolicy',
  payload: z.object({ item: Id, policy: Policy }),
  asks: ({ item }) => [{ deed: 'change', item }],
  decide({ item: itemId, policy }, d) {
    const item = d.need('item', itemId);
    if (policy === item.policy) return;
    d.refuseIfChanged('item', itemId, 'policy');
    tellingOfCompletion(item, d, () => d.set('item', itemId, { policy }));
    d.enter('item.change', { itemId }, { field: 'policy', from: item.policy, to: policy });
  },
});

/** Moves items, with everything under them, to a place named by its neighbours. Several keep their order. */
export const moveItem = commandKind({
  name: 'item.move',
  payload: z.object({
    items: SEVERAL,
    list: z.optional(z.nullable(Id)),
    section: z.optional(z.nullable(Id)),
    parent: z.optional(z.nullable(Id)),
    ...NEIGHBOURS,
  }),
  asks({ items, ...target }, d) {
    const moved = items.map((item) => ({ deed: 'change', item }) as const);
    const within = !target.parent && items.every((id) => (d.find('item', id)?.listId ?? null) === (target.list ?? null));
    return within ? moved : [...moved, askForPlace(target)];
  },
  decide({ items, after, before, ...target }, d) {
    const place = placeOf(target, d);
    let previous = after;
    for (const itemId of items) {
      const item = d.need('item', itemId);
      if (place.parentId && isUnder(place.parentId, itemId, d)) refuse('into-itself', { title: item.title });
      const from = item.listId;
      // an own pile belongs to its maker: what is taken out of a list into it becomes theirs
      d.set('item', itemId, { ...place, ...(place.listId === null && place.parentId === null ? { makerId: d.actor.id } : {}) });
      putBeside(itemId, place, { after: previous, before }, d);
      moveStepsAlong(itemId, place, d);
      if (from !== place.listId) d.enter('item.move', { itemId }, { from: nameOfList(from, d), to: nameOfList(place.listId, d) });
      previous = itemId;
    }
  },
});

function putBeside(itemId: string, place: Place, neighbours: { after?: string | null; before?: string | null }, d: Deciding): void {
  const siblings = siblingsAt(place, d.need('item', itemId).makerId, d).filter((item) => item.id !== itemId);
  const { position, respaced } = keyBeside(siblings, neighbours);
  for (const [id, key] of respaced) d.set('item', id, { position: key });
  d.set('item', itemId, { position });
}

function moveStepsAlong(parentId: string, { listId, sectionId }: Place, d: Deciding): void {
  for (const step of d.by('item', 'parentId', parentId)) {
    d.set('item', step.id, { listId, sectionId });
    moveStepsAlong(step.id, { listId, sectionId, parentId }, d);
  }
}

function isUnder(itemId: string, ancestorId: string, d: Deciding): boolean {
  for (let at: string | null = itemId; at !== null; at = d.need('item', at).parentId) if (at === ancestorId) return true;
  return false;
}

const nameOfList = (listId: string | null, d: Deciding): string | null => (listId ? (d.find('list', listId)?.name ?? null) : null);

/** Out of every view for 30 days, then gone. Steps go with their item. */
export const removeItem = commandKind({
  name: 'item.remove',
  payload: z.object({ items: SEVERAL }),
  asks: ({ items }) => items.map((item) => ({ deed: 'change', item }) as const),
  decide({ items }, d) {
    for (const itemId of items) {
      for (const id of withSteps(itemId, d)) if (!d.need('item', id).removedAt) d.set('item', id, { removedAt: d.now });
      d.enter('item.remove', { itemId });
    }
  },
});

/** Brings removed items back to their place, with the steps that went with them. */
export const bringBackItem = commandKind({
  name: 'item.bringBack',
  payload: z.object({ items: SEVERAL }),
  asks: ({ items }) => items.map((item) => ({ deed: 'change', item }) as const),
  decide({ items }, d) {
    for (const itemId of items) {
      const { removedAt } = d.need('item', itemId);
      for (const id of withSteps(itemId, d)) if (d.need('item', id).removedAt === removedAt) d.set('item', id, { removedAt: null });
      d.enter('item.bringBack', { itemId });
    }
  },
});

const withSteps = (itemId: string, d: Deciding): string[] => [itemId, ...d.by('item', 'parentId', itemId).flatMap((step) => withSteps(step.id, d))];
