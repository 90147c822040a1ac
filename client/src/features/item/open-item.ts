import { useGlobalSearchParams, useRouter } from 'expo-router';

/** The item whose sheet lies over the screen: part of the address, so that a link opens it and "back" closes it. */
export const useOpenedItem = (): string | null => {
  const { item } = useGlobalSearchParams<{ item?: string }>();
  return item || null;
};

export function useOpenItem(): (id: string | null) => void {
  const router = useRouter();
  return (id) => router.setParams({ item: id ?? undefined });
}
