import { isDone, pinnedBy, type Item } from '@kotiva/core';
import { useOpenHouse } from '@/store/store.ts';

/** What I keep on top and is still to be done, the first kept first. */
export function usePinned(): Item[] {
  const { rows, me } = useOpenHouse();
  return pinnedBy(me.id, rows).flatMap((id) => {
    const item = rows.get('item', id);
    return typeof item === 'string' || item.removedAt !== null || isDone(item, rows.by('part', 'itemId', id)) ? [] : [item];
  });
}
