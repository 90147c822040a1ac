import type { Rows } from '../reader/finding.ts';
import { counts, firstCompleted } from '../followup/standing.ts';
import type { House } from '../model/house.ts';
import type { Item } from '../model/item.ts';
import type { Part } from '../model/part.ts';
import { addDays, calendarDateOf, daysBetween } from '../time/clock.ts';
import { minutesOf, zoneMinutes, type ZoneMinutes } from '../time/zone-minutes.ts';

/** Something somebody did: a part that was checked off, by the time of the tap. */
export interface Deed {
  item: Pick<Item, 'id' | 'title' | 'listId' | 'tagIds'>;
  part: Pick<Part, 'id' | 'completedAt'>;
  /** Whose it was; of what nobody was given, whoever tapped. */
  personId: string | null;
  /** The house's calendar day of the tap. */
  day: string;
  /** What it is said to take; 0 where nobody said. */
  minutes: number;
  /** Null: it had no deadline. */
  isOnTime: boolean | null;
  /** Calendar days after its deadline; 0: in time, or later the same day. */
  daysLate: number;
}

/** One whose rows are here whole. */
export interface HeldDeed extends Deed {
  item: Item;
  part: Part;
}

/** Between two days; the wrong way round is turned. Both ends are in it. */
export interface BackSpan {
  from: string;
  to: string;
}

/** Days that can be looked back over at once. */
export const MOST_BACK_DAYS = 3_660;

export function spanOfDays(a: string, b: string): BackSpan & { wasTurned: boolean } {
  const wasTurned = a > b;
  const [from, to] = wasTurned ? [b, a] : [a, b];
  return { from: daysBetween(from, to) >= MOST_BACK_DAYS ? addDays(to, 1 - MOST_BACK_DAYS) : from, to, wasTurned };
}

/**
 * What was done between two days, the last first. Of `any`, the part that came first; of `each`, every part. Steps only with somebody's own
 * part. What was missed is never among it, nor what was removed since.
 */
export function lookBack({ from, to }: BackSpan, { zone }: Pick<House, 'zone'>, rows: Rows): HeldDeed[] {
  const minutes = zoneMinutes(zone);
  const deeds: HeldDeed[] = [];
  // a day of the house reaches into two of UTC
  const last = addDays(to, 1);
  for (let day = addDays(from, -1); day <= last; day = addDays(day, 1)) {
    for (const part of rows.by('part', 'completedDay', day)) {
      const item = itemDone(part, rows);
      if (!item) continue;
      const deed = deedOf(part, item, zone, minutes);
      if (deed.day >= from && deed.day <= to) deeds.push(deed);
    }
  }
  return deeds.sort((a, b) =>
    a.part.completedAt! > b.part.completedAt! ? -1 : a.part.completedAt! < b.part.completedAt! ? 1 : a.part.id < b.part.id ? -1 : 1,
  );
}

/** What looking back reads of a part, and of its item. */
export type DonePart = Pick<Part, 'id' | 'standing' | 'personId' | 'completedAt' | 'completedBy' | 'excusedAt' | 'takenBackAt' | 'passedTo'>;
export type DoneItem = Pick<Item, 'id' | 'title' | 'listId' | 'parentId' | 'tagIds' | 'due' | 'effort' | 'policy' | 'removedAt' | 'purgedAt' | 'missedAt'>;

/** Whether a part is something somebody did. Of `any` it has to be the first besides. */
export function isDeed(part: DonePart, item: DoneItem): boolean {
  if (part.standing !== 'completed' || part.completedAt === null || !counts(part)) return false;
  if (item.removedAt !== null || item.purgedAt !== null || item.missedAt !== null) return false;
  return item.parentId === null || part.personId !== null;
}

/** The item of a part that counts as something done; null: it doesn't. */
function itemDone(part: Part, rows: Rows): Item | null {
  const item = rows.find('item', part.itemId);
  if (item === undefined || !isDeed(part, item)) return null;
  const isFirst = item.policy !== 'any' || firstCompleted(rows.by('part', 'itemId', item.id))?.id === part.id;
  return isFirst ? item : null;
}

/** `minutes` of the house's zone. */
export function deedOf<P extends DonePart, I extends DoneItem>(part: P, item: I, zone: string, minutes: ZoneMinutes): Deed & { part: P; item: I } {
  const completedAt = part.completedAt!;
  const day = calendarDateOf(completedAt, zone);
  const isOnTime = item.due === null ? null : minutesOf(completedAt) <= minutes.deadline(item.due);
  const daysLate = isOnTime === false ? Math.max(0, daysBetween(item.due!.slice(0, 10), day)) : 0;
  return { item, part, personId: part.personId ?? part.completedBy, day, minutes: item.effort ?? 0, isOnTime, daysLate };
}

/** Figures of some of what was done. */
export interface BackSum {
  count: number;
  minutes: number;
  /** Of those with a deadline: how many there were, and how many of them were in time. */
  dated: number;
  onTime: number;
}

export function sumOf(deeds: readonly Deed[]): BackSum {
  const sum: BackSum = { count: 0, minutes: 0, dated: 0, onTime: 0 };
  for (const { minutes, isOnTime } of deeds) {
    sum.count += 1;
    sum.minutes += minutes;
    if (isOnTime !== null) sum.dated += 1;
    if (isOnTime) sum.onTime += 1;
  }
  return sum;
}

export type BackGrouping = 'day' | 'person' | 'list' | 'tag';

/** Put under what they have in common; by tag, what has several stands under each. `key` null: it has none. The most first; days in their order. */
export function deedsBy(deeds: readonly Deed[], grouping: BackGrouping): { key: string | null; deeds: Deed[] }[] {
  const groups = new Map<string | null, Deed[]>();
  for (const deed of deeds) {
    for (const key of keysOf(deed, grouping)) {
      const known = groups.get(key);
      if (known) known.push(deed);
      else groups.set(key, [deed]);
    }
  }
  const all = [...groups].map(([key, some]) => ({ key, deeds: some }));
  if (grouping === 'day') return all.sort((a, b) => (a.key! > b.key! ? -1 : 1));
  return all.sort((a, b) => b.deeds.length - a.deeds.length || ((a.key ?? '~') < (b.key ?? '~') ? -1 : 1));
}

function keysOf({ item, personId, day }: Deed, grouping: BackGrouping): (string | null)[] {
  if (grouping === 'day') return [day];
  if (grouping === 'person') return [personId];
  if (grouping === 'list') return [item.listId];
  return item.tagIds.length === 0 ? [null] : [...item.tagIds];
}
