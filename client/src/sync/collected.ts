import type { ChangePage } from '../store/house.ts';

/** Pages one after the other as one: of each row what was said last, whether it came or went. */
export class Collected {
  private readonly rows = new Map<string, { put: ChangePage['put'][number] } | { evict: ChangePage['evict'][number] }>();

  get size(): number {
    return this.rows.size;
  }

  take({ put, evict }: Pick<ChangePage, 'put' | 'evict'>): void {
    for (const one of put) this.rows.set(`${one.noun}:${one.row.id}`, { put: one });
    for (const one of evict) this.rows.set(`${one.noun}:${one.id}`, { evict: one });
  }

  /** Everything begins anew: what came before counts no more. */
  forget(): void {
    this.rows.clear();
  }

  /** All of it; what is taken afterwards begins anew. */
  given(): Pick<ChangePage, 'put' | 'evict'> {
    const all = [...this.rows.values()];
    this.forget();
    return { put: all.flatMap((one) => ('put' in one ? [one.put] : [])), evict: all.flatMap((one) => ('evict' in one ? [one.evict] : [])) };
  }
}
