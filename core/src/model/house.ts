import * as z from 'zod/mini';
import { CalendarDate, Id, Instant, Name, shared, WallTime } from './row.ts';

/** When the parts of the day begin, wall-clock. */
export const DayParts = z.object({ morning: WallTime, day: WallTime, evening: WallTime });
export type DayParts = z.infer<typeof DayParts>;

/** `calm`: at the deadline and less often after it; `off`: never by itself. */
export const PACES = ['usual', 'calm', 'off'] as const;
export const Pace = z.enum(PACES);
export type Pace = z.infer<typeof Pace>;

export const ZONE = z.string().check(z.minLength(1), z.maxLength(64));

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
});
export type House = z.infer<typeof House>;

export const USUAL_DAY_PARTS: DayParts = { morning: '06:00', day: '10:00', evening: '17:00' };
