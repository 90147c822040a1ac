import * as z from 'zod/mini';
import { Id, Instant, Name, oneLine, shared, WallTime } from './row.ts';

/** Manager, member, helper, outside (no account: reached by mail, or only a name to wait for). */
export const Role = z.enum(['manager', 'member', 'helper', 'outside']);
export type Role = z.infer<typeof Role>;

export const COLOURS = ['petrol', 'indigo', 'plum', 'rust', 'aubergine', 'moss', 'slate', 'umber', 'olive', 'graphite'] as const;
export const Colour = z.enum(COLOURS);
export type Colour = z.infer<typeof Colour>;

/** The weave of a person's patch, so that colour is never the only cue. */
export const PATTERNS = ['weft', 'warp', 'twill', 'zigzag', 'diamond', 'dashes'] as const;
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
export const USUAL_REST: Rest = { hours: { from: '21:00', to: '07:00' }, daysOff: [] };

/** An address of RFC 5321, as far as people mistype it. */
export const Address = z.string().check(z.trim(), z.maxLength(254), z.regex(/^[^\s@<>(),;:"]+@(?:[^\s@<>(),;:".]+\.)+[^\s@<>(),;:".]+$/));

export const Phone = oneLine(40);
export const ContactWords = z.string().check(z.maxLength(500));
export const NO_CONTACT = { email: null, phone: null, contact: '' };

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

export const isHere = (person: Person): boolean => person.endedAt === null;

/** In the order they came into the house. */
export const byArrival = (a: Person, b: Person): number => (a.stamps['']?.s ?? 0) - (b.stamps['']?.s ?? 0) || (a.id < b.id ? -1 : 1);
