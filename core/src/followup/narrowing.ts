import { calendarDateOf, daysBetween } from '../time/clock.ts';
import type { FollowUp, FollowUpGroup } from './groups.ts';

/** `urgency`: by what it asks of its giver. `waited`: the longest first. `asked`: who was asked longest ago first. */
export const FOLLOW_UP_SORTS = ['urgency', 'due', 'waited', 'asked', 'title'] as const;
export type FollowUpSort = (typeof FOLLOW_UP_SORTS)[number];

/** What of what is followed is looked at; null: everything. */
export interface FollowUpNarrowing {
  group: FollowUpGroup | null;
  personId: string | null;
  sort: FollowUpSort;
}
export const EVERYTHING: FollowUpNarrowing = { group: null, personId: null, sort: 'urgency' };

/** Those that are looked at, in their order. `followUps` come by urgency. */
export function narrowed(followUps: readonly FollowUp[], { group, personId, sort }: FollowUpNarrowing): FollowUp[] {
  const found = followUps.filter(
    (one) => (group === null || one.group === group) && (personId === null || one.parts.some((part) => part.personId === personId)),
  );
  const key = KEYS[sort];
  return key ? found.sort((a, b) => compare(key(a), key(b)) || compare(a.item.title, b.item.title) || compare(a.item.id, b.item.id)) : found;
}

/** What has no such moment comes last. */
const LAST = '9';
const KEYS: Record<FollowUpSort, ((one: FollowUp) => string) | null> = {
  urgency: null,
  due: ({ item }) => item.due ?? LAST,
  waited: (one) => givenAt(one) ?? LAST,
  asked: ({ parts }) => askedAt(parts) ?? LAST,
  title: ({ item }) => item.title.toLowerCase(),
};

const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

function givenAt({ part, parts }: FollowUp): string | null {
  if (part?.givenAt) return part.givenAt;
  return parts.reduce<string | null>((first, one) => (one.givenAt !== null && (first === null || one.givenAt < first) ? one.givenAt : first), null);
}

/** When anybody was last asked about it. */
const askedAt = (parts: FollowUp['parts']): string | null =>
  parts.reduce<string | null>((last, { nudgedAt }) => (nudgedAt !== null && (last === null || nudgedAt > last) ? nudgedAt : last), null);

/** How many calendar days it has been out with whoever keeps one waiting. */
export function waitedDays(followUp: FollowUp, now: string, zone: string): number {
  const since = givenAt(followUp);
  return since === null ? 0 : Math.max(0, daysBetween(calendarDateOf(since, zone), calendarDateOf(now, zone)));
}

/** Whether anybody who still has it was asked today already. */
export const wasAskedToday = (followUp: FollowUp, now: string, zone: string): boolean => {
  const today = calendarDateOf(now, zone);
  // asked by hand and waiting for somebody's quiet to end counts: it is on its way
  return followUp.parts.some(
    ({ nudgedAt, nudgedByHandAt, standing }) =>
      standing !== 'completed' && [nudgedAt, nudgedByHandAt].some((at) => at !== null && calendarDateOf(at, zone) >= today),
  );
};
