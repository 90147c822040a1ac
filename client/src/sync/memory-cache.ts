import { noRows, type HouseState, type Page } from '../store/house.ts';
import type { Cache, Kept } from './ports.ts';

/** What a device keeps, in memory: for tests, and where the browser refuses storage. */
export function memoryCache(): Cache {
  let kept: Kept | null = null;
  const own = (): Kept => (kept ??= { confirmed: noRows(), cursor: 0, pending: [], refused: [] });
  return {
    load: async () => (kept ? structuredClone(kept) : null),
    async page({ put, evict, seq, reset }: Page) {
      if (reset) Object.assign(own(), { confirmed: noRows(), cursor: 0 });
      const { confirmed } = own();
      for (const { noun, row } of put) (confirmed[noun] as Record<string, unknown>)[row.id] = row;
      for (const { noun, id } of evict) delete confirmed[noun][id];
      own().cursor = Math.max(own().cursor, seq);
    },
    async pending(pending: HouseState['pending'], refused: HouseState['refused']) {
      Object.assign(own(), structuredClone({ pending, refused }));
    },
    async forget() {
      kept = null;
    },
  };
}
