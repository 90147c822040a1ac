import { useGlobalSearchParams, useRouter } from 'expo-router';

/** What of an item's sheet is open at once: handing over, or one word of its sentence. */
export type OpensAt = 'hand' | 'due' | 'plan' | 'rule';

/** The item whose sheet lies over the screen: part of the address, so that a link opens it and "back" closes it. */
export function useOpenedItem(): { id: string | null; at: OpensAt | null } {
  const { item, at } = useGlobalSearchParams<{ item?: string; at?: string }>();
  return { id: item || null, at: at === 'hand' || at === 'due' || at === 'plan' || at === 'rule' ? at : null };
}

export function useOpenItem(): (id: string | null, at?: OpensAt) => void {
  const router = useRouter();
  return (id, at) => router.setParams({ item: id ?? undefined, at });
}
