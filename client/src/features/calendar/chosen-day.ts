import { isCalendarDate } from '@kotiva/core/model/calendar-date';
import { useGlobalSearchParams, useRouter } from 'expo-router';
import { useCallback } from 'react';
import { useLayerStep } from '@/ui';

export const VIEWS = ['month', 'week', 'day', 'list'] as const;
export type CalendarViewName = (typeof VIEWS)[number];

const isView = (view: string | undefined): view is CalendarViewName => VIEWS.includes(view as CalendarViewName);

/** What of the calendar is looked at: part of the address, so that a reload and a link keep it; Back goes from another day to today. */
export function useChosenDay(today: string): {
  view: CalendarViewName;
  chosen: string;
  setView: (view: CalendarViewName) => void;
  choose: (day: string) => void;
} {
  const { day, view } = useGlobalSearchParams<{ day?: string; view?: string }>();
  const router = useRouter();
  const chosen = isCalendarDate(day) ? day : today;
  const choose = useCallback((next: string) => router.setParams({ day: next === today ? undefined : next }), [router, today]);
  const setView = (next: CalendarViewName) => router.setParams({ view: next === 'month' ? undefined : next });
  useLayerStep(() => choose(today), chosen !== today);
  return { view: isView(view) ? view : 'month', chosen, setView, choose };
}
