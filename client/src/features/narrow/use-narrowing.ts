import type { Filter } from '@kotiva/core';
import { isNarrowing, NO_FILTER, readFilterText } from '@kotiva/core/filtering';
import { useGlobalSearchParams, useRouter } from 'expo-router';
import { useMemo } from 'react';

export interface Narrowing {
  filter: Filter;
  /** Conditions of another version, which are left out. */
  unknown: number;
  /** Whether it differs from what the view begins with. */
  isChanged: boolean;
  /** The view has a filter of its own, which letting go returns to. */
  isView: boolean;
  set: (filter: Filter) => void;
  clear: () => void;
}

/** How the view one is in is narrowed: part of its address, so that one comes back to it. `starts`: what the view itself asks for. */
export function useNarrowing(starts: Filter = NO_FILTER): Narrowing {
  const router = useRouter();
  const { narrow } = useGlobalSearchParams<{ narrow?: string }>();
  const read = useMemo(() => readFilterText(narrow), [narrow]);
  const filter = narrow === undefined ? starts : read.filter;
  const set = (next: Filter) => router.setParams({ narrow: isSame(next, starts) ? undefined : JSON.stringify(next) });
  return { filter, unknown: read.unknown, isChanged: !isSame(filter, starts), isView: isNarrowing(starts), set, clear: () => set(starts) };
}

const isSame = (a: Filter, b: Filter): boolean => JSON.stringify(a) === JSON.stringify(b);
