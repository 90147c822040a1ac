import type { Notice } from '@kotiva/core';
import { useEffect, useRef, useState } from 'react';
import { useDispatch, useStore } from 'react-redux';
import { nowOf, toastShown, useOpenHouse, type Store } from '@/store/store.ts';
import { t } from '@/words';
import { sayReminders } from './say-reminder.ts';

/**
 * What one's own coming and going brings up rings on the device that is open, with a network or without; the server does not send it.
 * Taken back, because somebody else was there first, it goes from the screen of the device again.
 */
export function usePlaceRings(): void {
  const { rows, me } = useOpenHouse();
  const dispatch = useDispatch();
  const store = useStore() as Store;
  const [opened] = useState(() => nowOf(store.getState()));
  const rung = useRef(new Set<string>());
  useEffect(() => {
    const mine = rows.by('notice', 'personId', me.id).filter((notice) => notice.kind === 'reminder' && notice.byId === me.id && !notice.withdrawnAt);
    const known = rung.current;
    const givenHere = new Set(store.getState().house.recent.map(({ id }) => id));
    // what another device of one's own told before the house was opened here has rung already
    const isNew = ({ at, stamps }: Notice) => givenHere.has(stamps['']?.c ?? '') || at >= opened;
    const fresh = mine.filter((notice) => notice.readAt === null && isNew(notice) && !known.has(notice.id));
    for (const { id } of fresh) known.add(id);
    if (fresh.length > 0) {
      dispatch(toastShown({ words: sayReminders(fresh), offer: null, tone: 'plain' }));
      for (const notice of fresh) void show(notice);
    }
    const held = new Set(mine.map(({ id }) => id));
    const gone = [...known].filter((id) => !held.has(id));
    for (const id of gone) known.delete(id);
    if (gone.length > 0) void takeAway(gone);
  }, [rows, me.id, opened, store, dispatch]);
}

const registration = async () =>
  'Notification' in window && Notification.permission === 'granted' ? await navigator.serviceWorker?.getRegistration() : undefined;

async function show(notice: Notice): Promise<void> {
  const title = sayReminders([notice]);
  const data = { tag: notice.id, title, body: '', houseId: notice.houseId, noticeId: notice.id, itemId: notice.itemId, acts: ['done', 'snooze'] };
  const actions = [
    { action: 'done', title: t('act.done') },
    { action: 'snooze', title: t('act.snooze') },
  ];
  await (await registration())?.showNotification(title, { tag: notice.id, data, icon: '/icon-192.png', actions } as NotificationOptions);
}

async function takeAway(ids: readonly string[]): Promise<void> {
  const shown = (await (await registration())?.getNotifications()) ?? [];
  for (const notification of shown) if (ids.includes(notification.tag)) notification.close();
}
