import { useEffect } from 'react';
import { focusAgain } from './layers.ts';

/** Rows as the keyboard goes through them, and what can be tied in them. */
const STOPS = '[data-row], [role=checkbox]';
/** So many rows on either side are looked at for one that is still there. */
const NEAR = 30;

interface Held {
  element: HTMLElement;
  /** Where focus goes if it goes away: what is like it, after it first. */
  near: HTMLElement[];
}

const isLike = (a: HTMLElement, b: HTMLElement): boolean =>
  a.getAttribute('role') === b.getAttribute('role') && a.hasAttribute('data-row') === b.hasAttribute('data-row');

function near(element: HTMLElement): HTMLElement[] {
  if (!element.matches(STOPS)) return [];
  const around = element.closest('dialog, [role=main]') ?? document;
  const all = [...around.querySelectorAll<HTMLElement>(STOPS)].filter((other) => isLike(other, element));
  const at = all.indexOf(element);
  return [...all.slice(at + 1, at + 1 + NEAR), ...all.slice(Math.max(0, at - NEAR), at).reverse()];
}

/**
 * Focus never falls to nothing: where what had it goes away, as a row that was tied or a page that was left, the next row takes it, or the
 * page. From nothing the next key would begin at the top of everything.
 */
export function useFocusKeeper(): void {
  useEffect(() => {
    let held: Held | null = null;
    const take = ({ target }: FocusEvent) => {
      held = target instanceof HTMLElement ? { element: target, near: near(target) } : null;
    };
    const keep = () => {
      if (!held || held.element.isConnected || (document.activeElement !== null && document.activeElement !== document.body)) return;
      const next = held.near.find((other) => other.isConnected && other.getClientRects().length > 0);
      held = null;
      if (next) next.focus({ preventScroll: true });
      else focusAgain(null);
    };
    const watch = new MutationObserver(keep);
    watch.observe(document.body, { childList: true, subtree: true });
    document.addEventListener('focusin', take);
    return () => {
      watch.disconnect();
      document.removeEventListener('focusin', take);
    };
  }, []);
}
