import type { Filter } from '@kotiva/core';
import { BeyondLine } from '@/features/beyond';
import { useBeyond } from '@/store/use-beyond.ts';

/** What is done may lie further back than this device holds: then it is fetched, and it is said until it is here. */
export function BeyondFilter({ filter }: { filter: Filter }) {
  const isAsked = filter.state !== 'open';
  const reached = useBeyond(isAsked ? { filter: JSON.stringify(filter) } : null);
  return isAsked ? <BeyondLine reached={reached} /> : null;
}
