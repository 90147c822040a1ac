import type { Item } from '../model/item.ts';
import type { Part } from '../model/part.ts';
import type { CommentKind } from '../model/comment-schema.ts';
import type { Deciding } from './deciding.ts';

/** Says something in the thread that belongs to a part. */
export function say(item: Item, part: Part | null, text: string, kind: CommentKind, audience: 'all' | 'pair', d: Deciding): void {
  d.insert('comment', d.newId(), { itemId: item.id, partId: part?.id ?? null, authorId: d.actor.id, text, kind, audience, at: d.now, removedAt: null });
}
