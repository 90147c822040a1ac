import * as z from 'zod/mini';
import { Id, Instant, shared } from './row-schema.ts';

/** When somebody last came to a place and last left it: all that is kept of where anybody is. Seen by that person alone. */
export const Visit = z.object({ ...shared, personId: Id, placeId: Id, enteredAt: z.nullable(Instant), leftAt: z.nullable(Instant) });
export type Visit = z.infer<typeof Visit>;
