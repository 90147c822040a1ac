import { createContext, useContext, useLayoutEffect, useRef } from 'react';

/** What scrolls around a part of the page: long rows are drawn as they come near to it. */
export const ScrollRoot = createContext<Element | null>(null);

export const useScrollRoot = (): Element | null => useContext(ScrollRoot);

/** The element behind a scroll view's ref, scrolling as the DOM says: the web layer hangs a `scrollTo` of another shape on it. */
export function elementOf(view: unknown): Element | null {
  const element = (view as { getScrollableNode?: () => Element } | null)?.getScrollableNode?.() ?? null;
  if (element && Object.hasOwn(element, 'scrollTo')) delete (element as { scrollTo?: unknown }).scrollTo;
  return element;
}

/** Stands in a page that goes on to another part of itself, here `part`: each begins at its top. */
export function FromTop({ part }: { part: string | number }) {
  const root = useScrollRoot();
  const shown = useRef(part);
  useLayoutEffect(() => {
    if (shown.current === part) return;
    shown.current = part;
    root?.scrollTo(0, 0);
  }, [part, root]);
  return null;
}
