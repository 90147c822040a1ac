import type { Coordinates } from '../model/place.ts';

/** Positions on the earth, and how far apart they are. */

/** Metres; the mean radius of the earth of IUGG. */
export const EARTH_RADIUS = 6_371_008.8;

const radians = (degrees: number): number => (degrees * Math.PI) / 180;

/**
 * Metres along the great circle on a sphere of the mean radius: the arc tangent of how far across and how far along,
 * which keeps its digits at a few metres (where the cosine loses them) and on the far side of the earth (where the haversine does).
 */
export function distance(one: Coordinates, other: Coordinates): number {
  const [lat, otherLat, east] = [radians(one.lat), radians(other.lat), radians(other.lon - one.lon)];
  const across = Math.hypot(Math.cos(otherLat) * Math.sin(east), Math.cos(lat) * Math.sin(otherLat) - Math.sin(lat) * Math.cos(otherLat) * Math.cos(east));
  const along = Math.sin(lat) * Math.sin(otherLat) + Math.cos(lat) * Math.cos(otherLat) * Math.cos(east);
  return EARTH_RADIUS * Math.atan2(across, along);
}

/** What is wrong with degrees somebody typed; null: nothing. `swapped`: the other way round they would be. */
export function positionFault({ lat, lon }: Coordinates): 'not-a-number' | 'out-of-range' | 'swapped' | null {
  if (!Number.isFinite(lat) || !Number.isFinite(lon)) return 'not-a-number';
  if (Math.abs(lat) <= 90 && Math.abs(lon) <= 180) return null;
  return Math.abs(lon) <= 90 && Math.abs(lat) <= 180 ? 'swapped' : 'out-of-range';
}
