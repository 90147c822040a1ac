import * as z from 'zod/mini';
import type { Item } from '../model/item.ts';
import { Id } from '../model/row-schema.ts';
import { copyAttachments } from './copied-files.ts';
import { copyFieldValues } from './fields.ts';
import { insertItem } from './inserting.ts';
import type { Deciding } from './deciding.ts';
import { notifyOfNew } from './following.ts';
import { commandKind } from './kind.ts';
import { byPosition } from '../model/position.ts';
import { refuse } from './reasons.ts';
import { askForContainer, CONTAINER, containerOf, type Container } from './container.ts';

/** So many items and steps are copied in one action. */
const COPIES_MAX = 2_000;

interface Original {
  item: Item;
  steps: Original[];
}

/** Second, independent items with their steps: open, and nobody's. */
export const copyItem = commandKind({
  name: 'item.copy',
  payload: z.object({ items: z.array(Id).check(z.minLength(1), z.maxLength(500)), ...CONTAINER }),
  asks: ({ items, ...target }) => [...items.map((item) => ({ permission: 'see', item }) as const), askForContainer(target)],
  decide({ items, ...target }, d) {
    const spot = containerOf(target, d);
    // looked up before anything is made: a copy put below its original is not copied again
    const room = { left: COPIES_MAX };
    const originals = items.map((id) => originalOf(d.need('item', id), d, room));
    const copies: Item[] = [];
    for (const original of originals) {
      const copy = copyTo(original, spot, d);
      copies.push(copy);
      d.enter('item.copy', { itemId: copy.id }, { title: original.item.title });
    }
    notifyOfNew(copies, d);
  },
});

/** With its steps as they are now; of too many none are laid out. */
function originalOf(item: Item, d: Deciding, room: { left: number }): Original {
  if (room.left-- === 0) refuse('too-many', { max: COPIES_MAX }, 'items');
  const steps = d.by('item', 'parentId', item.id).filter((step) => !step.removedAt);
  return { item, steps: steps.sort(byPosition).map((step) => originalOf(step, d, room)) };
}

function copyTo({ item, steps }: Original, spot: Container, d: Deciding): Item {
  const { title, notes, due, start, importance, effort, energy, dayPart, tagIds, situationIds, placeId, policy, confirm, wanted } = item;
  const nature = { title, notes, due, start, importance, effort, energy, dayPart, tagIds, situationIds, placeId, policy, confirm, wanted };
  const copy = insertItem(d, { ...nature, ...spot, makerId: d.actor.id });
  copyAttachments(item.id, copy.id, d);
  copyFieldValues(item.id, copy.id, d);
  for (const step of steps) copyTo(step, { ...spot, parentId: copy.id }, d);
  return copy;
}
