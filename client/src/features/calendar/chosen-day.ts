import { FIRST_YEAR, LAST_YEAR } from '@kotiva/core';
import { useGlobalSearchParams, useRouter } from 'expo-router';
import { useCallback } from 'react';
import { useLayerStep } from '@/ui';

export const VIEWS = ['month', 'week', 'day', 'list'] as const;
export type CalendarViewName = (typeof VIEWS)[number];

const isView = (view: string | undefined): view is CalendarViewName => VIEWS.includes(view as CalendarViewName);

/** A day of the calendar, within the years there are. */
function isDay(day: string | undefined): day is string {
  if (day === undefined || !/^\d{4}-\d\d-\d\d$/.test(day)) return false;
  const year = Number(day.slice(0, 4));
  const at = new Date(`${day}T00:00:00Z`);
  return year >= FIRST_YEAR && year <= LAST_YEAR && !Number.isNaN(at.getTime()) && at.toISOString().startsWith(day);
}

/** What of the calendar is looked at: part of the address, so that a reload and a link keep it; Back goes from another day to today. */
export function useChosenDay(today: string): {
  view: CalendarViewName;
  chosen: string;
  setView: (view: CalendarViewName) => void;
  choose: (day: string) => void;
} {
  const { day, view } = useGlobalSearchParams<{ day?: string; view?: string }>();
  const router = useRouter();
  const chosen = isDay(day) ? day : today;
  const choose = useCallback((next: string) => router.setParams({ day: next === today ? undefined : next }), [router, today]);
  const setView = (next: CalendarViewName) => router.setParams({ view: next === 'month' ? undefined : next });
  useLayerStep(() => choose(today), chosen !== today);
  return { view: isView(view) ? view : 'month', chosen, setView, choose };
}
