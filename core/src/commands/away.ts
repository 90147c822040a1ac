import * as z from 'zod/mini';
import { CalendarDate, Id } from '../model/row.ts';
import { isMoment } from '../time/clock.ts';
import { commandKind } from './kind.ts';
import { needPerson } from './parts.ts';
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
