import * as z from 'zod/mini';
import { CalendarDate, Id, Instant, shared } from './row-schema.ts';

/** Days a person is not there, both included. Seen by everyone in the house. */
export const TimeAway = z.object({
  ...shared,
  personId: Id,
  from: CalendarDate,
  to: CalendarDate,
  /** Who reads what needs the person meanwhile, and may answer, tie off and nudge for them. */
  standInId: z.nullable(Id),
  removedAt: z.nullable(Instant),
});
export type TimeAway = z.infer<typeof TimeAway>;
