import { useEffect, useLayoutEffect, useRef } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { reachedTo, type Reached } from './beyond.ts';
import { useLiveHouse } from './live-house.tsx';
import { useHouseState, type State } from './store.ts';

/** What can be looked at beyond what the device holds: an item, or all of a chore, a list, a month, a person, a note; what is found by words or by a filter. */
export type Beyond =
  | { item: string }
  | { series: string }
  | { list: string; before: number }
  | { month: string }
  | { person: string }
  | { note: string }
  | { words: string }
  | { filter: string };

/**
 * Has what lies beyond what this device holds fetched while a screen looks at it; null: nothing is looked at there. `here` also where the
 * device holds everything.
 */
export function useBeyond(what: Beyond | null): Reached {
  const { reach } = useLiveHouse();
  const dispatch = useDispatch();
  const isLive = useHouseState(({ line }) => line === 'live');
  const isWhole = useHouseState(({ from }) => from === 0);
  const query = what === null ? null : new URLSearchParams(Object.entries(what).map(([key, value]) => [key, String(value)])).toString();
  const reached = useSelector(({ beyond }: State) => (query === null ? undefined : beyond[query]));
  const ask = () => {
    if (query === null || isWhole || reached === 'asked' || reached === 'here') return;
    dispatch(reachedTo({ query, reached: 'asked' }));
    reach(query).then(
      () => dispatch(reachedTo({ query, reached: 'here' })),
      () => dispatch(reachedTo({ query, reached: 'no-line' })),
    );
  };
  const latest = useRef(ask);
  useLayoutEffect(() => {
    latest.current = ask;
  });
  // once, again when there is a line, and when what had come was let go of
  const isLetGo = reached === undefined;
  useEffect(() => latest.current(), [query, isWhole, isLive, isLetGo]);
  return query === null || isWhole ? 'here' : (reached ?? 'asked');
}
