import { isGranted, candidatesOf, pressingFirst, type Candidate } from '@kotiva/core';
import { useMemo } from 'react';
import { relations } from '@/features/item';
import { useOpenHouse, usePlanView } from '@/store/store.ts';

/** Everything one could do at all that belongs to some place: one's own and nobody's, undated too; what presses most first. */
export function useBound(): Candidate[] {
  const { rows, me } = useOpenHouse();
  const view = usePlanView();
  return useMemo(
    () =>
      candidatesOf(view, rows, (item) => relations(item, me, rows).some((relation) => isGranted(relation, 'check')))
        .filter(({ item }) => item.placeId !== null)
        .sort(pressingFirst),
    // the minute is all that changes in the view
    [view.now, view.personId, rows, me], // eslint-disable-line react-hooks/exhaustive-deps
  );
}

/** How many of them by place. */
export function countsOf(bound: readonly Candidate[]): ReadonlyMap<string, number> {
  const counts = new Map<string, number>();
  for (const { item } of bound) counts.set(item.placeId!, (counts.get(item.placeId!) ?? 0) + 1);
  return counts;
}
