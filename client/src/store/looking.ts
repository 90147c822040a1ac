import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Coordinates } from '@kotiva/core';

/** Whether this device looks where it is, and what came of it. The position itself never leaves this store. */
export interface Looking {
  /** `asked`: no answer yet. `refused`: by the person or the browser. `unknown`: the device can't tell. */
  state: 'off' | 'asked' | 'on' | 'refused' | 'unknown';
  at: Coordinates | null;
  /** Metres within which it is. */
  accuracy: number | null;
}

const KEPT = 'kotiva/look-where';

export const lookingSlice = createSlice({
  name: 'looking',
  initialState: (): Looking => ({ state: localStorage.getItem(KEPT) === 'on' ? 'asked' : 'off', at: null, accuracy: null }),
  reducers: {
    lookingSwitched: (_state, { payload: on }: PayloadAction<boolean>): Looking => {
      if (on) localStorage.setItem(KEPT, 'on');
      else localStorage.removeItem(KEPT);
      return { state: on ? 'asked' : 'off', at: null, accuracy: null };
    },
    lookedAt: (state, { payload }: PayloadAction<Coordinates & { accuracy: number }>): Looking =>
      state.state === 'off' ? state : { state: 'on', at: { lat: payload.lat, lon: payload.lon }, accuracy: payload.accuracy },
    lookFailed: (state, { payload }: PayloadAction<'refused' | 'unknown'>): Looking => (state.state === 'off' ? state : { ...state, state: payload }),
  },
});
export const { lookingSwitched, lookedAt, lookFailed } = lookingSlice.actions;

const VISITS = 'kotiva/visits/';
/** Where a device keeps what it knows of somebody's comings and goings. */
export const visitsKey = (personId: string): string => VISITS + personId;

/** What was kept of where anybody was; with signing out it goes. */
export function forgetVisits(storage: Storage = localStorage): void {
  for (const key of Object.keys(storage)) if (key.startsWith(VISITS)) storage.removeItem(key);
}
