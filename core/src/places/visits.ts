import type { Coordinates } from '../model/place.ts';
import { distance } from './distance.ts';

/** Arriving at places and leaving them, judged from the positions of one device. */

/** One position a device was told. */
export interface Fix extends Coordinates {
  /** Milliseconds since the epoch. */
  at: number;
  /** Metres within which the device is, to 68 %. */
  accuracy: number;
}

export interface Geofence extends Coordinates {
  id: string;
  /** Metres. */
  radius: number;
}

/** Two fixes in a row have to lie so far apart to be believed, in milliseconds. */
const APART_MS = 30_000;
/** A fix less accurate than this, in metres, says nothing about a smaller place. */
export const LEAST_ACCURACY = 100;
/** One has left so many metres outside: who stands on the edge does not come and go. */
export const EDGE = 30;

/** What is known of one place: null until the first fix that says anything. */
interface Known {
  inside: boolean;
  /** When the fixes began that say otherwise, in a row; null: the last did not. */
  otherwiseSince: number | null;
}

/** All that has to be kept, so that it goes on after the application was closed. */
export interface Visits {
  last: number | null;
  places: Readonly<Record<string, Known>>;
}

export const NO_VISITS: Visits = { last: null, places: {} };

export interface Crossing {
  placeId: string;
  kind: 'enter' | 'leave';
  /** Milliseconds since the epoch: of the fix that settled it. */
  at: number;
}

export interface Judged {
  visits: Visits;
  crossings: Crossing[];
  /** Places the first look found one at: nothing was crossed. */
  found: string[];
}

/**
 * What one more fix says: which places were come to or left by it. The first fix that says anything of a place sets it silently. A fix
 * that is not later than the last is left out, and so, for each place, is one too vague for it: neither breaks a row.
 */
export function judge(visits: Visits, fix: Fix, spots: readonly Geofence[]): Judged {
  if (visits.last !== null && fix.at <= visits.last) return { visits, crossings: [], found: [] };
  const crossings: Crossing[] = [];
  const found: string[] = [];
  const places: Record<string, Known> = {};
  for (const spot of spots) {
    const known = visits.places[spot.id];
    const next = isTooVague(fix, spot) ? known : judgeOne(known, fix, spot);
    if (next) places[spot.id] = next;
    if (!known && next?.inside) found.push(spot.id);
    if (known && next && known.inside !== next.inside) crossings.push({ placeId: spot.id, kind: next.inside ? 'enter' : 'leave', at: fix.at });
  }
  return { visits: { last: fix.at, places }, crossings, found };
}

const isTooVague = ({ accuracy }: Fix, { radius }: Geofence): boolean => !(accuracy <= Math.max(radius, LEAST_ACCURACY));

function judgeOne(known: Known | undefined, fix: Fix, spot: Geofence): Known {
  const far = distance(fix, spot);
  if (!known) return { inside: far <= spot.radius, otherwiseSince: null };
  const saysOtherwise = known.inside ? far > spot.radius + EDGE : far <= spot.radius;
  if (!saysOtherwise) return { ...known, otherwiseSince: null };
  if (known.otherwiseSince === null) return { ...known, otherwiseSince: fix.at };
  return fix.at - known.otherwiseSince >= APART_MS ? { inside: !known.inside, otherwiseSince: null } : known;
}

/** Where one is, as far as is known. */
export const placesHere = ({ places }: Visits): string[] => Object.keys(places).filter((id) => places[id]!.inside);

/** "I am at …", said by hand: there at once, and nowhere else. Where that is nothing new it crosses nothing. */
export function sayHere(visits: Visits, placeId: string | null, at: number, spots: readonly Geofence[]): Judged {
  const crossings: Crossing[] = [];
  const places: Record<string, Known> = {};
  for (const { id } of spots) {
    const inside = id === placeId;
    if ((visits.places[id]?.inside ?? false) !== inside) crossings.push({ placeId: id, kind: inside ? 'enter' : 'leave', at });
    places[id] = { inside, otherwiseSince: null };
  }
  return { visits: { last: Math.max(at, visits.last ?? at), places }, crossings, found: [] };
}
