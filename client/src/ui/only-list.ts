import { useSyncExternalStore } from 'react';

const KEPT = 'kotiva/only-list';
const told = new Set<() => void>();
const isOn = (): boolean => localStorage.getItem(KEPT) !== null;
const listen = (tell: () => void) => {
  told.add(tell);
  return () => void told.delete(tell);
};

/** Whether everything but what a page lists is folded away on this device; remembered until it is unfolded. */
export const useOnlyList = (): boolean => useSyncExternalStore(listen, isOn);

export function setOnlyList(on: boolean): void {
  if (on) localStorage.setItem(KEPT, 'yes');
  else localStorage.removeItem(KEPT);
  for (const tell of told) tell();
}
