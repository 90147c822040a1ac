import { useSyncExternalStore } from 'react';

const KEPT = 'kotiva/picture';
const told = new Set<() => void>();
const listen = (tell: () => void) => {
  told.add(tell);
  return () => void told.delete(tell);
};

/** A picture of one's own behind headings, as a data address: it stays on this device, and goes with signing out. Null: none. */
export const useOwnPicture = (): string | null => useSyncExternalStore(listen, () => localStorage.getItem(KEPT));

/** Says whether there was room for it. */
export function keepOwnPicture(picture: string | null): boolean {
  try {
    if (picture === null) localStorage.removeItem(KEPT);
    else localStorage.setItem(KEPT, picture);
  } catch {
    return false;
  }
  for (const tell of told) tell();
  return true;
}
