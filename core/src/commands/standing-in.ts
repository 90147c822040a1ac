import type { Part } from '../model/part.ts';
import type { Person } from '../model/person.ts';
import { calendarDateOf } from '../time/clock.ts';
import type { Deciding } from './deciding.ts';

/** Whom somebody was named to stand in for: what these gave is in their sight. Which days that is for says {@link actsFor}. */
export const namedBy = (person: Pick<Person, 'id'>, d: Pick<Deciding, 'by'>): ReadonlySet<string> =>
  new Set(d.by('timeAway', 'standInId', person.id).flatMap(({ personId, removedAt }) => (removedAt === null ? [personId] : [])));

/** Whether somebody stands in for another on a day. */
export const standsInOn = (date: string, standInId: string, personId: string, d: Pick<Deciding, 'by'>): boolean =>
  d.by('timeAway', 'standInId', standInId).some((away) => away.personId === personId && away.removedAt === null && away.from <= date && date <= away.to);

/** Whether the actor may do today what a part's giver may: they gave it, or stand in for who did. */
export function actsAsGiver(part: Pick<Part, 'personId' | 'giverId' | 'originId'> | undefined, d: Deciding): boolean {
  const actor = d.actorOrNull;
  if (part === undefined || actor === null) return false;
  const givers = [part.giverId, part.originId].filter((id) => id !== null);
  if (givers.includes(actor.id)) return true;
  // nobody judges their own work in another's place
  if (part.personId === actor.id) return false;
  const today = calendarDateOf(d.now, d.need('house', d.context.houseId).zone);
  return givers.some((id) => standsInOn(today, actor.id, id, d));
}
