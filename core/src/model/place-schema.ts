import * as z from 'zod/mini';
import { RADIUS } from './place.ts';
import { Id, Instant, Name, shared } from './row-schema.ts';

/** WGS 84 degrees. */
export const Coordinates = z.object({ lat: z.number().check(z.gte(-90), z.lte(90)), lon: z.number().check(z.gte(-180), z.lte(180)) });
export type Coordinates = z.infer<typeof Coordinates>;
export const Radius = z.int().check(z.gte(RADIUS.least), z.lte(RADIUS.most));

/** The `opening_hours` syntax of OpenStreetMap, whose values are at most so long. Empty: nobody said. */
export const OpeningHours = z.string().check(z.trim(), z.maxLength(255));
export const PlaceAddress = z.string().check(z.trim(), z.maxLength(200));

/** Somewhere things are done. */
export const Place = z.object({
  ...shared,
  name: Name,
  makerId: z.nullable(Id),
  /** Null: known by its name alone, so nothing reminds there by itself. */
  position: z.nullable(Coordinates),
  radius: Radius,
  address: PlaceAddress,
  openingHours: OpeningHours,
  /** Null: everyone in the house. */
  seenBy: z.nullable(z.array(Id)),
  removedAt: z.nullable(Instant),
});
export type Place = z.infer<typeof Place>;
