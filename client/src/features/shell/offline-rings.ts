import { nextRing, reminderNoticeId, type Alarm } from '@kotiva/core';
import { useEffect } from 'react';
import { useDispatch } from 'react-redux';
import { toastShown, useHouseState, useNow, useOpenHouse } from '@/store/store.ts';
import { t } from '@/words';

/** What this device has rung by itself: once for each reminder and moment. */
const rung = new Set<string>();

/**
 * Without a network the device rings one's reminders by itself; with one the server does. Both name the notice alike, so that what
 * comes twice replaces itself.
 */
export function useOfflineRings(): void {
  const { rows, me, house } = useOpenHouse();
  const now = useNow();
  const offline = useHouseState((state) => state.line === 'offline');
  const dispatch = useDispatch();
  useEffect(() => {
    if (!offline) return;
    for (const alarm of rows.all('alarm')) {
      const ring = alarm.personId === me.id ? nextRing(alarm, house, rows) : null;
      if (!ring || ring.at > now || rung.has(reminderNoticeId(alarm, ring.at))) continue;
      rung.add(reminderNoticeId(alarm, ring.at));
      const item = rows.find('item', alarm.itemId);
      const words = t('notice.reminder', { title: item === undefined ? '' : item.title });
      dispatch(toastShown({ words, offer: null, tone: 'plain' }));
      void show(words, alarm, ring.at);
    }
  }, [offline, now, rows, me.id, house, dispatch]);
}

async function show(title: string, alarm: Alarm, at: string): Promise<void> {
  if (!('Notification' in window) || Notification.permission !== 'granted') return;
  const registration = await navigator.serviceWorker?.getRegistration();
  const tag = reminderNoticeId(alarm, at);
  const data = { tag, title, body: '', houseId: alarm.houseId, noticeId: tag, itemId: alarm.itemId, acts: [] };
  await registration?.showNotification(title, { tag, data, icon: '/icon-192.png' });
}
