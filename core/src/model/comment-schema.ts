import * as z from 'zod/mini';
import { Id, Instant, Words, shared } from './row-schema.ts';

export const CommentKind = z.enum(['comment', 'question', 'answer', 'reason', 'remark', 'sent-back']);
export type CommentKind = z.infer<typeof CommentKind>;

/** A remark in an item's thread. `pair`: only giver and person read it. */
export const Comment = z.object({
  ...shared,
  itemId: Id,
  partId: z.nullable(Id),
  authorId: Id,
  text: Words,
  kind: CommentKind,
  audience: z.enum(['all', 'pair']),
  at: Instant,
  removedAt: z.nullable(Instant),
});
export type Comment = z.infer<typeof Comment>;
