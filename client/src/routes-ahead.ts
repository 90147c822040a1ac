import { useSegments } from 'expo-router';
import { ctx } from 'expo-router/_ctx';
import { useState } from 'react';
import { later } from '@/store/later.ts';

/**
 * The pages come one by one. A page that has to be waited for, however shortly, leaves the screen empty for 300 ms, by React's rule: so
 * the one that is opened is fetched beside the house's rows, and those reached by one tap when nothing else is to do.
 */
const ONE_TAP_AWAY = ['./(house)/index.tsx', './(house)/lists/index.tsx', './(house)/lists/[list].tsx', './(house)/follow-up.tsx', './(house)/calendar.tsx'];
for (const key of ONE_TAP_AWAY) later(() => pageOf(key));

/** Fetches the page of the address one is at. Where it can't be had now, opening it says so. */
export function useRouteAhead(): void {
  const at = `./${useSegments().join('/')}`;
  useState(() => {
    const key = [`${at}.tsx`, `${at}/index.tsx`].find((one) => ctx.keys().includes(one));
    if (key !== undefined) void pageOf(key).catch(() => undefined);
  });
}

const pageOf = (key: string): Promise<unknown> => Promise.resolve(ctx(key) as unknown);
