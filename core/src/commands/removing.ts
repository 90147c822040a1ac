import { withBelow } from '../reader/tree.ts';
import type { Deciding } from './deciding.ts';

/** An item goes with everything under it: nothing is left standing below what is gone. */
export function removeWhole(itemId: string, d: Deciding): void {
  for (const id of withBelow(itemId, d)) if (d.need('item', id).removedAt === null) d.set('item', id, { removedAt: d.now });
}
