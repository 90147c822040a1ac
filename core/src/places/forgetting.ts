import { lastCrossed, type Visit } from '../model/visit.ts';
import { epochOf, instantOf } from '../time/clock.ts';

/** For so long it is known when somebody was at a place. */
export const VISITS_KEPT_DAYS = 30;

/** When a visit is forgotten; null: it is already. */
export function forgottenOn(visit: Visit): string | null {
  const last = lastCrossed(visit);
  return last === null ? null : instantOf(epochOf(last) + VISITS_KEPT_DAYS * 86_400_000);
}

/** The next to be forgotten, or null. */
export function firstForgotten(rows: { all(noun: 'visit'): Visit[] }): { visitId: string; at: string } | null {
  let first: { visitId: string; at: string } | null = null;
  for (const visit of rows.all('visit')) {
    const at = forgottenOn(visit);
    if (at !== null && (first === null || at < first.at)) first = { visitId: visit.id, at };
  }
  return first;
}
