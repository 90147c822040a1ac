import type { Errand, Errands, Means, Open, Place, Coordinates, Stop } from '@kotiva/core';

/** What somebody chose for a round. */
export interface Chosen {
  /** A place, or where this device is. */
  start: string | 'self';
  /** A place, the start again, or wherever the last stop is. */
  end: string | 'start' | 'last';
  means: Means;
  /** Minutes since midnight. */
  startAt: number;
}

/** The question of a round; null while where it begins is not known. */
export function errandOf(
  { start, end, means, startAt }: Chosen,
  errands: readonly Errands[],
  open: ReadonlyMap<string, Open[] | null>,
  places: readonly Place[],
  self: Coordinates | null,
): Errand | null {
  const spotOf = (id: string): Coordinates | null => places.find((place) => place.id === id)?.position ?? null;
  const from = start === 'self' ? self : spotOf(start);
  if (!from) return null;
  const stops = errands.map(({ place, items, due }): Stop => ({
    id: place.id,
    ...place.position,
    items: items.length,
    open: open.get(place.openingHours) ?? null,
    // an hour that has passed can't be kept any more
    due: due !== null && due >= startAt ? due : null,
  }));
  return { start: from, startAt, end: end === 'last' ? null : end === 'start' ? from : spotOf(end), means, stops };
}
