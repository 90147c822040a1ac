import { mergeDiff3 } from 'node-diff3';
import * as z from 'zod/mini';
import { Effort, Energy, Importance, Policy, Rule, type Item } from '../model/item.ts';
import { Id, Moment, Text, TEXT_MAX, Title } from '../model/row.ts';
import { TagName } from '../model/tag.ts';
import { countingParts } from '../followup/standing.ts';
import { completePart } from './checking.ts';
import { instantDue, isMoment } from '../time/clock.ts';
import { tellingOfCompletion } from './completion.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import type { Ask } from './may.ts';
import { givePart, makePart, needPerson, settleNobody } from './parts.ts';
import { keyAtEnd, keyBeside } from './position.ts';
import { tagsNamed } from './tags.ts';
import { refuse } from './reasons.ts';

const NEIGHBOURS = { after: z.optional(z.nullable(Id)), before: z.optional(z.nullable(Id)) };
const SEVERAL = z.array(Id).check(z.minLength(1), z.maxLength(500));

interface Spot {
  listId: string | null;
  sectionId: string | null;
  parentId: string | null;
}

const siblingsAt = ({ listId, sectionId, parentId }: Spot, makerId: string, d: Deciding): Item[] => {
  if (parentId) return d.by('item', 'parentId', parentId).filter((item) => !item.removedAt);
  if (listId) return d.by('item', 'listId', listId).filter((item) => !item.removedAt && item.parentId === null && item.sectionId === sectionId);
  return d.all('item').filter((item) => item.listId === null && item.parentId === null && item.makerId === makerId && !item.removedAt);
};

