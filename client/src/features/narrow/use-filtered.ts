import { calendarDateOf, type Arrangeable, type Filter } from '@kotiva/core';
import { useKeeping } from '@/store/shown.tsx';
import { usePlanView } from '@/store/store.ts';
import { MatchesKept } from './matches-kept.ts';

/** Finds what meets a filter, as this device holds it. */
export function useFiltering(): (filter: Filter) => readonly Arrangeable[] {
  const view = usePlanView();
  const keeping = useKeeping();
  // of the time of day a filter knows nothing: by what it is asked stays the same until midnight
  const at = JSON.stringify([calendarDateOf(view.now, view.house.zone), view.house.zone, view.house.dayParts]);
  return (filter) => keeping(`filter ${view.personId} ${JSON.stringify(filter)}`, at, (rows, before) => new MatchesKept(at, rows, filter, view, before));
}
