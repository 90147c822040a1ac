import type { Arrangeable, Filter, MemoryRows } from '@kotiva/core';
import { filtered } from '@kotiva/core/filtering';
import { useOpenHouse, usePlanView } from '@/store/store.ts';

/** What was found, by rows and filter: many ask for the same at once. */
const known = new WeakMap<MemoryRows, Map<string, Arrangeable[]>>();

/** Finds what meets a filter, as this device holds it. */
export function useFiltering(): (filter: Filter) => Arrangeable[] {
  const { rows } = useOpenHouse();
  const view = usePlanView();
  const ofRows = known.get(rows) ?? new Map<string, Arrangeable[]>();
  known.set(rows, ofRows);
  return (filter) => {
    const key = `${view.personId} ${view.now} ${JSON.stringify(filter)}`;
    const found = ofRows.get(key) ?? filtered(filter, view, rows);
    ofRows.set(key, found);
    return found;
  };
}
