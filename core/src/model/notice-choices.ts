import type { NoticeChoices, Topic } from './notice-choices-schema.ts';
import type { NoticeKind } from './notice-schema.ts';
import { v5 } from 'uuid';

export type { Channel, Topic, NoticeChoices } from './notice-choices-schema.ts';

/** What people choose by: kinds of notices that belong together. */
export const TOPICS = ['handovers', 'answers', 'done', 'changes', 'said', 'mentions', 'new', 'nudges', 'reminders'] as const;

const TOPIC_OF: Record<NoticeKind, Topic> = {
  handed: 'handovers',
  round: 'handovers',
  'taken-back': 'handovers',
  removed: 'handovers',
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
  'group-joined': 'handovers',
  'group-left': 'handovers',
  project: 'handovers',
  'stand-in': 'handovers',
  following: 'handovers',
  added: 'new',
  'list-back': 'changes',
  reopened: 'done',
  tied: 'done',
  changed: 'changes',
  policy: 'changes',
  comment: 'said',
  file: 'said',
  mentioned: 'mentions',
  replied: 'mentions',
  nudge: 'nudges',
  nudges: 'nudges',
  reminder: 'reminders',
  'last-call': 'reminders',
  'stretch-over': 'reminders',
  'ask-again': 'reminders',
  'goes-on': 'reminders',
  undelivered: 'answers',
  'mail-held': 'answers',
};
export const topicOf = (kind: NoticeKind): Topic => TOPIC_OF[kind];

export const noticeChoicesId = (personId: string): string => v5('notice-choices', personId);

/** What somebody has who never chose: everything on the device, by mail what asks something of them. */
export const USUAL_CHOICES: Pick<NoticeChoices, 'bell' | 'push' | 'mail' | 'lastCall'> = {
  bell: null,
  push: [...TOPICS],
  mail: ['handovers', 'nudges'],
  lastCall: null,
};
