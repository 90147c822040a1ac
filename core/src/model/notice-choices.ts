import { v5 } from 'uuid';
import * as z from 'zod/mini';
import { NoticeKind } from './notice.ts';
import { CalendarDate, Id, shared, WallTime } from './row.ts';

/** How a notice reaches somebody beside the list in the application. */
const CHANNELS = ['push', 'mail'] as const;
export const Channel = z.enum(CHANNELS);
export type Channel = z.infer<typeof Channel>;

/** What people choose by: kinds of notices that belong together. */
export const TOPICS = ['handovers', 'answers', 'done', 'changes', 'said', 'new', 'nudges', 'reminders'] as const;
export const Topic = z.enum(TOPICS);
export type Topic = z.infer<typeof Topic>;

const TOPIC_OF: Record<NoticeKind, Topic> = {
  handed: 'handovers',
  round: 'handovers',
  'taken-back': 'handovers',
  excused: 'handovers',
  'sent-back': 'handovers',
  question: 'answers',
  answer: 'answers',
  declined: 'answers',
  passed: 'answers',
  'no-answer': 'answers',
  'needs-person': 'answers',
  'waits-for-tie': 'answers',
  completed: 'done',
  'part-done': 'done',
  'last-step': 'done',
  'list-given': 'handovers',
  'stand-in': 'handovers',
  following: 'handovers',
  added: 'new',
  'list-back': 'changes',
  reopened: 'done',
  tied: 'done',
  changed: 'changes',
  policy: 'changes',
  comment: 'said',
  nudge: 'nudges',
  nudges: 'nudges',
  reminder: 'reminders',
  'last-call': 'reminders',
  'ask-again': 'reminders',
  undelivered: 'answers',
  'mail-held': 'answers',
};
export const topicOf = (kind: NoticeKind): Topic => TOPIC_OF[kind];

/** What one person wants to be told of, by which way, and the hour of a last call for what is still open that day. Seen by nobody else. */
export const NoticeChoices = z.object({
  ...shared,
  personId: Id,
  /** Under the bell; null: everything. What is off stands in the history all the same. */
  bell: z.nullable(z.array(Topic)),
  push: z.array(Topic),
  mail: z.array(Topic),
  lastCall: z.nullable(WallTime),
  /** The day of the last one: it calls once a day. */
  calledOn: z.nullable(CalendarDate),
});
export type NoticeChoices = z.infer<typeof NoticeChoices>;

export const noticeChoicesId = (personId: string): string => v5('notice-choices', personId);

/** What somebody has who never chose: everything on the device, by mail what asks something of them. */
export const USUAL_CHOICES: Pick<NoticeChoices, 'bell' | 'push' | 'mail' | 'lastCall'> = {
  bell: null,
  push: [...TOPICS],
  mail: ['handovers', 'nudges'],
  lastCall: null,
};
