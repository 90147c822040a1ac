import * as z from 'zod/mini';
import { MEANS, MOST_STOPS } from './errand-round.ts';
import { CalendarDate, Id, Instant, shared } from './row-schema.ts';

export const Means = z.enum(MEANS);
export type Means = z.infer<typeof Means>;

/** One place of a round, and what is to be done there. */
export const RoundStop = z.object({ place: Id, items: z.array(Id).check(z.minLength(1), z.maxLength(100)) });
export type RoundStop = z.infer<typeof RoundStop>;

/** A round of errands somebody is on, one place after the other. Seen by whoever makes it and whoever planned it. */
export const ErrandRound = z.object({
  ...shared,
  makerId: Id,
  personId: Id,
  date: CalendarDate,
  means: Means,
  /** Where it begins, if that is a place; a position is told to nobody. */
  startId: z.nullable(Id),
  /** Where it ends; null: at its last stop. */
  endId: z.nullable(Id),
  stops: z.array(RoundStop).check(z.minLength(1), z.maxLength(MOST_STOPS)),
  /** Places one has gone on from, whatever is still open there. */
  passed: z.array(Id),
  startedAt: Instant,
  endedAt: z.nullable(Instant),
});
export type ErrandRound = z.infer<typeof ErrandRound>;
