import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { MemoryRows, NOUNS, type Command, type Noun, type Reason, type RecordedCommand, type Row } from '@kotiva/core';

/** Rows as a device keeps them. */
export type RowsByNoun = { [N in Noun]: Record<string, Row<N>> };

/**
 * What the server has confirmed. The rows are one store for as long as the house is open, which takes what changed and nothing else;
 * whenever it has, this is another object, so that whoever remembers what they made of it makes it anew.
 */
export interface Confirmed {
  rows: MemoryRows;
}

/** A command given here: in the overlay until its acknowledged seq has been applied. */
export interface Pending {
  command: Command;
  /** Set once the server accepted it. */
  ackSeq: number | null;
  /** What it changed has come already, before the server’s answer to it. */
  hasCome?: boolean;
}

/** A command that did not apply: kept with its reason until its maker puts it away. */
export interface Refused {
  command: Command;
  reason: Reason;
}

export interface ChangePage {
  seq: number;
  /** What nobody has to do with and was last written no later than this the device need not hold: see `beyondWindow`. */
  from: number;
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
  confirmed: Confirmed;
  cursor: number;
  /** Where what this device holds begins; 0: it holds everything, as far as is known. */
  from: number;
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

const nothing = (): Confirmed => ({ rows: new MemoryRows('seen') });

function confirmedOf(kept: RowsByNoun): Confirmed {
  const { rows } = nothing();
  for (const noun of NOUNS) for (const row of Object.values(kept[noun])) rows.put(noun, row);
  return { rows };
}

/** Takes what came into the store it goes into, which is no older than what is there. */
function taken({ rows }: Confirmed, { put, evict }: Pick<ChangePage, 'put' | 'evict'>): Confirmed {
  for (const { noun, row } of put) {
    const held = rows.find(noun, row.id);
    if (held === undefined || held.seq <= row.seq) rows.put(noun, Object.freeze(row));
  }
  for (const { noun, id } of evict) rows.evict(noun, id);
  return { rows };
}

/** The commands these rows say they were written by. A page holds all that one commit wrote, or none of it. */
const writersOf = (put: ChangePage['put']): Set<string> => new Set(put.flatMap(({ row }) => Object.values(row.stamps).map(({ c }) => c)));

const closed = (): HouseState => ({
  houseId: null,
  accountId: null,
  confirmed: nothing(),
  cursor: 0,
  from: 0,
  pending: [],
  refused: [],
  recent: [],
  line: 'connecting',
  heldUp: null,
  isUnkept: false,
  decides: false,
  loaded: false,
});

type Opened = Pick<HouseState, 'houseId' | 'accountId' | 'cursor' | 'pending' | 'refused' | 'loaded'> & { confirmed: RowsByNoun };

export const houseSlice = createSlice({
  name: 'house',
  initialState: closed,
  reducers: {
    /** A house is opened from what the device kept of it. */
    opened(state, { payload: { confirmed, ...payload } }: PayloadAction<Opened>) {
      return { ...closed(), ...payload, confirmed: confirmedOf(confirmed), decides: state.decides };
    },
    closed,
    pageApplied(state, { payload: { put, evict, seq, from, reset } }: PayloadAction<ChangePage>) {
      if (reset) Object.assign(state, { confirmed: nothing(), cursor: 0 });
      if (state.pending.length > 0) {
        const written = writersOf(put);
        for (const pending of state.pending) pending.hasCome = written.has(pending.command.id) || (!reset && pending.hasCome);
      }
      state.confirmed = taken(state.confirmed as Confirmed, { put, evict }) as typeof state.confirmed;
      state.cursor = Math.max(state.cursor, seq);
      state.from = Math.max(state.from, from);
      state.pending = state.pending.filter(({ ackSeq }) => ackSeq === null || ackSeq > state.cursor);
      state.loaded = true;
    },
    /** Rows the device need not hold came because somebody looks at them. */
    reached(state, { payload: put }: PayloadAction<ChangePage['put']>) {
      state.confirmed = taken(state.confirmed as Confirmed, { put, evict: [] }) as typeof state.confirmed;
    },
    /** Rows the device need not hold any more went. */
    letGo(state, { payload: evict }: PayloadAction<ChangePage['evict']>) {
      state.confirmed = taken(state.confirmed as Confirmed, { put: [], evict }) as typeof state.confirmed;
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
