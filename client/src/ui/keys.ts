import { useEffect } from 'react';

/** Whether a letter key is meant for the page: nobody is typing, no sheet lies over it, no other key is held. */
const isForThePage = (event: KeyboardEvent): boolean => {
  const { target } = event;
  const typing = target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));
  return !typing && !event.ctrlKey && !event.metaKey && !event.altKey && !document.querySelector('[role=dialog]');
};

/** Hears the keys of a screen. `onKey` says whether it took the key. */
export function useKeys(onKey: (key: string) => boolean): void {
  useEffect(() => {
    const hear = (event: KeyboardEvent) => {
      if (isForThePage(event) && onKey(event.key)) event.preventDefault();
    };
    document.addEventListener('keydown', hear);
    return () => document.removeEventListener('keydown', hear);
  });
}
