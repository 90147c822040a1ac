import * as z from 'zod/mini';
import { countingParts } from '../followup/standing.ts';
import { Pace } from '../model/house-schema.ts';
import type { Item } from '../model/item.ts';
import { changedLines, mergeNotes } from '../model/notes-merge.ts';
import { Policy } from '../model/nature-schema.ts';
import { TEXT_MAX } from '../model/row.ts';
import { Id, Moment, Text, Title } from '../model/row-schema.ts';
import { above, withBelow } from '../reader/tree.ts';
import { rearmAlarms } from './alarms.ts';
import { bringNext, override } from './appearing.ts';
import { notifyingOfCompletion } from './completion.ts';
import type { Deciding } from './deciding.ts';
import { contextOf, DATES, NATURE, noteIfPast, refuseBadDates } from './item-fields.ts';
import { notifyFollowers, notifyOfNew } from './following.ts';
import { commandKind } from './kind.ts';
import { renameAbove } from './parts.ts';
import { refuse } from './reasons.ts';
import { allWithBelow, notifyRemoved } from './removal-notices.ts';
import { removeWhole } from './removing.ts';
import { askForContainer, moveStepsAlong, NEIGHBOURS, putAllBeside, CONTAINER, containerOf, type Container } from './container.ts';

const SEVERAL = z.array(Id).check(z.minLength(1), z.maxLength(500));

const textChanges = ['title', 'notes', 'start', 'importance', 'effort', 'energy', 'dayPart', 'confirm'] as const;

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
    pace: z.optional(z.nullable(Pace)),
    ...NATURE,
  }),
  // notes are everybody's who works on it
  asks: ({ item, notesBase: _base, notes, ...others }) => [
    { permission: notes !== undefined && Object.values(others).every((value) => value === undefined) ? 'answer' : 'change', item },
  ],
  decide({ item: itemId, notesBase, tags, situations, place, ...fields }, d) {
    const item = d.need('item', itemId);
    refuseBadDates(item.due, fields.start === undefined ? item.start : fields.start);
    const notes = fields.notes === undefined ? undefined : mergedNotes(notesBase ?? item.notes, fields.notes, item.notes, d);
    notifyingOfCompletion(item, d, () =>
      d.set('item', itemId, { ...fields, ...contextOf({ tags, situations, place }, d), ...(notes === undefined ? {} : { notes }) }),
    );
    if (fields.start !== undefined && fields.start !== item.start) rearmAlarms(itemId, ['start'], d);
    for (const field of textChanges) {
      const value = fields[field];
      if (value === undefined || (field === 'notes' ? notes : value) === item[field]) continue;
      d.enter('item.change', { itemId }, field === 'notes' ? { field, ...changedLines(item.notes, notes ?? '') } : { field, from: item[field], to: value });
    }
    if (fields.title !== undefined && fields.title !== item.title) renameAbove(itemId, fields.title, d);
    const told = (['title', 'confirm'] as const).find((field) => fields[field] !== undefined && fields[field] !== item[field]);
    if (told) notifyHolders(item, told, d);
  },
});

/** What two wrote at once stays, all of it: where that is more than fits, the second is told so and keeps what was typed. */
function mergedNotes(base: string, mine: string, theirs: string, d: Deciding): string {
  const { text, besides } = mergeNotes(base, mine, theirs);
  if (text.length > TEXT_MAX) refuse('too-long', { max: TEXT_MAX }, 'notes');
  if (besides) d.note('merged-beside', {});
  return text;
}

/** What was changed, and from what to what: a notice that only says that something was helps nobody. */
function notifyHolders(item: Item, field: 'due' | 'title' | 'confirm', d: Deciding): void {
  const now = d.need('item', item.id);
  const params = { title: now.title, field, from: item[field], to: now[field] };
  for (const part of countingParts(d.by('part', 'itemId', item.id))) d.notify(part.personId, 'changed', item.id, params);
  notifyFollowers(item, 'changes', 'changed', params, d);
}

/** The deadline is never overwritten blindly: if somebody set it since it was seen, mine is refused and offered again. */
export const setDue = commandKind({
  name: 'item.setDue',
  payload: z.object({ item: Id, due: z.nullable(Moment) }),
  asks: ({ item }) => [{ permission: 'change', item }],
  decide({ item: itemId, due }, d) {
    const item = d.need('item', itemId);
    if (due === item.due) return;
    d.refuseIfChanged('item', itemId, 'due');
    refuseBadDates(due, item.start);
    d.set('item', itemId, { due });
    keepMoved(item, due, d);
    rearmAlarms(itemId, ['due'], d);
    noteIfPast(due, d);
    notifyHolders(item, 'due', d);
    d.enter('item.change', { itemId }, { field: 'due', from: item.due, to: due });
  },
});

/** Of a chore, this one is on a day of its own: a change of the chore leaves it there. */
function keepMoved({ seriesId, recurrenceId }: Item, due: string | null, d: Deciding): void {
  const series = seriesId === null ? undefined : d.find('series', seriesId);
  if (series && recurrenceId !== null && due !== null) override(series, recurrenceId, { at: due }, d);
}

