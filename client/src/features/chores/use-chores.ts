import { isOver, madeOf, occurrenceAfter, type ChoreHouse, type Reader, type Series } from '@kotiva/core';
import { useMemo } from 'react';
import { useOpenHouse } from '@/store/store.ts';

export interface GoingOn {
  series: Series;
  /** When the open one is, or the next to come; null: it waits for the last to be done. */
  next: string | null;
}

/** Chores that still come, by when they come next. */
export function useGoingOn(): GoingOn[] {
  const { rows, house } = useOpenHouse();
  return useMemo(() => {
    const found = rows.all('series').flatMap((series) => {
      const next = nextOf(series, rows, house);
      return next === undefined ? [] : [{ series, next }];
    });
    return found.sort((a, b) => ((a.next ?? '9') < (b.next ?? '9') ? -1 : 1));
  }, [rows, house]);
}

/** Undefined: it has ended. */
function nextOf(series: Series, rows: Reader, house: ChoreHouse): string | null | undefined {
  const made = madeOf(series.id, rows);
  const open = made.find((item) => !isOver(item, rows));
  if (open) return open.due;
  return occurrenceAfter(series, made.at(-1)?.recurrenceId ?? null, house, rows)?.at;
}
