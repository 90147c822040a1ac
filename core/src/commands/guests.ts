import * as z from 'zod/mini';
import { relationsToItem } from '../access/relations.ts';
import { guestId } from '../model/guest.ts';
import type { Item } from '../model/item.ts';
import { Id } from '../model/row-schema.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import { MOST_MENTIONS } from '../model/mention.ts';
import { needPerson } from './parts.ts';
import { refuse } from './reasons.ts';

/** Lets people in on one item: they see it, its steps and its thread, and may answer. Who sees it already, or has no account, is left as they are. */
export function letInAll(personIds: readonly string[], item: Item, d: Deciding): void {
  for (const personId of new Set(personIds)) {
    const person = needPerson(personId, d, 'letIn');
    if (person.role === 'outside' || relationsToItem(item, person, d).length > 0) continue;
    const id = guestId(item.id, personId);
    const fields = { byId: d.actor.id, since: d.now, endedAt: null };
    if (d.find('guest', id)) d.set('guest', id, fields);
    else d.insert('guest', id, { itemId: item.id, personId, ...fields });
    d.enter('guest.letIn', { itemId: item.id }, { to: [person.name] });
  }
}

/** Lets somebody in whom a remark addresses and who could not see it: they are told of it now. */
export const letGuestIn = commandKind({
  name: 'guest.letIn',
  payload: z.object({ comment: Id, person: Id }),
  asks: ({ comment }, d) => [{ permission: 'pass-on', item: d.find('comment', comment)?.itemId ?? comment }],
  decide({ comment: commentId, person: personId }, d) {
    const comment = d.need('comment', commentId);
    if (comment.removedAt !== null || comment.audience !== 'all') refuse('gone', {}, 'comment');
    const item = d.need('item', comment.itemId);
    letInAll([personId], item, d);
    if (comment.mentions.includes(personId) || comment.mentions.length >= MOST_MENTIONS) return;
    if (relationsToItem(item, needPerson(personId, d, 'person'), d).length === 0) return;
    d.set('comment', commentId, { mentions: [...comment.mentions, personId] });
    d.notify(personId, 'mentioned', item.id, { title: item.title, text: comment.text });
  },
});

/** Ends what somebody was let in on: whoever may hand the item over does, or they themselves leave. */
export const endGuest = commandKind({
  name: 'guest.end',
  payload: z.object({ item: Id, person: Id }),
  asks: ({ item, person }, d) => [person === d.actorOrNull?.id ? { permission: 'self', is: true } : { permission: 'pass-on', item }],
  decide({ item: itemId, person: personId }, d) {
    const guest = d.find('guest', guestId(itemId, personId));
    if (!guest || guest.endedAt !== null) return;
    d.set('guest', guest.id, { endedAt: d.now });
    d.enter('guest.end', { itemId }, { to: [d.find('person', personId)?.name ?? ''] });
  },
});
