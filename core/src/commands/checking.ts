import * as z from 'zod/mini';
import { countingParts, firstCompleted, isDone, waitsForTie } from '../followup/standing.ts';
import type { Item } from '../model/item.ts';
import type { Part } from '../model/part.ts';
import { Id } from '../model/row-schema.ts';
import { answerOf, MOST_ANSWER } from '../model/wanted.ts';
import { isUntouched, nextMade, withdraw } from './appearing.ts';
import { notifyingOfCompletion, uncheckPart } from './completion.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import type { CommandRequest } from './required-permissions.ts';
import { partId, readTold, settleNobody, signOfLife } from './parts.ts';
import { refuse } from './reasons.ts';
import { actsAsGiver } from './standing-in.ts';
import { say } from './thread.ts';

/** `person` null: the part of an item nobody was given. */
const PART = z.object({ item: Id, person: z.nullable(Id) });

/** Own part, nobody's, or tied for someone: each is a column of its own in the table. */
function asksToCheck({ item, person }: z.infer<typeof PART>, d: Deciding): CommandRequest[] {
  if (person === null) return [{ permission: 'check', item }];
  const part = d.find('part', partId(item, person));
  if (person === d.actorOrNull?.id) return [{ permission: 'self', is: part !== undefined && part.takenBackAt === null }];
  return [{ permission: 'tie', item, giver: actsAsGiver(part, d) }];
}

/** A tap counts when it was made, clamped to [handover or making, now]: a device's clock may be wrong. */
function momentOfTap(part: Part, item: Item, d: Deciding): string {
  const { at } = d.context;
  const earliest = part.givenAt ?? item.createdAt;
  if (at > d.now) return d.now;
  return at < earliest ? earliest : at;
}

/** Ties the knot. A tap on something already completed by another is recorded, and told who was first. */
export function completePart(item: Item, part: Part, d: Deciding, answer: string | null = null): void {
  if (part.standing === 'completed') return;
  const parts = d.by('part', 'itemId', item.id);
  const first = item.policy === 'any' && isDone(item, parts) ? firstCompleted(parts) : null;
  if (first) d.note('already-done', { by: nameOf(first.completedBy, d), at: first.completedAt });
  if (item.missedAt !== null) bringBackMissed(item, part, d);
  else if (item.removedAt) d.note('removed-meanwhile', { title: item.title });
  const tapped = momentOfTap(part, item, d);
  const own = part.personId === d.actor.id;
  if (own) readTold(item.id, d);
  notifyingOfCompletion(item, d, () => {
    d.set('part', part.id, {
      standing: 'completed',
      percent: 100,
      completedAt: tapped,
      arrivedAt: d.now,
      completedBy: d.actor.id,
      answer,
      stood: { standing: part.standing, percent: part.percent },
      // tied by the giver or a manager: no second look is needed
      tiedAt: own || part.personId === null ? null : d.now,
      excusedAt: null,
      ...(own ? signOfLife(d) : {}),
    });
  });
  notifyOfPart(item, d);
  if (answer !== null) say(item, part, sayAnswer(item, answer), 'comment', 'all', d);
  const completed = d.need('part', part.id);
  if (waitsForTie(item, completed)) d.notify(completed.originId, 'waits-for-tie', item.id, { title: item.title });
  d.enter('part.checkOff', { itemId: item.id }, own || part.personId === null ? {} : { for: nameOf(part.personId, d) }, tapped);
}

/** Of a chore whose next had come: a tap made before that counts, and it is done after all. */
function bringBackMissed(item: Item, part: Part, d: Deciding): void {
  if (momentOfTap(part, item, d) >= item.missedAt!) refuse('was-missed', { title: item.title });
  d.set('item', item.id, { missedAt: null, removedAt: null });
}

/** Who wanted to know of each part; of the last one they are told as of the whole. */
function notifyOfPart(item: Item, d: Deciding): void {
  if (item.policy !== 'each' || isDone(item, d.by('part', 'itemId', item.id))) return;
  for (const watch of d.by('watch', 'itemId', item.id))
    if (watch.on && watch.each && watch.topics.includes('done')) d.notify(watch.personId, 'part-done', item.id, { title: item.title });
}

function readAnswer(item: Item, typed: string): string {
  const wanted = item.wanted ?? { kind: 'word' as const };
  return answerOf(wanted, typed) ?? refuse('not-a-number', { value: typed.slice(0, 40) }, 'answer');
}

/** As it stands in the thread: "The meter says: 1204.5 kWh". */
const sayAnswer = ({ wanted }: Item, answer: string): string => (wanted ? `${wanted.what}: ${[answer, wanted.unit].filter(Boolean).join(' ')}` : answer);

export const checkOff = commandKind({
  name: 'part.checkOff',
  /** `answer`: to what the item asks for. A tick without one counts all the same: a device may not have known of it. */
  payload: z.object({ ...PART.shape, answer: z.optional(z.string().check(z.maxLength(MOST_ANSWER))) }),
  asks: asksToCheck,
  decide({ item: itemId, person, answer }, d) {
    const item = d.need('item', itemId);
    const said = answer === undefined || answer.trim() === '' ? null : readAnswer(item, answer);
    if (person === null) settleNobody(itemId, d);
    const part = d.find('part', partId(itemId, person));
    if (!part || part.takenBackAt) refuse(person === null ? 'already-has-it' : 'not-yours', { names: namesOn(item, d) });
    if (part.passedTo) refuse('not-yours');
    completePart(item, part, d, said);
  },
});

/** The part returns to where it stood; whoever was told of the completion is told. */
export const uncheck = commandKind({
  name: 'part.uncheck',
  /** `next`: what is to become of the next one of a chore where somebody has begun with it. */
  payload: z.object({ ...PART.shape, next: z.optional(z.enum(['keep', 'take-back'])) }),
  asks: asksToCheck,
  decide({ item: itemId, person, next }, d) {
    const item = d.need('item', itemId);
    const part = d.find('part', partId(itemId, person));
    if (!part || part.standing !== 'completed') refuse('not-done');
    settleNext(item, next, d);
    notifyingOfCompletion(item, d, () => uncheckPart(part.id, d));
    d.enter('part.uncheck', { itemId }, person === null || person === d.actor.id ? {} : { for: nameOf(person, d) });
  },
});

/** Never two from one without a word about it. */
export function settleNext(item: Item, wish: 'keep' | 'take-back' | undefined, d: Deciding): void {
  const next = nextMade(item, d);
  if (!next || isUntouched(next, d) || isDone(next, d.by('part', 'itemId', next.id))) return;
  if (wish === undefined) refuse('next-touched', { title: next.title, due: next.due ?? '' }, 'next');
  if (wish === 'take-back') withdraw(next, d);
}

const nameOf = (personId: string | null, d: Deciding): string => (personId ? (d.find('person', personId)?.name ?? '') : '');
const namesOn = (item: Item, d: Deciding): string[] => countingParts(d.by('part', 'itemId', item.id)).map((part) => nameOf(part.personId, d));
