import * as z from 'zod/mini';
import { Id, shared } from './row-schema.ts';

/** How many minutes a person has for what is to be done, by ISO weekday: Monday first. Seen by the person and by managers. */
export const Minutes = z.int().check(z.gte(0), z.lte(24 * 60));
export const Capacity = z.object({ ...shared, personId: Id, minutes: z.array(Minutes).check(z.length(7)) });
export type Capacity = z.infer<typeof Capacity>;
