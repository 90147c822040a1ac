import { addDays, calendarDateOf, WINDOW_DAYS, type Item } from '@kotiva/core';
import { lookBack, type BackSpan, type Deed } from '@kotiva/core/views/looking-back';
import { useEffect, useMemo, useState } from 'react';
import { useGlobalSearchParams } from 'expo-router';
import { useFilterHere } from '@/features/filter-here';
import { ask } from '@/store/api.ts';
import type { Reached } from '@/store/beyond.ts';
import { useHouseState, useNow, useOpenHouse } from '@/store/store.ts';

interface Told {
  deeds: Deed[];
  /** The newest alone came: there were more than are told at once. */
  more: boolean;
}

export interface Deeds {
  deeds: readonly Deed[];
  /** What is held here, before it is narrowed. */
  items: readonly Item[];
  reached: Reached;
  more: boolean;
}

const NOTHING: readonly Deed[] = [];

/**
 * What was done between two days: as far back as this device holds everything, as it holds it and as it changes; before that, as the
 * server tells it. Without a connection, of those days what happens to be here.
 */
export function useDeeds({ from, to }: BackSpan): Deeds {
  const { rows, house } = useOpenHouse();
  const { isOn, meets } = useFilterHere();
  const isWhole = useHouseState((state) => state.from === 0);
  const today = calendarDateOf(useNow(), house.zone);
  const begins = isWhole ? from : addDays(today, 1 - WINDOW_DAYS);
  const lastFar = addDays(begins, -1);
  const far = useFar(from < begins ? { from, to: to < lastFar ? to : lastFar } : null);
  const isTold = far.told !== null;
  const held = useMemo(() => lookBack({ from: isTold && from < begins ? begins : from, to }, house, rows), [isTold, begins, from, to, house, rows]);
  const near = isOn ? held.filter(({ item }) => meets(item)) : held;
  return {
    deeds: [...(isTold && to < begins ? NOTHING : near), ...(far.told?.deeds ?? NOTHING)],
    items: [...new Set(held.map(({ item }) => item))],
    reached: far.reached,
    more: far.told?.more ?? false,
  };
}

/** What the server tells of days this device doesn’t hold whole, narrowed as the screen is; null: there are none. Asked again once there is a connection. */
function useFar(span: BackSpan | null): { told: Told | null; reached: Reached } {
  const { house } = useOpenHouse();
  const { narrow } = useGlobalSearchParams<{ narrow?: string }>();
  const isLive = useHouseState(({ line }) => line === 'live');
  const query = span === null ? null : new URLSearchParams({ ...span, ...(narrow === undefined ? {} : { filter: narrow }) }).toString();
  const [known, setKnown] = useState<{ query: string; told: Told | null } | null>(null);
  useEffect(() => {
    if (query === null) return undefined;
    let isOver = false;
    void ask<Told>('GET', `/houses/${house.id}/looking-back?${query}`).then((answer) => {
      if (!isOver) setKnown({ query, told: answer.ok ? answer.value : null });
    });
    return () => void (isOver = true);
  }, [query, house.id, isLive]);
  if (query === null) return { told: null, reached: 'here' };
  if (known?.query !== query) return { told: null, reached: 'asked' };
  return { told: known.told, reached: known.told === null ? 'no-line' : 'here' };
}
