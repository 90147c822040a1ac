import { standsInOn } from '../access/standing-in.ts';
import type { Part } from '../model/part.ts';
import { calendarDateOf } from '../time/clock.ts';
import type { Deciding } from './deciding.ts';

/** Whether the actor may do today what a part's giver may: they gave it, or stand in for who did. */
export function actsAsGiver(part: Pick<Part, 'personId' | 'giverId' | 'originId'> | undefined, d: Deciding): boolean {
  const actor = d.actorOrNull;
  if (part === undefined || actor === null) return false;
  const givers = [part.giverId, part.originId].filter((id) => id !== null);
  if (givers.includes(actor.id)) return true;
  // nobody judges their own work in another's place
  if (part.personId === actor.id) return false;
  const today = calendarDateOf(d.now, d.house.zone);
  return givers.some((id) => standsInOn(today, actor.id, id, d));
}
