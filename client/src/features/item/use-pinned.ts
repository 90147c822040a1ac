import { isDone, pinnedBy, type Item } from '@kotiva/core';
import { useOpenHouse } from '@/store/store.ts';

/** What I keep on top and is still to be done, the first kept first. */
export function usePinned(): Item[] {
  const { rows, me } = useOpenHouse();
  return pinnedBy(me.id, rows).flatMap((id) => {
    const item = rows.find('item', id);
    return item === undefined || item.removedAt !== null || isDone(item, rows.by('part', 'itemId', id)) ? [] : [item];
  });
}
