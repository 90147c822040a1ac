import { generateNKeysBetween } from 'fractional-indexing';
import * as z from 'zod/mini';
import type { Part } from '../model/part.ts';
import { Id, Moment, Words } from '../model/row-schema.ts';
import { calendarDateOf, isMoment } from '../time/clock.ts';
import { rearmAlarms } from './alarms.ts';
import { notifyingOfCompletion } from './completion.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import type { CommandRequest } from './required-permissions.ts';
import { givePart, partId, readTold, settleNobody, signOfLife } from './parts.ts';
import { refuse } from './reasons.ts';

/** What each person decides for themselves: when to take the next step, not now, not today. Moves nothing for the others. */

const SEVERAL = z.array(Id).check(z.minLength(1), z.maxLength(500));

const ownOf = (itemId: string, d: Deciding): Part | undefined => {
  const part = d.actorOrNull ? d.find('part', partId(itemId, d.actorOrNull.id)) : undefined;
  return part && part.takenBackAt === null ? part : undefined;
};

/** Own parts, or what nobody was given and one may check off: planning it means to do it. */
const asksOwn = ({ items }: { items: string[] }, d: Deciding): CommandRequest[] =>
  items.map((item) => (ownOf(item, d) ? ({ permission: 'self', is: true } as const) : ({ permission: 'check', item } as const)));

/** The actor's part, accepted: to decide about it is to answer. What nobody was given is taken. */
function ownPart(itemId: string, d: Deciding): Part {
  const item = d.need('item', itemId);
  const own = ownOf(itemId, d);
  if (own) {
    if (own.passedTo || own.standing === 'completed') refuse('not-yours', { title: item.title });
    if (own.standing !== 'needs-action' && own.standing !== 'declined') return own;
    readTold(itemId, d);
    return d.set('part', own.id, { standing: 'accepted', percent: 0, ...signOfLife(d) });
  }
  const others = d.by('part', 'itemId', itemId).some((part) => part.personId !== null && part.takenBackAt === null);
  if (others) refuse('not-yours', { title: item.title });
  notifyingOfCompletion(item, d, () => {
    givePart(itemId, d.actor, d, '', d.actor.id);
    settleNobody(itemId, d);
  });
  return d.need('part', partId(itemId, d.actor.id));
}

const todayOf = (d: Deciding): string => {
  const house = d.house;
  return calendarDateOf(d.now, house.zone);
};

/** The day one means to take the next step; with a line for the history, one action ("sent the offer"). */
export const planParts = commandKind({
  name: 'part.plan',
  payload: z.object({ items: SEVERAL, plan: z.nullable(Moment), entry: z.optional(Words) }),
  asks: asksOwn,
  decide({ items, plan, entry }, d) {
    if (plan && !isMoment(plan)) refuse('malformed', { value: plan }, 'plan');
    for (const itemId of items) {
      const part = ownPart(itemId, d);
      const { start, due } = d.need('item', itemId);
      if (plan && start && plan.slice(0, 10) < start.slice(0, 10)) refuse('plan-before-start', { plan, start }, 'plan');
      if (plan && due && plan.slice(0, 10) > due.slice(0, 10)) d.note('plan-after-due', { plan, due });
      if (plan !== part.plan) rearmAlarms(itemId, ['plan'], d, d.actor.id);
      d.set('part', part.id, { plan, shelvedAt: null, pulledInto: null, takenOff: null, ...signOfLife(d) });
      if (entry) d.enter('part.entry', { itemId }, { text: entry });
    }
  },
});

