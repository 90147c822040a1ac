import * as z from 'zod/mini';
import type { Item } from '../model/item.ts';
import { Policy } from '../model/nature-schema.ts';
import type { Part } from '../model/part.ts';
import type { Person } from '../model/person.ts';
import { Id, Moment, Text } from '../model/row-schema.ts';
import { openParts } from '../followup/standing.ts';
import { giversOf, notifyingOfCompletion } from './completion.ts';
import type { Deciding } from './deciding.ts';
import { notifyFollowers } from './following.ts';
import { commandKind } from './kind.ts';
import { givePart, hasCountingPart, needPerson, notifyTakenBack, partId, settleNobody } from './parts.ts';
import { refuse } from './reasons.ts';
import { handedAtOnce, leftAfter } from './slicing.ts';

const SEVERAL = z.array(Id).check(z.minLength(1), z.maxLength(500));
const PEOPLE = z.array(Id).check(z.minLength(1), z.maxLength(60));

/** Gives the same to one or several; due, policy and confirm may be set in the same action. */
export const handOver = commandKind({
  name: 'part.handOver',
  payload: z.object({
    items: SEVERAL,
    persons: PEOPLE,
    message: z._default(Text, ''),
    policy: z.optional(Policy),
    due: z.optional(z.nullable(Moment)),
    confirm: z.optional(z.boolean()),
  }),
  asks: ({ items }) => items.map((item) => ({ permission: 'change', item }) as const),
  decide({ items, persons, message, policy, due, confirm }, d) {
    const people = persons.map((id) => needPerson(id, d));
    for (const itemId of leftAfter(items, d.context.ahead, handedAtOnce(persons))) {
      const item = d.need('item', itemId);
      if (item.removedAt) refuse('gone', { noun: 'item' });
      const fresh = people.filter((person) => !hasCountingPart(itemId, person.id, d));
      if (fresh.length === 0 && items.length === 1 && policy === undefined) refuse('already-has-it', { names: people.map((person) => person.name) }, 'persons');
      if (due !== undefined && due !== item.due) d.refuseIfChanged('item', itemId, 'due');
      if (policy !== undefined && policy !== item.policy) d.refuseIfChanged('item', itemId, 'policy');
      notifyingOfCompletion(item, d, () => {
        d.set('item', itemId, { policy: policy ?? item.policy, due: due === undefined ? item.due : due, confirm: confirm ?? item.confirm });
        handTo(item, fresh, message.trim(), d);
      });
      d.enter('part.handOver', { itemId }, { to: fresh.map((person) => person.name), policy: policy ?? item.policy, due: due ?? item.due });
    }
  },
});

/** Gives an item to people who have not got it, and tells them. */
export function handTo(item: Item, fresh: readonly Person[], message: string, d: Deciding): void {
  for (const person of fresh) {
    givePart(item.id, person, d, message, d.actor.id);
    d.notify(person.id, 'handed', item.id, { title: item.title, message });
  }
  settleNobody(item.id, d);
}

/** Takes something nobody was given. */
export const take = commandKind({
  name: 'part.take',
  payload: z.object({ item: Id }),
  asks: ({ item }) => [{ permission: 'check', item }],
  decide({ item: itemId }, d) {
    const item = d.need('item', itemId);
    if (hasCountingPart(itemId, d.actor.id, d)) refuse('already-has-it', { names: [d.actor.name] });
    if (openParts(d.by('part', 'itemId', itemId)).some((part) => part.personId !== null)) refuse('not-allowed');
    notifyingOfCompletion(item, d, () => {
      givePart(itemId, d.actor, d, '', d.actor.id);
      settleNobody(itemId, d);
    });
    d.enter('part.take', { itemId });
  },
});

/** Takes a part back: that person no longer has it, nor sees the item by it. */
export const takeBack = commandKind({
  name: 'part.takeBack',
  payload: z.object({ item: Id, persons: PEOPLE }),
  asks: ({ item }) => [{ permission: 'change', item }],
  decide({ item: itemId, persons }, d) {
    const item = d.need('item', itemId);
    const names = persons.map((id) => d.find('person', id)?.name ?? refuse('unknown-person', {}, 'persons'));
    notifyingOfCompletion(item, d, () => {
      for (const id of persons) {
        const part = d.find('part', partId(itemId, id));
        if (!part || part.takenBackAt) continue;
        d.set('part', part.id, { takenBackAt: d.now });
        notifyTakenBack(part, item, d);
      }
      settleNobody(itemId, d);
    });
    d.enter('part.takeBack', { itemId }, { from: names });
  },
});

