import type { Rows } from '../reader/finding.ts';
import type { Item } from '../model/item.ts';
import type { Part } from '../model/part.ts';
import { isHere } from '../model/person.ts';
import { instantDue } from '../time/clock.ts';
import { countingParts, isDone, waitsForTie } from './standing.ts';

/** In the order they are looked through: an item stands once, in the first group that one of its open parts meets. */
export const FOLLOW_UP_GROUPS = ['needs-you', 'late', 'silent', 'in-hand', 'back'] as const;
export type FollowUpGroup = (typeof FOLLOW_UP_GROUPS)[number];

export type FollowUpReason = 'declined' | 'asked' | 'waits-for-tie' | 'no-answer' | 'left' | 'nobody' | 'away' | 'late' | 'silent' | 'in-hand' | 'done';

export interface FollowUp {
  item: Item;
  group: FollowUpGroup;
  reason: FollowUpReason;
  /** The part that brought it here; null when nobody has it. */
  part: Part | null;
  /** All parts that were given and not taken back, in no particular order. */
  parts: Part[];
}

/** After this many nudges without a sign of life the giver is asked instead. */
export const NUDGES_BEFORE_ASKING = 3;

/** Past its deadline: with an hour, at that hour; without, when the next day begins. */
export const isLate = (item: Pick<Item, 'due'>, now: string, zone: string): boolean => item.due !== null && instantDue(item.due, zone) <= now;

/** Everything a person handed to others and that is not settled for good, each item once. */
export function followUpsOf(giverId: string, rows: Rows, now: string, zone: string): FollowUp[] {
  const itemIds = new Set(
    rows
      .all('part')
      .filter((part) => isFrom(part, giverId) && part.takenBackAt === null)
      .map((part) => part.itemId),
  );
  const found: FollowUp[] = [];
  for (const item of rows.all('item')) if (isNobodysTurn(item) && item.makerId === giverId) itemIds.add(item.id);
  for (const itemId of itemIds) {
    const item = rows.find('item', itemId);
    if (item === undefined || item.removedAt) continue;
    const followUp = followUpOf(item, giverId, rows, now, zone);
    if (followUp) found.push(followUp);
  }
  return found.sort(byUrgency);
}

/** Where one item stands for its giver, or null when there is nothing to follow any more. */
function followUpOf(item: Item, giverId: string, rows: Rows, now: string, zone: string): FollowUp | null {
  const parts = rows.by('part', 'itemId', item.id).filter((part) => part.personId !== null && part.takenBackAt === null);
  const others = parts.filter((part) => isFrom(part, giverId) && part.personId !== giverId);
  const stands = (group: FollowUpGroup, reason: FollowUpReason, part: Part | null): FollowUp => ({ item, group, reason, part, parts });
  if (isDone(item, parts)) {
    // of a chore the history is on its own page
    if (item.seriesId !== null) return null;
    const back = others.find((part) => part.standing === 'completed' && part.putAwayAt === null);
    return back ? stands('back', 'done', back) : null;
  }
  const counting = countingParts(others);
  if (isNobodysTurn(item) && countingParts(parts).length === 0) return stands('needs-you', 'nobody', null);
  if (counting.length === 0) return others.length > 0 && countingParts(parts).length === 0 ? stands('needs-you', 'nobody', null) : null;
  const need = needOf(item, counting, rows);
  if (need) return stands('needs-you', need.reason, need.part);
  const open = counting.filter((part) => part.standing !== 'completed');
  const first = open[0] ?? counting[0]!;
  if (isLate(item, now, zone)) return stands('late', 'late', first);
  const silent = open.find(isSilent);
  if (silent) return stands('silent', 'silent', silent);
  return stands('in-hand', 'in-hand', first);
}

function needOf(item: Item, counting: Part[], rows: Rows): { reason: FollowUpReason; part: Part } | null {
  const find = (reason: FollowUpReason, meets: (part: Part) => boolean) => {
    const part = counting.find(meets);
    return part ? { reason, part } : null;
  };
  const declined = (part: Part) => part.standing === 'declined';
  const left = (part: Part) => part.standing !== 'completed' && hasLeft(part, rows);
  const nobodyLeft = counting.every((part) => declined(part) || left(part));
  return (
    (item.policy === 'each' || nobodyLeft ? (find('declined', declined) ?? find('left', left)) : null) ??
    find('away', (part) => isAway(item, part, rows)) ??
    find('asked', (part) => part.standing === 'tentative') ??
    find('waits-for-tie', (part) => waitsForTie(item, part)) ??
    find('no-answer', (part) => part.unanswered >= NUDGES_BEFORE_ASKING && part.standing !== 'completed')
  );
}

const hasLeft = (part: Part, rows: Rows): boolean => {
  const person = rows.find('person', part.personId!);
  return person !== undefined && !isHere(person);
};

/** A chore whose turn nobody can take: it waits for a decision. */
const isNobodysTurn = (item: Item): boolean => item.turn?.kind === 'nobody' && item.removedAt === null;

/** They had said they would, and are away on its day. */
function isAway(item: Item, part: Part, rows: Rows): boolean {
  const day = item.due?.slice(0, 10);
  if (item.turn === null || day === undefined || part.standing === 'completed') return false;
  return rows.by('timeAway', 'personId', part.personId!).some(({ from, to, removedAt }) => removedAt === null && from <= day && day <= to);
}

/** Nudged at least once and no sign of life since. */
const isSilent = (part: Part): boolean => part.nudgedAt !== null && (part.lastSignAt === null || part.lastSignAt < part.nudgedAt);

const isFrom = (part: Part, giverId: string): boolean => part.giverId === giverId || part.originId === giverId;

/** By group; within one by deadline, what has none last, then by title. */
function byUrgency(a: FollowUp, b: FollowUp): number {
  const group = FOLLOW_UP_GROUPS.indexOf(a.group) - FOLLOW_UP_GROUPS.indexOf(b.group);
  if (group !== 0) return group;
  const due = (item: Item) => item.due ?? '9';
  if (due(a.item) !== due(b.item)) return due(a.item) < due(b.item) ? -1 : 1;
  return a.item.title < b.item.title ? -1 : 1;
}
