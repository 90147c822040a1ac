import * as z from 'zod/mini';
import type { Item } from '../model/item.ts';
import { Effort, Energy, Importance, PartOfDay } from '../model/nature-schema.ts';
import { seesPlace } from '../model/place.ts';
import { Id, Moment } from '../model/row-schema.ts';
import { TagName } from '../model/tag-schema.ts';
import { Wanted } from '../model/wanted-schema.ts';
import { instantDue, isMoment } from '../time/clock.ts';
import type { Deciding } from './deciding.ts';
import { refuse } from './reasons.ts';
import { tagsNamed } from './tags.ts';

/** What adding and changing an item have in common: its dates, its nature, and what they may not be. */

export const DATES = { due: z.optional(z.nullable(Moment)), start: z.optional(z.nullable(Moment)) };
export const NATURE = {
  importance: z.optional(Importance),
  effort: z.optional(z.nullable(Effort)),
  energy: z.optional(z.nullable(Energy)),
  dayPart: z.optional(z.nullable(PartOfDay)),
  /** By name: words never used are made tags in the same action. */
  tags: z.optional(z.array(TagName).check(z.maxLength(20))),
  situations: z.optional(z.array(Id).check(z.maxLength(20))),
  place: z.optional(z.nullable(Id)),
  wanted: z.optional(z.nullable(Wanted)),
};

/** What an item needs to be done, as its fields. Unknown places and situations are refused. */
export function contextOf(
  { tags, situations, place }: { tags?: string[]; situations?: string[]; place?: string | null },
  d: Deciding,
): Partial<Pick<Item, 'tagIds' | 'situationIds' | 'placeId'>> {
  for (const id of situations ?? []) d.need('situation', id);
  if (place) refuseUnseenPlace(place, d);
  return { tagIds: tags && tagsNamed(tags, d), situationIds: situations, placeId: place };
}

/** A place somebody keeps to themselves, or that was removed, is nobody else's to name. */
function refuseUnseenPlace(placeId: string, d: Deciding): void {
  const place = d.need('place', placeId);
  const actor = d.actorOrNull;
  if (actor && !seesPlace(place, actor.id)) refuse('gone', { noun: 'place' }, 'place');
}

export function refuseBadDates(due: string | null, start: string | null, plan: string | null = null): void {
  if (plan && !isMoment(plan)) refuse('malformed', { value: plan }, 'plan');
  if (plan && start && plan.slice(0, 10) < start.slice(0, 10)) refuse('plan-before-start', { plan, start }, 'plan');
  if (due && !isMoment(due)) refuse('malformed', { value: due }, 'due');
  if (start && !isMoment(start)) refuse('malformed', { value: start }, 'start');
  if (due && start && due.slice(0, Math.max(10, Math.min(due.length, start.length))) < start.slice(0, Math.min(due.length, start.length)))
    refuse('due-before-start', { due, start }, 'due');
}

export function noteIfPast(due: string | null | undefined, d: Deciding): void {
  const zone = d.find('house', d.context.houseId)?.zone;
  if (due && zone && instantDue(due, zone) < d.now) d.note('due-past', { due });
}