export const setPolicy = commandKind({
  name: 'item.setPolicy',
  payload: z.object({ item: Id, policy: Policy }),
  asks: ({ item }) => [{ permission: 'change', item }],
  decide({ item: itemId, policy }, d) {
    const item = d.need('item', itemId);
    if (policy === item.policy) return;
    d.refuseIfChanged('item', itemId, 'policy');
    notifyingOfCompletion(item, d, () => d.set('item', itemId, { policy }));
    d.enter('item.change', { itemId }, { field: 'policy', from: item.policy, to: policy });
  },
});

/** Moves items, with everything under them, to a place named by its neighbours. Several keep their order. */
export const moveItem = commandKind({
  name: 'item.move',
  payload: z.object({
    items: SEVERAL,
    ...CONTAINER,
    ...NEIGHBOURS,
  }),
  asks({ items, ...target }, d) {
    const moved = items.map((item) => ({ permission: 'change', item }) as const);
    const within = !target.parent && items.every((id) => (d.find('item', id)?.listId ?? null) === (target.list ?? null));
    return within ? moved : [...moved, askForContainer(target)];
  },
  decide({ items, after, before, ...target }, d) {
    const spot = containerOf(target, d);
    const came: Item[] = [];
    for (const itemId of items) {
      const item = d.need('item', itemId);
      if (spot.parentId && isUnder(spot.parentId, itemId, d)) refuse('into-itself', { title: item.title });
      const from = item.listId;
      // an own pile belongs to its maker: what is taken out of a list into it becomes theirs
      d.set('item', itemId, { ...spot, ...(spot.listId === null && spot.parentId === null ? { makerId: d.actor.id } : {}) });
      moveStepsAlong(itemId, spot, d);
      if (from !== spot.listId) came.push(d.need('item', itemId));
      if (from !== spot.listId) d.enter('item.move', { itemId }, { from: nameOfList(from, d), to: nameOfList(spot.listId, d) });
    }
    putAllBeside(items, spot, { after, before }, d);
    notifyOfNew(came, d);
  },
});

function isUnder(itemId: string, ancestorId: string, d: Deciding): boolean {
  if (itemId === ancestorId) return true;
  for (const { id } of above(d.need('item', itemId), d)) if (id === ancestorId) return true;
  return false;
}

const nameOfList = (listId: string | null, d: Deciding): string | null => (listId ? (d.find('list', listId)?.name ?? null) : null);

/** Out of every view for 30 days, then gone. Steps go with their item. */
export const removeItem = commandKind({
  name: 'item.remove',
  payload: z.object({ items: SEVERAL }),
  asks: ({ items }) => items.map((item) => ({ permission: 'change', item }) as const),
  decide({ items }, d) {
    if (!d.context.slice)
      notifyRemoved(
        allWithBelow(items, d).filter(({ removedAt }) => removedAt === null || d.context.ahead),
        d,
      );
    for (const itemId of items) {
      removeWhole(itemId, d);
      // it goes along with what it lies under, which is told
      if (d.context.slice) continue;
      skipRemoved(itemId, d);
      d.enter('item.remove', { itemId });
    }
  },
});

/** Where it comes to stand if not where it lay; null: there. A step stays with what it is a step of. */
function placeToComeBackTo({ parentId, listId }: Item, { list, section }: { list?: string | null; section?: string | null }, d: Deciding): Container | null {
  if (parentId !== null) return null;
  if (list !== undefined) return containerOf({ list, section }, d);
  return listId !== null && d.find('list', listId)?.removedAt ? containerOf({}, d) : null;
}

/** One of a chore that is removed is left out, and the next comes. */
function skipRemoved(itemId: string, d: Deciding): void {
  const item = d.need('item', itemId);
  const series = item.seriesId === null ? undefined : d.find('series', item.seriesId);
  if (!series) return;
  override(series, item.recurrenceId!, { skipped: true }, d);
  bringNext(item, d);
}

/**
 * Brings removed items back to their place, with the steps that went with them; or into a list that is named. What lay in a list that was
 * removed since comes into the pile of who brings it back, where it is seen.
 */
export const bringBackItem = commandKind({
  name: 'item.bringBack',
  payload: z.object({ items: SEVERAL, list: CONTAINER.list, section: CONTAINER.section }),
  asks: ({ items, list }) => [...items.map((item) => ({ permission: 'change', item }) as const), ...(list ? [askForContainer({ list })] : [])],
  decide({ items, list, section }, d) {
    for (const itemId of items) {
      const { removedAt, purgedAt, seriesId, recurrenceId } = d.need('item', itemId);
      if (purgedAt !== null) refuse('gone', { noun: 'item' });
      if (d.context.slice) {
        d.set('item', itemId, { removedAt: null, missedAt: null });
        continue;
      }
      const spot = placeToComeBackTo(d.need('item', itemId), { list, section }, d);
      if (spot) {
        d.set('item', itemId, { ...spot, ...(spot.listId === null ? { makerId: d.actor.id } : {}) });
        moveStepsAlong(itemId, spot, d);
        putAllBeside([itemId], spot, {}, d);
      }
      for (const id of withBelow(itemId, d)) if (d.need('item', id).removedAt === removedAt) d.set('item', id, { removedAt: null, missedAt: null });
      const series = seriesId === null ? undefined : d.find('series', seriesId);
      if (series) override(series, recurrenceId!, { skipped: false }, d);
      d.enter('item.bringBack', { itemId });
    }
  },
});
