import type { Rows } from '../reader/finding.ts';
import { firstCompleted, isDone } from '../followup/standing.ts';
import type { Item } from '../model/item.ts';
import type { Series } from '../model/series.ts';
import { madeOf } from './chores.ts';

/** How well a chore, or a habit, has been kept. */

export interface Kept {
  /** Of those whose day has passed, or that were done. */
  kept: number;
  of: number;
  /** Kept one after the other up to now; one that is still open today does not break it. */
  run: number;
}

/** The chore and those it goes on from, oldest first. */
export function chainOf(series: Series, rows: Rows): Series[] {
  const chain = [series];
  for (let first = series; first.followsId !== null; chain.unshift(first)) {
    const held = rows.find('series', first.followsId);
    if (held === undefined || chain.includes(held)) break;
    first = held;
  }
  return chain;
}

/** Its occurrences that have become items, oldest first; what was left out is not among them. */
export const historyOf = (series: Series, rows: Rows): Item[] =>
  chainOf(series, rows)
    .flatMap((one) => madeOf(one.id, rows))
    .filter((item) => item.removedAt === null || item.missedAt !== null);

/** When it was done, and by whom; null: it was not. */
export function doneBy(item: Item, rows: Rows): { at: string; personId: string | null } | null {
  const parts = rows.by('part', 'itemId', item.id);
  const first = isDone(item, parts) ? firstCompleted(parts) : null;
  return first ? { at: first.completedAt!, personId: first.completedBy } : null;
}

/** How often it was kept from a day on, today included. Dates are calendar dates. */
export function keptSince(from: string, today: string, series: Series, rows: Rows): Kept {
  const within = historyOf(series, rows).filter(({ due }) => due !== null && due.slice(0, 10) >= from && due.slice(0, 10) <= today);
  const counted = within.filter((item) => doneBy(item, rows) !== null || item.missedAt !== null || item.due!.slice(0, 10) < today);
  return { kept: counted.filter((item) => doneBy(item, rows) !== null).length, of: counted.length, run: runOf(counted, rows) };
}

function runOf(items: readonly Item[], rows: Rows): number {
  let run = 0;
  for (const item of [...items].reverse()) {
    if (doneBy(item, rows) === null) break;
    run += 1;
  }
  return run;
}
