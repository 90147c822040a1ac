import { useEffect, useRef, useState } from 'react';
import { deciding } from '@/store/deciding.ts';
import { lineReader } from '@/store/reading.ts';
import { useHouseState } from '@/store/store.ts';

/** A network that neither answers nor fails is waited for so long. */
const LONGEST_MS = 3_000;

/** Whether a line can be added by now, and one that was entered before it could. */
interface OnceRead {
  isSettled: boolean;
  isWaiting: boolean;
  wait(): void;
  stop(): void;
}

/**
 * Enter pressed before what reads the line and decides on it is here counts all the same: the line is added once it is read, and what is
 * refused is said beside it. Where that can't be fetched (no connection, and never kept on this device) it is added as it stands; nothing
 * is lost.
 */
export function useOnceRead(isRead: boolean): OnceRead {
  const decides = useHouseState((state) => state.decides);
  const [isWaiting, setWaiting] = useState(false);
  const [isUnreadable, setUnreadable] = useState(false);
  return {
    isSettled: (isRead && decides) || isUnreadable,
    isWaiting,
    wait() {
      setWaiting(true);
      const asItStands = () => setUnreadable(true);
      setTimeout(asItStands, LONGEST_MS);
      Promise.all([lineReader.fetch(), deciding.fetch()]).catch(asItStands);
    },
    stop: () => setWaiting(false),
  };
}

/** Adds what waited, with what is in the line by then. */
export function useAddOnceRead({ isSettled, isWaiting }: OnceRead, add: () => void): void {
  const adding = useRef(add);
  useEffect(() => {
    adding.current = add;
  });
  const isDue = isSettled && isWaiting;
  useEffect(() => {
    if (isDue) adding.current();
  }, [isDue]);
}
