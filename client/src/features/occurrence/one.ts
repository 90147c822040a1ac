import type { Ahead, Series } from '@kotiva/core';

/** One occurrence of a chore, made or still to come. */
export interface One {
  series: Series;
  recurrenceId: string;
  /** When it is. */
  at: string;
  personId: string | null;
}

export const oneAhead = ({ series, occurrence, assigned }: Ahead): One => ({
  series,
  recurrenceId: occurrence.recurrenceId,
  at: occurrence.at,
  personId: assigned.personIds[0] ?? null,
});
