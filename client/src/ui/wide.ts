import { useSyncExternalStore } from 'react';
import { useWindowDimensions } from 'react-native';

/** From here on a screen shows what a phone cannot. */
const WIDE_FROM = 900;

export const useWide = (): boolean => useWindowDimensions().width >= WIDE_FROM;

/** A phone at twice its size, or letters at twice theirs: there is room for one thing beside another only if both are short. */
const NARROW = '(max-width: 17.5em)';
const media = (): MediaQueryList | null => window.matchMedia?.(NARROW) ?? null;

export const useNarrow = (): boolean =>
  useSyncExternalStore(
    (listen) => {
      const query = media();
      query?.addEventListener('change', listen);
      return () => query?.removeEventListener('change', listen);
    },
    () => media()?.matches ?? false,
  );
