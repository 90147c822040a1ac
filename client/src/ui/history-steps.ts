import { useEffect, useLayoutEffect, useRef } from 'react';

/**
 * Layers as steps of the browser's history, so that Back closes the topmost and nothing else. The router keeps one entry a page; the entry
 * of a layer is made here, with the router's own mark in it, so that to the router both are the same page. Entries can't be taken out of a
 * history: what was closed by hand leaves its entry behind, which the next layer uses, or Back passes over.
 */
interface Step {
  /** The entry it stands in, by its key in the Navigation API. */
  key: string;
  close: () => void;
}

const KEPT = 'kotiva/steps';
/** Open ones, the topmost last. */
const open: Step[] = [];
/** Keys of entries that were made for layers, also before a reload. */
let made: Set<string> | null = null;
/** Where one was before the entry one is in. */
let cameFrom: NavigationHistoryEntry | null = null;
/** What takes a step back before the router hears of it; says whether it did. */
let taking: (() => boolean) | null = null;

/** The Navigation API, where the browser has it; else layers are closed in place. */
const navigation = (): Navigation | undefined => (window as { navigation?: Navigation }).navigation;
const currentEntry = (): NavigationHistoryEntry | null => navigation()?.currentEntry ?? null;
const madeSteps = (): Set<string> => (made ??= new Set(read()));

function read(): string[] {
  try {
    return JSON.parse(sessionStorage.getItem(KEPT) ?? '[]') as string[];
  } catch {
    return [];
  }
}

function remember(key: string): void {
  madeSteps().add(key);
  try {
    sessionStorage.setItem(KEPT, JSON.stringify([...madeSteps()].slice(-500)));
  } catch {
    // refused: after a reload Back stops once where a layer was
  }
}

const isOpen = (key: string): boolean => open.some((step) => step.key === key);
const isLeftBehind = (key: string | undefined): boolean => key !== undefined && madeSteps().has(key) && !isOpen(key);

/** An entry for a layer: the one that was left behind here, or a new one. Returns its key. */
function entryForLayer(): string {
  const here = currentEntry();
  if (here && isLeftBehind(here.key)) return here.key;
  window.history.pushState(window.history.state, '', window.location.href);
  const key = currentEntry()?.key ?? '';
  remember(key);
  return key;
}

/** Back on the topmost layer. What stays open, as it asks first, gets its step back. */
function closeTop(step: Step): void {
  step.close();
  setTimeout(() => {
    if (open.includes(step)) step.key = entryForLayer();
  }, 0);
}

/** But for the sheets that lie over it. */
const isSamePage = (one: string | null, other: string | null): boolean => one?.replace(/#.*/, '') === other?.replace(/#.*/, '');

/** Says whether the step was one of a layer, and none of the router's. */
function takeStep(): boolean {
  const [here, from, top] = [currentEntry(), cameFrom, open.at(-1)];
  if (!here || !from || here.index >= from.index) return false;
  if (top && from.key === top.key) {
    closeTop(top);
    return true;
  }
  if (isLeftBehind(from.key) && here.index === from.index - 1 && isSamePage(here.url, from.url)) {
    window.history.back();
    return true;
  }
  return false;
}

/** A link to the very address one is at puts an entry of another key in the place of the one there was. */
function renamed(before: string): void {
  const key = currentEntry()?.key;
  if (key === undefined || key === before) return;
  if (madeSteps().has(before)) remember(key);
  for (const step of open) if (step.key === before) step.key = key;
}

/** Called before the router listens: of listeners at the window the first to come is the first to hear. */
export function hearStepsBack(): void {
  navigation()?.addEventListener('currententrychange', (event) => {
    if (event.navigationType === 'replace') renamed(event.from.key);
    else cameFrom = event.from;
  });
  window.addEventListener('popstate', (event) => {
    if (takeStep() || taking?.()) event.stopImmediatePropagation();
  });
}

/** What is open over the page as a step of its own: Back calls `close`. */
export function useLayerStep(close: () => void, isStep = true): void {
  const latest = useRef(close);
  useEffect(() => {
    latest.current = close;
  });
  useLayoutEffect(() => {
    if (!isStep || !navigation()) return;
    const step: Step = { key: entryForLayer(), close: () => latest.current() };
    open.push(step);
    return () => void open.splice(open.indexOf(step), 1);
  }, [isStep]);
}

/** Has a page's own sheet take the steps back that are its own; null: none are. */
export function useStepBack(take: (() => boolean) | null): void {
  useEffect(() => {
    if (!take) return;
    taking = take;
    return () => {
      if (taking === take) taking = null;
    };
  });
}

/** How many steps back the entry with this address lies, if nothing but layers is in between; else 0. */
export function stepsBackTo(address: string): number {
  const [all, here] = [navigation()?.entries() ?? [], currentEntry()];
  for (let index = here ? here.index : 0; index > 0; index--) {
    if (isSamePage(all[index - 1]!.url, address)) return here!.index - index + 1;
    if (!madeSteps().has(all[index]!.key)) return 0;
  }
  return 0;
}

export const hasSteps = (): boolean => navigation() !== undefined;