/** That person need not do it; the others' parts stand, and the person keeps seeing it. */
export const excuse = commandKind({
  name: 'part.excuse',
  payload: z.object({ item: Id, person: Id, excused: z._default(z.boolean(), true) }),
  asks: ({ item }) => [{ permission: 'change', item }],
  decide({ item: itemId, person: personId, excused }, d) {
    const item = d.need('item', itemId);
    const part = d.find('part', partId(itemId, personId)) ?? refuse('unknown-person', {}, 'person');
    notifyingOfCompletion(item, d, () => d.set('part', part.id, { excusedAt: excused ? d.now : null }));
    if (excused) d.notify(personId, 'excused', itemId, { title: item.title });
    d.enter(excused ? 'part.excuse' : 'part.unexcuse', { itemId }, { person: d.find('person', personId)?.name ?? '' });
  },
});

/** Passes a part on: from oneself (delegated, one keeps following it) or, as its giver, from somebody who cannot. */
export const passOn = commandKind({
  name: 'part.passOn',
  payload: z.object({ item: Id, from: Id, to: Id, message: z._default(Text, '') }),
  asks: ({ item, from }, d) => [{ permission: from === d.actorOrNull?.id ? 'pass-on' : 'change', item }],
  decide({ item: itemId, from, to, message }, d) {
    const item = d.need('item', itemId);
    const person = needPerson(to, d, 'to');
    const part = d.find('part', partId(itemId, from)) ?? refuse('not-yours');
    if (part.takenBackAt || part.passedTo) refuse('not-yours');
    if (part.standing === 'completed') refuse('not-yours');
    if (to === from || hasCountingPart(itemId, to, d)) refuse('already-has-it', { names: [person.name] }, 'to');
    passPart(item, part, person, message.trim() || part.message, d);
    d.notify(to, 'handed', itemId, { title: item.title, message: message.trim() || part.message });
    const others = from === d.actor.id ? giversOf(item, d) : [from];
    for (const other of others) if (other !== to) d.notify(other, 'passed', itemId, { title: item.title, to: person.name });
    notifyFollowers(item, 'answers', 'passed', { title: item.title, to: person.name }, d);
    enterPassedOn(itemId, from, person, d);
  },
});

function passPart(item: Item, part: Part, person: Person, message: string, d: Deciding): void {
  const own = part.personId === d.actor.id;
  notifyingOfCompletion(item, d, () => {
    d.set('part', part.id, {
      passedTo: person.id,
      standing: part.standing === 'declined' ? 'declined' : 'delegated',
      ...(own ? { lastSignAt: d.now, unanswered: 0 } : {}),
    });
    const passed = givePart(item.id, person, d, message, own ? (part.originId ?? d.actor.id) : d.actor.id);
    // a day that came with it goes along
    if (part.planGiverId !== null) d.set('part', passed.id, { plan: part.plan, planGiverId: part.planGiverId });
  });
}

/** One's own goes from nobody else. */
function enterPassedOn(itemId: string, fromId: string, to: Person, d: Deciding): void {
  const from = fromId === d.actorOrNull?.id ? null : (d.find('person', fromId)?.name ?? '');
  d.enter('part.passOn', { itemId }, { from, to: to.name });
}

/** What somebody has is passed on to another; what they have not is handed over. Told together with what else goes with it. */
export function giveOrPassOn(item: Item, fromId: string, person: Person, d: Deciding): void {
  const part = d.find('part', partId(item.id, fromId));
  if (part && openParts([part]).length > 0) {
    passPart(item, part, person, part.message, d);
    enterPassedOn(item.id, fromId, person, d);
    return;
  }
  notifyingOfCompletion(item, d, () => {
    givePart(item.id, person, d, '', d.actor.id);
    settleNobody(item.id, d);
  });
  d.enter('part.handOver', { itemId: item.id }, { to: [person.name], policy: item.policy, due: item.due });
}
