import * as z from 'zod/mini';
import { purgedOn } from '../planning/purge.ts';
import { Id } from '../model/row-schema.ts';
import { commandKind } from './kind.ts';

/** Gone for good, thirty days after it was removed: its words are emptied, nobody sees it any more. */
export const purgeItem = commandKind({
  name: 'item.purge',
  payload: z.object({ item: Id }),
  asks: () => [{ permission: 'system' }],
  decide({ item: itemId }, d) {
    const item = d.find('item', itemId);
    const at = item ? purgedOn(item) : null;
    if (at === null || at > d.now) return;
    d.set('item', itemId, { purgedAt: d.now, notes: '' });
    for (const comment of d.by('comment', 'itemId', itemId)) d.set('comment', comment.id, { text: '', removedAt: comment.removedAt ?? d.now });
  },
});
