import { errandsOf, MOST_EXACT, walkRound, wallClockOf, type Errand, type Errands, type Open, type Place, type Round } from '@kotiva/core';
import { useState } from 'react';
import { useBound } from '@/features/here';
import { useOpenOn } from '@/features/places';
import { placesOf, useLooking, usePlacesHere } from '@/store/here.ts';
import { useNow, usePlace } from '@/store/store.ts';
import { errandOf, type Chosen } from './errand.ts';
import { useBestRound } from './use-best-round.ts';

/** A round being planned: what was chosen for it, and what comes of that. */
export interface Plan {
  date: string;
  /** Minutes since midnight, now. */
  minute: number;
  places: readonly Place[];
  hasSelf: boolean;
  chosen: Chosen;
  choose(next: Partial<Chosen>): void;
  errands: readonly Errands[];
  open: ReadonlyMap<string, Open[] | null>;
  /** Places that are left out this time. */
  left: readonly string[];
  leave(left: readonly string[]): void;
  going: readonly Errands[];
  /** Null until it is known; why, says `waitsFor`. */
  known: { errand: Errand; best: Round } | null;
  waitsFor: 'stops' | 'start' | 'answer' | null;
  /** An order of one's own; null: the best. */
  order: readonly string[] | null;
  putInOrder(order: readonly string[] | null): void;
  /** The round as it is shown; null: in that order it can't be made. */
  shown: Pick<Round, 'legs' | 'endsAt'> | null;
}

export function usePlan(): Plan {
  const { rows, house } = usePlace();
  const now = wallClockOf(useNow(), house.zone);
  const date = now.slice(0, 10);
  const minute = Number(now.slice(11, 13)) * 60 + Number(now.slice(14));
  const places = placesOf(rows);
  const { at: self } = useLooking();
  const [here] = usePlacesHere();
  const errands = errandsOf(useBound(), places, date);
  const [off, setOff] = useState<readonly string[] | null>(null);
  const [order, setOrder] = useState<readonly string[] | null>(null);
  const [chosen, setChosen] = useState<Chosen>(() => ({
    start: self ? 'self' : here?.position ? here.id : firstMade(places),
    end: 'start',
    means: 'car',
    startAt: minute,
  }));
  // more than can be worked out exactly is left to be added by hand
  const left = off ?? errands.slice(MOST_EXACT).map(({ place }) => place.id);
  const going = errands.filter(({ place }) => !left.includes(place.id));
  const open = useOpenOn(
    errands.map(({ place }) => place.openingHours),
    date,
  );
  const hoursKnown = going.every(({ place }) => place.openingHours === '' || open.has(place.openingHours));
  const errand = hoursKnown && going.length > 0 ? errandOf(chosen, going, open, places, self) : null;
  const best = useBestRound(errand);
  const known = errand && best ? { errand, best } : null;
  return {
    date,
    minute,
    places,
    hasSelf: self !== null,
    chosen,
    choose(next) {
      setOrder(null);
      setChosen({ ...chosen, ...next });
    },
    errands,
    open,
    left,
    leave(next) {
      setOrder(null);
      setOff(next);
    },
    going,
    known,
    waitsFor: going.length === 0 ? 'stops' : hoursKnown && !errand ? 'start' : known ? null : 'answer',
    order,
    putInOrder: setOrder,
    shown: known && (order ? walked(known.errand, order) : known.best),
  };
}

const walked = (errand: Errand, order: readonly string[]) =>
  walkRound(
    errand,
    order.flatMap((id) => errand.stops.filter((stop) => stop.id === id)),
  );

/** Where people live or work is what they put on the map first. */
const firstMade = (places: readonly Place[]): string =>
  places.filter(({ position }) => position !== null).sort((a, b) => (a.stamps['']?.s ?? 0) - (b.stamps['']?.s ?? 0))[0]?.id ?? 'self';
