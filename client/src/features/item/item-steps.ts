import { hasSteps, stepsBackTo } from '@/ui/history-steps.ts';

/**
 * An item's sheet as a step of the browser's history with an address of its own. The router writes the sheet into the address of its page;
 * the entry the sheet stands in is made here, with the router's own mark in it, so that to the router both are the same page.
 */

function withoutSheet(address: string): string {
  const url = new URL(address);
  url.searchParams.delete('item');
  url.searchParams.delete('at');
  return url.href;
}

const hasSheet = (): boolean => new URL(window.location.href).searchParams.has('item');

/** How many steps back the page lies that the open sheet lies over; 0: none of them is. */
export const stepsToBeneath = (): number => (hasSheet() ? stepsBackTo(withoutSheet(window.location.href)) : 0);

/** A step of its own for the sheet that is about to open. */
export function stepOn(): void {
  if (!hasSheet() && hasSteps()) window.history.pushState(window.history.state, '', window.location.href);
}

/** Where a link led straight to a sheet, its page is laid beneath. */
export function layBeneath(): void {
  if (!hasSteps() || !hasSheet() || stepsToBeneath() > 0) return;
  const address = window.location.href;
  window.history.replaceState(window.history.state, '', withoutSheet(address));
  window.history.pushState(window.history.state, '', address);
}
