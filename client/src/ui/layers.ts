import { createContext, useContext, useSyncExternalStore } from 'react';

/**
 * What lies over the page, the topmost last. Each is a `<dialog>` the browser keeps above everything else: what is beneath can be neither
 * tapped nor focused, and Escape is the topmost’s alone.
 */
export interface Layer {
  element: HTMLDialogElement;
  /** Where a message stands while this is on top. */
  messages: HTMLElement;
}

let layers: readonly Layer[] = [];
/** How often a layer came or went. */
let changes = 0;
const listeners = new Set<() => void>();

function change(next: readonly Layer[]): void {
  layers = next;
  changes++;
  for (const listen of listeners) listen();
}

/** Lays it over everything. Returns how to take it away again. */
export function lay(layer: Layer): () => void {
  change([...layers, layer]);
  return () => change(layers.filter((other) => other !== layer));
}

/** The layer on top; null: nothing lies over the page. */
export const useTopLayer = (): Layer | null =>
  useSyncExternalStore(
    (listen) => {
      listeners.add(listen);
      return () => listeners.delete(listen);
    },
    () => layers.at(-1) ?? null,
  );

/** What the layer on top is called. */
export const useTopName = (): string | null => useTopLayer()?.element.getAttribute('aria-label') ?? null;

export const layerChanges = (): number => changes;
export const isMenuOpen = (): boolean => document.querySelector('[role=menu]') !== null;
export const isCovered = (): boolean => layers.length > 0 || isMenuOpen();
/** The sheet on top; null: nothing lies over the page. */
export const topLayer = (): HTMLElement | null => layers.at(-1)?.element ?? null;

/** Closes the menu that is open, as Escape would. */
export function closeMenu(): void {
  document.querySelector('[role=menu]')?.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true, cancelable: true }));
}

/** The layer something is drawn on: what it opens has to stand in it. */
export const LayerContext = createContext<HTMLElement | null>(null);
export const useLayerElement = (): HTMLElement | null => useContext(LayerContext);

/**
 * Focus goes back to where it came from. If that is gone, as a row that was tied, to the page's content: never to nothing, from where the
 * next key would begin at the top.
 */
export function focusAgain(came: Element | null): void {
  const target =
    came instanceof HTMLElement && came.isConnected && came !== document.body ? came : (layers.at(-1)?.element ?? document.querySelector('[role=main]'));
  if (!(target instanceof HTMLElement)) return;
  if (target.tabIndex < 0 && !target.hasAttribute('tabindex')) target.tabIndex = -1;
  target.focus({ preventScroll: true });
}
