import { createContext, useContext } from 'react';

/** What scrolls around a part of the page: long rows are drawn as they come near to it. */
export const ScrollRoot = createContext<Element | null>(null);

export const useScrollRoot = (): Element | null => useContext(ScrollRoot);

/** The element behind a scroll view's ref. */
export const elementOf = (view: unknown): Element | null => (view as { getScrollableNode?: () => Element } | null)?.getScrollableNode?.() ?? null;
