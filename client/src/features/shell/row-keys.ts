import { topLayer } from '@/ui/layers.ts';

/** The rows of a screen as the keyboard goes through them. */

const shown = (): HTMLElement[] => {
  const within = topLayer() ?? document.querySelector('[role=main]');
  return [...(within?.querySelectorAll<HTMLElement>('[data-row]') ?? [])].filter((row) => row.getClientRects().length > 0);
};

/** Whether there are rows to go through where one is. */
export const hasRows = (): boolean => shown().length > 0;

const focused = (): HTMLElement | null => {
  const row = (document.activeElement as HTMLElement | null)?.closest<HTMLElement>('.row');
  return row?.querySelector<HTMLElement>('[data-row]') ?? null;
};

/** To the next row or the one before; from nowhere, to the first. */
export function stepRow(by: 1 | -1): boolean {
  const rows = shown();
  const at = rows.indexOf(focused()!);
  const next = at < 0 ? rows[0] : rows[at + by];
  next?.focus();
  next?.scrollIntoView({ block: 'nearest' });
  return next !== undefined;
}

/** Ties the own knot of the row that has the focus. `none`: it has nothing of one's own to tie; `no-row`: no row has the focus. */
export function tieRow(): 'tied' | 'none' | 'no-row' {
  const row = focused();
  if (!row || document.activeElement !== row || row.getAttribute('role') === 'checkbox' || !row.dataset['row']) return 'no-row';
  const knot = row.closest('.row')?.querySelector<HTMLElement>('[role=checkbox]');
  knot?.click();
  return knot ? 'tied' : 'none';
}

/** The item of the row that has the focus. */
export const itemOfRow = (): string | null => focused()?.dataset['row'] || null;
