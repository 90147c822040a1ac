import * as z from 'zod/mini';
import { Id, Instant, shared, Words } from './row.ts';

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

export const NoticeKind = z.enum([
  'handed',
  'round',
  'question',
  'answer',
  'declined',
  'completed',
  'part-done',
  'last-step',
  'list-given',
  'stand-in',
  'following',
  'added',
  'list-back',
  'reopened',
  'waits-for-tie',
  'tied',
  'sent-back',
  'passed',
  'taken-back',
  'excused',
  'changed',
  'comment',
  'needs-person',
  'nudge',
  'nudges',
  'no-answer',
  'policy',
  'reminder',
  'last-call',
  'ask-again',
  'undelivered',
  'mail-held',
]);
export type NoticeKind = z.infer<typeof NoticeKind>;

/** Values a code is worded with: stored as they were then. */
export const Params = z.record(z.string(), z.union([z.string(), z.number(), z.boolean(), z.null(), z.array(z.string())]));
export type Params = z.infer<typeof Params>;

/** Something told to a person, until read. Seen by that person alone. */
export const Notice = z.object({
  ...shared,
  personId: Id,
  itemId: z.nullable(Id),
  kind: NoticeKind,
  byId: z.nullable(Id),
  at: Instant,
  params: Params,
  readAt: z.nullable(Instant),
  /** Its cause was undone before it was read. */
  withdrawnAt: z.nullable(Instant),
});
export type Notice = z.infer<typeof Notice>;

/** Who did what to what: code + parameters, worded for the reader; never edited. */
export const Activity = z.object({
  ...shared,
  itemId: z.nullable(Id),
  listId: z.nullable(Id),
  actorId: z.nullable(Id),
  kind: z.string(),
  params: Params,
  /** When it was done. */
  at: Instant,
  /** When the server learned of it. */
  arrivedAt: Instant,
});
export type Activity = z.infer<typeof Activity>;
