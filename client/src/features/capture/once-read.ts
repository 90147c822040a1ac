import { useEffect, useRef, useState } from 'react';
import { lineReader } from '@/store/reading.ts';

/**
 * Enter pressed before what reads the line is here: it counts all the same, and the line is added once it is read. Where that can't be
 * fetched (no connection, and never kept on this device) it is added as it stands; nothing is lost.
 */
export function useOnceRead(isRead: boolean, add: () => void): { isSettled: boolean; wait(): void } {
  const [waits, setWaits] = useState(false);
  const [isUnreadable, setUnreadable] = useState(false);
  const isSettled = isRead || isUnreadable;
  const adding = useRef(add);
  useEffect(() => {
    adding.current = add;
  });
  useEffect(() => {
    if (!waits || !isSettled) return;
    setWaits(false);
    adding.current();
  }, [waits, isSettled]);
  return {
    isSettled,
    wait() {
      setWaits(true);
      lineReader.fetch().catch(() => setUnreadable(true));
    },
  };
}
