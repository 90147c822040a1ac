import type { Turn } from '../model/item.ts';

/** Whose turn it is where people take turns: a queue. Whoever had it goes to the end; who is away keeps their place in front. */

/** The queue after somebody had their turn. */
const leftBy = (queue: readonly string[], personId: string | null): string[] =>
  personId !== null && queue.includes(personId) ? [...queue.filter((id) => id !== personId), personId] : [...queue];

/** The queue with those who are no longer among them left out, and those who came since at its end. */
export const among = (queue: readonly string[], personIds: readonly string[]): string[] => [
  ...queue.filter((id) => personIds.includes(id)),
  ...personIds.filter((id) => !queue.includes(id)),
];

/** Who is first of those there; null: nobody is. */
export function firstOf(queue: readonly string[], isThere: (personId: string) => boolean): { personId: string | null; skipped: string[] } {
  const nth = queue.findIndex(isThere);
  return nth < 0 ? { personId: null, skipped: [] } : { personId: queue[nth]!, skipped: queue.slice(0, nth) };
}

/** The queue an occurrence leaves behind. */
export const queueAfter = (turn: Pick<Turn, 'queue' | 'countsFor'>, holderId: string | null): string[] => leftBy(turn.queue, turn.countsFor ?? holderId);
