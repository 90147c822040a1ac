import * as z from 'zod/mini';
import { relationsToItem } from '../access/relations.ts';
import type { Item } from '../model/item.ts';
import type { Comment } from '../model/comment-schema.ts';
import { MOST_MENTIONS } from '../model/mention.ts';
import { noticeId } from '../model/notice-id.ts';
import type { NoticeKind } from '../model/notice-schema.ts';
import { isHere } from '../model/person.ts';
import { stampOf } from '../model/row.ts';
import { Id, Words } from '../model/row-schema.ts';
import { say } from './thread.ts';
import { giversOf } from './completion.ts';
import type { Deciding } from './deciding.ts';
import { listeners } from './following.ts';
import { letInAll } from './guests.ts';
import { commandKind } from './kind.ts';
import { needPerson, partId, signOfLife } from './parts.ts';
import { refuse } from './reasons.ts';
import { removeFilesOf } from './removing-files.ts';
import { actsAsGiver } from './standing-in.ts';

/** People, as many as are addressed by one remark. */
const SOME = z.array(Id).check(z.maxLength(MOST_MENTIONS));

/**
 * Says something in an item's thread. From somebody it was handed to, it is a sign of life; from a giver, it answers what was asked. An answer
 * to a remark reaches who reads that. Whoever is addressed is told so, once; who can't see the item is not told, and the writer learns that,
 * unless they are let in with it.
 */
export const sayComment = commandKind({
  name: 'comment.say',
  payload: z.object({ item: Id, text: Words, answers: z.optional(Id), mentions: z.optional(SOME), letIn: z.optional(SOME) }),
  asks: ({ item, letIn = [] }) => [{ permission: 'say', item }, ...(letIn.length > 0 ? [{ permission: 'pass-on', item } as const] : [])],
  decide({ item: itemId, text, answers, mentions = [], letIn = [] }, d) {
    const item = d.need('item', itemId);
    const own = d.find('part', partId(itemId, d.actor.id));
    const mine = own && own.takenBackAt === null ? own : null;
    const question = answers === undefined ? null : needReadable(answers, itemId, d);
    const isPair = question?.audience === 'pair';
    const asked = d
      .by('part', 'itemId', itemId)
      .filter(
        (part) =>
          part.standing === 'tentative' && part.takenBackAt === null && actsAsGiver({ personId: part.personId, giverId: null, originId: part.originId }, d),
      );
    const answered = new Set(asked.map((part) => part.id));
    const reach = isPair ? readersOf(question, d) : null;
    // what two say to each other takes no third
    if (reach === null)
      letInAll(
        letIn.filter((id) => mentions.includes(id)),
        item,
        d,
      );
    const addressed = addressedBy(mentions, item, reach, d);
    const part = isPair && question.partId !== null ? { id: question.partId } : mine;
    const beside = { answersId: question?.id ?? null, mentions: addressed };
    say(item, part, text, asked.length > 0 ? 'answer' : 'comment', isPair ? 'pair' : 'all', d, beside);
    // what was said stands in the thread: the history only says that something was
    d.enter('comment.say', { itemId });
    if (mine) d.set('part', mine.id, signOfLife(d));
    const told = new Set<string>();
    const tell = (personId: string | null, kind: NoticeKind) => {
      if (personId === null || told.has(personId) || (reach && !reach.includes(personId))) return;
      told.add(personId);
      d.notify(personId, kind, itemId, { title: item.title, text });
    };
    for (const part of asked) {
      d.set('part', part.id, { standing: 'needs-action' });
      tell(part.personId, 'answer');
    }
    for (const personId of addressed) tell(personId, 'mentioned');
    if (question && canRead(question.authorId, item, d)) tell(question.authorId, 'replied');
    const holders = d.by('part', 'itemId', itemId).flatMap((part) => (part.takenBackAt === null && !answered.has(part.id) ? [part.personId] : []));
    for (const personId of [...listeners(item, 'said', giversOf(item, d), d), ...holders, ...whoSpoke(item, d)]) tell(personId, 'comment');
  },
});

/** A remark of that item the actor may read. */
function needReadable(id: string, itemId: string, d: Deciding): Comment {
  const comment = d.need('comment', id);
  if (comment.itemId !== itemId || comment.removedAt !== null) refuse('gone', {}, 'answers');
  if (comment.audience === 'pair' && !readersOf(comment, d).includes(d.actor.id)) refuse('gone', {}, 'answers');
  return comment;
}

/** Of a remark between giver and person: those two, and who wrote it. */
function readersOf({ authorId, partId }: Comment, d: Deciding): string[] {
  const part = partId === null ? undefined : d.find('part', partId);
  return [authorId, part?.personId, part?.giverId, part?.originId].filter((id) => typeof id === 'string');
}

/** Who is addressed and can read it; of the others its writer learns that they were not told. */
function addressedBy(mentions: readonly string[], item: Item, reach: readonly string[] | null, d: Deciding): string[] {
  const addressed: string[] = [];
  for (const id of new Set(mentions)) {
    const person = needPerson(id, d, 'mentions');
    if ((reach === null || reach.includes(id)) && canRead(id, item, d)) addressed.push(id);
    else d.note('cannot-see', { name: person.name });
  }
  return addressed;
}

function canRead(personId: string, item: Item, d: Deciding): boolean {
  const person = d.find('person', personId);
  return person !== undefined && isHere(person) && relationsToItem(item, person, d).length > 0;
}

const isOwnRemark = (id: string, d: Deciding): boolean => d.find('comment', id)?.authorId === d.actorOrNull?.id;
const ownRemark = (id: string, d: Deciding) => ({ permission: 'self', is: isOwnRemark(id, d) }) as const;

/** Puts one's own remark right: that it was is said, and how it read before stands in the history of who could read it. */
export const correctComment = commandKind({
  name: 'comment.correct',
  payload: z.object({ comment: Id, text: Words }),
  asks: ({ comment }, d) => [ownRemark(comment, d)],
  decide({ comment: id, text }, d) {
    const comment = d.need('comment', id);
    if (comment.removedAt !== null) refuse('gone', {}, 'comment');
    if (comment.text === text) return;
    d.set('comment', id, { text, correctedAt: d.now });
    d.enter('comment.correct', { itemId: comment.itemId }, comment.audience === 'all' ? { before: comment.text.slice(0, MOST_BEFORE) } : {});
  },
});

/** So much of how a remark read before stands in the history. */
const MOST_BEFORE = 1_000;

/** Takes one's own remark back: nobody else reads it any more, nor is told of it who was not yet. */
export const takeBackComment = commandKind({
  name: 'comment.takeBack',
  payload: z.object({ comment: Id }),
  asks: ({ comment }, d) => [ownRemark(comment, d)],
  decide({ comment: id }, d) {
    const comment = d.need('comment', id);
    if (comment.removedAt !== null) return;
    d.set('comment', id, { removedAt: d.now });
    removeFilesOf(comment.itemId, d, ({ commentId }) => commentId === id);
    d.enter('comment.takeBack', { itemId: comment.itemId });
    const command = stampOf(comment, '')?.c;
    if (command === undefined) return;
    for (const { id: personId } of d.all('person'))
      for (const kind of TOLD_OF) {
        const notice = d.find('notice', noticeId(kind, comment.itemId, personId, command));
        if (notice && notice.readAt === null) d.set('notice', notice.id, { withdrawnAt: d.now });
      }
  },
});

const TOLD_OF: readonly NoticeKind[] = ['comment', 'mentioned', 'replied', 'answer', 'question'];

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
