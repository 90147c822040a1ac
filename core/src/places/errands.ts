import type { ErrandRound, RoundStop } from '../model/errand-round.ts';
import type { Item } from '../model/item.ts';
import type { Place, Coordinates } from '../model/place.ts';
import type { Candidate } from '../planning/fits-now.ts';

/** What there is to be done at places, as stops of a round. */

export interface Errands {
  place: Place & { position: Coordinates };
  items: Item[];
  /** By when the first of them is due that day; minutes since midnight. */
  due: number | null;
}

const hasPosition = (place: Place): place is Errands['place'] => place.position !== null;

/** Open things by the place they belong to: only places one can find on a map, those with most to do first. */
export function errandsOf(candidates: readonly Candidate[], places: readonly Place[], date: string): Errands[] {
  const found = new Map(places.filter((place) => place.removedAt === null && hasPosition(place)).map((place) => [place.id, { place, items: [] as Item[] }]));
  for (const { item } of candidates) if (item.placeId !== null) found.get(item.placeId)?.items.push(item);
  return [...found.values()]
    .filter(({ items }) => items.length > 0)
    .map(({ place, items }) => ({ place: place as Errands['place'], items, due: firstDue(items, date) }))
    .sort((a, b) => b.items.length - a.items.length || a.place.name.localeCompare(b.place.name));
}

/** An hour that has passed can't be kept any more, and so is none; that is for whoever counts from now. */
function firstDue(items: readonly Item[], date: string): number | null {
  const hours = items.flatMap(({ due }) =>
    due !== null && due.length > 10 && due.startsWith(date) ? [Number(due.slice(11, 13)) * 60 + Number(due.slice(14))] : [],
  );
  return hours.length === 0 ? null : Math.min(...hours);
}

/** Where one goes next: the first stop one has not gone on from with something open. Null: all is done. */
export const nextStop = ({ stops, passed }: Pick<ErrandRound, 'stops' | 'passed'>, isOpen: (itemId: string) => boolean): RoundStop | null =>
  stops.find(({ place, items }) => !passed.includes(place) && items.some(isOpen)) ?? null;
