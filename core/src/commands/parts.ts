import { v5 } from 'uuid';
import type { Item } from '../model/item.ts';
import type { Part } from '../model/part.ts';
import { countingParts } from '../followup/standing.ts';
import { isHere, type Person } from '../model/person.ts';
import type { NoticeKind } from '../model/notice-schema.ts';
import type { Deciding } from './deciding.ts';
import { refuse } from './reasons.ts';

/** One part per item and person, whoever makes it: the id follows from the pair. */
export const partId = (itemId: string, personId: string | null): string => v5(`part:${personId ?? 'nobody'}`, itemId);

/** What a part is like before anything has happened to it. */
export const FRESH: Omit<Part, 'id' | 'houseId' | 'seq' | 'stamps' | 'itemId' | 'personId'> = {
  standing: 'needs-action',
  percent: 0,
  seenAt: null,
  completedAt: null,
  arrivedAt: null,
  completedBy: null,
  stood: null,
  answer: null,
  tiedAt: null,
  message: '',
  under: null,
  giverId: null,
  originId: null,
  givenAt: null,
  passedTo: null,
  excusedAt: null,
  takenBackAt: null,
  lastSignAt: null,
  nudgedAt: null,
  nudgedByHandAt: null,
  unanswered: 0,
  putAwayAt: null,
  plan: null,
  planGiverId: null,
  shelvedAt: null,
  pulledInto: null,
  takenOff: null,
  askAgain: null,
  ownOrder: null,
};

export function makePart(itemId: string, personId: string | null, d: Deciding, fields: Partial<Part> = {}): Part {
  return d.insert('part', partId(itemId, personId), { ...FRESH, itemId, personId, ...fields });
}

/** Gives a part to a person, also to one who had it before: it starts anew, with this giver and message. */
export function givePart(itemId: string, person: Person, d: Deciding, message: string, originId: string): Part {
  const own = person.id === d.actor.id;
  const given: Partial<Part> = {
    ...FRESH,
    standing: own ? 'accepted' : 'needs-action',
    seenAt: own ? d.now : null,
    message,
    under: titleAbove(itemId, d),
    giverId: d.actor.id,
    originId,
    givenAt: d.now,
  };
  const id = partId(itemId, person.id);
  if (d.find('part', id)) return d.set('part', id, given);
  return makePart(itemId, person.id, d, given);
}

/** What a step is a step of, by name. */
function titleAbove(itemId: string, d: Deciding): string | null {
  const parentId = d.find('item', itemId)?.parentId ?? null;
  return parentId === null ? null : (d.find('item', parentId)?.title ?? null);
}

/** Something was given another name: whoever has a step of it alone reads the new one. */
export function renameAbove(itemId: string, title: string, d: Deciding): void {
  for (const step of d.by('item', 'parentId', itemId))
    for (const part of d.by('part', 'itemId', step.id)) if (part.personId !== null && part.takenBackAt === null) d.set('part', part.id, { under: title });
}

/** After people came or went: nobody's part counts exactly while there is no other. */
export function settleNobody(itemId: string, d: Deciding): void {
  const parts = d.by('part', 'itemId', itemId);
  const someone = parts.some((part) => part.personId !== null && part.takenBackAt === null);
  const nobody = parts.find((part) => part.personId === null);
  if (someone && nobody) d.set('part', nobody.id, { takenBackAt: nobody.takenBackAt ?? d.now });
  if (!someone) {
    if (nobody) d.set('part', nobody.id, { takenBackAt: null });
    else makePart(itemId, null, d);
  }
}

/** They see the item no more: the notice opens none, and names it for the calendar of somebody outside, who has to hear that it is off. */
export function notifyTakenBack({ personId }: Pick<Part, 'personId'>, { id, title }: Pick<Item, 'id' | 'title'>, d: Deciding): void {
  d.notify(personId, 'taken-back', null, { title, item: id });
}

/** A person something can be given to: here, and in this house. */
export function needPerson(personId: string, d: Deciding, field = 'persons'): Person {
  const person = d.find('person', personId);
  if (!person) refuse('unknown-person', {}, field);
  if (!isHere(person)) refuse('person-left', { name: person.name }, field);
  return person;
}

/** The actor's own part of an item; a refusal if they have none that counts. */
export function needOwnPart(itemId: string, d: Deciding): Part {
  const part = d.find('part', partId(itemId, d.actor.id));
  if (!part || part.takenBackAt !== null) refuse('not-yours');
  return part;
}

export const hasCountingPart = (itemId: string, personId: string, d: Deciding): boolean =>
  countingParts(d.by('part', 'itemId', itemId)).some((part) => part.personId === personId);

/** Answering is a sign of life: it sets the count of unanswered nudges back. */
export const signOfLife = (d: Deciding): Partial<Part> => ({ lastSignAt: d.now, unanswered: 0, seenAt: d.now });

/** Whoever has answered something need not be told of it any more: their notices about it are read; or only those of some kinds. */
export function readTold(itemId: string, d: Deciding, kinds?: readonly NoticeKind[]): void {
  for (const notice of d.by('notice', 'personId', d.actor.id)) {
    if (notice.itemId === itemId && notice.readAt === null && (!kinds || kinds.includes(notice.kind))) d.set('notice', notice.id, { readAt: d.now });
  }
}

/** What only asks to be looked at. */
export const ASKS_TO_LOOK: readonly NoticeKind[] = ['handed', 'nudge'];
