import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** The situations that are so now, on this device: a tool in hand, guests out. Forgotten by nobody but who switches them. */
const KEPT = 'kotiva/so-now';

function kept(): string[] {
  try {
    const known: unknown = JSON.parse(localStorage.getItem(KEPT) ?? '[]');
    return Array.isArray(known) ? known.filter((id) => typeof id === 'string') : [];
  } catch {
    return [];
  }
}

export const soNowSlice = createSlice({
  name: 'soNow',
  initialState: kept,
  reducers: {
    switched: (_state, { payload }: PayloadAction<readonly string[]>) => {
      localStorage.setItem(KEPT, JSON.stringify(payload));
      return [...payload];
    },
  },
});
