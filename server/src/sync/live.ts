import { isHere, type Person } from '@kotiva/core';
import type { Ledger } from './apply.ts';
import type { ChangeFeed, Page } from './changes.ts';

/** What is sent down an open stream. `gone`: the account is no longer in the house, or the device was signed out. */
export type LiveEvent = { event: 'changes'; page: Page } | { event: 'clock'; now: string } | { event: 'beat' } | { event: 'gone' };

interface Listener {
  houseId: string;
  accountId: string;
  deviceId: string;
  cursor: number;
  send(event: LiveEvent): void;
}

/** Pages of one commit, by person and cursor. */
type Pages = Map<string, Page>;

export interface Subscription {
  accountId: string;
  deviceId: string;
  houseId: string;
  since: number;
}

/** The open streams: after each commit every device of the house gets what its person may see of it. */
export class LiveHub {
  private readonly listeners = new Set<Listener>();

  constructor(
    private readonly ledger: Ledger,
    private readonly feed: ChangeFeed,
  ) {
    ledger.onCommit((houseId, seq) => {
      // several devices of one person stand at the same place: what they get is worked out once
      const pages: Pages = new Map();
      for (const listener of this.listeners) if (listener.houseId === houseId) this.catchUp(listener, seq, pages);
    });
  }

  /** Opens a stream at a cursor: what was missed comes first. Returns how to close it. */
  open({ since, ...who }: Subscription, send: (event: LiveEvent) => void): () => void {
    const listener: Listener = { ...who, cursor: since, send };
    this.listeners.add(listener);
    this.catchUp(listener, this.ledger.seq(who.houseId));
    return () => this.listeners.delete(listener);
  }

  /** Ends the streams of a device that was signed out, or of all of an account. */
  signOut(accountId: string, deviceId: string | null): void {
    for (const listener of [...this.listeners]) {
      if (listener.accountId === accountId && (deviceId === null || listener.deviceId === deviceId)) this.end(listener);
    }
  }

  /** Tells every device what time it is, after the simulated clock was moved. */
  tellTime(now: string): void {
    for (const listener of this.listeners) listener.send({ event: 'clock', now });
  }

  beat(): void {
    for (const listener of this.listeners) listener.send({ event: 'beat' });
  }

  get size(): number {
    return this.listeners.size;
  }

  private catchUp(listener: Listener, until: number, pages: Pages = new Map()): void {
    const rows = this.ledger.rows(listener.houseId);
    const person: Person | undefined = rows.by('person', 'accountId', listener.accountId).find(isHere);
    if (!person) return this.end(listener);
    while (listener.cursor < until) {
      const place = `${person.id}:${listener.cursor}`;
      const page = pages.get(place) ?? this.feed.page(rows, person, listener.cursor, until);
      pages.set(place, page);
      listener.cursor = page.seq;
      listener.send({ event: 'changes', page });
    }
  }

  private end(listener: Listener): void {
    listener.send({ event: 'gone' });
    this.listeners.delete(listener);
  }
}
