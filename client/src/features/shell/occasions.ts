import { waitsFor, type Occasion } from '@kotiva/core';
import { useCallback, useEffect, useRef } from 'react';
import { useStore } from 'react-redux';
import { useMe } from '@/features/account';
import { useLiveHouse } from '@/store/live-house.tsx';
import { selectRows } from '@/store/rows.ts';
import { useHouseState, useOpenHouse, useSoNow, type Store } from '@/store/store.ts';

/** Says that this device was opened, or that a situation began, where a reminder of one's own waits for it: else nobody is told. */
export function useOccasions(): void {
  const { me } = useOpenHouse();
  const { deviceId } = useMe();
  const house = useLiveHouse();
  const store = useStore() as Store;
  const begin = useCallback(
    (occasion: Occasion) => {
      const alarms = selectRows(store.getState().house).all('alarm');
      if (alarms.some((alarm) => waitsFor(alarm, occasion, me.id))) house.submit('occasion.begin', occasion);
    },
    [house, me.id, store],
  );

  const isLive = useHouseState((state) => state.line === 'live');
  const openedLive = useRef(false);
  useEffect(() => {
    // what was set meanwhile is known once the line is up; what is set while it is open waits for the next time
    if (!isLive || openedLive.current) return;
    openedLive.current = true;
    begin({ kind: 'device', device: deviceId });
  }, [isLive, begin, deviceId]);
  useEffect(() => {
    const shown = () => document.visibilityState === 'visible' && begin({ kind: 'device', device: deviceId });
    document.addEventListener('visibilitychange', shown);
    return () => document.removeEventListener('visibilitychange', shown);
  }, [begin, deviceId]);

  const soNow = useSoNow();
  const were = useRef(soNow);
  useEffect(() => {
    for (const situation of soNow) if (!were.current.includes(situation)) begin({ kind: 'situation', situation });
    were.current = soNow;
  }, [soNow, begin]);
}
