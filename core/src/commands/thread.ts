import type { Item } from '../model/item.ts';
import type { Part } from '../model/part.ts';
import type { Comment, CommentKind } from '../model/comment-schema.ts';
import type { Deciding } from './deciding.ts';

/** What a remark answers, and whom it addresses. */
export type Beside = Pick<Comment, 'answersId' | 'mentions'>;
const NOTHING: Beside = { answersId: null, mentions: [] };

/** Says something in the thread that belongs to a part. */
export function say(item: Item, part: Pick<Part, 'id'> | null, text: string, kind: CommentKind, audience: 'all' | 'pair', d: Deciding, beside = NOTHING): void {
  const said = { itemId: item.id, partId: part?.id ?? null, authorId: d.actor.id, text, kind, audience, at: d.now };
  d.insert('comment', d.newId(), { ...said, ...beside, correctedAt: null, removedAt: null });
}
