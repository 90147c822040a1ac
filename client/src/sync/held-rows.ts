import { beyondWindow, epochOf, instantOf } from '@kotiva/core';
import { houseSlice } from '../store/house.ts';
import type { EnginePorts } from './engine.ts';
import { TransportError } from './ports.ts';

const { actions } = houseSlice;

/** So long after what is new is shown, what is old is let go of. */
const LET_GO_MS = 5_000;
/** So often what somebody looks at is asked for anew where the house went on meanwhile. */
const MOST_ASKED = 3;

type Ports = Pick<EnginePorts, 'store' | 'transport' | 'cache' | 'now' | 'schedule'>;

/** What a device holds of a house: what has to do with now. The rest goes by itself, and comes when somebody looks at it. */
export class HeldRows {
  private cancel: (() => void) | null = null;
  /** Where the window began when what is held was last looked through. */
  private lookedThrough = 0;
  private stopped = false;

  constructor(private readonly ports: Ports) {}

  /** Everything is there, and the window begins at `from`: about once a day it has moved. */
  windowBegins(from: number): void {
    if (from <= this.lookedThrough) return;
    this.lookedThrough = from;
    this.later(from);
  }

  /** Fetches what lies beyond the window, by the query of its address. Throws a `TransportError` where there is no line. */
  async reach(query: string): Promise<void> {
    const { transport, store } = this.ports;
    for (let asked = 0; asked < MOST_ASKED && !this.stopped; asked++) {
      const { put, seq } = await transport.beyond(query);
      // what went out of sight meanwhile must not come back
      if (seq < store.getState().cursor) continue;
      if (!this.stopped) store.dispatch(actions.reached(put));
      return;
    }
    throw new TransportError('not-now');
  }

  stop(): void {
    this.stopped = true;
    this.cancel?.();
  }

  private later(from: number): void {
    this.cancel?.();
    this.cancel = this.ports.schedule(() => this.letGo(from), LET_GO_MS);
  }

  /** Not while something waits to be sent, which may be about it. */
  private letGo(from: number): void {
    const { store, cache, now } = this.ports;
    const { pending, cursor, confirmed } = store.getState();
    if (pending.length > 0) return this.later(from);
    const gone = beyondWindow(confirmed.rows, from, dayBefore(now()));
    if (gone.length === 0) return;
    store.dispatch(actions.letGo(gone));
    void cache.letGo(gone, cursor).catch(() => undefined);
  }
}

/** The date of the day before, in UTC: no later than it is in the house. */
const dayBefore = (now: string): string => instantOf(epochOf(now) - 86_400_000).slice(0, 10);
