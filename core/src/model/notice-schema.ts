import * as z from 'zod/mini';
import { Params } from './params-schema.ts';
import { Id, Instant, shared } from './row-schema.ts';

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
  'group-joined',
  'group-left',
  'project',
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
  'removed',
  'excused',
  'changed',
  'comment',
  'mentioned',
  'replied',
  'file',
  'needs-person',
  'nudge',
  'nudges',
  'no-answer',
  'policy',
  'reminder',
  'last-call',
  'stretch-over',
  'ask-again',
  'goes-on',
  'undelivered',
  'mail-held',
]);
export type NoticeKind = z.infer<typeof NoticeKind>;

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
