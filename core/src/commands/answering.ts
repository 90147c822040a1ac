import * as z from 'zod/mini';
import type { Item } from '../model/item.ts';
import type { Part, Standing } from '../model/part.ts';
import { Id, Text, Words } from '../model/row-schema.ts';
import type { Deciding } from './deciding.ts';
import { notifyingOfCompletion } from './completion.ts';
import { notifyFollowers } from './following.ts';
import { commandKind } from './kind.ts';
import { completePart } from './checking.ts';
import { ASKS_TO_LOOK, needOwnPart, partId, readTold, signOfLife } from './parts.ts';
import { refuse } from './reasons.ts';
import { actsAsGiver } from './standing-in.ts';
import { say } from './thread.ts';

const OWN = z.object({ item: Id });
const ownPart = ({ item }: { item: string }, d: Deciding) => {
  const part = d.actorOrNull ? d.find('part', partId(item, d.actorOrNull.id)) : undefined;
  return [{ permission: 'self', is: part !== undefined && part.takenBackAt === null } as const];
};

function answer(item: Item, standing: Standing, d: Deciding): Part {
  const part = needOwnPart(item.id, d);
  if (part.standing === 'completed' || part.passedTo) refuse('not-yours');
  readTold(item.id, d);
  return d.set('part', part.id, { standing, percent: 0, ...signOfLife(d) });
}

const givers = (part: Part): string[] => [...new Set([part.giverId, part.originId])].filter((id) => id !== null);

/** The person has opened it: unseen becomes seen, what only asked to be looked at is read, nothing else. */
export const see = commandKind({
  name: 'part.see',
  payload: OWN,
  asks: ownPart,
  decide({ item }, d) {
    const part = needOwnPart(item, d);
    if (part.seenAt === null) d.set('part', part.id, { seenAt: d.now });
    readTold(item, d, ASKS_TO_LOOK);
  },
});

export const accept = commandKind({
  name: 'part.accept',
  payload: OWN,
  asks: ownPart,
  decide({ item: itemId }, d) {
    const item = d.need('item', itemId);
    answer(item, 'accepted', d);
    d.enter('part.accept', { itemId });
  },
});

/** A question back: the giver is told at once, and the part stands as asked until it is answered or taken. */
export const askBack = commandKind({
  name: 'part.askBack',
  payload: z.object({ item: Id, question: Words }),
  asks: ownPart,
  decide({ item: itemId, question }, d) {
    const item = d.need('item', itemId);
    const part = answer(item, 'tentative', d);
    say(item, part, question, 'question', 'all', d);
    for (const giver of givers(part)) d.notify(giver, 'question', itemId, { title: item.title, text: question });
    notifyFollowers(item, 'answers', 'question', { title: item.title, text: question }, d);
    d.enter('part.askBack', { itemId });
  },
});

/** Can't: with a reason, which only giver and person read. */
export const decline = commandKind({
  name: 'part.decline',
  payload: z.object({ item: Id, reason: z._default(Text, '') }),
  asks: ownPart,
  decide({ item: itemId, reason }, d) {
    const item = d.need('item', itemId);
    const part = answer(item, 'declined', d);
    if (reason.trim()) say(item, part, reason.trim(), 'reason', 'pair', d);
    for (const giver of givers(part)) d.notify(giver, 'declined', itemId, { title: item.title, text: reason.trim() });
    // the reason is between the two
    notifyFollowers(item, 'answers', 'declined', { title: item.title, text: '' }, d);
    d.enter('part.decline', { itemId });
  },
});

/** Under way: a percentage by hand; 100 checks it off (RFC 5545 PERCENT-COMPLETE). */
export const progress = commandKind({
  name: 'part.progress',
  payload: z.object({ item: Id, percent: z.int().check(z.gte(0), z.lte(100)) }),
  asks: ownPart,
  decide({ item: itemId, percent }, d) {
    const item = d.need('item', itemId);
    if (percent === 100) {
      completePart(item, needOwnPart(itemId, d), d);
      return;
    }
    const part = needOwnPart(itemId, d);
    if (part.standing === 'completed' || part.passedTo) refuse('not-yours');
    readTold(itemId, d);
    d.set('part', part.id, { standing: percent === 0 ? 'accepted' : 'in-process', percent, ...signOfLife(d) });
    d.enter('part.progress', { itemId }, { percent });
  },
});

/** Who gave a part, or a manager, sees to what was checked off with confirm wanted. */
const tying = ({ item, person }: { item: string; person: string }, d: Deciding) => {
  const part = d.find('part', partId(item, person));
  return [{ permission: 'tie', item, giver: actsAsGiver(part, d) } as const];
};

export const tieOff = commandKind({
  name: 'part.tieOff',
  payload: z.object({ item: Id, person: Id }),
  asks: tying,
  decide({ item: itemId, person }, d) {
    const item = d.need('item', itemId);
    const part = d.find('part', partId(itemId, person));
    if (!part || part.standing !== 'completed' || part.tiedAt) refuse('nothing-to-tie');
    notifyingOfCompletion(item, d, () => d.set('part', part.id, { tiedAt: d.now, putAwayAt: d.now }));
    d.notify(person, 'tied', itemId, { title: item.title });
    d.enter('part.tieOff', { itemId }, { person: d.find('person', person)?.name ?? '' });
  },
});

/** Not done yet after all: back to the person with a reason. */
export const sendBack = commandKind({
  name: 'part.sendBack',
  payload: z.object({ item: Id, person: Id, reason: Words }),
  asks: tying,
  decide({ item: itemId, person, reason }, d) {
    const item = d.need('item', itemId);
    const part = d.find('part', partId(itemId, person));
    if (!part || part.standing !== 'completed') refuse('nothing-to-tie');
    notifyingOfCompletion(item, d, () =>
      d.set('part', part.id, {
        standing: 'accepted',
        percent: 0,
        completedAt: null,
        arrivedAt: null,
        completedBy: null,
        stood: null,
        tiedAt: null,
        putAwayAt: null,
      }),
    );
    say(item, part, reason, 'sent-back', 'pair', d);
    d.notify(person, 'sent-back', itemId, { title: item.title, text: reason });
    d.enter('part.sendBack', { itemId }, { person: d.find('person', person)?.name ?? '' });
  },
});

/** The giver has seen that it came back: it leaves "Back". */
export const putAway = commandKind({
  name: 'part.putAway',
  payload: z.object({ items: z.array(Id).check(z.minLength(1), z.maxLength(500)) }),
  asks: ({ items }) => items.map((item) => ({ permission: 'see', item }) as const),
  decide({ items }, d) {
    for (const itemId of items) {
      for (const part of d.by('part', 'itemId', itemId)) {
        if (part.putAwayAt || part.standing !== 'completed') continue;
        if (part.giverId === d.actor.id || part.originId === d.actor.id) d.set('part', part.id, { putAwayAt: d.now });
      }
    }
  },
});
