import * as z from 'zod/mini';
import { Instant, Name, shared } from './row-schema.ts';

/** A tool in hand, a moment, an event ("guests out"), a person present. */
export const SituationKind = z.enum(['tool', 'moment', 'event', 'person']);
export type SituationKind = z.infer<typeof SituationKind>;

/** What has to be so for a thing to be done. One list for the house. */
export const Situation = z.object({ ...shared, name: Name, kind: SituationKind, removedAt: z.nullable(Instant) });
export type Situation = z.infer<typeof Situation>;
