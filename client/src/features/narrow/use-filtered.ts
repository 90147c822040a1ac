import { calendarDateOf, type Arrangeable, type Filter } from '@kotiva/core';
import { filtered } from '@kotiva/core/filtering';
import { useDeriving } from '@/store/shown.ts';
import { usePlanView } from '@/store/store.ts';

/** Finds what meets a filter, as this device holds it. */
export function useFiltering(): (filter: Filter) => Arrangeable[] {
  const view = usePlanView();
  const deriving = useDeriving();
  const today = calendarDateOf(view.now, view.house.zone);
  // of the time of day a filter knows nothing: by what it is asked stays the same until midnight
  return (filter) =>
    deriving(`filter ${view.personId} ${today} ${JSON.stringify(filter)}`, (rows) =>
      filtered(filter, { ...view, house: rows.find('house', view.house.id)! }, rows),
    );
}
