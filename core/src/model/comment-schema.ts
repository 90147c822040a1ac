import * as z from 'zod/mini';
import { MOST_MENTIONS } from './mention.ts';
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
  /** The remark it answers: it reaches no further than that one. */
  answersId: z.nullable(Id),
  /** Whom it addresses by name. */
  mentions: z.array(Id).check(z.maxLength(MOST_MENTIONS)),
  at: Instant,
  /** When its author last put it right. */
  correctedAt: z.nullable(Instant),
  /** Taken back: its author alone still reads it. */
  removedAt: z.nullable(Instant),
});
export type Comment = z.infer<typeof Comment>;
