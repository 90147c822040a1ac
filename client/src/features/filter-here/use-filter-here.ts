import type { CalendarEntry, Item } from '@kotiva/core';
import { useGlobalSearchParams } from 'expo-router';
import { useMemo } from 'react';
import type { CaptureContext } from '@/features/capture';
import { filterRules } from '@/features/views';
import { useLater } from '@/store/later.ts';
import { useOpenHouse, usePlanView } from '@/store/store.ts';

export interface FilterHere {
  /** The view is narrowed by a filter in its address. */
  isOn: boolean;
  meets: (item: Item) => boolean;
  meetsOnDay: (entry: CalendarEntry) => boolean;
  /** What is typed here takes over what the filter demands. */
  takenOver: CaptureContext;
}

const EVERYTHING: FilterHere = { isOn: false, meets: () => true, meetsOnDay: () => true, takenOver: {} };
/** Until it is here that judges: what doesn't belong must not flash up. */
const NOT_YET: FilterHere = { isOn: true, meets: () => false, meetsOnDay: () => false, takenOver: {} };

/** How a view with a rule of its own is narrowed: see `FilterButton` for the way to it. */
export function useFilterHere(): FilterHere {
  const { narrow } = useGlobalSearchParams<{ narrow?: string }>();
  const { rows, me } = useOpenHouse();
  const view = usePlanView();
  const { here } = useLater(filterRules, narrow !== undefined);
  return useMemo(() => {
    if (narrow === undefined) return EVERYTHING;
    if (!here) return NOT_YET;
    return {
      isOn: true,
      meets: here.meets(narrow, view, rows),
      meetsOnDay: here.meetsOnDay(narrow, view, rows),
      takenOver: here.takenOver(narrow, me, rows),
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- of the view only who and when is asked
  }, [narrow, here, rows, me, view.personId, view.now]);
}
