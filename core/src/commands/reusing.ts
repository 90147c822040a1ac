import * as z from 'zod/mini';
import { countingParts, isDone } from '../followup/standing.ts';
import type { Item } from '../model/item.ts';
import type { Part } from '../model/part.ts';
import { Id } from '../model/row-schema.ts';
import { above } from '../reader/tree.ts';
import { calendarDateOf } from '../time/clock.ts';
import type { Deciding } from './deciding.ts';
import { commandKind, SLICE } from './kind.ts';
import { refuse } from './reasons.ts';
import { slicesAhead } from './slicing.ts';

/** What is done in a list goes out of sight for everyone; the history keeps it, and it is brought back by clearing nothing. */
export const clearDone = commandKind({
  name: 'list.clearDone',
  payload: z.object({ list: Id, cleared: z._default(z.boolean(), true) }),
  asks: ({ list }) => [{ permission: 'change', list }],
  decide({ list, cleared }, d) {
    d.set('list', list, { clearedAt: cleared ? d.now : null });
    if (cleared) d.enter('list.clearDone', { listId: list });
  },
});

/** A list from the start: all that was checked off is open again, with those who had it, and days that have passed are let go. */
export const useAgain = commandKind({
  name: 'list.useAgain',
  payload: z.object({ list: Id, items: SLICE }),
  asks: ({ list }) => [{ permission: 'change', list }],
  decide({ list: listId, items }, d) {
    const among = (d.context.slice && items?.map((id) => d.need('item', id)).filter((item) => item.listId === listId)) || d.by('item', 'listId', listId);
    const done = among.filter((item) => !item.removedAt && wasTicked(item, d) && !isOfChore(item, d));
    for (const item of done) openAgain(item, d);
    if (d.context.slice) return;
    const count = done.length + openedAhead(d);
    if (count === 0) refuse('nothing-done', { name: d.need('list', listId).name });
    for (const [personId, item] of handedAgain(listId, d)) d.notify(personId, 'handed', item.id, { title: d.need('list', listId).name, message: '' });
    d.set('list', listId, { clearedAt: null });
    d.enter('list.useAgain', { listId }, { count });
  },
});

function openAgain(item: Item, d: Deciding): void {
  const today = calendarDateOf(d.now, d.house.zone);
  d.set('item', item.id, { due: ahead(item.due, today), start: ahead(item.start, today) });
  for (const part of countingParts(d.by('part', 'itemId', item.id))) if (part.standing === 'completed') d.set('part', part.id, startedAnew(part, d));
}

/** One event is one notice, however many of its items somebody has: the first of them. */
function handedAgain(listId: string, d: Deciding): Map<string, Item> {
  const handed = new Map<string, Item>();
  for (const item of d.by('item', 'listId', listId))
    for (const { personId, givenAt } of countingParts(d.by('part', 'itemId', item.id)))
      if (personId !== null && givenAt === d.now && !handed.has(personId)) handed.set(personId, item);
  return handed;
}

/** Items the slices done ahead have opened. */
function openedAhead(d: Deciding): number {
  const parts = slicesAhead(d).flatMap(({ changes }) => changes.filter(({ noun }) => noun === 'part'));
  return new Set(parts.map(({ id }) => d.need('part', id).itemId)).size;
}

const wasTicked = (item: Item, d: Deciding): boolean => {
  const parts = d.by('part', 'itemId', item.id);
  return isDone(item, parts) || countingParts(parts).some((part) => part.standing === 'completed');
};

/** What was of a chore is history; it comes again by its own rule. */
const isOfChore = (item: Item, d: Deciding): boolean => item.seriesId !== null || [...above(item, d)].some(({ seriesId }) => seriesId !== null);

const ahead = (moment: string | null, today: string): string | null => (moment !== null && moment.slice(0, 10) >= today ? moment : null);

/** Handed over again to whoever had it: they answer anew. One's own is in hand at once. */
function startedAnew({ personId }: Part, d: Deciding): Partial<Part> {
  const others = personId !== null && personId !== d.actor.id;
  return {
    standing: personId === d.actor.id ? 'accepted' : 'needs-action',
    percent: 0,
    completedAt: null,
    arrivedAt: null,
    completedBy: null,
    tiedAt: null,
    stood: null,
    putAwayAt: null,
    nudgedAt: null,
    nudgedByHandAt: null,
    unanswered: 0,
    plan: null,
    pulledInto: null,
    takenOff: null,
    ...(others ? { seenAt: null, givenAt: d.now } : {}),
  };
}
