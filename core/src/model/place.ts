import * as z from 'zod/mini';
import { Instant, Name, shared } from './row.ts';

/** Somewhere things are done. */
export const Place = z.object({ ...shared, name: Name, removedAt: z.nullable(Instant) });
export type Place = z.infer<typeof Place>;
