import * as z from 'zod/mini';
import { DayAndHour, Id, Instant, WallTime, shared } from './row-schema.ts';
import { WEEKDAYS } from './weekday.ts';

/** The date of an item or a part a reminder can hang on. */
const ANCHORS = ['due', 'start', 'plan'] as const;
export const Anchor = z.enum(ANCHORS);
export type Anchor = z.infer<typeof Anchor>;

/** `own`: whose reminder it is. `first`: whoever gets there first. `last`: whoever is the last to leave. */
const CROSSERS = ['own', 'first', 'last'] as const;

/** Coming to a place, or leaving it. */
export const PlaceTrigger = z
  .object({
    kind: z.literal('place'),
    place: Id,
    on: z.enum(['enter', 'leave']),
    who: z.enum(CROSSERS),
    /** Of `first` and `last`: whom it may ring for. */
    among: z.array(Id).check(z.maxLength(60)),
    /** Only between these hours of the house's wall clock; null: at any. */
    from: z.nullable(WallTime),
    until: z.nullable(WallTime),
    /** Only on these; null: on any. */
    days: z.nullable(z.array(z.enum(WEEKDAYS)).check(z.minLength(1), z.maxLength(7))),
    /** Of `last`: the hour at which it rings all the same. */
    fallback: z.nullable(WallTime),
  })
  .check(
    z.refine(({ who, among }) => (who === 'own') === (among.length === 0)),
    z.refine(({ who, on }) => who === 'own' || (who === 'first') === (on === 'enter')),
    z.refine(({ who, fallback }) => fallback === null || who === 'last'),
  );
export type PlaceTrigger = z.infer<typeof PlaceTrigger>;

/**
 * RFC 5545 TRIGGER. `absolute`: a wall-clock moment of the house's zone. `relative`: an ISO 8601 duration from one of the three dates;
 * negative lies before it. `place`: on coming or leaving. `device`: when that device is opened next. `situation`: when it begins.
 */
export const Trigger = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('absolute'), at: DayAndHour }),
  z.object({ kind: z.literal('relative'), to: Anchor, offset: z.string().check(z.regex(/^-?P(\d{1,3}W|(?=\d|T\d)(\d{1,4}D)?(T(\d{1,4}H)?(\d{1,5}M)?)?)$/)) }),
  PlaceTrigger,
  z.object({ kind: z.literal('device'), device: Id, name: z.string().check(z.maxLength(80)) }),
  z.object({ kind: z.literal('situation'), situation: Id }),
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
  /** Of one for several: whom it rang for last. */
  rungById: z.nullable(Id),
  /** Rings again then. */
  snoozedUntil: z.nullable(Instant),
  removedAt: z.nullable(Instant),
});
export type Alarm = z.infer<typeof Alarm>;
