import { addDays, WINDOW_DAYS, type CalendarEntry } from '@kotiva/core';
import { useKeeping } from '@/store/shown.tsx';
import { useNarrowed, useNow, useOpenHouse } from '@/store/store.ts';
import type { Reached } from '@/store/beyond.ts';
import { useBeyond } from '@/store/use-beyond.ts';
import { DaysKept } from './days-kept.ts';

/** The entries of a span of days, narrowed as the rest of the screen is; kept for each screen that shows one. */
export function useDays(screen: 'calendar' | 'items', from: string, to: string): { days: ReadonlyMap<string, CalendarEntry[]>; reached: Reached } {
  const { me, house } = useOpenHouse();
  const narrowed = useNarrowed();
  const now = useNow();
  const windowBegins = addDays(now.slice(0, 10), -WINDOW_DAYS);
  const months = [...new Set([from.slice(0, 7), to.slice(0, 7)])].filter((month) => month <= windowBegins.slice(0, 7));
  // a span this screen draws reaches into two at most that lie so far back
  const reached = [useBeyond(months[0] ? { month: months[0] } : null), useBeyond(months[1] ? { month: months[1] } : null)];
  const view = { meId: me.id, from, to, personId: narrowed, now, house };
  const { zone, dayParts, region, holidays, daysOff } = house;
  const at = JSON.stringify({ ...view, house: { zone, dayParts, region, holidays, daysOff } });
  const days = useKeeping()(`days ${screen}`, at, (rows) => new DaysKept(at, rows, view));
  return { days, reached: reached.find((one) => one !== 'here') ?? 'here' };
}
