import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { NOUNS, type Command, type Noun, type Reason, type RecordedCommand, type Row } from '@kotiva/core';

export type RowsByNoun = { [N in Noun]: Record<string, Row<N>> };

/** A command given here: in the overlay until its acknowledged seq has been applied. */
export interface Pending {
  command: Command;
  /** Set once the server accepted it. */
  ackSeq: number | null;
}

/** A command that did not apply: kept with its reason until its maker puts it away. */
export interface Refused {
  command: Command;
  reason: Reason;
}

export interface ChangePage {
  seq: number;
  /** What was held before goes: this is all there is. */
  reset?: boolean;
  put: { noun: Noun; row: Row }[];
  evict: { noun: Noun; id: string }[];
}

/** How the device stands to the server. */
export type Connection = 'connecting' | 'live' | 'offline';

export interface HouseState {
  houseId: string | null;
  accountId: string | null;
  confirmed: RowsByNoun;
  cursor: number;
  pending: Pending[];
  refused: Refused[];
  /** Own recent commands with what they replaced, so that undoing one shows at once. */
  recent: RecordedCommand[];
  line: Connection;
  /** Why what waits is not taken though there is a connection: the code of what the server said. */
  heldUp: string | null;
  /** What waits is not kept beyond this tab: the device's storage is full or refused. */
  isUnkept: boolean;
  /** Raised when this device can decide commands: what was given before shows from then on. */
  decides: boolean;
  /** False until the stored copy or the first page is in. */
  loaded: boolean;
}

const RECENT = 40;

export const noRows = (): RowsByNoun => Object.fromEntries(NOUNS.map((noun) => [noun, {}])) as unknown as RowsByNoun;

const closed: HouseState = {
  houseId: null,
  accountId: null,
  confirmed: noRows(),
  cursor: 0,
  pending: [],
  refused: [],
  recent: [],
  line: 'connecting',
  heldUp: null,
  isUnkept: false,
  decides: false,
  loaded: false,
};

export const houseSlice = createSlice({
  name: 'house',
  initialState: closed,
  reducers: {
    /** A house is opened from what the device kept of it. */
    opened(state, { payload }: PayloadAction<Pick<HouseState, 'houseId' | 'accountId' | 'confirmed' | 'cursor' | 'pending' | 'refused' | 'loaded'>>) {
      return { ...closed, ...payload, decides: state.decides };
    },
    closed: () => closed,
    pageApplied(state, { payload: { put, evict, seq, reset } }: PayloadAction<ChangePage>) {
      if (reset) Object.assign(state, { confirmed: noRows(), cursor: 0 });
      // frozen as a whole: what came is not walked through once more to freeze every part of it
      for (const { noun, row } of put) {
        const held = (state.confirmed[noun] as Record<string, Row>)[row.id];
        if (held === undefined || held.seq <= row.seq) (state.confirmed[noun] as Record<string, Row>)[row.id] = Object.freeze(row);
      }
      for (const { noun, id } of evict) delete state.confirmed[noun][id];
      state.cursor = Math.max(state.cursor, seq);
      state.pending = state.pending.filter(({ ackSeq }) => ackSeq === null || ackSeq > state.cursor);
      state.loaded = true;
    },
    given(state, { payload: { command, recorded } }: PayloadAction<{ command: Command; recorded: RecordedCommand | null }>) {
      state.pending.push({ command, ackSeq: null });
      if (recorded) state.recent = [...state.recent.slice(1 - RECENT), recorded];
    },
    acknowledged(state, { payload: { id, seq } }: PayloadAction<{ id: string; seq: number }>) {
      if (seq <= state.cursor) state.pending = state.pending.filter(({ command }) => command.id !== id);
      else for (const pending of state.pending) if (pending.command.id === id) pending.ackSeq = seq;
    },
    refused(state, { payload: { id, reason } }: PayloadAction<{ id: string; reason: Reason }>) {
      const pending = state.pending.find(({ command }) => command.id === id);
      state.pending = state.pending.filter(({ command }) => command.id !== id);
      if (pending) state.refused.push({ command: pending.command, reason });
    },
    refusalPutAway(state, { payload: id }: PayloadAction<string>) {
      state.refused = state.refused.filter(({ command }) => command.id !== id);
    },
    decidesNow(state) {
      state.decides = true;
    },
    lineChanged(state, { payload }: PayloadAction<Connection>) {
      state.line = payload;
    },
    keptBeyondTab(state, { payload }: PayloadAction<boolean>) {
      state.isUnkept = !payload;
    },
    heldUp(state, { payload }: PayloadAction<string | null>) {
      state.heldUp = payload;
    },
  },
});
