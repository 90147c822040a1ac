import { useGlobalSearchParams, usePathname, useRouter } from 'expo-router';
import { useEffect } from 'react';
import { useStepBack } from '@/ui/history-steps.ts';
import { itemSize } from './item-size.ts';
import { layBeneath, stepOn, stepsToBeneath } from './item-steps.ts';

/** What of an item's sheet is open at once: handing over, or one word of its sentence. */
export type OpensAt = 'hand' | 'due' | 'plan' | 'rule';

/** The item whose sheet lies over the screen: part of the address, so that a link opens it and "back" closes it. */
export function useOpenedItem(): { id: string | null; at: OpensAt | null } {
  const { item, at } = useGlobalSearchParams<{ item?: string; at?: string }>();
  return { id: item || null, at: opensAt(at) };
}

export const opensAt = (at: string | undefined): OpensAt | null => (at === 'hand' || at === 'due' || at === 'plan' || at === 'rule' ? at : null);

/** Opening is a step on, closing one back: to the page the sheet lies over, as it was. */
export function useOpenItem(): (id: string | null, at?: OpensAt) => void {
  const router = useRouter();
  return (id, at) => {
    if (id !== null && itemSize() === 'page') return void router.push(`/items/${id}${at ? `?at=${at}` : ''}`);
    const back = id === null ? stepsToBeneath() : 0;
    if (back > 0) return void window.history.go(-back);
    if (id !== null) stepOn();
    router.setParams({ item: id ?? undefined, at });
  };
}

/** Back closes the sheet and leaves the page as it is; a link that opened it lays its page beneath. */
export function useItemSteps(id: string | null): void {
  const isOpen = id !== null;
  const router = useRouter();
  const path = usePathname();
  useEffect(() => {
    if (isOpen) layBeneath();
  }, [isOpen]);
  const close = () => {
    const { pathname, searchParams } = new URL(window.location.href);
    // another page, or another item: the router's
    if (pathname !== path || searchParams.has('item')) return false;
    router.setParams({ item: undefined, at: undefined });
    return true;
  };
  useStepBack(isOpen ? close : null);
}
