import { isDone, nextStop, type ErrandRound, type Reader, type RoundStop } from '@kotiva/core';
import { useOpenHouse } from '@/store/store.ts';

/** The round one is on, with where one goes next; null: on none. */
export function useMyRound(): { round: ErrandRound; next: RoundStop | null } | null {
  const { rows, me } = useOpenHouse();
  const round = rows.by('errandRound', 'personId', me.id).find(({ endedAt }) => endedAt === null);
  return round ? { round, next: nextStop(round, (id) => isOpen(id, rows)) } : null;
}

function isOpen(itemId: string, rows: Reader): boolean {
  const item = rows.find('item', itemId);
  return item !== undefined && item.removedAt === null && !isDone(item, rows.by('part', 'itemId', itemId));
}

/** What is still ahead of one, the next first. */
export function stopsAhead({ stops, passed }: ErrandRound, rows: Reader): RoundStop[] {
  return stops.filter(({ place, items }) => !passed.includes(place) && items.some((id) => isOpen(id, rows)));
}
