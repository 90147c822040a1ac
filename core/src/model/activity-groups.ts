/** What kinds of entries belong together for somebody who looks for one. */
export const ACTIVITY_GROUPS = ['done', 'handed', 'changed'] as const;
export type ActivityGroup = (typeof ACTIVITY_GROUPS)[number];

const DONE = ['part.checkOff', 'part.uncheck', 'part.tieOff', 'part.sendBack', 'part.progress'];
const HANDED = [
  'part.handOver',
  'part.take',
  'part.takeBack',
  'part.passOn',
  'part.excuse',
  'part.unexcuse',
  'part.accept',
  'part.askBack',
  'part.decline',
  'part.nudge',
  'nudge.send',
];

export const activityGroupOf = (kind: string): ActivityGroup => (DONE.includes(kind) ? 'done' : HANDED.includes(kind) ? 'handed' : 'changed');
