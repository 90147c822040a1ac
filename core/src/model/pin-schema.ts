import * as z from 'zod/mini';
import { Id, Instant, shared } from './row-schema.ts';

/** An item that somebody keeps on top of their day and of its list, for themselves. */
export const Pin = z.object({
  ...shared,
  personId: Id,
  itemId: Id,
  /** Since when; they stand in this order. */
  at: Instant,
  /** Null: it is kept there still. */
  endedAt: z.nullable(Instant),
});
export type Pin = z.infer<typeof Pin>;
