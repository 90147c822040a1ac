import { calendarOf, type CalendarEntry } from '@kotiva/core';
import { useMemo } from 'react';
import { useNarrowed, useNow, useOpenHouse } from '@/store/store.ts';

/** The entries of a span of days, narrowed as the rest of the screen is. */
export function useDays(from: string, to: string): Map<string, CalendarEntry[]> {
  const { rows, me, house } = useOpenHouse();
  const narrowed = useNarrowed();
  const now = useNow();
  return useMemo(() => calendarOf({ meId: me.id, from, to, personId: narrowed, now, house }, rows), [rows, me.id, house, narrowed, now, from, to]);
}
