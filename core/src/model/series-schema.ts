import * as z from 'zod/mini';
import { Trigger } from './alarm-schema.ts';
import { nature } from './nature-schema.ts';
import { OFF_DAY_SHIFTS } from './off-day-shift.ts';
import { ChoreStart, Id, Instant, Moment, Title, WallTime, shared } from './row-schema.ts';

/** An RRULE of RFC 5545 3.3.10, as far as its shape goes. */
export const RRuleText = z.string().check(z.regex(/^FREQ=[A-Z]+(;[A-Z]+=[A-Z0-9,+-]+)*$/), z.maxLength(300));
/** ISO 8601 duration in whole days, weeks, months or years. */
export const AfterDone = z.string().check(z.regex(/^P[1-9]\d{0,3}[DWMY]$/));

/** What was said of it in a line: a rule or so long after it was done, with the hour if one was said. */
export const SaidRule = z.object({ rrule: z.nullable(RRuleText), afterDone: z.nullable(AfterDone), time: z.nullable(WallTime), words: z.optional(z.string()) });
export type SaidRule = z.infer<typeof SaidRule>;

/** Who has it when it comes: always the same people, one after the other, or whoever has carried least. */
const TURNS = ['fixed', 'turns', 'fair'] as const;
export const TurnKind = z.enum(TURNS);
export type TurnKind = z.infer<typeof TurnKind>;

/** `keep`: each that was not done stays open. `roll`: only the newest is open, the others are missed. */
export const Missed = z.enum(['keep', 'roll']);
export type Missed = z.infer<typeof Missed>;

/** A chore: an item that comes back, by a rule of the calendar or so long after it was last done. */
export const Series = z.object({
  ...shared,
  listId: z.nullable(Id),
  sectionId: z.nullable(Id),
  makerId: Id,
  title: Title,
  ...nature,
  /** The steps each one begins with. */
  steps: z.array(Title),
  /** Files, by their attachments, that each one has from when it comes. */
  fileIds: z.array(Id),
  alarms: z.array(Trigger),
  /** A template whose items are steps of each one, with the days they have by its own. */
  templateId: z.nullable(Id),
  /** What it asks for, settled once. */
  filling: z.nullable(z.object({ blanks: z.record(z.string(), z.string()), roles: z.record(z.string(), z.array(Id)) })),
  /** One of the two. */
  rrule: z.nullable(RRuleText),
  afterDone: z.nullable(AfterDone),
  /** RFC 5545 DTSTART: a date, or a wall-clock time of the house's zone. It counts only if the rule hits it. */
  dtstart: ChoreStart,
  offDay: z.enum(OFF_DAY_SHIFTS),
  missed: Missed,
  /** The next one comes only when the last is done. */
  whenDone: z.boolean(),
  turn: TurnKind,
  /** Who does it, or may: of `turns`, in the order of the first round. */
  personIds: z.array(Id),
  /** The one it goes on from. */
  followsId: z.nullable(Id),
  /** From this one of its rule on there is none any more. */
  endsBefore: z.nullable(Moment),
  createdAt: Instant,
});
export type Series = z.infer<typeof Series>;

/** One occurrence that will differ from its rule: moved, left out, or somebody else's. */
export const Override = z.object({
  ...shared,
  seriesId: Id,
  /** The rule's own local time for it, before any shift: RFC 5545 RECURRENCE-ID. */
  recurrenceId: Moment,
  at: z.nullable(Moment),
  skipped: z.boolean(),
  personId: z.nullable(Id),
  /** Whose place in the queue it takes; null: that of who does it. */
  countsFor: z.nullable(Id),
});
export type Override = z.infer<typeof Override>;
