import type { Position } from '../model/place.ts';

/** Positions on the earth, and how far apart they are. */

/** Metres; the mean radius of the earth of IUGG. */
export const EARTH_RADIUS = 6_371_008.8;

const radians = (degrees: number): number => (degrees * Math.PI) / 180;

/** Metres along the great circle on a sphere of the mean radius, by the haversine formula: right for near ones too, where the cosine is not. */
export function distance(one: Position, other: Position): number {
  const [lat, otherLat] = [radians(one.lat), radians(other.lat)];
  const across = Math.sin((otherLat - lat) / 2) ** 2 + Math.cos(lat) * Math.cos(otherLat) * Math.sin(radians(other.lon - one.lon) / 2) ** 2;
  return 2 * EARTH_RADIUS * Math.asin(Math.min(1, Math.sqrt(across)));
}

/** What is wrong with degrees somebody typed; null: nothing. `swapped`: the other way round they would be. */
export function positionFault({ lat, lon }: Position): 'not-a-number' | 'out-of-range' | 'swapped' | null {
  if (!Number.isFinite(lat) || !Number.isFinite(lon)) return 'not-a-number';
  if (Math.abs(lat) <= 90 && Math.abs(lon) <= 180) return null;
  return Math.abs(lon) <= 90 && Math.abs(lat) <= 180 ? 'swapped' : 'out-of-range';
}
