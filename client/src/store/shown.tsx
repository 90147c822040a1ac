import type { TrackedRows } from '@kotiva/core';
import { createContext, useContext, useState, useSyncExternalStore } from 'react';
import { useStore } from 'react-redux';
import { Reading, type Face } from './face.ts';
import type { Kept, Making } from './kept.ts';
import { shownOf, type HouseStore, type ShownRows } from './shown-rows.ts';

const useShown = (): ShownRows => shownOf(useStore() as HouseStore);

/** Within it, rows are read as they stand. */
const Standing = createContext(false);

/** A page: what was just ticked by hand stays where it is until it is let go, as `useStaying` says. */
export const AsTheyStand = ({ children }: { children: React.ReactNode }) => <Standing value>{children}</Standing>;

function useFace(): Face {
  const shown = useShown();
  return useContext(Standing) ? shown.asTheyStand : shown.asTheyAre;
}

function useReading(face: Face): TrackedRows {
  const [reading] = useState(() => new Reading(face));
  return useSyncExternalStore(reading.subscribe, reading.current);
}

/**
 * The rows, for one part of the screen: the same object for as long as nothing it looked up has changed, then another, and it is drawn anew.
 * What is looked up is what holds at that moment, also later, in what a tap does.
 */
export const useRows = (): TrackedRows => useReading(useFace());

/** The same, as they are also where the page around it shows them as they stand: how a row looks, what a tap on it does. */
export const useRowsAsTheyAre = (): TrackedRows => useReading(useShown().asTheyAre);

/** `stay` does something without anything moving on the page; `letGo` lets it move. */
export const useStaying = (): Pick<ShownRows, 'stay' | 'letGo'> => useShown();

/** Something worked out of the rows that several parts of the screen ask for; the key names what, `at` as of which minute or day. */
export function useKeeping(): <K extends Kept>(key: string, at: string, make: Making<K>) => K['value'] {
  const face = useFace();
  const rows = useReading(face);
  return (key, at, make) => face.keeping(key, at, make, rows).value;
}
