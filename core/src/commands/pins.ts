import * as z from 'zod/mini';
import { arrangementId } from '../model/arrangement.ts';
import { USUAL_PIN_LIMIT, pinId, pinnedBy } from '../model/pin.ts';
import { Id } from '../model/row-schema.ts';
import { isDone } from '../followup/standing.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import { refuse } from './reasons.ts';

/** Keeps an item on top for oneself, or no longer. What is done or gone takes no place there. */
export const pinItem = commandKind({
  name: 'item.pin',
  payload: z.object({ item: Id, on: z.boolean() }),
  asks: ({ item }) => [{ permission: 'see', item }],
  decide({ item: itemId, on }, d) {
    d.need('item', itemId);
    const id = pinId(itemId, d.actor.id);
    const held = d.find('pin', id);
    const max = d.find('arrangement', arrangementId('today', d.actor.id))?.pinLimit ?? USUAL_PIN_LIMIT;
    if (on && (held === undefined || held.endedAt !== null) && placesTaken(d) >= max) refuse('pins-full', { max });
    if (held) d.set('pin', id, on ? { at: d.now, endedAt: null } : { endedAt: held.endedAt ?? d.now });
    else if (on) d.insert('pin', id, { personId: d.actor.id, itemId, at: d.now, endedAt: null });
  },
});

const placesTaken = (d: Deciding): number =>
  pinnedBy(d.actor.id, d).filter((id) => {
    const item = d.find('item', id);
    return item !== undefined && item.removedAt === null && !isDone(item, d.by('part', 'itemId', id));
  }).length;
