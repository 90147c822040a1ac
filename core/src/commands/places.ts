import * as z from 'zod/mini';
import { RADIUS, seesPlace, type Place } from '../model/place.ts';
import { OpeningHours, PlaceAddress, Coordinates, Radius } from '../model/place-schema.ts';
import { Id, Name } from '../model/row-schema.ts';
import { tagKey } from '../model/tag.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import { needPerson } from './parts.ts';
import { refuse } from './reasons.ts';

/** Places: where things are done, and who sees them. */

const ABOUT = {
  position: z.optional(z.nullable(Coordinates)),
  radius: z.optional(Radius),
  address: z.optional(PlaceAddress),
  openingHours: z.optional(OpeningHours),
  /** Who makes it always sees it. */
  seenBy: z.optional(z.nullable(z.array(Id).check(z.maxLength(200)))),
};
type About = z.infer<z.ZodMiniObject<typeof ABOUT>>;

export const makePlace = commandKind({
  name: 'place.make',
  payload: z.object({ name: Name, ...ABOUT }),
  asks: () => [{ permission: 'keep' }],
  decide({ name, position = null, radius = RADIUS.usual, address = '', openingHours = '', seenBy = null }, d) {
    refuseKnown(name, null, d);
    refuseUnreadable({ openingHours }, d);
    d.insert('place', d.newId(), {
      name,
      makerId: d.actor.id,
      position,
      radius,
      address,
      openingHours,
      seenBy: withMaker(seenBy, d.actor.id, d),
      removedAt: null,
    });
  },
});

export const changePlace = commandKind({
  name: 'place.change',
  payload: z.object({ place: Id, name: z.optional(Name), removed: z.optional(z.boolean()), ...ABOUT }),
  asks({ place }, d) {
    const known = d.find('place', place);
    return known && known.makerId !== null && known.makerId === d.actorOrNull?.id ? [{ permission: 'self', is: true }] : [{ permission: 'manage' }];
  },
  decide({ place: placeId, name, removed, seenBy, ...about }, d) {
    const place = d.need('place', placeId);
    if (!seesPlace(place, d.actor.id)) refuse('gone', { noun: 'place' });
    if (name !== undefined) refuseKnown(name, placeId, d);
    refuseUnreadable(about, d);
    d.set('place', placeId, {
      ...about,
      name,
      seenBy: seenBy === undefined ? undefined : withMaker(seenBy, place.makerId ?? d.actor.id, d),
      removedAt: removed === undefined ? undefined : removed ? d.now : null,
    });
    if (removed) letGo(placeId, d);
  },
});

/** What is done there stays, as something done anywhere; what would have reminded there no longer does. */
function letGo(placeId: string, d: Deciding): void {
  for (const noun of ['item', 'series'] as const) for (const { id } of d.all(noun).filter((row) => row.placeId === placeId)) d.set(noun, id, { placeId: null });
  for (const alarm of d.all('alarm'))
    if (alarm.removedAt === null && alarm.trigger.kind === 'place' && alarm.trigger.place === placeId) d.set('alarm', alarm.id, { removedAt: d.now });
  for (const { id, alarms } of d.all('series')) {
    const others = alarms.filter((trigger) => trigger.kind !== 'place' || trigger.place !== placeId);
    if (others.length < alarms.length) d.set('series', id, { alarms: others });
  }
}

/** What one does not see is no name one could know to be taken. */
function refuseKnown(name: string, except: string | null, d: Deciding): void {
  const isKnown = (one: Place) => !one.removedAt && one.id !== except && seesPlace(one, d.actor.id) && tagKey(one.name) === tagKey(name);
  const known = d.all('place').find(isKnown);
  if (known) refuse('name-taken', { name: known.name }, 'name');
}

const refuseUnreadable = ({ openingHours }: About, d: Deciding): void => {
  if (openingHours && d.context.readsHours && !d.context.readsHours(openingHours)) refuse('bad-hours', { hours: openingHours }, 'openingHours');
};

function withMaker(seenBy: string[] | null, makerId: string, d: Deciding): string[] | null {
  return seenBy === null ? null : [...new Set([makerId, ...seenBy.map((id) => needPerson(id, d, 'seenBy').id)])];
}
