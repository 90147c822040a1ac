import * as z from 'zod/mini';
import { Id, Instant, shared } from './row.ts';

/** The date of an item or a part a reminder can hang on. */
export const ANCHORS = ['due', 'start', 'plan'] as const;
export const Anchor = z.enum(ANCHORS);
export type Anchor = z.infer<typeof Anchor>;

/**
 * RFC 5545 TRIGGER. `absolute`: a wall-clock moment of the house's zone. `relative`: an ISO 8601 duration from one of the three dates;
 * negative lies before it.
 */
export const Trigger = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('absolute'), at: z.string().check(z.regex(/^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])T([01]\d|2[0-3]):[0-5]\d$/)) }),
  z.object({ kind: z.literal('relative'), to: Anchor, offset: z.string().check(z.regex(/^-?P(\d{1,3}W|(?=\d|T\d)(\d{1,4}D)?(T(\d{1,4}H)?(\d{1,5}M)?)?)$/)) }),
]);
export type Trigger = z.infer<typeof Trigger>;

/** A reminder of an item for one person: RFC 5545 VALARM, with the snoozing of RFC 9074. Seen by that person and by who set it. */
export const Alarm = z.object({
  ...shared,
  itemId: Id,
  personId: Id,
  makerId: Id,
  trigger: Trigger,
  /** When it was set, or a date under it last moved: moments up to then are past and never ring. */
  armedAt: Instant,
  /** The latest of its moments it has rung for. */
  rungFor: z.nullable(Instant),
  /** Rings again then. */
  snoozedUntil: z.nullable(Instant),
  removedAt: z.nullable(Instant),
});
export type Alarm = z.infer<typeof Alarm>;

/** So many for one person on one item are plenty. */
export const MOST_ALARMS = 20;
