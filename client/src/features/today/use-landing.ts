import type { AgendaEntry, House, List } from '@kotiva/core';
import { useGlobalSearchParams } from 'expo-router';
import { useEffect, useState } from 'react';
import { useOpenHouse } from '@/store/store.ts';

/** Since the application was opened: whoever comes back to Today on purpose stays there. */
let hasLanded = false;

/** The list somebody begins in who has nothing else: the one list they can open, with nothing on their day and nothing new for them. Null for everybody else. */
export function landingOf(lists: readonly List[], agenda: readonly AgendaEntry[], { hintsListId }: Pick<House, 'hintsListId'>): string | null {
  const [only, second] = lists.filter((list) => !list.removedAt && !list.filedAt);
  const isFree = agenda.every(({ where, toSort }) => where !== 'today' && where !== 'done' && !toSort);
  return only && !second && only.id !== hintsListId && isFree ? only.id : null;
}

/** Where Today leads on at once; null where one stays: also where the address names something, and once the day has been seen. */
export function useLanding(agenda: readonly AgendaEntry[]): string | null {
  const { rows, house } = useOpenHouse();
  const isPlain = Object.keys(useGlobalSearchParams()).length === 0;
  const [landing] = useState(() => (hasLanded || !isPlain ? null : landingOf(rows.all('list'), agenda, house)));
  useEffect(() => {
    hasLanded = true;
  }, []);
  return landing;
}
