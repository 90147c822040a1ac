import { instantOf, epochOf, partId, type CommandName, type Notice, type NoticeAct, type NoticeKind, type Reader } from '@kotiva/core';

const ACTS: Partial<Record<NoticeKind, readonly NoticeAct[]>> = {
  handed: ['take', 'done', 'answer'],
  'sent-back': ['done', 'answer'],
  nudge: ['done', 'answer'],
  reminder: ['done', 'snooze'],
  'last-step': ['done'],
  question: ['answer'],
  answer: ['take', 'answer'],
  comment: ['answer'],
  file: ['answer'],
  mentioned: ['answer'],
  replied: ['answer'],
  declined: ['answer'],
};
export const actsOf = (kind: NoticeKind): readonly NoticeAct[] => ACTS[kind] ?? [];

const SNOOZE_MS = 60 * 60_000;

/** The command an act stands for, or null: it is not offered for this notice. */
export function commandOf(notice: Notice, act: NoticeAct, text: string, now: string, rows: Reader): { name: CommandName; payload: unknown } | null {
  if (!actsOf(notice.kind).includes(act) || notice.itemId === null) return null;
  const item = notice.itemId;
  switch (act) {
    case 'take':
      return { name: 'part.accept', payload: { item } };
    case 'done': {
      const own = rows.find('part', partId(item, notice.personId));
      return { name: 'part.checkOff', payload: { item, person: own === undefined || own.takenBackAt !== null ? null : notice.personId } };
    }
    case 'snooze':
      return { name: 'alarm.snooze', payload: { alarm: String(notice.params['alarm']), until: instantOf(epochOf(now) + SNOOZE_MS) } };
    case 'answer':
      return { name: 'comment.say', payload: { item, text } };
  }
}
