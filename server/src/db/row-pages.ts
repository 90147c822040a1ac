import type { Noun, Row } from '@kotiva/core';
import type { Raw } from './open.ts';
import { AS_JSON, fromDriver } from './row-json.ts';
import { prepared } from './statements.ts';

/** Rows read at a time where all are read. */
export const AT_ONCE = 500;

interface Paging {
  /** The last written first. */
  newestFirst?: boolean;
  size?: number;
  /** Only rows that meet it: SQL with `?` for its values. */
  where?: { sql: string; params: readonly unknown[] };
}

/**
 * All rows of a noun of a house, a page at a time, in the order they were last written. What is written meanwhile comes again where that
 * goes upwards, and is passed over where it goes downwards. A page costs the same however many there are: it goes on in the index by house
 * and sequence number, which a row's place in the file would have to be sorted against.
 */
export function* rowPages<N extends Noun>(
  raw: Raw,
  noun: N,
  houseId: string,
  { newestFirst = false, size = AT_ONCE, where }: Paging = {},
): Generator<Row<N>[]> {
  const [than, order] = newestFirst ? ['<', 'DESC'] : ['>', 'ASC'];
  const sql = `SELECT "${noun}".rowid AS _row, seq AS _seq, ${AS_JSON[noun]} FROM "${noun}"
     WHERE "houseId" = ? AND (seq, "${noun}".rowid) ${than} (?, ?)${where ? ` AND ${where.sql}` : ''}
     ORDER BY seq ${order}, "${noun}".rowid ${order} LIMIT ${size}`;
  // what is put together for one question is not kept ready
  const page = (where ? raw.prepare(sql) : prepared(raw, sql)) as unknown as { all(...values: unknown[]): unknown[] };
  let at: [seq: number, row: number] = newestFirst ? [Number.MAX_SAFE_INTEGER, 0] : [-1, 0];
  for (;;) {
    const some = page.all(houseId, ...at, ...(where?.params ?? [])) as { _row: number; _seq: number; row: string }[];
    if (some.length > 0) yield some.map((one) => fromDriver(noun, one) as Row<N>);
    if (some.length < size) return;
    const last = some.at(-1)!;
    at = [Number(last._seq), Number(last._row)];
  }
}
