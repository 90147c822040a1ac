import { lastCrossed, type Visit } from '../model/visit.ts';
import { epochOf, instantOf } from '../time/clock.ts';
import { earliestFirst } from '../time/earliest-first.ts';

/** For so long it is known when somebody was at a place. */
export const VISITS_KEPT_DAYS = 30;

/** When a visit is forgotten; null: it is already. */
export function forgottenOn(visit: Visit): string | null {
  const last = lastCrossed(visit);
  return last === null ? null : instantOf(epochOf(last) + VISITS_KEPT_DAYS * 86_400_000);
}

/** Those to be forgotten, the next first. */
export function forgettingsAhead(rows: { all(noun: 'visit'): Visit[] }): { visitId: string; at: string }[] {
  const found = rows.all('visit').flatMap((visit) => {
    const at = forgottenOn(visit);
    return at === null ? [] : [{ visitId: visit.id, at }];
  });
  return earliestFirst(found, ({ visitId }) => visitId);
}
