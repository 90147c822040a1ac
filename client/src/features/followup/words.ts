import { calendarDateOf, daysBetween, isLate, progressOf, waitedDays, type FollowUp, type House, type Item, type Reader, type Part } from '@kotiva/core';
import { choreOf, nameOf, sayItemsNextNudge } from '@/features/item';
import { t } from '@/words';
import { sayInstant, sayMoment } from '@/words/dates.ts';
import { sayRuleShort } from '@/words/rules.ts';

/** Why an item stands where it stands, and when somebody is asked next, in a line. */
export function sayWhy(followUp: FollowUp, rows: Reader, now: string, house: House): string {
  const next = sayItemsNextNudge(followUp.item, house, rows, now);
  const isOut = followUp.group !== 'back' && followUp.part !== null;
  const series = choreOf(followUp.item, rows);
  const words = [
    sayReason(followUp, rows, now, house.zone),
    series ? sayRuleShort(series) : null,
    isOut ? sayOut(waitedDays(followUp, now, house.zone)) : null,
    next,
  ];
  return words.filter(Boolean).join(' · ');
}

/** Since when it is out, in days. */
const sayOut = (days: number): string => (days === 0 ? t('follow.outToday') : t('follow.waited', { count: days }));

/** By when, and how long that is; else the day that was said with it. Null: no day was said. */
function sayWhen(item: Item, part: Part | null, now: string, zone: string): string | null {
  if (item.due === null) return part?.planGiverId && part.plan ? t('follow.on', { when: sayMoment(part.plan, now, zone) }) : null;
  const when = sayMoment(item.due, now, zone);
  const days = daysBetween(calendarDateOf(now, zone), item.due);
  if (!isLate(item, now, zone)) return days < 2 ? t('follow.by', { when }) : t('follow.byIn', { when, left: t('date.inDays', { count: days }) });
  return days === 0 ? t('follow.due', { when }) : t('follow.dueLate', { when, late: t('due.daysLate', { count: -days }) });
}

function sayReason({ item, reason, part, parts }: FollowUp, rows: Reader, now: string, zone: string): string {
  const name = nameOf(rows, part?.personId ?? null);
  const said = (kind: 'reason' | 'question') =>
    rows
      .by('comment', 'itemId', item.id)
      .filter((comment) => comment.kind === kind && comment.partId === part?.id && !comment.removedAt)
      .sort((a, b) => (a.at < b.at ? 1 : -1))[0]?.text;
  const each = item.policy === 'each' && parts.length > 1 ? t('follow.each', { ...progressOf(item, parts) }) : null;
  const join = (...words: (string | null | undefined)[]) => words.filter(Boolean).join(' · ');
  const when = sayWhen(item, part, now, zone);
  switch (reason) {
    case 'declined':
      return join(said('reason') ? t('follow.declinedWhy', { name, text: said('reason')! }) : t('follow.declined', { name }), when, each);
    case 'asked':
      return join(t('follow.asked', { name, text: said('question') ?? '' }), when, each);
    case 'waits-for-tie':
      return join(t('follow.waits', { name, when: part?.completedAt ? sayInstant(part.completedAt, now, zone) : '' }), each);
    case 'no-answer':
      return join(t('follow.noAnswer', { name }), when, each);
    case 'left':
      return join(t('follow.left', { name }), when, each);
    case 'away':
      return join(t('follow.away', { name }), when, each);
    case 'nobody':
      return join(t('follow.nobody'), when);
    case 'late':
      return join(when, part?.nudgedAt ? t('follow.nudged', { when: sayInstant(part.nudgedAt, now, zone) }) : null, each ?? name);
    case 'silent':
      return join(t('follow.nudged', { when: part?.nudgedAt ? sayInstant(part.nudgedAt, now, zone) : '' }), when, each ?? name);
    case 'in-hand':
      return join(when, part?.standing === 'in-process' ? t('standing.underway', { percent: part.percent }) : null, each ?? name);
    case 'done':
      return join(t('follow.done', { name, when: part?.completedAt ? sayInstant(part.completedAt, now, zone) : '' }), each);
  }
}
