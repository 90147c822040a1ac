import * as z from 'zod/mini';
import { PACES } from './house.ts';
import { CalendarDate, Id, Instant, Name, WallTime, shared } from './row-schema.ts';

/** When the parts of the day begin, wall-clock. */
/** When each begins; they come one after the other. */
export const DayParts = z
  .object({ morning: WallTime, day: WallTime, evening: WallTime })
  .check(z.refine(({ morning, day, evening }) => morning < day && day < evening));
export type DayParts = z.infer<typeof DayParts>;
export const Pace = z.enum(PACES);
export type Pace = z.infer<typeof Pace>;

export const ZONE = z.string().check(z.minLength(1), z.maxLength(64));

/** ISO 3166-1 country, with its ISO 3166-2 subdivision where holidays differ within it: `FI`, `DE-BY`. */
export const Region = z.string().check(z.regex(/^[A-Z]{2}(-[A-Z0-9]{1,6}){0,2}$/));

/** A day nobody is expected to work on. */
export const DayOff = z.object({ date: CalendarDate, name: z.string().check(z.maxLength(80)) });
export type DayOff = z.infer<typeof DayOff>;

/** Public holidays as the server knows them: of a region, up to the end of a year. */
export const Holidays = z.object({ region: Region, until: z.int().check(z.gte(1970), z.lte(9999)), days: z.array(DayOff).check(z.maxLength(1_000)) });
export type Holidays = z.infer<typeof Holidays>;

/** One household or business. Nothing moves between houses. */
export const House = z.object({
  ...shared,
  name: Name,
  /** IANA time zone; every wall-clock time of the house is meant in it. */
  zone: ZONE,
  dayParts: DayParts,
  createdOn: CalendarDate,
  createdAt: Instant,
  /** The list of first hints, as long as there is one to put away. */
  hintsListId: z.nullable(Id),
  /** How often people are nudged about what they were handed. */
  pace: Pace,
  /** Whose public holidays count; null: nobody's. */
  region: z.nullable(Region),
  /** Of the region chosen last that was looked up; kept in the house so that every device knows them without a network. */
  holidays: z.nullable(Holidays),
  /** Its own, beside the public ones. */
  daysOff: z.array(DayOff).check(z.maxLength(400)),
});
export type House = z.infer<typeof House>;
