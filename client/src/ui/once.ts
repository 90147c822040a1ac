import { useCallback, useRef, useState } from 'react';

/** What takes a while is done once, however often it is asked for meanwhile: a second tap, Enter held down. Says whether it is under way. */
export function useOnce(act: () => Promise<unknown>): readonly [run: () => void, isUnderWay: boolean] {
  const held = useRef(false);
  const [isUnderWay, setUnderWay] = useState(false);
  const run = useCallback(() => {
    if (held.current) return;
    held.current = true;
    setUnderWay(true);
    void act().finally(() => {
      held.current = false;
      setUnderWay(false);
    });
  }, [act]);
  return [run, isUnderWay];
}
