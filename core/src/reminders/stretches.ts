import type { Part } from '../model/part.ts';
import { YES } from '../model/nouns.ts';
import type { Stretch } from '../model/stretch.ts';
import type { Finding } from '../reader/finding.ts';
import { epochOf, instantOf } from '../time/clock.ts';
import { earliestFirst } from '../time/earliest-first.ts';

/** When it is over by itself. UTC instant. */
export const stretchEnds = ({ beganAt, minutes }: Pick<Stretch, 'beganAt' | 'minutes'>): string => instantOf(epochOf(beganAt) + minutes * 60_000);

const begunLast = (a: Stretch, b: Stretch): Stretch => (a.beganAt > b.beganAt || (a.beganAt === b.beganAt && a.id > b.id) ? a : b);

/** What somebody is in the middle of at a moment. Begun on two devices that did not know of each other: the later one. */
export function stretchOf(personId: string, now: string, rows: Pick<Finding, 'by'>): Stretch | null {
  const going = rows.by('stretch', 'personId', personId).filter((one) => one.endedAt === null && now < stretchEnds(one));
  return going.length === 0 ? null : going.reduce(begunLast);
}

/** What somebody checked off in it, the first first. One is never longer than a day, so that two days have it all. */
export function doneInStretch(stretch: Stretch, rows: Pick<Finding, 'by'>): Part[] {
  const until = stretch.endedAt ?? stretchEnds(stretch);
  return [...new Set([stretch.beganAt.slice(0, 10), until.slice(0, 10)])]
    .flatMap((day) => rows.by('part', 'completedDay', day))
    .filter(({ completedBy, completedAt }) => completedBy === stretch.personId && completedAt! >= stretch.beganAt && completedAt! <= until)
    .sort((a, b) => (a.completedAt! < b.completedAt! ? -1 : a.completedAt! > b.completedAt! ? 1 : a.id < b.id ? -1 : 1));
}

/** Those that will be over, the next first. */
export function stretchesAhead(rows: Pick<Finding, 'by'>): { stretchId: string; at: string }[] {
  const found = rows.by('stretch', 'open', YES).map((one) => ({ stretchId: one.id, at: stretchEnds(one) }));
  return earliestFirst(found, ({ stretchId }) => stretchId);
}
