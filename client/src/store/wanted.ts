import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** Whose part of what is about to be checked off, once what it asks for is answered; null: nothing is asked. */
export type Asked = { itemId: string; personId: string | null } | null;

export const wantedSlice = createSlice({
  name: 'wanted',
  initialState: null as Asked,
  reducers: {
    answerAsked: (_state, { payload }: PayloadAction<NonNullable<Asked>>): Asked => payload,
    answerSettled: (): Asked => null,
  },
});
export const { answerAsked, answerSettled } = wantedSlice.actions;
