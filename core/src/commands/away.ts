import { GUESSED_MINUTES } from '../model/nature.ts';
import * as z from 'zod/mini';
import { CalendarDate, Id } from '../model/row-schema.ts';
import { madeOf } from '../recurrence/chores.ts';
import type { Item } from '../model/item.ts';
import type { CarriedMinutes } from '../recurrence/fair.ts';
import { carriedSoFar, holderOf } from '../recurrence/whose-turn.ts';
import { calendarDateOf, daysOf, isMoment } from '../time/clock.ts';
import { commandKind } from './kind.ts';
import { assignNow, reassign } from './appearing.ts';
import { needPerson, partId } from './parts.ts';
import { refuse } from './reasons.ts';
import type { CommandRequest } from './required-permissions.ts';
import type { Deciding } from './deciding.ts';

const ofPerson = (person: string | undefined, d: Deciding): CommandRequest =>
  person === d.actorOrNull?.id ? { permission: 'self', is: true } : { permission: 'manage' };

/** Days somebody is not there: their own to say, or a manager's. */
export const addAway = commandKind({
  name: 'away.add',
  payload: z.object({ person: Id, from: CalendarDate, to: CalendarDate, standIn: z.optional(z.nullable(Id)) }),
  asks: ({ person }, d) => [ofPerson(person, d)],
  decide({ person, from, to, standIn = null }, d) {
    needPerson(person, d, 'person');
    if (!isMoment(from)) refuse('malformed', { value: from }, 'from');
    if (!isMoment(to)) refuse('malformed', { value: to }, 'to');
    if (to < from) refuse('ends-before', { from, to }, 'to');
    if (standIn !== null) needStandIn(standIn, person, d);
    d.insert('timeAway', d.newId(), { personId: person, from, to, standInId: standIn, removedAt: null });
    d.notify(standIn, 'stand-in', null, { who: needPerson(person, d, 'person').name, from, to });
    passTurnsOn(person, from, to, d);
  },
});

export const removeAway = commandKind({
  name: 'away.remove',
  payload: z.object({ away: Id }),
  asks: ({ away }, d) => [ofPerson(d.find('timeAway', away)?.personId, d)],
  decide({ away }, d) {
    if (d.need('timeAway', away).removedAt === null) d.set('timeAway', away, { removedAt: d.now });
  },
});

/** Somebody of the house who is there to do it, and not the one who is away. */
function needStandIn(standIn: string, person: string, d: Deciding): void {
  const { role, name } = needPerson(standIn, d, 'standIn');
  if (role === 'outside') refuse('role-outside', { name }, 'standIn');
  if (standIn === person) refuse('malformed', { field: 'standIn' }, 'standIn');
}

/** The days are over: nobody stands in any more, and what they saw by it goes from their sight. */
export const endStandIn = commandKind({
  name: 'away.standInOver',
  payload: z.object({ away: Id }),
  asks: () => [{ permission: 'system' }],
  decide({ away: id }, d) {
    const away = d.find('timeAway', id);
    const today = calendarDateOf(d.now, d.house.zone);
    if (away && away.standInId !== null && away.to < today) d.set('timeAway', id, { standInId: null });
  },
});

/** Turns of those days go to the next, but for those the person had said they would take. */
function passTurnsOn(personId: string, from: string, to: string, d: Deciding): void {
  // gathered once from all there ever was, then kept with each that passes on
  let gathered: CarriedMinutes | null = null;
  const carried = (): CarriedMinutes => (gathered ??= carriedSoFar(d));
  for (const series of d.all('series')) {
    if (series.turn === 'fixed' || !series.personIds.includes(personId) || (series.turn === 'fair' && !d.whole)) continue;
    for (const item of madeOf(series.id, d)) {
      const day = item.due?.slice(0, 10);
      if (item.removedAt !== null || day === undefined || day < from || day > to || holderOf(item, d) !== personId) continue;
      const part = d.find('part', partId(item.id, personId));
      if (!part || part.lastSignAt !== null || part.standing === 'completed') continue;
      const assigned = assignNow(series, { recurrenceId: item.recurrenceId!, at: item.due! }, d, carried);
      reassign(item, assigned, d);
      if (series.turn === 'fair') passMinutes(item, personId, assigned.personIds, carried());
    }
  }
}

function passMinutes(item: Item, from: string, to: readonly string[], carried: CarriedMinutes): void {
  const [day, minutes] = [daysOf(item.due!), item.effort ?? GUESSED_MINUTES];
  carried.add({ personId: from, day, minutes: -minutes });
  for (const personId of to) carried.add({ personId, day, minutes });
}
