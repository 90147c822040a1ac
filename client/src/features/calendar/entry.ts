import { isEntryDone, type CalendarEntry, type Reader } from '@kotiva/core';
import { choreOf } from '@/features/item';
import { oneAhead, type One } from '@/features/occurrence';

/** What tells an entry of a calendar from every other. */
export const keyOf = (entry: CalendarEntry): string =>
  entry.kind === 'ahead'
    ? `${entry.ahead.series.id} ${entry.ahead.occurrence.recurrenceId}`
    : entry.kind === 'slot'
      ? entry.slot.id
      : `${entry.kind} ${entry.item.id} ${entry.kind === 'plan' ? entry.personIds.join() : ''}`;

/** The occurrence an entry stands for, or null: it is no chore's, or that can't be seen from here. */
export function oneOf(entry: CalendarEntry, rows: Reader): One | null {
  if (entry.kind === 'ahead') return oneAhead(entry.ahead);
  if (entry.kind !== 'due' || entry.done) return null;
  const { item } = entry;
  const series = choreOf(item, rows);
  return series && item.recurrenceId !== null && item.due !== null
    ? { series, recurrenceId: item.recurrenceId, at: item.due, personId: entry.personIds[0] ?? null }
    : null;
}

/** The colour of its title: of a chore, done, a deadline, or somebody’s intention. */
export function toneOf(entry: CalendarEntry): 'muted' | 'chore' | 'ink' | 'plan' {
  if (isChore(entry)) return 'chore';
  if (isEntryDone(entry)) return 'muted';
  return entry.kind === 'due' ? 'ink' : 'plan';
}

/** Of a chore, to come, open or done. */
export const isChore = (entry: CalendarEntry): boolean => entry.kind === 'ahead' || (entry.kind === 'due' && entry.item.seriesId !== null);
