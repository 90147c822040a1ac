import { combineReducers, configureStore, createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { instantOf, isHere, type CommandName, type House, type Person, type PlanView, type TrackedRows } from '@kotiva/core';
import { useSelector } from 'react-redux';
import { beyondSlice } from './beyond.ts';
import { clockSlice } from './clock.ts';
import { glanceSlice } from './glance.ts';
import { houseSlice, type HouseState } from './house.ts';
import { lookingSlice } from './looking.ts';
import { sendingSlice } from './sending.ts';
import { useRows, useRowsAsTheyAre } from './shown.tsx';
import { soNowSlice } from './so-now.ts';
import { wantedSlice } from './wanted.ts';

/** What was last said at the foot of the screen, and the commands it offers. */
export interface Toast {
  words: string;
  offer: { words: string; commands: readonly { name: CommandName; payload: unknown }[] } | null;
  tone: 'plain' | 'refused';
  /** The command it is said of: refused by the server, it is no longer so. */
  by?: string;
}
const toastSlice = createSlice({
  name: 'toast',
  initialState: null as Toast | null,
  reducers: {
    toastShown: (_state, { payload }: PayloadAction<Toast>) => payload,
    quiet: () => null,
  },
  extraReducers: (builder) => builder.addCase(houseSlice.actions.refused, (state, { payload }) => (state?.by === payload.id ? null : state)),
});

/** The person the screen is narrowed to by the people strip. */
const narrowSlice = createSlice({
  name: 'narrow',
  initialState: { personId: null as string | null },
  reducers: {
    narrowed: (state, { payload }: PayloadAction<string | null>) => {
      state.personId = state.personId === payload ? null : payload;
    },
  },
});

export const { toastShown, quiet } = toastSlice.actions;
export const { narrowed } = narrowSlice.actions;
export const { switched } = soNowSlice.actions;

const reducer = combineReducers({
  house: houseSlice.reducer,
  clock: clockSlice.reducer,
  toast: toastSlice.reducer,
  narrow: narrowSlice.reducer,
  soNow: soNowSlice.reducer,
  looking: lookingSlice.reducer,
  wanted: wantedSlice.reducer,
  glance: glanceSlice.reducer,
  beyond: beyondSlice.reducer,
  sending: sendingSlice.reducer,
});
export type State = ReturnType<typeof reducer>;

export const makeStore = () => configureStore({ reducer, middleware: (defaults) => defaults({ immutableCheck: false, serializableCheck: false }) });
export type Store = ReturnType<typeof makeStore>;

export const nowOf = ({ clock }: State): string => instantOf(Date.now() + clock.aheadMs);

export const useHouseState = <T>(select: (state: HouseState) => T): T => useSelector((state: State) => select(state.house));
export const useToast = (): Toast | null => useSelector((state: State) => state.toast);
export const useNarrowed = (): string | null => useSelector((state: State) => state.narrow.personId);

/** The situations of this house that are so now. */
export function useSoNow(): string[] {
  const rows = useRows();
  const ids = useSelector((state: State) => state.soNow);
  return ids.filter((id) => {
    const situation = rows.find('situation', id);
    return situation !== undefined && !situation.removedAt;
  });
}

/** Now, to the minute: renders again as it passes, or when the server says another time. */
export function useNow(): string {
  return useSelector((state: State) => `${nowOf(state).slice(0, 17)}00.000Z`);
}

export interface OpenHouse {
  house: House;
  me: Person;
  /** What it says: see `useRows`. */
  rows: TrackedRows;
}

/** The house on the screen and who one is in it; null until both are known here. */
export const useOpenHouseOrNull = (): OpenHouse | null => useHouseIn(useRows());

function useHouseIn(rows: TrackedRows): OpenHouse | null {
  const { houseId, accountId } = { houseId: useHouseState((state) => state.houseId), accountId: useHouseState((state) => state.accountId) };
  const house = houseId ? rows.find('house', houseId) : undefined;
  const me = accountId ? rows.by('person', 'accountId', accountId).find(isHere) : undefined;
  return house === undefined || !me ? null : { house, me, rows };
}

/** For screens inside the house: there it is always known. */
export const useOpenHouse = (): OpenHouse => known(useOpenHouseOrNull());

/** The same as it is at this moment, also on a page where what was just ticked stays: see `useRowsAsTheyAre`. */
export const useHouseAsItIs = (): OpenHouse => known(useHouseIn(useRowsAsTheyAre()));

function known(place: OpenHouse | null): OpenHouse {
  if (!place) throw new Error('outside of a house');
  return place;
}

/** For whom and when planning is asked: oneself, now, or somebody else. */
export function usePlanView(personId?: string): PlanView {
  const { me, house } = useOpenHouse();
  return { personId: personId ?? me.id, now: useNow(), house };
}
