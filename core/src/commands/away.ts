import * as z from 'zod/mini';
import { CalendarDate, Id } from '../model/row.ts';
import { madeOf } from '../recurrence/chores.ts';
import type { Item } from '../model/item.ts';
import { GUESSED_MINUTES } from '../planning/fits-now.ts';
import type { CarriedMinutes } from '../recurrence/fair.ts';
import { carriedSoFar, holderOf } from '../recurrence/whose-turn.ts';
import { daysOf, isMoment } from '../time/clock.ts';
import { commandKind } from './kind.ts';
import { assignNow, reassign } from './appearing.ts';
import { needPerson, partId } from './parts.ts';
import { refuse } from './reasons.ts';
import type { Ask } from './may.ts';
import type { Deciding } from './deciding.ts';

const ofPerson = (person: string | undefined, d: Deciding): Ask => (person === d.actorOrNull?.id ? { deed: 'self', is: true } : { deed: 'manage' });

/** Days somebody is not there: their own to say, or a manager's. */
export const addAway = commandKind({
  name: 'away.add',
  payload: z.object({ person: Id, from: CalendarDate, to: CalendarDate }),
  asks: ({ person }, d) => [ofPerson(person, d)],
  decide({ person, from, to }, d) {
    needPerson(person, d, 'person');
    if (!isMoment(from)) refuse('malformed', { value: from }, 'from');
    if (!isMoment(to)) refuse('malformed', { value: to }, 'to');
    if (to < from) refuse('ends-before', { from, to }, 'to');
    d.insert('timeAway', d.newId(), { personId: person, from, to, removedAt: null });
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

/** Turns of those days go to the next, but for those the person had said they would take. */
function passTurnsOn(personId: string, from: string, to: string, d: Deciding): void {
  // gathered once from all there ever was, then kept with each that passes on
  let gathered: CarriedMinutes | null = null;
  const carried = (): CarriedMinutes => (gathered ??= carriedSoFar(d));
  for (const series of d.all('series')) {
    if (series.turn === 'fixed' || !series.personIds.includes(personId) || (series.turn === 'fair' && !d.holdsAll)) continue;
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
