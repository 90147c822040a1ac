import { calendarDateOf, type Arrangeable, type Filter, type MemoryRows } from '@kotiva/core';
import { filtered } from '@kotiva/core/filtering';
import { useOpenHouse, usePlanView } from '@/store/store.ts';

/** So many answers are kept of the same rows: somebody may try one filter after the other. */
const MOST_KNOWN = 60;
/** What was found, by rows and filter: many ask for the same at once. */
const known = new WeakMap<MemoryRows, Map<string, Arrangeable[]>>();

/** Finds what meets a filter, as this device holds it. */
export function useFiltering(): (filter: Filter) => Arrangeable[] {
  const { rows } = useOpenHouse();
  const view = usePlanView();
  const today = calendarDateOf(view.now, view.house.zone);
  const ofRows = known.get(rows) ?? new Map<string, Arrangeable[]>();
  known.set(rows, ofRows);
  return (filter) => {
    // of the time of day a filter knows nothing: by what it is asked stays the same until midnight
    const key = `${view.personId} ${today} ${JSON.stringify(filter)}`;
    const found = ofRows.get(key) ?? filtered(filter, view, rows);
    if (ofRows.size >= MOST_KNOWN && !ofRows.has(key)) ofRows.clear();
    ofRows.set(key, found);
    return found;
  };
}
