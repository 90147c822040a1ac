import { addDays, calendarOf, WINDOW_DAYS, type CalendarEntry } from '@kotiva/core';
import { useMemo } from 'react';
import { useNarrowed, useNow, useOpenHouse } from '@/store/store.ts';
import type { Reached } from '@/store/beyond.ts';
import { useBeyond } from '@/store/use-beyond.ts';

/** The entries of a span of days, narrowed as the rest of the screen is. */
export function useDays(from: string, to: string): { days: Map<string, CalendarEntry[]>; reached: Reached } {
  const { rows, me, house } = useOpenHouse();
  const narrowed = useNarrowed();
  const now = useNow();
  const windowBegins = addDays(now.slice(0, 10), -WINDOW_DAYS);
  const months = [...new Set([from.slice(0, 7), to.slice(0, 7)])].filter((month) => month <= windowBegins.slice(0, 7));
  // a span this screen draws reaches into two at most that lie so far back
  const reached = [useBeyond(months[0] ? { month: months[0] } : null), useBeyond(months[1] ? { month: months[1] } : null)];
  const days = useMemo(() => calendarOf({ meId: me.id, from, to, personId: narrowed, now, house }, rows), [rows, me.id, house, narrowed, now, from, to]);
  return { days, reached: reached.find((one) => one !== 'here') ?? 'here' };
}
