import { useLayoutEffect, useState } from 'react';

/**
 * Which sheets lie over a page, as the end of its address: “/lists/x#list.share”, one after the other where several are open. A reload
 * and a link open them again; the items’ sheet, which may lie over any page, is a parameter of its own.
 */
const BETWEEN = '/';

/** Those that are open, the topmost last. */
const open: string[] = [];

/** What the address named when Kotiva was opened or a link was followed, and on which page. */
let arrived: { path: string; names: readonly string[] } = { path: '', names: [] };

function read(): string[] {
  try {
    return window.location.hash.slice(1).split(BETWEEN).filter(Boolean).map(decodeURIComponent);
  } catch {
    return [];
  }
}

/** The sheets that could open on what is drawn, each told when a link names it. */
const waiting = new Set<() => void>();

/** A link to what lies over this very page draws nothing anew: its sheets are told. */
function follow(event: Event): void {
  const { navigationType } = event as NavigationCurrentEntryChangeEvent;
  const named = read().filter((name) => !open.includes(name));
  if (navigationType === 'push' && named.length > 0) tellOf(named);
  write();
}

/** Opens a sheet that waits somewhere on the page, as a link to it would. */
export function openSheet(of: string, at = 'open'): void {
  if (!open.includes(`${of}.${at}`)) tellOf([`${of}.${at}`]);
}

function tellOf(names: readonly string[]): void {
  arrived = { path: window.location.pathname, names };
  for (const tell of [...waiting]) tell();
}

function write(): void {
  const hash = open.length > 0 ? `#${open.map(encodeURIComponent).join(BETWEEN)}` : '';
  if (window.location.hash === hash) return;
  window.history.replaceState(window.history.state, '', window.location.pathname + window.location.search + hash);
}

const arrivedAt = <T extends string>(of: string): T | null =>
  window.location.pathname === arrived.path ? ((arrived.names.find((name) => name.startsWith(`${of}.`))?.slice(of.length + 1) as T | undefined) ?? null) : null;

/** Whether a sheet is open, and at what: “share” of “list”, or the id of what it is about. Whoever has the address opens it: what it needs is asked where it is drawn. */
export function useSheetAt<T extends string = string>(of: string, begins?: T): [at: T | null, open: (at: T | null) => void] {
  const [at, set] = useState(() => arrivedAt<T>(of) ?? begins ?? null);
  useLayoutEffect(() => {
    const tell = () => set((now) => now ?? arrivedAt<T>(of));
    waiting.add(tell);
    return () => void waiting.delete(tell);
  }, [of]);
  useLayoutEffect(() => {
    if (at === null) return;
    const name = `${of}.${at}`;
    open.push(name);
    write();
    return () => {
      // once it was closed the address it came with means nothing any more
      arrived = { ...arrived, names: arrived.names.filter((other) => other !== name) };
      open.splice(open.lastIndexOf(name), 1);
      write();
    };
  }, [of, at]);
  return [at, set];
}

/** The same for a sheet there is one of. */
export function useSheet(of: string): [isOpen: boolean, open: (isOpen: boolean) => void] {
  const [at, set] = useSheetAt<'open'>(of);
  return [at !== null, (isOpen) => set(isOpen ? 'open' : null)];
}

/** Reads the address Kotiva was opened at, before anything is drawn, and from then on keeps its end as it is where the router writes another. */
export function keepSheetAddress(): void {
  arrived = { path: window.location.pathname, names: read() };
  (window as { navigation?: Navigation }).navigation?.addEventListener('currententrychange', follow);
}
