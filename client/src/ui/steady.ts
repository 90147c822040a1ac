import isEqual from 'fast-deep-equal';
import { useCallback, useLayoutEffect, useRef, useState } from 'react';

/** The same function for as long as the part is on the screen, which does what it was last drawn with: what it is handed to need not be drawn anew. */
export function useSteady<Args extends unknown[], Result>(act: (...args: Args) => Result): (...args: Args) => Result {
  const latest = useRef(act);
  useLayoutEffect(() => {
    latest.current = act;
  });
  return useCallback((...args: Args) => latest.current(...args), []);
}

/** The same object for as long as it says the same. */
export function useSame<T>(now: T): T {
  const [kept, keep] = useState(now);
  if (isEqual(kept, now)) return kept;
  keep(now);
  return now;
}
