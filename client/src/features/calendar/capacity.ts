import { weekdayOf, type MemoryRows } from '@kotiva/core';

/** Minutes there are on a day: of one person, or of all whose hours are known here. Null: nobody said. */
export function capacityOn(date: string, personId: string | null, rows: MemoryRows): number | null {
  const known = rows.all('capacity').filter((one) => personId === null || one.personId === personId);
  const present = known.filter(
    (one) => !rows.by('timeAway', 'personId', one.personId).some(({ from, to, removedAt }) => removedAt === null && from <= date && date <= to),
  );
  return known.length === 0 ? null : present.reduce((sum, one) => sum + one.minutes[weekdayOf(date) - 1]!, 0);
}
