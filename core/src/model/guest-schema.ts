import * as z from 'zod/mini';
import { Id, Instant, shared } from './row-schema.ts';

/** Somebody was let in on one item by being addressed there: they see it, its steps and its thread, and may answer. `endedAt`: no longer. */
export const Guest = z.object({ ...shared, itemId: Id, personId: Id, byId: Id, since: Instant, endedAt: z.nullable(Instant) });
export type Guest = z.infer<typeof Guest>;
