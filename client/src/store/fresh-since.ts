import { useEffect, useState } from 'react';
import { useHouseState, useNow } from './store.ts';

const PREFIX = 'kotiva/fresh/';

/** Until when the device knew how things stand: null while it knows, and where it was never told. */
export function useFreshSince(accountId: string, houseId: string): string | null {
  const now = useNow();
  const isLive = useHouseState(({ line }) => line === 'live');
  const key = `${PREFIX}${accountId}/${houseId}`;
  const [since, setSince] = useState<string | null>(null);
  useEffect(() => {
    if (isLive) localStorage.setItem(key, now);
    // eslint-disable-next-line react-hooks/set-state-in-effect -- what another start of this device wrote is read once there is no connection
    setSince(isLive ? null : localStorage.getItem(key));
  }, [isLive, key, now]);
  return since;
}

/** With signing out here. */
export function forgetFresh(accountId: string): void {
  for (const key of Object.keys(localStorage)) if (key.startsWith(`${PREFIX}${accountId}/`)) localStorage.removeItem(key);
}
