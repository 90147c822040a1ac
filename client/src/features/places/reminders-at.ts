import { isDone, isPlaceAlarm, type Alarm } from '@kotiva/core';
import { sayTriggerFor, useOpenItem } from '@/features/item';
import { useNow, useOpenHouse } from '@/store/store.ts';

/** The reminders one sees that hang on a place, of what is still open. */
export function useRemindersAt(placeId: string): { alarm: Alarm; title: string; words: string; open: () => void }[] {
  const { rows, me, house } = useOpenHouse();
  const now = useNow();
  const openItem = useOpenItem();
  return rows
    .all('alarm')
    .filter((alarm) => alarm.removedAt === null && isPlaceAlarm(alarm) && alarm.trigger.place === placeId)
    .flatMap((alarm) => {
      const item = rows.find('item', alarm.itemId);
      if (item === undefined || item.removedAt !== null || isDone(item, rows.by('part', 'itemId', item.id))) return [];
      return [{ alarm, title: item.title, words: sayTriggerFor(alarm, { rows, me, now, zone: house.zone }), open: () => openItem(item.id) }];
    });
}
