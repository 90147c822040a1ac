import type { Stamp } from './row-schema.ts';

export type { Stamp } from './row-schema.ts';

/** Years a house plans in. What lies beyond is a slip of the finger, and would cost time to walk to. */
export const FIRST_YEAR = 1970;
export const LAST_YEAR = 2199;
/** A chore may say that it began before anybody here was born. */
export const FIRST_CHORE_YEAR = 1900;
export interface YearsRefused {
  reason: 'year-out-of-range';
  first: number;
  last: number;
}

export const TITLE_MAX = 500;
export const TEXT_MAX = 20_000;
export const NAME_MAX = 80;

export interface SharedRow {
  id: string;
  houseId: string;
  seq: number;
  stamps: Record<string, Stamp>;
}

/** The stamp of one field: its own, or that of the making of the row. */
export function stampOf(row: SharedRow, field: string): Stamp | undefined {
  return row.stamps[field] ?? row.stamps[''];
}
