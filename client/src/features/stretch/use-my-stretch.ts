import { stretchOf, type Stretch } from '@kotiva/core';
import { useNow, useOpenHouse } from '@/store/store.ts';

/** What one is in the middle of. */
export function useMyStretch(): Stretch | null {
  const { rows, me } = useOpenHouse();
  return stretchOf(me.id, useNow(), rows);
}
