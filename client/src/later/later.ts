import { useEffect, useSyncExternalStore } from 'react';

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

/** Everything that is still to come. What can't be fetched now is fetched when it is needed. */
export const fetchAll = (): Promise<unknown> => Promise.allSettled([...all].map((one) => one.fetch()));

/** It, or null for as long as it isn't here; from `wanted` on it is fetched. */
export function useLater<T>(one: Later<T>, wanted = true): T | null {
  const held = useSyncExternalStore(one.heard, one.held);
  const isMissing = wanted && held === null;
  useEffect(() => {
    if (isMissing) void one.fetch().catch(() => undefined);
  }, [one, isMissing]);
  return held;
}
