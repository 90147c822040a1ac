import { useEffect } from 'react';
import { focusAgain, isCovered, isMenuOpen, topLayer, useLayerElement } from './layers.ts';

const OFF = 'kotiva/keys-off';

/** Single keys can be switched off: who speaks to the device, or hits keys by chance, is better without (WCAG 2.1.4). */
export const keysAreOn = (): boolean => localStorage.getItem(OFF) === null;
export const setKeys = (on: boolean): void => (on ? localStorage.removeItem(OFF) : localStorage.setItem(OFF, 'yes'));

const isTypedInto = (target: EventTarget | null): target is HTMLElement =>
  target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));

/** A letter that is meant as a key: nobody is typing, no other key is held. */
const isLetterKey = (event: KeyboardEvent): boolean =>
  keysAreOn() && !event.defaultPrevented && !isTypedInto(event.target) && !event.ctrlKey && !event.metaKey && !event.altKey;

/** Whether a key is meant for the page: no sheet lies over it. */
const isForThePage = (event: KeyboardEvent): boolean => isLetterKey(event) && !isCovered();
/** Whether a key is meant for whatever is open, page or sheet. */
const isForWhatIsOpen = (event: KeyboardEvent): boolean => isLetterKey(event) && !isMenuOpen();

interface Hearing {
  where: () => EventTarget;
  /** Which keys are heard at all. */
  when?: (event: KeyboardEvent) => boolean;
  /** Before the control that has the focus hears it. */
  capture?: boolean;
}

function useHearing(onKey: (key: string) => boolean, { where, when = isForThePage, capture = false }: Hearing): void {
  useEffect(() => {
    const target = where();
    const hear = (event: Event) => {
      if (!when(event as KeyboardEvent) || !onKey((event as KeyboardEvent).key)) return;
      event.preventDefault();
      // a key heard before the page has it is for nobody else
      if (capture) event.stopImmediatePropagation();
    };
    target.addEventListener('keydown', hear, { capture });
    return () => target.removeEventListener('keydown', hear, { capture });
  });
}

/** Hears the keys of a screen. `onKey` says whether it took the key. */
export const useKeys = (onKey: (key: string) => boolean): void => useHearing(onKey, { where: () => document });

/** Hears what no screen took: the keys that are the same everywhere. */
export const useKeysEverywhere = (onKey: (key: string) => boolean): void => useHearing(onKey, { where: () => window });

/** Hears keys that mean the same on the page and in a sheet. */
export const useKeysAnywhere = (onKey: (key: string) => boolean): void => useHearing(onKey, { where: () => window, when: isForWhatIsOpen });

/** Hears the keys of a sheet, while it is on top. */
export function useKeysOfSheet(onKey: (key: string) => boolean): void {
  const sheet = useLayerElement();
  useHearing(onKey, { where: () => document, when: (event) => isForWhatIsOpen(event) && sheet !== null && sheet === topLayer() });
}

/** Hears a key that is held with Ctrl, or ⌘, whatever is open and whoever types. */
export function useHeldKey(held: string, onKey: () => void): void {
  useEffect(() => {
    const hear = (event: KeyboardEvent) => {
      if (event.key.toLowerCase() !== held || !(event.ctrlKey || event.metaKey) || event.altKey || event.shiftKey) return;
      event.preventDefault();
      onKey();
    };
    // before a field, which keeps its keys to itself
    window.addEventListener('keydown', hear, { capture: true });
    return () => window.removeEventListener('keydown', hear, { capture: true });
  });
}

/** Hears keys before the control that has the focus does. */
export const useKeysFirst = (onKey: (key: string) => boolean): void => useHearing(onKey, { where: () => window, capture: true });

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

/** Escape leaves a field of the page, so that the letter keys work again; what was typed stays in it. */
export function useEscapeLeaves(): void {
  useEffect(() => {
    // a field keeps its keys to itself, so this is heard before; what it offers closes first, so it is done after, where React has heard it,
    // and still within the same key: the next one may come at once
    const root = document.getElementById('root') ?? document.body;
    let isMeant = false;
    const hear = (event: KeyboardEvent) => {
      isMeant = event.key === 'Escape' && isTypedInto(event.target) && !isCovered();
    };
    const leave = (event: KeyboardEvent) => {
      if (isMeant && event.key === 'Escape' && !event.defaultPrevented) focusAgain(null);
      isMeant = false;
    };
    window.addEventListener('keydown', hear, { capture: true });
    root.addEventListener('keydown', leave);
    return () => {
      window.removeEventListener('keydown', hear, { capture: true });
      root.removeEventListener('keydown', leave);
    };
  }, []);
}
