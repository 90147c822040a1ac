import * as z from 'zod/mini';
import { purgedOn } from '../planning/purge.ts';
import { Id } from '../model/row-schema.ts';
import { choresWith } from './copied-files.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import { refuse } from './reasons.ts';
import { withBelow } from '../reader/tree.ts';

/** Gone for good, thirty days after it was removed: its words are emptied, nobody sees it any more. */
export const purgeItem = commandKind({
  name: 'item.purge',
  payload: z.object({ item: Id }),
  asks: () => [{ permission: 'system' }],
  decide({ item: itemId }, d) {
    const item = d.find('item', itemId);
    const at = item ? purgedOn(item) : null;
    if (at === null || at > d.now) return;
    purge(itemId, d);
  },
});

/** Removed items are gone for good at once, with the steps that went with them. Nothing brings them back. */
export const purgeRemovedItems = commandKind({
  name: 'item.purgeRemoved',
  payload: z.object({ items: z.array(Id).check(z.minLength(1), z.maxLength(200)) }),
  asks: ({ items }) => items.map((item) => ({ permission: 'change', item }) as const),
  decide({ items }, d) {
    for (const itemId of items) {
      const { removedAt, purgedAt, title } = d.need('item', itemId);
      if (removedAt === null) refuse('not-removed', { title });
      if (purgedAt !== null) continue;
      for (const id of withBelow(itemId, d)) if (d.need('item', id).purgedAt === null) purge(id, d);
    }
  },
});

/** In the place of a name that is gone. */
const NAMELESS = '–';

function purge(itemId: string, d: Deciding): void {
  d.set('item', itemId, { purgedAt: d.now, notes: '' });
  for (const comment of d.by('comment', 'itemId', itemId)) d.set('comment', comment.id, { text: '', removedAt: comment.removedAt ?? d.now });
  for (const { id } of d.by('fieldValue', 'itemId', itemId)) d.set('fieldValue', id, { value: null });
  for (const { id, removedAt } of d.by('attachment', 'itemId', itemId)) {
    // what goes along with a chore is the chore's, and is with those to come
    if (choresWith(id, itemId, d).length === 0) d.set('attachment', id, { name: NAMELESS, removedAt: removedAt ?? d.now });
  }
}
