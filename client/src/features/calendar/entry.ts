import { isEntryDone, type CalendarEntry, type MemoryRows } from '@kotiva/core';
import { choreOf } from '@/features/item';
import { oneAhead, type One } from '@/features/occurrence';

/** What tells an entry of a calendar from every other. */
export const keyOf = (entry: CalendarEntry): string =>
  entry.kind === 'ahead'
    ? `${entry.ahead.series.id} ${entry.ahead.occurrence.recurrenceId}`
    : entry.kind === 'slot'
      ? entry.slot.id
      : `${entry.kind} ${entry.item.id}`;

/** The occurrence an entry stands for, or null: it is no chore's, or that can't be seen from here. */
export function oneOf(entry: CalendarEntry, rows: MemoryRows): One | null {
  if (entry.kind === 'ahead') return oneAhead(entry.ahead);
  if (entry.kind !== 'due' || entry.done) return null;
  const { item } = entry;
  const series = choreOf(item, rows);
  return series && item.recurrenceId !== null && item.due !== null
    ? { series, recurrenceId: item.recurrenceId, at: item.due, personId: entry.personIds[0] ?? null }
    : null;
}

/** The colour of its title: done, still to come, a deadline, or one's own intention. */
export const toneOf = (entry: CalendarEntry) => (isEntryDone(entry) ? 'muted' : entry.kind === 'ahead' ? 'chore' : entry.kind === 'due' ? 'ink' : 'plan');
