import * as z from 'zod/mini';
import { CalendarDate, Id, Instant, Text, WallTime, oneLine, shared } from './row-schema.ts';

/** Something to talk about with a person: a line of an agenda, or an item. Seen by its maker alone unless shared with that person. */
export const Matter = z.object({
  ...shared,
  makerId: Id,
  personId: Id,
  itemId: z.nullable(Id),
  words: oneLine(500),
  shared: z.boolean(),
  at: Instant,
  settledAt: z.nullable(Instant),
  /** The note of the talk in which it was settled. */
  noteId: z.nullable(Id),
  removedAt: z.nullable(Instant),
});
export type Matter = z.infer<typeof Matter>;

/** A regular talk of two people: a day of the week (ISO, Monday 1) and an hour of the house's zone. Seen by both. */
export const Talk = z.object({
  ...shared,
  makerId: Id,
  personId: Id,
  weekday: z.int().check(z.gte(1), z.lte(7)),
  time: WallTime,
  endedAt: z.nullable(Instant),
});
export type Talk = z.infer<typeof Talk>;

/** What was said and decided in a talk. Seen by its writer; by those present if shared. */
export const MeetingNote = z.object({
  ...shared,
  makerId: Id,
  personIds: z.array(Id).check(z.minLength(1), z.maxLength(60)),
  date: CalendarDate,
  text: Text,
  shared: z.boolean(),
  removedAt: z.nullable(Instant),
});
export type MeetingNote = z.infer<typeof MeetingNote>;
