import { noRows, type ChangePage } from '../store/house.ts';
import { isPassed } from './kept-commands.ts';
import type { Cache, Kept, KeptCommand } from './ports.ts';

/** What a device keeps, in memory: for tests, and where the browser refuses storage. */
export function memoryCache(): Cache {
  let rows: Pick<Kept, 'confirmed' | 'cursor'> | null = null;
  const commands = new Map<string, KeptCommand>();
  return {
    async load() {
      if (rows === null && commands.size === 0) return null;
      return structuredClone({ ...(rows ?? { confirmed: noRows(), cursor: 0 }), commands: [...commands.values()] });
    },
    async page({ put, evict, seq, reset }: ChangePage, since: number) {
      const kept = rows ?? { confirmed: noRows(), cursor: 0 };
      if (seq <= kept.cursor || (!reset && since > kept.cursor)) return;
      const confirmed = reset ? noRows() : kept.confirmed;
      for (const { noun, row } of put) (confirmed[noun] as Record<string, unknown>)[row.id] = row;
      for (const { noun, id } of evict) delete confirmed[noun][id];
      rows = { confirmed, cursor: seq };
      for (const [id, { ackSeq }] of commands) if (isPassed(ackSeq, seq)) commands.delete(id);
    },
    async letGo(gone, cursor) {
      if (rows?.cursor === cursor) for (const { noun, id } of gone) delete rows.confirmed[noun][id];
    },
    async commands(put, drop) {
      for (const record of put) commands.set(record.command.id, structuredClone(record));
      for (const id of drop) commands.delete(id);
    },
    async forget() {
      rows = null;
      commands.clear();
    },
  };
}
