import * as z from 'zod/mini';
import { Params } from './params-schema.ts';
import { Id, Instant, shared } from './row-schema.ts';

/** Who did what to what: code + parameters, worded for the reader; never edited. */
export const Activity = z.object({
  ...shared,
  itemId: z.nullable(Id),
  listId: z.nullable(Id),
  actorId: z.nullable(Id),
  kind: z.string(),
  params: Params,
  /** When it was done. */
  at: Instant,
  /** When the server learned of it. */
  arrivedAt: Instant,
});
export type Activity = z.infer<typeof Activity>;
