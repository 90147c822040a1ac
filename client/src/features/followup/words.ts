import { progressOf, waitedDays, type FollowUp, type House, type MemoryRows } from '@kotiva/core';
import { nameOf, sayItemsNextNudge } from '@/features/item';
import { t } from '@/words';
import { sayInstant, sayMoment } from '@/words/dates.ts';

/** Why an item stands where it stands, and when somebody is asked next, in a line. */
export function sayWhy(followUp: FollowUp, rows: MemoryRows, now: string, house: House): string {
  const next = sayItemsNextNudge(followUp.item, house, rows, now);
  const days = followUp.group === 'back' ? 0 : waitedDays(followUp, now, house.zone);
  return [sayReason(followUp, rows, now, house.zone), days > 1 ? t('follow.waited', { count: days }) : null, next].filter(Boolean).join(' · ');
}

function sayReason({ item, reason, part, parts }: FollowUp, rows: MemoryRows, now: string, zone: string): string {
  const name = nameOf(rows, part?.personId ?? null);
  const said = (kind: 'reason' | 'question') =>
    rows
      .by('comment', 'itemId', item.id)
      .filter((comment) => comment.kind === kind && comment.partId === part?.id && !comment.removedAt)
      .sort((a, b) => (a.at < b.at ? 1 : -1))[0]?.text;
  const each = item.policy === 'each' && parts.length > 1 ? t('follow.each', { ...progressOf(item, parts) }) : null;
  const join = (...words: (string | null | undefined)[]) => words.filter(Boolean).join(' · ');
  switch (reason) {
    case 'declined':
      return join(said('reason') ? t('follow.declinedWhy', { name, text: said('reason')! }) : t('follow.declined', { name }), each);
    case 'asked':
      return join(t('follow.asked', { name, text: said('question') ?? '' }), each);
    case 'waits-for-tie':
      return join(t('follow.waits', { name, when: part?.completedAt ? sayInstant(part.completedAt, now, zone) : '' }), each);
    case 'no-answer':
      return join(t('follow.noAnswer', { name }), each);
    case 'left':
      return join(t('follow.left', { name }), each);
    case 'away':
      return join(t('follow.away', { name }), each);
    case 'nobody':
      return t('follow.nobody');
    case 'late':
      return join(
        item.due ? t('follow.due', { when: sayMoment(item.due, now, zone) }) : null,
        part?.nudgedAt ? t('follow.nudged', { when: sayInstant(part.nudgedAt, now, zone) }) : null,
        each ?? name,
      );
    case 'silent':
      return join(t('follow.nudged', { when: part?.nudgedAt ? sayInstant(part.nudgedAt, now, zone) : '' }), each ?? name);
    case 'in-hand':
      return join(
        item.due
          ? t('follow.by', { when: sayMoment(item.due, now, zone) })
          : t('follow.since', { when: part?.givenAt ? sayInstant(part.givenAt, now, zone) : '' }),
        part?.standing === 'in-process' ? t('standing.underway', { percent: part.percent }) : null,
        each ?? name,
      );
    case 'done':
      return join(t('follow.done', { name, when: part?.completedAt ? sayInstant(part.completedAt, now, zone) : '' }), each);
  }
}
