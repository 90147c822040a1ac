import { useSyncExternalStore } from 'react';

/** Where a screen went, for tests: stands in for the router. */
export const went: unknown[] = [];

let begun: Record<string, string> = {};
let carried = begun;
const listeners = new Set<() => void>();
/** What the address of the screen carries, such as the item whose sheet is open. */
export const carry = (params: Record<string, string>) => {
  begun = params;
  carried = params;
};

/** A sheet is opened by whoever tries it; anything else of the address comes back to the screen. */
function setParams({ item, at, ...others }: Record<string, string | undefined>): void {
  went.push({ ...others, ...(item === undefined && at === undefined ? {} : { item, at }) });
  carried = Object.fromEntries(Object.entries({ ...carried, ...others }).filter(([, value]) => value !== undefined)) as Record<string, string>;
  for (const listen of [...listeners]) listen();
}

export const useRouter = () => ({
  push: (to: unknown) => went.push(to),
  navigate: (to: unknown) => went.push(to),
  replace: (to: unknown) => went.push(to),
  setParams,
});
export const usePathname = () => '/';
export const Redirect = ({ href }: { href: string }) => void went.push(href);

function follow(listen: () => void): () => void {
  listeners.add(listen);
  return () => {
    listeners.delete(listen);
    // the next screen begins where this one did
    if (listeners.size === 0) carried = begun;
  };
}

export const useGlobalSearchParams = () => useSyncExternalStore(follow, () => carried);
