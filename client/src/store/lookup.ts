import type { MemoryRows } from '@kotiva/core';

/** Rows as `find` and `by`, the way the table of rights reads them. */
export const lookup = (rows: MemoryRows) => ({
  find: ((noun: 'item', id: string) => {
    const held = rows.get(noun, id);
    return typeof held === 'string' ? undefined : held;
  }) as never,
  by: rows.by.bind(rows) as never,
});
