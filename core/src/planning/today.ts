import { byPosition } from '../commands/position.ts';
import { countingParts, firstCompleted, isDone } from '../followup/standing.ts';
import type { Item } from '../model/item.ts';
import type { List } from '../model/list.ts';
import type { Part } from '../model/part.ts';
import { addDays, calendarDateOf, epochOf, instantDue } from '../time/clock.ts';

/** `new`: handed to me and unanswered. `ahead`: due within the next 7 days. */
export type Whereabouts = 'new' | 'today' | 'ahead' | 'further' | 'done-today';

export interface MyItem {
  item: Item;
  part: Part;
  where: Whereabouts;
  late: boolean;
}

export interface TodayRows {
  all(noun: 'item'): Item[];
  by(noun: 'part', field: 'itemId', value: string): Part[];
  get(noun: 'list', id: string): List | 'absent' | 'not-held';
}

const AHEAD_DAYS = 7;

/**
 * What is a person's to do, with where it shows on a day, in the order of the day: late first, then by slack
 * (minutes from now to due − remaining effort; no due: infinite), then importance, then position.
 * Nobody's items are of whoever owns the list or pile they lie in.
 */
export function myItems(personId: string, rows: TodayRows, now: string, zone: string): MyItem[] {
  const today = calendarDateOf(now, zone);
  const found: MyItem[] = [];
  for (const item of rows.all('item')) {
    if (item.removedAt || isKeptAway(item, rows)) continue;
    const parts = rows.by('part', 'itemId', item.id);
    const part =
      countingParts(parts).find((one) => one.personId === personId) ??
      (isOwner(item, personId, rows) ? countingParts(parts).find((one) => one.personId === null) : undefined);
    if (!part) continue;
    const where = whereabouts(item, part, parts, today, zone);
    if (where) found.push({ item, part, where, late: isLate(item, now, zone) });
  }
  return found.sort((a, b) => compareUrgency(a, b, now, zone));
}

/** Past its deadline: with an hour, at that hour; without, when the next day begins. */
export const isLate = (item: Pick<Item, 'due'>, now: string, zone: string): boolean => item.due !== null && instantDue(item.due, zone) <= now;

function whereabouts(item: Item, part: Part, parts: readonly Part[], today: string, zone: string): Whereabouts | null {
  if (part.standing === 'declined') return null;
  if (part.standing === 'completed' || isDone(item, parts)) {
    // done by another of those it was given to, it stays in sight as well: nobody wonders where it went
    const at = part.completedAt ?? firstCompleted(parts)?.completedAt;
    return at && calendarDateOf(at, zone) === today ? 'done-today' : null;
  }
  if (part.standing === 'needs-action' && part.personId !== null) return 'new';
  if (item.start && item.start.slice(0, 10) > today) return null;
  const day = [part.plan, item.due]
    .filter((one) => one !== null)
    .map((one) => one.slice(0, 10))
    .sort()[0];
  if (day === undefined) return item.parentId === null ? 'further' : null;
  if (day <= today) return 'today';
  return day <= addDays(today, AHEAD_DAYS) ? 'ahead' : 'further';
}

/** In a list that is filed away, removed, or never among things to do. */
function isKeptAway(item: Item, rows: TodayRows): boolean {
  if (item.listId === null) return false;
  const list = rows.get('list', item.listId);
  return typeof list !== 'string' && (list.removedAt !== null || list.filedAt !== null || list.kind !== 'working');
}

function isOwner(item: Item, personId: string, rows: TodayRows): boolean {
  if (item.listId === null) return item.makerId === personId;
  const list = rows.get('list', item.listId);
  return typeof list !== 'string' && list.ownerId === personId;
}

/** Minutes from now to the deadline, less what remains to be done; without a deadline, infinite. */
export function slackMinutes(item: Pick<Item, 'due' | 'effort'>, percent: number, now: string, zone: string): number {
  if (item.due === null) return Number.POSITIVE_INFINITY;
  const left = (epochOf(instantDue(item.due, zone)) - epochOf(now)) / 60_000;
  return left - ((item.effort ?? 0) * (100 - percent)) / 100;
}

function compareUrgency(a: MyItem, b: MyItem, now: string, zone: string): number {
  if (a.late !== b.late) return a.late ? -1 : 1;
  const slack = (one: MyItem) => slackMinutes(one.item, one.part.percent, now, zone);
  const [sa, sb] = [slack(a), slack(b)];
  if (sa !== sb) return sa < sb ? -1 : 1;
  if (a.item.importance !== b.item.importance) return b.item.importance - a.item.importance;
  return byPosition(a.item, b.item);
}
