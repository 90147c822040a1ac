import { calendarDateOf, type Arrangeable, type Filter } from '@kotiva/core';
import { filtered } from '@kotiva/core/filtering';
import { useDeriving } from '@/store/shown.ts';
import { useOpenHouse, usePlanView } from '@/store/store.ts';

/** Finds what meets a filter, as this device holds it. */
export function useFiltering(): (filter: Filter) => readonly Arrangeable[] {
  const { house } = useOpenHouse();
  const view = usePlanView();
  const deriving = useDeriving();
  const today = calendarDateOf(view.now, view.house.zone);
  return (filter) =>
    deriving(`filter ${view.personId} ${JSON.stringify(filter)}`, {
      // of the time of day a filter knows nothing: by what it is asked stays the same until midnight
      at: today,
      compute: (rows) => filtered(filter, { ...view, house: rows.find('house', house.id) ?? house }, rows),
      keyOf,
    });
}

const keyOf = ({ item }: Arrangeable): string => item.id;
