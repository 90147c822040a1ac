import type { Rows } from '../reader/finding.ts';
import { counts, firstCompleted, isDone, isFromAnother, openParts } from '../followup/standing.ts';
import { holdsBack } from '../followup/waiting.ts';
import type { Item } from '../model/item.ts';
import type { Part } from '../model/part.ts';
import { addDays, wallClockOf } from '../time/clock.ts';
import { minutesOf, zoneMinutes, type ZoneMinutes } from '../time/zone-minutes.ts';
import type { PlanView } from './rows.ts';

/**
 * Where an item shows for a person on a day. Computed, never stored; the first that applies.
 * `not-yet`: before its start, in no doing view. `waiting`: nothing of it is this person's to do now.
 */
export type Whereabouts = 'done' | 'not-yet' | 'shelf' | 'waiting' | 'today' | 'ahead' | 'further';

/** So many days after today are ahead. */
export const AHEAD_DAYS = 7;

/** The day as it is asked about over and over: worked out once. */
export class Today {
  readonly date: string;
  /** Wall-clock, `14:30`. */
  readonly hour: string;
  readonly lastAhead: string;
  readonly minute: number;
  readonly zone: ZoneMinutes;

  constructor(readonly view: PlanView) {
    [this.date, this.hour] = wallClockOf(view.now, view.house.zone).split('T') as [string, string];
    this.lastAhead = addDays(this.date, AHEAD_DAYS);
    this.minute = minutesOf(view.now);
    this.zone = zoneMinutes(view.house.zone);
  }

  /** Past its deadline: with an hour, at that hour; without, when the next day begins. */
  isLate(item: Pick<Item, 'due'>): boolean {
    return item.due !== null && this.zone.deadline(item.due) <= this.minute;
  }

  /** Minutes to the deadline less what remains to be done; without a deadline, infinite. */
  slack(item: Pick<Item, 'due' | 'effort'>, percent: number): number {
    if (item.due === null) return Number.POSITIVE_INFINITY;
    return this.zone.deadline(item.due) - this.minute - remaining(item, percent);
  }
}

/** Minutes that remain of what is begun; 0 where nobody said how long it takes. */
export const remaining = (item: Pick<Item, 'effort'>, percent: number): number => ((item.effort ?? 0) * (100 - percent)) / 100;

const dayOf = (moment: string | null): string | null => (moment === null ? null : moment.slice(0, 10));

export function whereaboutsOf(item: Item, part: Part, parts: readonly Part[], today: Today, rows: Rows): Whereabouts {
  if (part.standing === 'completed' || isDone(item, parts)) return 'done';
  if (item.start !== null && dayOf(item.start)! > today.date) return 'not-yet';
  if (part.shelvedAt !== null) return 'shelf';
  const held = rows.by('wait', 'itemId', item.id);
  if (held.some((wait) => holdsBack(wait, today.date)) || waitsForOthers(item, today, rows)) return 'waiting';
  // the day to ask again has come
  if (held.some((wait) => wait.endedAt === null) && part.takenOff !== today.date) return 'today';
  if (part.pulledInto === today.date) return 'today';
  const day = nextDay(item, part);
  if (day === null) return 'further';
  if (day <= today.date) return part.takenOff === today.date ? 'ahead' : 'today';
  return day <= today.lastAhead ? 'ahead' : 'further';
}

/** The day that brings an item up: its plan or its deadline, whichever is first. */
export function nextDay(item: Pick<Item, 'due'>, part: Pick<Part, 'plan'>): string | null {
  const [plan, due] = [dayOf(part.plan), dayOf(item.due)];
  if (plan === null || due === null) return plan ?? due;
  return plan < due ? plan : due;
}

/** No open step is this person's to do, and one is open at somebody else or waits for something. */
function waitsForOthers(item: Item, { date, view: { personId } }: Today, rows: Rows): boolean {
  let elsewhere = false;
  for (const step of rows.by('item', 'parentId', item.id)) {
    if (step.removedAt) continue;
    const parts = rows.by('part', 'itemId', step.id);
    if (isDone(step, parts)) continue;
    if (isHeld(step, date, rows)) {
      elsewhere = true;
      continue;
    }
    const open = openParts(parts);
    if (open.length === 0 || open.some((part) => part.personId === null || part.personId === personId)) return false;
    elsewhere = true;
  }
  return elsewhere;
}

const isHeld = (step: Item, date: string, rows: Rows): boolean => rows.by('wait', 'itemId', step.id).some((wait) => holdsBack(wait, date));

const hasOpenWait = (step: Item, rows: Rows): boolean => rows.by('wait', 'itemId', step.id).some((wait) => wait.endedAt === null);

/** How many steps are open at others, or wait for something, while something is still this person's to do: "one step waits". */
export function stepsThatWait(item: Item, personId: string, rows: Rows): number {
  return rows.by('item', 'parentId', item.id).filter((step) => {
    const open = step.removedAt ? [] : openParts(rows.by('part', 'itemId', step.id));
    return open.length > 0 && (hasOpenWait(step, rows) || !open.some((part) => part.personId === null || part.personId === personId));
  }).length;
}

/** When an item was done for a person: their own check-off, else that of whoever was first. */
export const doneAt = (part: Part, parts: readonly Part[]): string | null => part.completedAt ?? firstCompleted(parts)?.completedAt ?? null;

/**
 * In a list that is filed away or removed, or only to be looked up. `undated` lists show only what has a day. What somebody else handed
 * over stays though its list is filed away: they go on waiting for it.
 */
export function isKeptAway(item: Item, part: Part, rows: Rows): boolean {
  if (item.listId === null) return false;
  const list = rows.find('list', item.listId);
  if (list === undefined) return false;
  if (list.removedAt !== null || list.kind === 'reference') return true;
  if (list.filedAt !== null && !isFromAnother(part)) return true;
  return list.kind === 'undated' && nextDay(item, part) === null && part.pulledInto === null && part.personId === null;
}

/** The part by which an item is a person's: their own, or nobody's in a list or pile of theirs. */
export function partFor(item: Item, parts: readonly Part[], personId: string, rows: Rows): Part | null {
  let nobodys: Part | null = null;
  for (const part of parts) {
    if (!counts(part)) continue;
    if (part.personId === personId) return part.standing === 'declined' ? null : part;
    if (part.personId === null) nobodys = part;
  }
  return nobodys && isOwner(item, personId, rows) ? nobodys : null;
}

function isOwner(item: Item, personId: string, rows: Rows): boolean {
  if (item.listId === null) return item.makerId === personId;
  const list = rows.find('list', item.listId);
  return list !== undefined && list.ownerId === personId;
}

/**
 * Nobody has decided yet: captured into an own pile, or handed over and unanswered.
 * A day, a list, a person, the shelf, "later, no day" or an answer is a decision.
 */
export function isToSort(item: Item, part: Part, personId: string): boolean {
  // a chore was settled when it was set up: nobody is asked anew each time
  if (item.seriesId !== null) return false;
  if (part.personId === personId) return part.standing === 'needs-action';
  return part.personId === null && item.listId === null && item.parentId === null && item.makerId === personId && item.due === null && item.start === null;
}
