import { daysOffOf, type Open } from '@kotiva/core';
import { wrap, type Remote } from 'comlink';
import { useEffect, useState } from 'react';
import { useOpenHouse } from '@/store/store.ts';
import type { ErrandsWorker } from './errands-worker.ts';

let worker: Remote<ErrandsWorker> | null = null;

/** The worker for opening hours and rounds, started when it is first asked; null where there is none to be had. */
export function errandsWorker(): Remote<ErrandsWorker> | null {
  if (typeof Worker === 'undefined') return null;
  return (worker ??= wrap<ErrandsWorker>(new Worker('/errands-worker.js', { type: 'module' })));
}

/** When places are open on a date, by their hours as written; a text that is not there yet is still on its way. */
export function useOpenOn(texts: readonly string[], date: string): ReadonlyMap<string, Open[] | null> {
  const { house } = useOpenHouse();
  const [known, setKnown] = useState<ReadonlyMap<string, Open[] | null>>(new Map());
  const dayOff = daysOffOf(house).has(date);
  const asked = JSON.stringify([...new Set(texts.filter(Boolean))].sort());
  useEffect(() => {
    let wanted = true;
    const errands = errandsWorker();
    if (!errands) return;
    void Promise.all((JSON.parse(asked) as string[]).map(async (text) => [text, await errands.openOn(text, date, dayOff)] as const)).then((found) => {
      if (wanted) setKnown(new Map(found));
    });
    return () => {
      wanted = false;
    };
  }, [asked, date, dayOff]);
  return known;
}

/** Whether opening hours can be read; where nothing can tell, they are taken. */
export const canReadHours = async (text: string): Promise<boolean> => (text ? ((await errandsWorker()?.readsHours(text)) ?? true) : true);
