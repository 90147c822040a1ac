import { nudgeOf, openParts, wallClockOf, type House, type Item, type Reader, type Part } from '@kotiva/core';
import { t } from '@/words';
import { sayMoment } from '@/words/dates.ts';

/** When a person is next asked about their part, in a line; null where nothing is to come. */
export function sayNextNudge(part: Part, house: House, rows: Reader, now: string): string | null {
  const nudge = nudgeOf(part, house, rows);
  if (!nudge) return null;
  const at = nudge.at < now ? now : nudge.at;
  return t('nudge.next', { when: sayMoment(wallClockOf(at, house.zone), now, house.zone) });
}

/** The earliest of an item's, of whoever it is at. */
export function sayItemsNextNudge(item: Item, house: House, rows: Reader, now: string): string | null {
  const nudges = openParts(rows.by('part', 'itemId', item.id)).flatMap((part) => {
    const nudge = nudgeOf(part, house, rows);
    return nudge ? [{ part, at: nudge.at }] : [];
  });
  const first = nudges.sort((a, b) => (a.at < b.at ? -1 : 1))[0];
  return first ? sayNextNudge(first.part, house, rows, now) : null;
}
