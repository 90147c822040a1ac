import { useSyncExternalStore } from 'react';

/** How somebody likes items to open on this device: over the page, beside it where there is room, or on a page of their own. */
export type ItemSize = 'over' | 'beside' | 'page';
const KEY = 'kotiva/item-size';
const listeners = new Set<() => void>();

export function itemSize(): ItemSize {
  const kept = localStorage.getItem(KEY);
  return kept === 'beside' || kept === 'page' ? kept : 'over';
}

export function chooseItemSize(size: ItemSize): void {
  try {
    localStorage.setItem(KEY, size);
  } catch {
    // full, or refused: as it was
  }
  for (const tell of listeners) tell();
}

const follow = (tell: () => void) => {
  listeners.add(tell);
  return () => void listeners.delete(tell);
};

export const useItemSize = (): ItemSize => useSyncExternalStore(follow, itemSize);
