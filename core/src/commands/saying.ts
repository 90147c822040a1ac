import * as z from 'zod/mini';
import { relationsToItem } from '../access/relations.ts';
import type { Item } from '../model/item.ts';
import { isHere } from '../model/person.ts';
import { Id, Words } from '../model/row-schema.ts';
import { say } from './thread.ts';
import { giversOf } from './completion.ts';
import type { Deciding } from './deciding.ts';
import { listeners } from './following.ts';
import { commandKind } from './kind.ts';
import { partId, signOfLife } from './parts.ts';
import { actsAsGiver } from './standing-in.ts';

/** Says something in an item's thread. From somebody it was handed to, it is a sign of life; from a giver, it answers what was asked. */
export const sayComment = commandKind({
  name: 'comment.say',
  payload: z.object({ item: Id, text: Words }),
  asks: ({ item }) => [{ permission: 'answer', item }],
  decide({ item: itemId, text }, d) {
    const item = d.need('item', itemId);
    const own = d.find('part', partId(itemId, d.actor.id));
    const mine = own && own.takenBackAt === null ? own : null;
    const asked = d
      .by('part', 'itemId', itemId)
      .filter(
        (part) =>
          part.standing === 'tentative' && part.takenBackAt === null && actsAsGiver({ personId: part.personId, giverId: null, originId: part.originId }, d),
      );
    const answered = new Set(asked.map((part) => part.id));
    say(item, mine, text, asked.length > 0 ? 'answer' : 'comment', 'all', d);
    // what was said stands in the thread: the history only says that something was
    d.enter('comment.say', { itemId });
    if (mine) d.set('part', mine.id, signOfLife(d));
    for (const part of asked) {
      d.set('part', part.id, { standing: 'needs-action' });
      d.notify(part.personId, 'answer', itemId, { title: item.title, text });
    }
    const holders = d.by('part', 'itemId', itemId).flatMap((part) => (part.takenBackAt === null && !answered.has(part.id) ? [part.personId] : []));
    const hasAnswer = new Set(asked.map(({ personId }) => personId));
    for (const personId of new Set([...listeners(item, 'said', giversOf(item, d), d), ...holders, ...whoSpoke(item, d)]))
      if (!hasAnswer.has(personId)) d.notify(personId, 'comment', itemId, { title: item.title, text });
  },
});

/** Whoever said or asked something in the thread hears what comes after it, while they can see the item. */
function whoSpoke(item: Item, d: Deciding): string[] {
  const authors = new Set(d.by('comment', 'itemId', item.id).flatMap(({ authorId, removedAt }) => (removedAt === null ? [authorId] : [])));
  return [...authors].filter((id) => {
    const person = d.find('person', id);
    return person !== undefined && isHere(person) && relationsToItem(item, person, d).length > 0;
  });
}

const isMine = (notice: string, d: Deciding) => d.find('notice', notice)?.personId === d.actorOrNull?.id;

export const readNotice = commandKind({
  name: 'notice.read',
  payload: z.object({ notices: z.array(Id).check(z.minLength(1), z.maxLength(500)) }),
  asks: ({ notices }, d) => notices.map((notice) => ({ permission: 'self', is: isMine(notice, d) }) as const),
  decide({ notices }, d) {
    for (const notice of notices) if (d.need('notice', notice).readAt === null) d.set('notice', notice, { readAt: d.now });
  },
});
