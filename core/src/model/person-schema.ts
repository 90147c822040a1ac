import * as z from 'zod/mini';
import { COLOURS, PATTERNS } from './person.ts';
import { Id, Instant, Name, WallTime, oneLine, shared } from './row-schema.ts';

/** Manager, member, helper, outside (no account: reached by mail, or only a name to wait for). */
export const Role = z.enum(['manager', 'member', 'helper', 'outside']);
export type Role = z.infer<typeof Role>;
export const Colour = z.enum(COLOURS);
export type Colour = z.infer<typeof Colour>;
export const Pattern = z.enum(PATTERNS);
export type Pattern = z.infer<typeof Pattern>;

export const Mark = oneLine(8);

/** When somebody is left in peace: no nudge reaches them then. Wall-clock; the end of the night may lie on the next day. */
export const Rest = z.object({
  hours: z.nullable(z.object({ from: WallTime, to: WallTime })),
  /** ISO weekdays, Monday 1. */
  daysOff: z.array(z.int().check(z.gte(1), z.lte(7))).check(z.maxLength(6)),
});
export type Rest = z.infer<typeof Rest>;

/** An address of RFC 5321, as far as people mistype it. */
export const Address = z.string().check(z.trim(), z.maxLength(254), z.regex(/^[^\s@<>(),;:"]+@(?:[^\s@<>(),;:".]+\.)+[^\s@<>(),;:".]+$/));

export const Phone = oneLine(40);
export const ContactWords = z.string().check(z.maxLength(500));

/** A membership in a house. Who has left keeps the row, so that their name stays on what they did. */
export const Person = z.object({
  ...shared,
  accountId: z.nullable(Id),
  name: Name,
  /** Two or three letters, unique among those in the house. */
  mark: Mark,
  colour: Colour,
  pattern: Pattern,
  role: Role,
  /** Where to reach them: what belongs to no account. */
  email: z.nullable(Address),
  phone: z.nullable(Phone),
  contact: ContactWords,
  rest: Rest,
  joinedAt: Instant,
  endedAt: z.nullable(Instant),
});
export type Person = z.infer<typeof Person>;
