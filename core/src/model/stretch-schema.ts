import * as z from 'zod/mini';
import { Id, Instant, shared } from './row-schema.ts';
import { STRETCH_MINUTES } from './stretch.ts';

export const StretchMinutes = z.int().check(z.gte(STRETCH_MINUTES.least), z.lte(STRETCH_MINUTES.most));

/** Some minutes of focused work somebody gives themselves. Seen by nobody else. */
export const Stretch = z.object({
  ...shared,
  personId: Id,
  beganAt: Instant,
  /** As many as were chosen. */
  minutes: StretchMinutes,
  /** Null: it is going on, or its time is over and the house hasn't come to say so. */
  endedAt: z.nullable(Instant),
});
export type Stretch = z.infer<typeof Stretch>;
