import type { Rows } from '../reader/finding.ts';
import type { House } from '../model/house.ts';
import { YES } from '../model/nouns.ts';
import type { Part } from '../model/part.ts';
import { isHere } from '../model/person.ts';
import { epochOf, instantOf } from '../time/clock.ts';
import { isDone } from './standing.ts';
import { dependsOn } from './waiting.ts';
import { nextNudge, WINDOW_MS, type Nudge } from './nudging.ts';
import { quietOf } from './quiet.ts';

/** When a person is next asked, and about what: several things that fall together are one. */
export interface NudgeBatch {
  personId: string;
  /** UTC instant; in the past where nothing ran at its time. */
  at: string;
  partIds: string[];
}

/** The next nudge of a part as the house has it, or null. */
export function nudgeOf(part: Part, house: Pick<House, 'zone' | 'dayParts' | 'pace'>, rows: Rows): Nudge | null {
  const item = rows.find('item', part.itemId);
  const person = part.personId ? rows.find('person', part.personId) : undefined;
  if (item === undefined || item.removedAt !== null || person === undefined || !isHere(person)) return null;
  if (isDone(item, rows.by('part', 'itemId', item.id))) return null;
  const firsts = rows.by('wait', 'itemId', item.id).filter((wait) => dependsOn(wait) !== null);
  // nobody is asked about what can't be begun
  if (firsts.some(({ endedAt }) => endedAt === null)) return null;
  const freeSince = firsts.reduce<string | null>((last, { endedAt }) => (last === null || endedAt! > last ? endedAt : last), null);
  return nextNudge({ part, freeSince, item, pace: item.pace ?? house.pace, quiet: quietOf(person, rows.by('timeAway', 'personId', person.id)), house });
}

/** The next round of everybody who has one, earliest first. Never two of a person within one window. */
export function nudgeBatches(house: Pick<House, 'zone' | 'dayParts' | 'pace'>, rows: Rows): NudgeBatch[] {
  const working = nudgeBatchesInSteps(house, rows);
  for (;;) {
    const step = working.next();
    if (step.done) return step.value;
  }
}

/** Nudges worked out between one pause and the next. */
const AT_ONCE = 100;

/** The same, with pauses: where there are thousands of parts, others have their turn in between. */
export function* nudgeBatchesInSteps(house: Pick<House, 'zone' | 'dayParts' | 'pace'>, rows: Rows): Generator<void, NudgeBatch[]> {
  let worked = 0;
  const nudges = new Map<string, { partId: string; at: string }[]>();
  const last = new Map<string, string>();
  for (const { personId, nudgedAt } of rows.by('part', 'nudged', YES))
    if (personId !== null && nudgedAt !== null && nudgedAt > (last.get(personId) ?? '')) last.set(personId, nudgedAt);
  for (const part of rows.by('part', 'open', YES)) {
    if (part.personId === null) continue;
    const nudge = nudgeOf(part, house, rows);
    if (++worked % AT_ONCE === 0) yield;
    if (!nudge) continue;
    const known = nudges.get(part.personId);
    if (known) known.push({ partId: part.id, at: nudge.at });
    else nudges.set(part.personId, [{ partId: part.id, at: nudge.at }]);
  }
  return [...nudges]
    .map(([personId, found]) => batchOf(personId, found, last.get(personId) ?? null))
    .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.personId < b.personId ? -1 : 1));
}

function batchOf(personId: string, found: { partId: string; at: string }[], last: string | null): NudgeBatch {
  const first = found.reduce((earliest, { at }) => (at < earliest ? at : earliest), found[0]!.at);
  const free = last === null ? first : later(first, instantOf(epochOf(last) + WINDOW_MS));
  const until = instantOf(epochOf(free) + WINDOW_MS);
  return {
    personId,
    at: free,
    partIds: found
      .filter(({ at }) => at <= until)
      .map(({ partId }) => partId)
      .sort(),
  };
}

const later = (a: string, b: string): string => (a > b ? a : b);
