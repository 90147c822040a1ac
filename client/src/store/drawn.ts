import { useEffect, useState } from 'react';
import { useStore } from 'react-redux';
import type { Store } from './store.ts';

/** Once the first screen stands, with its rows: what comes later has to wait for it, not it for that. */
export async function drawn(store: Store): Promise<void> {
  await once(
    (changed) => store.subscribe(changed),
    () => store.getState().house.loaded,
  );
  await once(
    (changed) => {
      const watch = new MutationObserver(changed);
      watch.observe(document.body, { childList: true, subtree: true });
      return () => watch.disconnect();
    },
    () => document.querySelector('[role=main] h1') !== null,
  );
  await idle();
}

/** Whether it does: what stands over every screen, and shows nothing before something is tapped, is drawn then. */
export function useDrawn(): boolean {
  const store = useStore() as Store;
  const [is, setIs] = useState(false);
  useEffect(() => {
    let isGone = false;
    void drawn(store).then(() => isGone || setIs(true));
    return () => void (isGone = true);
  }, [store]);
  return is;
}

/** As soon as it is so; heard of by what tells of changes. */
function once(follow: (changed: () => void) => () => void, isSo: () => boolean): Promise<void> {
  if (isSo()) return Promise.resolve();
  return new Promise((resolve) => {
    const leave = follow(() => {
      if (!isSo()) return;
      leave();
      resolve();
    });
  });
}

/** So many milliseconds are waited for at the most. */
const LONGEST_BUSY = 2_000;

/** When nothing else is to do. */
export const idle = (): Promise<void> =>
  new Promise((resolve) => {
    if (typeof requestIdleCallback === 'function') requestIdleCallback(() => resolve(), { timeout: LONGEST_BUSY });
    else setTimeout(resolve, 200);
  });
