import * as z from 'zod/mini';
import { Id, Instant, Moment, shared } from './row-schema.ts';
import { MOST_IN_SLOT } from './slot.ts';

/** Minutes; within a day and a night. */
export const SlotMinutes = z.int().check(z.gte(5), z.lte(1_440));

/** Time somebody booked for an item, or for several in one go. It moves no other date, and is seen by that person alone. */
export const Slot = z.object({
  ...shared,
  personId: Id,
  itemIds: z.array(Id).check(z.minLength(1), z.maxLength(MOST_IN_SLOT)),
  /** A wall-clock time of the house's zone. */
  start: Moment,
  minutes: SlotMinutes,
  removedAt: z.nullable(Instant),
});
export type Slot = z.infer<typeof Slot>;
