import { useEffect } from 'react';

const OFF = 'kotiva/keys-off';

/** Single keys can be switched off: who speaks to the device, or hits keys by chance, is better without (WCAG 2.1.4). */
export const keysAreOn = (): boolean => localStorage.getItem(OFF) === null;
export const setKeys = (on: boolean): void => (on ? localStorage.removeItem(OFF) : localStorage.setItem(OFF, 'yes'));

/** Whether a key is meant for the page: nobody is typing, no sheet lies over it, no other key is held. */
const isForThePage = (event: KeyboardEvent): boolean => {
  const { target } = event;
  const typing = target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));
  return keysAreOn() && !event.defaultPrevented && !typing && !event.ctrlKey && !event.metaKey && !event.altKey && !isCovered();
};
const isCovered = (): boolean => document.querySelector('[role=dialog], [role=menu]') !== null;

function useHearing(where: () => EventTarget, onKey: (key: string) => boolean, capture = false): void {
  useEffect(() => {
    const target = where();
    const hear = (event: Event) => {
      if (!isForThePage(event as KeyboardEvent) || !onKey((event as KeyboardEvent).key)) return;
      event.preventDefault();
      // a key heard before the page has it is for nobody else
      if (capture) event.stopImmediatePropagation();
    };
    target.addEventListener('keydown', hear, { capture });
    return () => target.removeEventListener('keydown', hear, { capture });
  });
}

/** Hears the keys of a screen. `onKey` says whether it took the key. */
export const useKeys = (onKey: (key: string) => boolean): void => useHearing(() => document, onKey);

/** Hears what no screen took: the keys that are the same everywhere. */
export const useKeysEverywhere = (onKey: (key: string) => boolean): void => useHearing(() => window, onKey);

/** Hears keys before the control that has the focus does. */
export const useKeysFirst = (onKey: (key: string) => boolean): void => useHearing(() => window, onKey, true);

const PRESSED_BY_SPACE = '[role=checkbox], [role=radio], [role=switch], [role=tab]';

/** The space bar presses boxes and choices as it does buttons: the web layer knows it of buttons only. */
export function useSpacePresses(): void {
  useEffect(() => {
    const hear = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement | null;
      if (event.key !== ' ' || event.defaultPrevented || event.repeat || !target?.matches?.(PRESSED_BY_SPACE)) return;
      event.preventDefault();
      target.click();
    };
    document.addEventListener('keydown', hear);
    return () => document.removeEventListener('keydown', hear);
  }, []);
}
