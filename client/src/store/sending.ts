import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** How a file of this device that is still on its way stands. */
export interface Sending {
  /** `waiting`: for the line, or its turn. `paused`: until its sender goes on. `failed`: it will not go. */
  state: 'waiting' | 'sending' | 'paused' | 'failed';
  /** Bytes. */
  sent: number;
  size: number;
  /** What the server said stands in the way, and what it said of it. */
  code: string | null;
  params: Readonly<Record<string, string | number>>;
}

/** By the id of its attachment. */
export const sendingSlice = createSlice({
  name: 'sending',
  initialState: {} as Readonly<Record<string, Sending>>,
  reducers: {
    sendingShown: (state, { payload: { id, sending } }: PayloadAction<{ id: string; sending: Sending | null }>) => {
      const { [id]: _before, ...others } = state;
      return sending ? { ...others, [id]: sending } : others;
    },
  },
});
export const { sendingShown } = sendingSlice.actions;
