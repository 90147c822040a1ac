import * as z from 'zod/mini';
import { MOST_IN_GROUP } from './people-group.ts';
import { Id, Instant, Name, shared } from './row-schema.ts';

/** People who are handed to, put into turns, shared with and addressed as one: "drivers". */
export const PeopleGroup = z.object({
  ...shared,
  name: Name,
  personIds: z.array(Id).check(z.maxLength(MOST_IN_GROUP)),
  createdAt: Instant,
  removedAt: z.nullable(Instant),
});
export type PeopleGroup = z.infer<typeof PeopleGroup>;
