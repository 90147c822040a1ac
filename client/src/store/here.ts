import { isThere, type Reader, type Place } from '@kotiva/core';
import { useSelector } from 'react-redux';
import type { Looking } from './looking.ts';
import { useOpenHouse, type State } from './store.ts';

export const useLooking = (): Looking => useSelector((state: State) => state.looking);

export const placesOf = (rows: Reader): Place[] =>
  rows
    .all('place')
    .filter((place) => !place.removedAt)
    .sort((a, b) => a.name.localeCompare(b.name));

/** Where one is, as far as is known: found by a device of one's own, or said by hand. */
export function usePlacesHere(): Place[] {
  const { rows, me } = useOpenHouse();
  const there = new Set(
    rows
      .by('visit', 'personId', me.id)
      .filter(isThere)
      .map(({ placeId }) => placeId),
  );
  return placesOf(rows).filter(({ id }) => there.has(id));
}
