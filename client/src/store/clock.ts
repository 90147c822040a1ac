import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { epochOf } from '@kotiva/core';

const KEPT = 'kotiva/clock-ahead-ms';
/** Milliseconds: a reading within the time a message takes changes nothing. */
const NEAR = 2_000;

/** Domain time on this device: its own clock and how far the server's is ahead of it, kept for days without a network. */
export const clockSlice = createSlice({
  name: 'clock',
  initialState: () => ({ aheadMs: Number(localStorage.getItem(KEPT)) || 0, tick: 0 }),
  reducers: {
    serverTimeRead: (state, { payload }: PayloadAction<string>) => {
      const aheadMs = epochOf(payload) - Date.now();
      if (Math.abs(aheadMs - state.aheadMs) > NEAR) {
        state.aheadMs = aheadMs;
        localStorage.setItem(KEPT, String(aheadMs));
      }
      state.tick += 1;
    },
    ticked: (state) => {
      state.tick += 1;
    },
  },
});
export const { serverTimeRead, ticked } = clockSlice.actions;

/** With signing out nothing stays. */
export const forgetClock = (): void => localStorage.removeItem(KEPT);
