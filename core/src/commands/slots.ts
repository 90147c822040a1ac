import * as z from 'zod/mini';
import { Id, Moment } from '../model/row-schema.ts';
import { MOST_IN_SLOT, type Slot } from '../model/slot.ts';
import { SlotMinutes } from '../model/slot-schema.ts';
import { isMoment } from '../time/clock.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import type { CommandRequest } from './required-permissions.ts';
import { refuse } from './reasons.ts';

const Items = z.array(Id).check(z.minLength(1), z.maxLength(MOST_IN_SLOT));

const askToSee = (items: readonly string[]): CommandRequest[] => items.map((item) => ({ permission: 'see', item }));
const ofOwn = (slot: string, d: Deciding): CommandRequest => ({ permission: 'self', is: d.find('slot', slot)?.personId === d.actorOrNull?.id });

function needHour(start: string): void {
  if (!isMoment(start) || start.length === 10) refuse('malformed', { value: start }, 'start');
}

/** Books time of one's own for one or several items. */
export const bookSlot = commandKind({
  name: 'slot.book',
  payload: z.object({ items: Items, start: Moment, minutes: SlotMinutes }),
  asks: ({ items }) => [{ permission: 'keep' }, ...askToSee(items)],
  decide({ items, start, minutes }, d) {
    needHour(start);
    for (const item of items) d.need('item', item);
    d.insert('slot', d.newId(), { personId: d.actor.id, itemIds: [...new Set(items)], start, minutes, removedAt: null });
  },
});

/** Another hour, length, or other items. */
export const changeSlot = commandKind({
  name: 'slot.change',
  payload: z.object({ slot: Id, items: z.optional(Items), start: z.optional(Moment), minutes: z.optional(SlotMinutes) }),
  asks: ({ slot, items = [] }, d) => [ofOwn(slot, d), ...askToSee(items)],
  decide({ slot: id, items, start, minutes }, d) {
    if (start !== undefined) needHour(start);
    const changes: Partial<Slot> = { start, minutes, itemIds: items && [...new Set(items)] };
    d.set('slot', d.need('slot', id).id, changes);
  },
});

/** The time is free again. */
export const freeSlot = commandKind({
  name: 'slot.free',
  payload: z.object({ slot: Id }),
  asks: ({ slot }, d) => [ofOwn(slot, d)],
  decide({ slot }, d) {
    if (d.need('slot', slot).removedAt === null) d.set('slot', slot, { removedAt: d.now });
  },
});
