import { useCallback, useEffect, useState, useSyncExternalStore } from 'react';

/** A part of the application that is fetched when it is needed, so that the first screen doesn't wait for it. */
export interface Later<T> {
  /** It, or null for as long as it isn't here. */
  held(): T | null;
  /** Resolves once it is here. Rejects where it could not be fetched; asking once more tries again. */
  fetch(): Promise<T>;
  /** Hands it over instead: tests and tools have it already. */
  bring(it: T): void;
  /** Hears when it is here; returns how to stop. */
  heard(listener: () => void): () => void;
}

const all = new Set<Later<unknown>>();

export function later<T>(load: () => Promise<T>): Later<T> {
  let here: { it: T } | null = null;
  let coming: Promise<T> | null = null;
  const listeners = new Set<() => void>();
  const bring = (it: T): void => {
    here = { it };
    for (const listener of listeners) listener();
  };
  const one: Later<T> = {
    held: () => here?.it ?? null,
    fetch() {
      if (here) return Promise.resolve(here.it);
      coming ??= load().then(
        (it) => (bring(it), it),
        (error: unknown) => {
          coming = null;
          throw error;
        },
      );
      return coming;
    },
    bring,
    heard(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
  all.add(one);
  return one;
}

/** Everything that is still to come, one after the other whenever nothing else is to do. What can't be fetched now is when it is needed. */
export async function fetchRest(idle: () => Promise<void>): Promise<void> {
  // what comes may bring more that comes later
  for (const one of all) {
    await idle();
    await one.fetch().catch(() => undefined);
  }
}

/** It, or null for as long as it isn't here; from `wanted` on it is fetched. `failed`: it could not be, and may be tried `again`. */
export function useLater<T>(one: Later<T>, wanted = true): { here: T | null; failed: boolean; again(): void } {
  const here = useSyncExternalStore(one.heard, one.held);
  const [tries, setTries] = useState(0);
  const [failed, setFailed] = useState(false);
  const isMissing = wanted && here === null;
  useEffect(() => {
    if (!isMissing) return undefined;
    let isGone = false;
    one.fetch().catch(() => isGone || setFailed(true));
    return () => void (isGone = true);
  }, [one, isMissing, tries]);
  const again = useCallback(() => {
    setFailed(false);
    setTries((before) => before + 1);
  }, []);
  return { here, failed: failed && isMissing, again };
}
