import type { Open, Place } from '@kotiva/core';
import { t, together } from '@/words';

const hour = (minutes: number): string => `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;

/** "Open today 08:00–15:00", "Closed today"; nothing where nobody said, or it is not known yet. */
export function sayOpen(open: Open[] | null | undefined, minute: number): string | null {
  if (!open) return null;
  if (open.length === 0) return t('hours.closedToday');
  const now = open.find(({ from, to }) => from <= minute && minute < to);
  if (now) return now.from === 0 && now.to === 1440 ? t('hours.allDay') : t('hours.openUntil', { hour: hour(now.to) });
  if (open.every(({ to }) => to <= minute)) return t('hours.closedAlready', { hour: hour(open.at(-1)!.to) });
  return t('hours.openToday', { hours: together(open.map(({ from, to }) => t('hours.span', { from: hour(from), to: hour(to) }))) });
}

/** Where it is, in a few words. */
export const sayWhere = ({ address, position, radius }: Place): string =>
  [address, position ? t('place.within', { radius }) : t('place.noSpot')].filter(Boolean).join(' · ');
