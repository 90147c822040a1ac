import * as z from 'zod/mini';
import { isDone, openParts } from '../followup/standing.ts';
import { MOST_STOPS } from '../model/errand-round.ts';
import { Means, RoundStop } from '../model/errand-round-schema.ts';
import { CalendarDate, Id, Text } from '../model/row-schema.ts';
import type { Deciding } from './deciding.ts';
import { giveOrPassOn } from './handing.ts';
import { commandKind } from './kind.ts';
import type { CommandRequest } from './required-permissions.ts';
import { hasCountingPart, needPerson, partId } from './parts.ts';
import { refuse } from './reasons.ts';

/** Errand rounds: begun, gone along, handed to somebody else. */

const Stops = z.array(RoundStop).check(z.minLength(1), z.maxLength(MOST_STOPS));
const itemsOf = (stops: readonly RoundStop[]): string[] => stops.flatMap(({ items }) => items);

function isOwn(id: string, d: Deciding): CommandRequest {
  const round = d.find('errandRound', id);
  return { permission: 'self', is: round !== undefined && d.actorOrNull !== null && [round.makerId, round.personId].includes(d.actorOrNull.id) };
}

/** One is on one round at a time: another one ends with it. */
export const startRound = commandKind({
  name: 'round.start',
  payload: z.object({ date: CalendarDate, means: Means, startId: z.nullable(Id), endId: z.nullable(Id), stops: Stops }),
  asks: ({ stops }) => [{ permission: 'keep' }, ...itemsOf(stops).map((item) => ({ permission: 'see', item }) as const)],
  decide(fields, d) {
    for (const { place } of fields.stops) d.need('place', place);
    for (const round of d.by('errandRound', 'personId', d.actor.id)) if (round.endedAt === null) d.set('errandRound', round.id, { endedAt: d.now });
    d.insert('errandRound', d.newId(), { ...fields, makerId: d.actor.id, personId: d.actor.id, passed: [], startedAt: d.now, endedAt: null });
  },
});

/** Another order, gone on from a place, or ended. */
export const changeRound = commandKind({
  name: 'round.change',
  payload: z.object({ round: Id, stops: z.optional(Stops), passed: z.optional(z.array(Id).check(z.maxLength(MOST_STOPS))), ended: z.optional(z.boolean()) }),
  asks: ({ round, stops = [] }, d) => [isOwn(round, d), ...itemsOf(stops).map((item) => ({ permission: 'see', item }) as const)],
  decide({ round, stops, passed, ended }, d) {
    d.set('errandRound', d.need('errandRound', round).id, { stops, passed, endedAt: ended === undefined ? undefined : ended ? d.now : null });
  },
});

/** Somebody else makes it: what is open on it goes to them, told as one. */
export const handRound = commandKind({
  name: 'round.handOver',
  payload: z.object({ round: Id, person: Id, message: z._default(Text, '') }),
  asks(payload, d) {
    const round = d.find('errandRound', payload.round);
    return [isOwn(payload.round, d), ...openItems(round?.stops ?? [], d).flatMap((item) => askToGive(item, payload.person, d))];
  },
  decide({ round: roundId, person: personId, message }, d) {
    const round = d.need('errandRound', roundId);
    const person = needPerson(personId, d, 'person');
    if (round.personId === personId) refuse('already-has-it', { names: [person.name] }, 'person');
    for (const itemId of openItems(round.stops, d)) if (!hasCountingPart(itemId, personId, d)) giveOrPassOn(d.need('item', itemId), round.personId, person, d);
    for (const other of d.by('errandRound', 'personId', personId)) if (other.endedAt === null) d.set('errandRound', other.id, { endedAt: d.now });
    d.set('errandRound', roundId, { personId });
    d.notify(personId, 'round', null, { count: round.stops.length, message: message.trim() });
  },
});

function openItems(stops: readonly RoundStop[], d: Deciding): string[] {
  return itemsOf(stops).filter((id) => {
    const item = d.find('item', id);
    return item !== undefined && item.removedAt === null && !isDone(item, d.by('part', 'itemId', id));
  });
}

/** What is one's own is passed on; what is nobody's is handed over; what the other has already needs nothing. */
function askToGive(item: string, personId: string, d: Deciding): CommandRequest[] {
  if (hasCountingPart(item, personId, d)) return [];
  const own = d.find('part', partId(item, d.actorOrNull?.id ?? null));
  return [{ permission: own && openParts([own]).length > 0 ? 'pass-on' : 'change', item }];
}
