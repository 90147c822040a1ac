import type { Noun, Row } from '../model/nouns.ts';
import type { SharedRow, Stamp } from '../model/row.ts';
import type { RecordedChange } from './reader.ts';

/** What a command writes: some fields of one row; all of them when it makes the row. */
export interface Change<N extends Noun = Noun> {
  noun: N;
  id: string;
  made: boolean;
  fields: Partial<Omit<Row<N>, 'seq' | 'stamps'>>;
}

/** Who writes: what the stamps of the written fields will say. */
export interface Writer {
  commandId: string;
  name: string;
  actorId: string | null;
  payload: unknown;
  seq: number;
}

/** The row after a change. `row` undefined: the change makes it. */
export function applyChange(row: Row | undefined, change: Change, writer: Writer): Row {
  const stamp: Stamp = { c: writer.commandId, s: writer.seq, p: writer.actorId };
  if (!row) return { ...change.fields, seq: writer.seq, stamps: { '': stamp } } as unknown as Row;
  const stamps = { ...row.stamps };
  for (const field of Object.keys(change.fields)) stamps[field] = stamp;
  return { ...row, ...change.fields, seq: writer.seq, stamps } as Row;
}

/** What undoing needs to know of a change: the values it replaces. */
export function recordOf(change: Change, row: SharedRow | undefined): RecordedChange {
  if (!row) return { noun: change.noun, id: change.id, before: null };
  const before: Record<string, unknown> = {};
  for (const field of Object.keys(change.fields)) before[field] = (row as unknown as Record<string, unknown>)[field];
  return { noun: change.noun, id: change.id, before };
}
