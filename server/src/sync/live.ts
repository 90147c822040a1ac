import { isHere, type Person } from '@kotiva/core';
import type { HouseRows } from '../houses/house-rows.ts';
import type { Commit, Ledger } from './apply.ts';
import type { ChangeFeed, ChangePage } from './changes.ts';

/**
 * What is sent down an open stream. `behind`: the device has to fetch what it lacks before it opens another; `full`: the account has too
 * many open; `gone`: the account is no longer in the house, the device was signed out, or the server stops. After these it ends.
 */
export type LiveEvent =
  | { event: 'changes'; page: ChangePage }
  | { event: 'clock'; now: string }
  | { event: 'beat' }
  | { event: 'behind' }
  | { event: 'full'; most: number }
  | { event: 'gone' };

/** The other end of a stream. */
export interface Sink {
  /** False: it is not read, and has no room for more. */
  send(event: LiveEvent): boolean;
  close(): void;
}

/** Streams of one account at a time. */
export const MOST_STREAMS = 20;

interface Listener {
  houseId: string;
  accountId: string;
  deviceId: string;
  cursor: number;
  sink: Sink;
}

/** Pages of one commit by person: several devices of one get the same. */
type Pages = Map<string, ChangePage>;

export interface Subscription {
  accountId: string;
  deviceId: string;
  houseId: string;
  since: number;
}

/** The open streams: after each commit every device of the house gets what its person may see of it. What was before is fetched. */
export class LiveHub {
  private readonly houses = new Map<string, Set<Listener>>();
  private readonly perAccount = new Map<string, number>();
  private isEnding = false;

  constructor(
    private readonly ledger: Ledger,
    private readonly feed: ChangeFeed,
  ) {
    ledger.onCommit((commit) => {
      const pages: Pages = new Map();
      for (const listener of [...(this.houses.get(commit.houseId) ?? [])]) this.follow(listener, commit, pages);
    });
  }

  /** Opens a stream at a cursor, which has to be where the house is. Returns how to close it, or why not. */
  open({ since, ...who }: Subscription, sink: Sink): (() => void) | LiveEvent {
    if (this.isEnding) return { event: 'gone' };
    if ((this.perAccount.get(who.accountId) ?? 0) >= MOST_STREAMS) return { event: 'full', most: MOST_STREAMS };
    if (since < this.ledger.seq(who.houseId)) return { event: 'behind' };
    const listener: Listener = { ...who, cursor: since, sink };
    this.add(listener);
    return () => this.drop(listener);
  }

  /** Ends the streams of a device that was signed out, or of all of an account. */
  signOut(accountId: string, deviceId: string | null): void {
    for (const listener of this.all()) if (listener.accountId === accountId && (deviceId === null || listener.deviceId === deviceId)) this.end(listener);
  }

  /** Tells every device what time it is, after the simulated clock was moved. */
  tellTime(now: string): void {
    for (const listener of this.all()) this.tell(listener, { event: 'clock', now });
  }

  beat(): void {
    for (const listener of this.all()) this.tell(listener, { event: 'beat' });
  }

  /** The server stops: nothing is opened any more. */
  endAll(): void {
    this.isEnding = true;
    for (const listener of this.all()) this.end(listener);
  }

  get size(): number {
    return this.all().length;
  }

  private follow(listener: Listener, commit: Commit, pages: Pages): void {
    try {
      const rows = this.ledger.rows(listener.houseId);
      const person: Person | undefined = rows.by('person', 'accountId', listener.accountId).find(isHere);
      if (!person) return this.end(listener);
      const page = pages.get(person.id) ?? sameAsAnother(this.pageFor(listener, commit, rows, person), pages);
      pages.set(person.id, page);
      listener.cursor = page.seq;
      if (page.more || page.reset) this.end(listener, { event: 'behind' });
      else this.tell(listener, { event: 'changes', page });
    } catch (error) {
      // it fetches what it lacks, and is told there what is wrong
      console.error(error);
      this.end(listener, { event: 'behind' });
    }
  }

  /** A stream is always where its house is, so that the commit is all it lacks; were it not, what it lacks is looked up. */
  private pageFor(listener: Listener, commit: Commit, rows: HouseRows, person: Person): ChangePage {
    if (listener.cursor === commit.since) return this.feed.ofCommit(rows, person, commit);
    return this.feed.page(rows, person, { since: listener.cursor, until: commit.seq, from: commit.from, now: this.ledger.now() });
  }

  /** Who does not read what is sent to them is cut off, and fetches it later. */
  private tell(listener: Listener, event: LiveEvent): void {
    if (!listener.sink.send(event)) this.end(listener, { event: 'behind' });
  }

  private end(listener: Listener, why: LiveEvent = { event: 'gone' }): void {
    this.drop(listener);
    listener.sink.send(why);
    listener.sink.close();
  }

  private add(listener: Listener): void {
    const { houseId, accountId } = listener;
    this.houses.set(houseId, (this.houses.get(houseId) ?? new Set()).add(listener));
    this.perAccount.set(accountId, (this.perAccount.get(accountId) ?? 0) + 1);
  }

  private drop(listener: Listener): void {
    const { houseId, accountId } = listener;
    const ofHouse = this.houses.get(houseId);
    if (!ofHouse?.delete(listener)) return;
    if (ofHouse.size === 0) this.houses.delete(houseId);
    const left = this.perAccount.get(accountId)! - 1;
    if (left > 0) this.perAccount.set(accountId, left);
    else this.perAccount.delete(accountId);
  }

  private all(): Listener[] {
    return [...this.houses.values()].flatMap((ofHouse) => [...ofHouse]);
  }
}

/** The page another person gets already, where it says the very same: it is written out once for all of them. */
function sameAsAnother(page: ChangePage, pages: Pages): ChangePage {
  const isSame = (other: ChangePage) =>
    other.seq === page.seq &&
    other.more === page.more &&
    other.reset === page.reset &&
    other.put.length === page.put.length &&
    other.evict.length === page.evict.length &&
    // rows as they are held are one and the same; what was left out of one makes it another
    other.put.every(({ row }, nth) => row === page.put[nth]!.row) &&
    other.evict.every(({ noun, id }, nth) => noun === page.evict[nth]!.noun && id === page.evict[nth]!.id);
  return [...pages.values()].find(isSame) ?? page;
}
