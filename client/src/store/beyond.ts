import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { houseSlice } from './house.ts';

/** How it stands with what a screen looks at beyond what the device holds. */
export type Reached = 'asked' | 'here' | 'no-line';

/** By query: what was asked for is not asked for again until it is let go of. */
export const beyondSlice = createSlice({
  name: 'beyond',
  initialState: {} as Record<string, Reached>,
  reducers: {
    reachedTo: (state, { payload: { query, reached } }: PayloadAction<{ query: string; reached: Reached }>) => {
      state[query] = reached;
    },
  },
  extraReducers: (builder) => {
    builder.addCase(houseSlice.actions.opened, () => ({}));
    builder.addCase(houseSlice.actions.closed, () => ({}));
    builder.addCase(houseSlice.actions.letGo, () => ({}));
    builder.addCase(houseSlice.actions.pageApplied, (state, { payload }) => (payload.reset ? {} : state));
  },
});
export const { reachedTo } = beyondSlice.actions;
