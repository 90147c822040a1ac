import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** The item whose facts are looked at without opening it; null: none. */
export const glanceSlice = createSlice({
  name: 'glance',
  initialState: null as string | null,
  reducers: {
    glanced: (_state, { payload }: PayloadAction<string>): string | null => payload,
    glanceOver: (): string | null => null,
  },
});
export const { glanced, glanceOver } = glanceSlice.actions;
