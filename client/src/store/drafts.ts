import { useCallback, useEffect, useState } from 'react';
import { useOpenHouse } from './store.ts';

const PREFIX = 'kotiva/draft/';
/** Of one account × house, the ones written last are kept; each as long as the longest text a field takes. */
const MOST = 100;
const MOST_CHARACTERS = 40_000;

interface Kept {
  at: number;
  value: unknown;
}

/**
 * What was begun somewhere and is not finished: kept on this device for whoever began it, from the first key on, whatever closes, reloads
 * or ends in between. `place` names the field within the house, such as `notes/<item>`. Returns the value, how to change it, and how to
 * be done with it, which begins anew. What answers late changes what stands there by then: `change(now => …)`. `found`: it was begun before. `settle`: it is given, and need not be kept here any more.
 */
export function useDraft<T>(
  place: string,
  begin: T,
): readonly [value: T, change: (next: T | ((now: T) => T)) => void, done: () => void, more: { found: boolean; settle(): void }] {
  const { house, me } = useOpenHouse();
  const key = keyOf(me.accountId, house.id, place);
  const [held, setHeld] = useState(() => heldOf(key, begin));
  const change = useCallback(
    (next: T | ((now: T) => T)) => {
      setHeld((before) => {
        const value = typeof next === 'function' ? (next as (now: T) => T)(before.value) : next;
        keep(key, value, begin);
        return { ...before, value };
      });
    },
    // the beginning is that of the moment it is compared
    [key, begin],
  );
  const done = useCallback(() => {
    setHeld({ value: begin, found: false });
    forget(key);
  }, [key, begin]);
  // another tab has finished it
  useEffect(() => {
    const follow = (event: StorageEvent) => {
      if (event.key === key && event.newValue === null) setHeld({ value: begin, found: false });
    };
    window.addEventListener('storage', follow);
    return () => window.removeEventListener('storage', follow);
  }, [key, begin]);
  const settle = useCallback(() => forget(key), [key]);
  return [held.value, change, done, { found: held.found, settle }];
}

const keyOf = (accountId: string | null, houseId: string, place: string): string => `${PREFIX}${accountId}/${houseId}/${place}`;

/** Puts back what was typed and did not go: it is found in its field. */
export function useKeepDraft(): (place: string, value: unknown) => void {
  const { house, me } = useOpenHouse();
  return (place, value) => keep(keyOf(me.accountId, house.id, place), value, null);
}

function heldOf<T>(key: string, begin: T): { value: T; found: boolean } {
  const kept = read(key);
  if (kept === null || !isLike(kept.value, begin)) return { value: begin, found: false };
  const value = isRecord(begin) ? { ...begin, ...(kept.value as T) } : (kept.value as T);
  return { value, found: true };
}

/** Kept by an earlier version it may be something else. */
const isLike = (value: unknown, begin: unknown): boolean => typeof value === typeof begin && Array.isArray(value) === Array.isArray(begin);
const isRecord = (value: unknown): value is object => typeof value === 'object' && value !== null && !Array.isArray(value);

function read(key: string): Kept | null {
  try {
    const text = localStorage.getItem(key);
    return text === null ? null : (JSON.parse(text) as Kept);
  } catch {
    return null;
  }
}

/** Where the browser has no room it stays on the screen only. */
function keep(key: string, value: unknown, begin: unknown): void {
  const said = JSON.stringify(value);
  if (said === JSON.stringify(begin)) return forget(key);
  if (said.length > MOST_CHARACTERS) return;
  try {
    localStorage.setItem(key, JSON.stringify({ at: Date.now(), value } satisfies Kept));
    trim(key.slice(0, key.indexOf('/', key.indexOf('/', PREFIX.length) + 1) + 1));
  } catch {
    // full, or refused
  }
}

function forget(key: string): void {
  try {
    localStorage.removeItem(key);
  } catch {
    // refused
  }
}

const keysFrom = (prefix: string): string[] => Object.keys(localStorage).filter((key) => key.startsWith(prefix));

function trim(prefix: string): void {
  const keys = keysFrom(prefix);
  if (keys.length <= MOST) return;
  const byAge = keys.sort((a, b) => (read(a)?.at ?? 0) - (read(b)?.at ?? 0));
  for (const key of byAge.slice(0, keys.length - MOST)) forget(key);
}

/** How many somebody has begun on this device, in any house. */
export const draftsOf = (accountId: string): number => keysFrom(`${PREFIX}${accountId}/`).length;

/** With signing out here; who was signed out elsewhere finds theirs again. */
export function forgetDrafts(accountId: string): void {
  for (const key of keysFrom(`${PREFIX}${accountId}/`)) forget(key);
}
