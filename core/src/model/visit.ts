import { v5 } from 'uuid';
import * as z from 'zod/mini';
import { Id, Instant, shared } from './row.ts';

/** When somebody last came to a place and last left it: all that is kept of where anybody is. Seen by that person alone. */
export const Visit = z.object({ ...shared, personId: Id, placeId: Id, enteredAt: z.nullable(Instant), leftAt: z.nullable(Instant) });
export type Visit = z.infer<typeof Visit>;

export const visitId = (personId: string, placeId: string): string => v5(`visit:${placeId}`, personId);

/** As far as is known. */
export const isThere = ({ enteredAt, leftAt }: Pick<Visit, 'enteredAt' | 'leftAt'>): boolean => enteredAt !== null && (leftAt === null || leftAt < enteredAt);

/** The later of coming and leaving; null: forgotten. */
export const lastCrossed = ({ enteredAt, leftAt }: Pick<Visit, 'enteredAt' | 'leftAt'>): string | null =>
  enteredAt === null || (leftAt !== null && leftAt > enteredAt) ? leftAt : enteredAt;
