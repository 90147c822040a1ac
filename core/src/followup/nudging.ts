import type { Pace } from '../model/house.ts';
import type { Item } from '../model/item.ts';
import type { Part } from '../model/part.ts';
import { addDays, epochOf, instantAt, instantOf, wallClockOf } from '../time/clock.ts';
import { NUDGES_BEFORE_ASKING } from './groups.ts';
import { afterQuiet, type Quiet } from './quiet.ts';
import { counts } from './standing.ts';

export type NudgeReason = 'by-hand' | 'unseen' | 'before-due' | 'due' | 'after-due' | 'no-due';

/** The next time somebody is asked about their part, and why then. */
export interface Nudge {
  /** UTC instant. */
  at: string;
  reason: NudgeReason;
}

/** What the moments follow from: a part, its item, the house's ways, and when the person is left in peace. */
export interface Nudging {
  part: Pick<
    Part,
    | 'givenAt'
    | 'seenAt'
    | 'lastSignAt'
    | 'nudgedAt'
    | 'nudgedByHandAt'
    | 'unanswered'
    | 'standing'
    | 'excusedAt'
    | 'takenBackAt'
    | 'passedTo'
    | 'personId'
    | 'giverId'
  >;
  item: Pick<Item, 'due' | 'start'>;
  /** When the last of what had to be done first was; null: nothing had to. UTC instant. */
  freeSince?: string | null;
  pace: Pace;
  quiet: Quiet;
  house: { zone: string; dayParts: { morning: string } };
}

/** The first nudge opens a window of so many minutes, and those that would come within it come along. */
export const WINDOW_MS = 30 * 60_000;
const DAY = 24 * 3_600_000;
/** Days after the deadline, then weekly. */
const AFTER_DUE: Record<Exclude<Pace, 'off'>, readonly number[]> = { usual: [1, 2, 4, 7], calm: [2, 7] };
/** Days after the handover where there is no deadline, then weekly. */
const SINCE: Record<Exclude<Pace, 'off'>, readonly number[]> = { usual: [3, 7, 14], calm: [7, 14] };
const WEEK = 7;

/**
 * The next nudge of a part, or null: none is due to come. It may lie in the past, when nothing ran at its time: then it is overdue,
 * and one nudge is due now.
 *
 * Moments that lie before the handover never come. One that falls into quiet moves to the end of it. What was nudged is over up to
 * then; a sign of life skips the next moment if it is less than 24 hours off; a nudge by hand replaces those of the next 24 hours.
 */
export function nextNudge(nudging: Nudging): Nudge | null {
  const { part, pace, quiet, house } = nudging;
  if (!isNudged(part)) return null;
  // asked by hand while the person was left in peace: it comes when that ends, whatever the pace
  if (part.nudgedByHandAt !== null && (part.nudgedAt === null || part.nudgedAt < part.nudgedByHandAt)) return { at: part.nudgedByHandAt, reason: 'by-hand' };
  if (pace === 'off') return null;
  const anchor = anchorOf(nudging);
  let skipsOne = part.lastSignAt !== null;
  let before: string | null = null;
  for (const moment of momentsFrom(nudging, anchor)) {
    const at = afterQuiet(moment.at, quiet, house.zone);
    if (at === null) return null;
    // what coincides after moving is one
    if (at === before) continue;
    before = at;
    if (moment.at <= anchor || isOver(at, part)) continue;
    if (moment.reason === 'unseen' && part.seenAt !== null) continue;
    if (skipsOne && at > part.lastSignAt!) {
      skipsOne = false;
      if (epochOf(at) - epochOf(part.lastSignAt!) < DAY) continue;
    }
    return { at, reason: moment.reason };
  }
  return null;
}

/** Open, handed over by somebody else, and not asked in vain too often. */
function isNudged(part: Nudging['part']): boolean {
  if (part.personId === null || part.giverId === null || part.giverId === part.personId || part.givenAt === null) return false;
  if (!counts(part as Part) || part.unanswered >= NUDGES_BEFORE_ASKING) return false;
  // who declined or asked back has answered: it is the giver's turn
  return part.standing === 'needs-action' || part.standing === 'accepted' || part.standing === 'in-process';
}

/** What was asked, with all that was to come within its window. */
const isOver = (at: string, { nudgedAt, nudgedByHandAt }: Nudging['part']): boolean =>
  (nudgedAt !== null && epochOf(at) <= epochOf(nudgedAt) + WINDOW_MS) ||
  (nudgedByHandAt !== null && at > nudgedByHandAt && epochOf(at) - epochOf(nudgedByHandAt) <= DAY);

/** The latest of the handover, the day it may start, and when nothing was in its way any more. */
function anchorOf({ part, item, house, freeSince = null }: Nudging): string {
  const given = freeSince !== null && freeSince > part.givenAt! ? freeSince : part.givenAt!;
  const start = item.start === null ? null : instantAt(item.start.length > 10 ? item.start : `${item.start}T${house.dayParts.morning}`, house.zone);
  return start !== null && start > given ? start : given;
}

/** Every moment in its order, without end. Those by the week begin near the first that may count: years of them are not walked through. */
function* momentsFrom(nudging: Nudging, anchor: string): Generator<Nudge> {
  const { item, house } = nudging;
  const { nudgedAt } = nudging.part;
  const counts = nudgedAt !== null && nudgedAt > anchor ? nudgedAt : anchor;
  const pace = nudging.pace as Exclude<Pace, 'off'>;
  if (item.due === null) return yield* afterDays(anchor, SINCE[pace], 'no-due', house.zone, counts);
  const due = instantAt(item.due.length > 10 ? item.due : `${item.due}T${house.dayParts.morning}`, house.zone);
  const left = epochOf(due) - epochOf(anchor);
  if (pace === 'usual' && left > 0) {
    const halfWay = { at: instantOf(epochOf(anchor) + Math.floor(left / 2)), reason: 'unseen' as const };
    const ahead = { at: leadOf(due, anchor, house.zone), reason: 'before-due' as const };
    yield* halfWay.at <= ahead.at ? [halfWay, ahead] : [ahead, halfWay];
  }
  yield { at: due, reason: 'due' };
  yield* afterDays(due, AFTER_DUE[pace], 'after-due', house.zone, counts);
}

/** A day before the deadline, at the same time of day; where there is less, half of what is left. */
function leadOf(due: string, anchor: string, zone: string): string {
  const dayBefore = shiftDays(due, -1, zone);
  return dayBefore > anchor ? dayBefore : instantOf(epochOf(anchor) + Math.floor((epochOf(due) - epochOf(anchor)) / 2));
}

function* afterDays(from: string, days: readonly number[], reason: NudgeReason, zone: string, counts: string): Generator<Nudge> {
  for (const day of days) yield { at: shiftDays(from, day, zone), reason };
  const passed = Math.floor((epochOf(counts) - epochOf(from)) / (WEEK * DAY)) - 2;
  for (let day = days.at(-1)! + WEEK * Math.max(1, passed); ; day += WEEK) yield { at: shiftDays(from, day, zone), reason };
}

/** Days are calendar days at the same wall-clock time (RFC 5545 3.3.6). */
function shiftDays(instant: string, days: number, zone: string): string {
  const [date, time] = wallClockOf(instant, zone).split('T') as [string, string];
  return instantAt(`${addDays(date, days)}T${time}`, zone);
}