/** The day somebody is to take the next step, set by who gave it to them: seen by both. */
export const planForPerson = commandKind({
  name: 'part.planFor',
  payload: z.object({ item: Id, person: Id, plan: z.nullable(Moment) }),
  asks: ({ item, person }, d) => {
    const giver = d.find('part', partId(item, person))?.giverId;
    return [giver === d.actorOrNull?.id ? { permission: 'self', is: true } : { permission: 'change', item }];
  },
  decide({ item: itemId, person, plan }, d) {
    if (plan && !isMoment(plan)) refuse('malformed', { value: plan }, 'plan');
    const { title, start, due } = d.need('item', itemId);
    const part = d.find('part', partId(itemId, person)) ?? refuse('unknown-person', {}, 'person');
    if (part.takenBackAt !== null || part.passedTo !== null || part.standing === 'completed' || person === d.actor.id) refuse('not-yours', { title });
    if (plan && start && plan.slice(0, 10) < start.slice(0, 10)) refuse('plan-before-start', { plan, start }, 'plan');
    if (plan && due && plan.slice(0, 10) > due.slice(0, 10)) d.note('plan-after-due', { plan, due });
    const before = part.planGiverId === null ? null : part.plan;
    if (plan === before && part.planGiverId !== null) return;
    d.set('part', part.id, { plan, planGiverId: d.actor.id });
    rearmAlarms(itemId, ['plan'], d, person);
    d.notify(person, 'changed', itemId, { title, field: 'plan', from: before, to: plan });
    d.enter('item.change', { itemId }, { field: 'plan', from: before, to: plan });
  },
});

/** Onto the shelf or off it. What has a deadline or was handed over can't lie there. */
export const shelveParts = commandKind({
  name: 'part.shelve',
  payload: z.object({ items: SEVERAL, shelved: z._default(z.boolean(), true) }),
  asks: asksOwn,
  decide({ items, shelved }, d) {
    for (const itemId of items) {
      const item = d.need('item', itemId);
      const before = ownOf(itemId, d);
      if (shelved && item.due) refuse('due-stays', { title: item.title, due: item.due }, 'items');
      if (shelved && before?.giverId && before.giverId !== d.actor.id)
        refuse('handed-stays', { title: item.title, name: d.find('person', before.giverId)?.name ?? '' }, 'items');
      const part = ownPart(itemId, d);
      d.set('part', part.id, shelved ? { shelvedAt: d.now, plan: null, pulledInto: null, takenOff: null } : { shelvedAt: null });
    }
  },
});

/** Into today though it is due later, or no longer: no date is touched. */
export const pullParts = commandKind({
  name: 'part.pull',
  payload: z.object({ items: SEVERAL, pulled: z._default(z.boolean(), true) }),
  asks: asksOwn,
  decide({ items, pulled }, d) {
    const today = todayOf(d);
    for (const itemId of items) {
      const part = ownPart(itemId, d);
      d.set('part', part.id, pulled ? { pulledInto: today, takenOff: null, shelvedAt: null } : { pulledInto: null });
    }
  },
});

/** Off today, until midnight: no date is touched. */
export const takePartsOff = commandKind({
  name: 'part.takeOff',
  payload: z.object({ items: SEVERAL, off: z._default(z.boolean(), true) }),
  asks: asksOwn,
  decide({ items, off }, d) {
    const today = todayOf(d);
    for (const itemId of items) {
      const part = ownPart(itemId, d);
      d.set('part', part.id, off ? { takenOff: today, pulledInto: null } : { takenOff: null });
    }
  },
});

/** Later, no day: looked at and decided, nothing more. */
export const leaveParts = commandKind({
  name: 'part.later',
  payload: z.object({ items: SEVERAL }),
  asks: asksOwn,
  decide({ items }, d) {
    for (const itemId of items) d.set('part', ownPart(itemId, d).id, { plan: null, shelvedAt: null, pulledInto: null });
  },
});

/** An order of one's own, made by dragging: these in this order. */
export const orderParts = commandKind({
  name: 'part.order',
  payload: z.object({ items: SEVERAL }),
  asks: asksOwn,
  decide({ items }, d) {
    const keys = generateNKeysBetween(null, null, items.length);
    items.forEach((itemId, nth) => {
      const part = ownOf(itemId, d) ?? ownPart(itemId, d);
      d.set('part', part.id, { ownOrder: keys[nth]! });
    });
  },
});
