import { waitsForTie, type Item, type Reader, type Part } from '@kotiva/core';
import { t } from '@/words';
import { sayInstant } from '@/words/dates.ts';
import { nameOf } from './knot-of.ts';
import { sayAnswer } from './say-answer.ts';

/** Where a part stands, in a line: "checked off today 10:42", "under way, 40 %". */
export function sayStanding(item: Item, part: Part, rows: Reader, now: string, zone: string): string {
  const when = (instant: string | null) => (instant ? sayInstant(instant, now, zone) : '');
  if (part.excusedAt) return t('standing.excused');
  if (part.passedTo) return t(part.standing === 'declined' ? 'standing.declinedPassed' : 'standing.passed', { name: nameOf(rows, part.passedTo) });
  switch (part.standing) {
    case 'completed':
      return sayCompleted(item, part, rows, when);
    case 'declined':
      return t('standing.declined');
    case 'tentative':
      return t('standing.asked');
    case 'in-process':
      return t('standing.underway', { percent: part.percent });
    case 'accepted':
      return t('standing.taken');
    case 'delegated':
      return t('standing.passed', { name: nameOf(rows, part.passedTo) });
    case 'needs-action':
      return part.seenAt ? t('standing.seen', { when: when(part.seenAt) }) : t('standing.unseen', { when: when(part.givenAt) });
  }
}

/** A tap that arrived more than a minute after it was made shows both times. */
const LATE_ARRIVAL_MS = 60_000;

function sayCompleted(item: Item, part: Part, rows: Reader, when: (instant: string | null) => string): string {
  const words = [t('standing.done', { when: when(part.completedAt) })];
  if (part.answer) words.push(sayAnswer(item, part.answer));
  const arrived = Date.parse(part.arrivedAt ?? '') - Date.parse(part.completedAt ?? '');
  if (arrived > LATE_ARRIVAL_MS) words.push(t('standing.arrived', { when: when(part.arrivedAt) }));
  if (part.completedBy && part.personId && part.completedBy !== part.personId) words.push(t('standing.tiedBy', { name: nameOf(rows, part.completedBy) }));
  if (waitsForTie(item, part)) words.push(t('standing.waits', { name: nameOf(rows, part.originId) }));
  return words.join(', ');
}
