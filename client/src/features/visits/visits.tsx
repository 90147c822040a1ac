import { instantOf, isThere, type Fix, type Judged, type Place, type Geofence } from '@kotiva/core';
import { createContext, useCallback, useContext, useEffect, useMemo, useRef } from 'react';
import { useDispatch, useStore } from 'react-redux';
import { placesOf, useLooking } from '@/store/here.ts';
import { lookedAt, lookFailed, visitsKey } from '@/store/looking.ts';
import { useLiveHouse } from '@/store/live-house.tsx';
import { selectRows } from '@/store/rows.ts';
import { nowOf, toastShown, useOpenHouse, type Store } from '@/store/store.ts';
import { t } from '@/words';
import { devicePositions } from './positions.ts';
import { VisitsKeeper, workerJudge } from './visits-keeper.ts';

interface Saying {
  /** "I am at …": does what a look would have done. Null: at none of them any more. */
  sayHere(place: string | null): void;
}
const VisitsContext = createContext<Saying | null>(null);

export function useSayHere(): Saying {
  const saying = useContext(VisitsContext);
  if (!saying) throw new Error('outside of VisitsProvider');
  return saying;
}

/** Every place one can be at; those without a spot only by hand. */
const isSpot = (place: Place): place is Place & Geofence => place.position !== null;
export const spotsOf = (places: readonly Place[]): Geofence[] => places.filter(isSpot).map(({ id, position, radius }) => ({ id, ...position!, radius }));

/** Judges where this device is, as long as the house is open on it, and tells the server of what was crossed: never of a position. */
export function VisitsProvider({ children }: { children: React.ReactNode }) {
  const { rows, me } = useOpenHouse();
  const house = useLiveHouse();
  const store = useStore() as Store;
  const dispatch = useDispatch();
  const places = useMemo(() => placesOf(rows), [rows]);
  const spots = JSON.stringify(spotsOf(places));
  const { state } = useLooking();
  const isOn = state !== 'off';

  const report = useCallback(
    ({ crossings, found }: Judged) => {
      const now = nowOf(store.getState());
      // leaving comes before arriving: one is at one place at a time, unless places lie within each other
      const inOrder = [...crossings].sort((a, b) => (a.kind === b.kind ? 0 : a.kind === 'leave' ? -1 : 1));
      for (const { placeId, kind, at } of inOrder) house.submit('visit.report', { place: placeId, on: kind, at: domainTime(at, now) });
      for (const place of found) house.submit('visit.report', { place, on: 'enter', at: now, silent: true });
    },
    [house, store],
  );
  const keeper = useRef<VisitsKeeper | null>(null);
  useEffect(() => {
    const { judge, end } = workerJudge();
    keeper.current = new VisitsKeeper(visitsKey(me.id), judge, report);
    return end;
  }, [me.id, report]);
  useEffect(() => {
    if (keeper.current) keeper.current.spots = JSON.parse(spots) as Geofence[];
  }, [spots, me.id, report]);

  useEffect(() => {
    if (!isOn) return;
    const onFix = (fix: Fix) => {
      dispatch(lookedAt(fix));
      void keeper.current?.look(fix);
    };
    const onFault = (fault: 'refused' | 'unknown') => {
      // said once: from then on it stands with the places
      if (store.getState().looking.state !== fault) dispatch(toastShown({ words: t(`looking.${fault}`), offer: null, tone: 'plain' }));
      dispatch(lookFailed(fault));
    };
    return devicePositions.watch(onFix, onFault);
  }, [isOn, me.id, dispatch, store]);

  const saying = useMemo<Saying>(
    () => ({
      sayHere(place) {
        const at = nowOf(store.getState());
        const there = selectRows(store.getState().house).by('visit', 'personId', me.id).filter(isThere);
        for (const { placeId } of there) if (placeId !== place) house.submit('visit.report', { place: placeId, on: 'leave', at });
        if (place !== null) house.submit('visit.report', { place, on: 'enter', at });
        void keeper.current?.say(place, Date.now());
      },
    }),
    [house, me.id, store],
  );
  return <VisitsContext.Provider value={saying}>{children}</VisitsContext.Provider>;
}

/** A moment of the device's clock as the house's: the two differ by what the server said. */
const domainTime = (at: number, now: string): string => instantOf(at + (Date.parse(now) - Date.now()));
