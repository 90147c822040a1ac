import * as z from 'zod/mini';
import { CalendarDate, Id, Instant, Moment, Text, shared } from './row-schema.ts';

/** RFC 5545 PARTSTAT of a to-do, in lower case. */
export const Standing = z.enum(['needs-action', 'accepted', 'declined', 'tentative', 'in-process', 'completed', 'delegated']);
export type Standing = z.infer<typeof Standing>;

/** Where a part stood before it was checked off: what unchecking returns it to. */
const Stood = z.object({ standing: Standing, percent: z.number() });

/**
 * Item × person: what is each person's own. An item nobody was given has one part without a person.
 * Fields from `plan` on are seen by that person alone, but for a plan that was given.
 */
export const Part = z.object({
  ...shared,
  itemId: Id,
  personId: z.nullable(Id),
  standing: Standing,
  percent: z.number(),
  seenAt: z.nullable(Instant),
  /** When the tap was made, as far as it can be known. */
  completedAt: z.nullable(Instant),
  /** When the tap reached the server. */
  arrivedAt: z.nullable(Instant),
  /** Who tapped: the person, or who tied it for them. */
  completedBy: z.nullable(Id),
  stood: z.nullable(Stood),
  /** What was answered to what its item asks for when it is checked off. */
  answer: z.nullable(z.string()),
  /** Tied off by the giver of an item with confirm wanted. */
  tiedAt: z.nullable(Instant),
  message: Text,
  /** Of a step: what that is called which it is a step of. Whoever has the step alone sees no more of it. */
  under: z.nullable(z.string()),
  giverId: z.nullable(Id),
  /** The first giver of the chain; differs from `giverId` when it was passed on. */
  originId: z.nullable(Id),
  givenAt: z.nullable(Instant),
  passedTo: z.nullable(Id),
  excusedAt: z.nullable(Instant),
  takenBackAt: z.nullable(Instant),
  /** The last answer, question, comment, percent or moved plan of that person. */
  lastSignAt: z.nullable(Instant),
  nudgedAt: z.nullable(Instant),
  /** The last time somebody asked by hand; in the future while it waits for the person's quiet to end. */
  nudgedByHandAt: z.nullable(Instant),
  /** Nudges since the last sign of life. */
  unanswered: z.number(),
  /** The giver has opened or put away the completed part: it leaves "Back". */
  putAwayAt: z.nullable(Instant),
  plan: z.nullable(Moment),
  /** Who set the plan, with the handover or later: they see it, also when the person moves it. Null: it is of the person's own making. */
  planGiverId: z.nullable(Id),
  shelvedAt: z.nullable(Instant),
  pulledInto: z.nullable(CalendarDate),
  takenOff: z.nullable(CalendarDate),
  askAgain: z.nullable(CalendarDate),
  ownOrder: z.nullable(z.string()),
});
export type Part = z.infer<typeof Part>;
