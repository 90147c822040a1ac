import { topLayer } from '@/ui/layers.ts';

export interface ControlHere {
  /** As its button says, or as a screen reader does. */
  words: string;
  press: () => void;
}

const CONTROLS = 'button, [role=button], [role=checkbox], [role=radio], [role=tab], [role=switch]';

const isThere = (element: HTMLElement): boolean =>
  element.getClientRects().length > 0 && element.closest('[aria-hidden=true]') === null && element.getAttribute('aria-disabled') !== 'true';

const wordsOf = (element: HTMLElement): string => (element.getAttribute('aria-label') ?? element.innerText ?? '').replace(/\s+/g, ' ').trim();

/** What can be pressed on the sheet that is on top, or on the page: each name once. Rows are opened by going to them. */
export function controlsHere(): ControlHere[] {
  const within = topLayer() ?? document.querySelector('[role=main]');
  const named = new Map<string, HTMLElement>();
  for (const element of within?.querySelectorAll<HTMLElement>(CONTROLS) ?? []) {
    const words = wordsOf(element);
    if (words && !element.hasAttribute('data-row') && isThere(element) && !named.has(words)) named.set(words, element);
  }
  return [...named].map(([words, element]) => ({
    words,
    press: () => {
      element.focus();
      element.click();
    },
  }));
}