export function insertItem(d: Deciding, fields: Spot & { title: string; makerId: string } & Partial<Item>): Item {
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
    tagIds: [],
    situationIds: [],
    placeId: null,
    rule: null,
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
function spotOf({ list, section, parent }: { list?: string | null; section?: string | null; parent?: string | null }, d: Deciding): Spot {
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

function refuseBadDates(due: string | null, start: string | null, plan: string | null = null): void {
  if (plan && !isMoment(plan)) refuse('malformed', { value: plan }, 'plan');
  if (plan && start && plan.slice(0, 10) < start.slice(0, 10)) refuse('plan-before-start', { plan, start }, 'plan');
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
const NATURE = {
  importance: z.optional(Importance),
  effort: z.optional(z.nullable(Effort)),
  energy: z.optional(z.nullable(Energy)),
  /** By name: words never used are made tags in the same action. */
  tags: z.optional(z.array(TagName).check(z.maxLength(20))),
  situations: z.optional(z.array(Id).check(z.maxLength(20))),
  place: z.optional(z.nullable(Id)),
  rule: z.optional(z.nullable(Rule)),
};

/** What an item needs to be done, as its fields. Unknown places and situations are refused. */
function contextOf({ tags, situations, place }: { tags?: string[]; situations?: string[]; place?: string | null }, d: Deciding): Partial<Item> {
  for (const id of situations ?? []) d.need('situation', id);
  if (place) d.need('place', place);
  return { tagIds: tags && tagsNamed(tags, d), situationIds: situations, placeId: place };
}

const NEW_ITEM = {
  title: Title,
  notes: z.optional(Text),
  /** Handed over in the same action. */
  persons: z._default(z.array(Id).check(z.maxLength(60)), []),
  policy: z.optional(Policy),
  confirm: z.optional(z.boolean()),
  message: z._default(Text, ''),
  /** The day the next step is meant to be taken: by who it is handed to, else by its maker. */
  plan: z.optional(z.nullable(Moment)),
  ...DATES,
  ...NATURE,
};
type NewItem = z.infer<z.ZodMiniObject<typeof NEW_ITEM>>;

function addOne({ persons, message, plan, tags, situations, place, ...fields }: NewItem, spot: Spot, d: Deciding): Item {
  refuseBadDates(fields.due ?? null, fields.start ?? null, plan ?? null);
  const people = persons.map((id) => needPerson(id, d));
  const item = insertItem(d, { ...fields, ...contextOf({ tags, situations, place }, d), ...spot, makerId: d.actor.id });
  // planned at once, it is the maker's; handed over, the day goes along as a proposal
  const holders = plan && people.length === 0 ? [d.actor] : people;
  for (const person of holders) {
    const part = givePart(item.id, person, d, message.trim(), d.actor.id);
    if (plan) d.set('part', part.id, { plan });
    d.tell(person.id, 'handed', item.id, { title: item.title, message: message.trim() });
  }
  settleNobody(item.id, d);
  noteIfPast(fields.due, d);
  if (plan && fields.due && plan.slice(0, 10) > fields.due.slice(0, 10)) d.note('plan-after-due', { plan, due: fields.due });
  d.enter('item.add', { itemId: item.id }, people.length > 0 ? { to: people.map((person) => person.name) } : {});
  return item;
}

const SPOT = { list: z.optional(z.nullable(Id)), section: z.optional(z.nullable(Id)), parent: z.optional(z.nullable(Id)) };

export const addItem = commandKind({
  name: 'item.add',
  payload: z.object({ ...NEW_ITEM, ...SPOT, ...NEIGHBOURS }),
  asks: (payload) => [askForPlace(payload)],
  decide({ list, section, parent, after, before, ...fields }, d) {
    const spot = spotOf({ list, section, parent }, d);
    const item = addOne(fields, spot, d);
    if (after !== undefined || before !== undefined) putBeside(item.id, spot, { after, before }, d);
  },
});

/** Several at once, with their steps: one action, one undo. `under` names an earlier one of the same command by its place, from 0. */
export const addItems = commandKind({
  name: 'item.addMany',
  payload: z.object({
    ...SPOT,
    items: z
      .array(z.object({ ...NEW_ITEM, under: z.optional(z.nullable(z.int().check(z.gte(0)))), ticked: z._default(z.boolean(), false) }))
      .check(z.minLength(1), z.maxLength(500)),
  }),
  asks: (payload) => [askForPlace(payload)],
  decide({ list, section, parent, items }, d) {
    const spot = spotOf({ list, section, parent }, d);
    const made: Item[] = [];
    for (const [nth, { under, ticked, ...fields }] of items.entries()) {
      const above = under === undefined || under === null ? null : (made[under] ?? refuse('malformed', { field: 'under' }, `items.${nth}.under`));
      const item = addOne(fields, above ? { ...spot, parentId: above.id } : spot, d);
      made.push(item);
      if (ticked) for (const part of countingParts(d.by('part', 'itemId', item.id))) completePart(item, part, d);
    }
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
  decide({ item: itemId, notesBase, tags, situations, place, ...fields }, d) {
    const item = d.need('item', itemId);
    refuseBadDates(item.due, fields.start === undefined ? item.start : fields.start);
    const notes = fields.notes === undefined ? undefined : mergedNotes(notesBase ?? item.notes, fields.notes, item.notes, d);
    tellingOfCompletion(item, d, () =>
      d.set('item', itemId, { ...fields, ...contextOf({ tags, situations, place }, d), ...(notes === undefined ? {} : { notes }) }),
    );
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
    const spot = spotOf(target, d);
    let previous = after;
    for (const itemId of items) {
      const item = d.need('item', itemId);
      if (spot.parentId && isUnder(spot.parentId, itemId, d)) refuse('into-itself', { title: item.title });
      const from = item.listId;
      // an own pile belongs to its maker: what is taken out of a list into it becomes theirs
      d.set('item', itemId, { ...spot, ...(spot.listId === null && spot.parentId === null ? { makerId: d.actor.id } : {}) });
      putBeside(itemId, spot, { after: previous, before }, d);
      moveStepsAlong(itemId, spot, d);
      if (from !== spot.listId) d.enter('item.move', { itemId }, { from: nameOfList(from, d), to: nameOfList(spot.listId, d) });
      previous = itemId;
    }
  },
});

function putBeside(itemId: string, place: Spot, neighbours: { after?: string | null; before?: string | null }, d: Deciding): void {
  const siblings = siblingsAt(place, d.need('item', itemId).makerId, d).filter((item) => item.id !== itemId);
  const { position, respaced } = keyBeside(siblings, neighbours);
  for (const [id, key] of respaced) d.set('item', id, { position: key });
  d.set('item', itemId, { position });
}

function moveStepsAlong(parentId: string, { listId, sectionId }: Spot, d: Deciding): void {
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
