import * as z from 'zod/mini';
import type { Alarm } from '../model/alarm.ts';
import { seesPlace } from '../model/place.ts';
import { Id, Instant } from '../model/row-schema.ts';
import { lastCrossed, visitId, type Visit } from '../model/visit.ts';
import { ringsOfCrossing } from '../reminders/place-rings.ts';
import { forgottenOn } from '../places/forgetting.ts';
import { isStillToDo } from '../reminders/ringing.ts';
import { waitsFor } from '../reminders/occasions.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import { relationsToItem } from '../access/relations.ts';

/** What the server learns of where somebody is: that they came to a place, or left it, and when. What it brings up rings. */

/** `silent`: how it was found at the first look, which brings nothing up. */
export const reportVisit = commandKind({
  name: 'visit.report',
  payload: z.object({ place: Id, on: z.enum(['enter', 'leave']), at: Instant, silent: z._default(z.boolean(), false) }),
  asks: (_payload, d) => [{ permission: 'self', is: d.actorOrNull !== null }],
  decide({ place: placeId, on, at: said, silent }, d) {
    const place = d.find('place', placeId);
    // gone meanwhile: nobody asked for this, so nobody is told
    if (!place || place.removedAt !== null || !seesPlace(place, d.actor.id)) return;
    const at = said > d.now ? d.now : said;
    if (!note(d.actor.id, placeId, on, at, d) || silent) return;
    const { rings, taken } = ringsOfCrossing({ personId: d.actor.id, placeId, on, at }, d.house, d);
    for (const { alarm, unknown } of rings) {
      // a device sees nobody's coming and going but one's own: only the server knows who is the last
      if (alarm.trigger.kind === 'place' && alarm.trigger.who === 'last' && !d.whole) continue;
      ring(alarm, at, { place: place.name, on, unknown: unknown.map(({ name }) => name) }, d);
    }
    for (const { itemId } of taken) d.note('someone-there', { title: d.need('item', itemId).title });
  },
});

/** Keeps it, once per visit; false: nothing new, or older than what is known. */
function note(personId: string, placeId: string, on: 'enter' | 'leave', at: string, d: Deciding): boolean {
  const id = visitId(personId, placeId);
  const known: Visit = d.find('visit', id) ?? d.insert('visit', id, { personId, placeId, enteredAt: null, leftAt: null });
  const last = lastCrossed(known);
  if (last !== null && at <= last) return false;
  const wasThere = last !== null && last === known.enteredAt;
  if ((on === 'enter') === wasThere && (on === 'enter' || last !== null)) return false;
  d.set('visit', id, on === 'enter' ? { enteredAt: at } : { leftAt: at });
  return true;
}

function ring(alarm: Alarm, at: string, params: Record<string, string | string[]>, d: Deciding): void {
  const item = d.need('item', alarm.itemId);
  if (relationsToItem(item, d.actor, d).length === 0) return;
  d.set('alarm', alarm.id, { rungFor: at, rungById: d.actor.id });
  d.notifyAnyone(d.actor.id, 'reminder', item.id, { title: item.title, due: item.due, alarm: alarm.id, ...params });
}

/** Something begins that no clock decides: a situation is so from now on, or a device is opened. What waits for it rings. */
export const beginOccasion = commandKind({
  name: 'occasion.begin',
  payload: z.discriminatedUnion('kind', [z.object({ kind: z.literal('device'), device: Id }), z.object({ kind: z.literal('situation'), situation: Id })]),
  asks: (_payload, d) => [{ permission: 'self', is: d.actorOrNull !== null }],
  decide(occasion, d) {
    for (const alarm of d.all('alarm').filter((one) => waitsFor(one, occasion, d.actor.id))) {
      if (isStillToDo(alarm, d.actor.id, d)) ring(alarm, d.now, occasion.kind === 'device' ? { device: occasion.device } : {}, d);
    }
  },
});

/** After thirty days nobody knows any more when somebody was there. */
export const forgetVisit = commandKind({
  name: 'visit.forget',
  payload: z.object({ visit: Id }),
  asks: () => [{ permission: 'system' }],
  decide({ visit: id }, d) {
    const visit = d.find('visit', id);
    const at = visit ? forgottenOn(visit) : null;
    if (at !== null && at <= d.now) d.set('visit', id, { enteredAt: null, leftAt: null });
  },
});
