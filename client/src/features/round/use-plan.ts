import { errandsOf, MOST_EXACT, walkRound, wallClockOf, type Errand, type Errands, type Open, type Place, type Round } from '@kotiva/core';
import { useEffect, useState } from 'react';
import { useBound } from '@/features/here';
import { useOpenOn } from '@/features/places';
import { placesOf, useLooking, usePlacesHere } from '@/store/here.ts';
import { useDraft } from '@/store/drafts.ts';
import { useNow, useOpenHouse } from '@/store/store.ts';
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
  /** It has begun: nothing is being planned any more. */
  started(): void;
  /** The round as it is shown; null: in that order it can't be made. */
  shown: Pick<Round, 'legs' | 'endsAt'> | null;
}

/** What was chosen so far. `off`: places left out; null: none by hand. */
interface Begun {
  chosen: Chosen;
  off: readonly string[] | null;
  order: { ids: readonly string[]; of: readonly string[] } | null;
}

const sameStops = (ids: readonly string[], going: readonly Errands[]): boolean =>
  ids.length === going.length && going.every(({ place }) => ids.includes(place.id));

export function usePlan(): Plan {
  const { rows, house } = useOpenHouse();
  const now = wallClockOf(useNow(), house.zone);
  const date = now.slice(0, 10);
  const minute = Number(now.slice(11, 13)) * 60 + Number(now.slice(14));
  const places = placesOf(rows);
  const { at: self } = useLooking();
  const [here] = usePlacesHere();
  const errands = errandsOf(useBound(), places, date);
  const [begin] = useState<Begun>(() => ({
    chosen: { start: self ? 'self' : here?.position ? here.id : firstMade(places), end: 'start', means: 'car', startAt: minute },
    off: null,
    order: null,
  }));
  // of the day before nothing is taken over: other places are open, and other things bound to them
  const [{ chosen, off, order: ordered }, change, done] = useDraft(`round/${date}`, begin);
  // begun some hours ago it sets out now
  useEffect(
    () => change((found) => (found.chosen.startAt < begin.chosen.startAt ? { ...found, chosen: { ...found.chosen, startAt: begin.chosen.startAt } } : found)),
    [change, begin],
  );
  // more than can be worked out exactly is left to be added by hand
  const left = off ?? errands.slice(MOST_EXACT).map(({ place }) => place.id);
  const going = errands.filter(({ place }) => !left.includes(place.id));
  // an order is one of the stops it was made of
  const order = ordered && sameStops(ordered.of, going) ? ordered.ids : null;
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
    choose: (next) => change({ chosen: { ...chosen, ...next }, off, order: null }),
    errands,
    open,
    left,
    leave: (next) => change({ chosen, off: next, order: null }),
    going,
    known,
    waitsFor: going.length === 0 ? 'stops' : hoursKnown && !errand ? 'start' : known ? null : 'answer',
    order,
    putInOrder: (ids) => change({ chosen, off, order: ids && { ids, of: going.map(({ place }) => place.id) } }),
    started: done,
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
