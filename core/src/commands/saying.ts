import { v5 } from 'uuid';
import * as z from 'zod/mini';
import { footingsOnItem } from './may.ts';
import type { Item } from '../model/item.ts';
import { isHere } from '../model/person.ts';
import { Id, Words } from '../model/row.ts';
import { say } from './thread.ts';
import { whoWaits } from './completion.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import { needPerson, partId, signOfLife } from './parts.ts';
import { actsAsGiver } from './standing-in.ts';
import { refuse } from './reasons.ts';

/** Says something in an item's thread. From somebody it was handed to, it is a sign of life; from a giver, it answers what was asked. */
export const sayComment = commandKind({
  name: 'comment.say',
  payload: z.object({ item: Id, text: Words }),
  asks: ({ item }) => [{ deed: 'answer', item }],
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
      d.tell(part.personId, 'answer', itemId, { title: item.title, text });
    }
    const holders = d.by('part', 'itemId', itemId).flatMap((part) => (part.takenBackAt === null && !answered.has(part.id) ? [part.personId] : []));
    const hasAnswer = new Set(asked.map(({ personId }) => personId));
    for (const personId of new Set([...whoWaits(item, d), ...holders, ...whoSpoke(item, d)]))
      if (!hasAnswer.has(personId)) d.tell(personId, 'comment', itemId, { title: item.title, text });
  },
});

/** Whoever said or asked something in the thread hears what comes after it, while they can see the item. */
function whoSpoke(item: Item, d: Deciding): string[] {
  const authors = new Set(d.by('comment', 'itemId', item.id).flatMap(({ authorId, removedAt }) => (removedAt === null ? [authorId] : [])));
  return [...authors].filter((id) => {
    const person = d.find('person', id);
    return person !== undefined && isHere(person) && footingsOnItem(item, person, d).length > 0;
  });
}

export const watchId = (itemId: string, personId: string): string => v5(`watch:${personId}`, itemId);

/** Follows an item, or stops following; for somebody else, only what they can see. */
export const setWatch = commandKind({
  name: 'watch.set',
  payload: z.object({ item: Id, person: Id, on: z.boolean(), each: z._default(z.boolean(), false) }),
  asks: ({ item, person }, d) => [{ deed: person === d.actorOrNull?.id ? 'see' : 'change', item }],
  decide({ item: itemId, person: personId, on, each }, d) {
    const item = d.need('item', itemId);
    const person = on ? needPerson(personId, d, 'person') : d.need('person', personId);
    if (on && footingsOnItem(item, person, d).length === 0) refuse('cannot-open-list', { name: person.name }, 'person');
    const id = watchId(itemId, personId);
    if (d.find('watch', id)) d.set('watch', id, { on, each });
    else d.insert('watch', id, { itemId, personId, on, each });
  },
});

const isMine = (notice: string, d: Deciding) => d.find('notice', notice)?.personId === d.actorOrNull?.id;

export const readNotice = commandKind({
  name: 'notice.read',
  payload: z.object({ notices: z.array(Id).check(z.minLength(1), z.maxLength(500)) }),
  asks: ({ notices }, d) => notices.map((notice) => ({ deed: 'self', is: isMine(notice, d) }) as const),
  decide({ notices }, d) {
    for (const notice of notices) if (d.need('notice', notice).readAt === null) d.set('notice', notice, { readAt: d.now });
  },
});
