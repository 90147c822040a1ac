import type { Rows } from '../reader/finding.ts';
import { followUpsOf } from '../followup/groups.ts';
import type { Item } from '../model/item.ts';
import type { Pile } from '../model/weekly-review.ts';
import { agendaOf } from '../planning/agenda.ts';
import type { PlanView } from '../planning/rows.ts';
import { epochOf, instantOf } from '../time/clock.ts';
import { lastTouched } from './last-touched.ts';

/** Nobody but the clock has done anything with it for so many days. */
export const UNTOUCHED_DAYS = 30;
const DAY_MS = 86_400_000;

/** Somebody's piles: what is theirs to do, what they gave, and what lies still. */
export function pilesOf(view: PlanView, rows: Rows): Record<Pile, Item[]> {
  const piles: Record<Pile, Item[]> = { 'to-sort': [], late: [], 'needs-you': [], silent: [], waits: [], shelf: [], untouched: [] };
  const seen = new Set<string>();
  const put = (pile: Pile, item: Item) => {
    if (seen.has(item.id)) return;
    seen.add(item.id);
    piles[pile].push(item);
  };
  const agenda = agendaOf(view, rows).filter(({ where }) => where !== 'done');
  const given = followUpsOf(view.personId, rows, view.now, view.house.zone);
  for (const { toSort, item } of agenda) if (toSort) put('to-sort', item);
  for (const { late, item } of agenda) if (late) put('late', item);
  for (const { group, item } of given) if (group === 'late') put('late', item);
  for (const { group, item } of given) if (group === 'needs-you') put('needs-you', item);
  for (const { group, item } of given) if (group === 'silent') put('silent', item);
  for (const { where, item } of agenda) if (where === 'waiting') put('waits', item);
  for (const { where, item } of agenda) if (where === 'shelf') put('shelf', item);
  const since = instantOf(epochOf(view.now) - UNTOUCHED_DAYS * DAY_MS);
  for (const { day, item } of agenda) if (day === null && lastTouched(item, rows) < since) put('untouched', item);
  return piles;
}
