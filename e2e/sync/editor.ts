import { configureStore, type EnhancedStore } from '@reduxjs/toolkit';
import { decide } from '@kotiva/core/commands';
import { isHere, NOUNS, type CommandName, type Command, type MemoryRows, type Noun, type Payload, type Person, type Row } from '@kotiva/core';
import { deciding } from '@/store/deciding.ts';
import { houseSlice, type ChangePage, type HouseState } from '@/store/house.ts';
import { selectRows } from '@/store/rows.ts';
import { SyncEngine, type Submission } from '@/sync/engine.ts';
import { idbCache } from '@/sync/idb-cache.ts';
import { TransportError, type Cache, type LiveHandlers, type CommandOutcome, type Transport } from '@/sync/ports.ts';
import type { Random } from './random.ts';
import type { RealServer } from '../../server/src/testing/real-server.ts';

deciding.bring(decide);

/** How bad the line is: the chance of each fault per request. */
export interface Faults {
  unsent: number;
  lostAck: number;
  reordered: number;
}

/** One tab of one person's device: the client's own engine, store and kept copy, a line that fails, a clock that is asked for nothing. */
export class Editor {
  readonly store: EnhancedStore<HouseState>;
  private engine!: SyncEngine;
  private cache!: Cache;
  /** No line at all. */
  private cut = false;
  private handlers: LiveHandlers | null = null;
  private tasks = new Set<() => void>();
  private held: CommandOutcome[] | null = null;
  ended: string | null = null;
  faults: Faults = { unsent: 0, lostAck: 0, reordered: 0 };
  pageRows = 500;

  constructor(
    private readonly server: RealServer,
    private readonly random: Random,
    readonly name: string,
    private readonly houseId: string,
    private readonly who: { accountId: string; cookie: string },
  ) {
    this.store = configureStore({ reducer: houseSlice.reducer, middleware: (defaults) => defaults({ immutableCheck: false, serializableCheck: false }) });
  }

  async open(): Promise<void> {
    // as every tab does: its own way to the one copy the device keeps
    this.cache = idbCache(this.who.accountId, this.houseId);
    this.engine = new SyncEngine({
      store: this.store,
      transport: this.transport(),
      cache: this.cache,
      accountId: this.who.accountId,
      houseId: this.houseId,
      newId: () => this.random.uuid(),
      now: () => new Date().toISOString(),
      serverTime: () => undefined,
      noted: () => undefined,
      fetchDeciding: deciding.fetch,
      ended: (why) => (this.ended = why),
      schedule: (task) => {
        this.tasks.add(task);
        return () => this.tasks.delete(task);
      },
    });
    await this.engine.start();
    await this.settleFollowing();
  }

  /** The tab is closed and opened again: what the device kept is all there is. */
  async reload(): Promise<void> {
    this.engine.stop();
    await this.settleSending();
    await this.settleKept();
    this.tasks.clear();
    await this.open();
  }

  /** The same without a line: nothing but what the device kept. */
  async reloadWithoutLine(): Promise<void> {
    this.cut = true;
    await this.reload();
  }

  private async settleKept(): Promise<void> {
    await (this.engine as unknown as { keeping: Promise<void> }).keeping;
    // a page that is still being written is waited for by the next
    await this.cache.page({ seq: 0, from: 0, put: [], evict: [] }, 0).catch(() => undefined);
  }

  async forget(): Promise<void> {
    await this.settleKept();
    await this.cache.forget();
  }

  give<N extends CommandName>(name: N, payload: Payload<N>): Submission {
    return this.engine.submit(name, payload);
  }

  get rows(): MemoryRows {
    return selectRows(this.store.getState());
  }

  get me(): Person | undefined {
    return this.rows.by('person', 'accountId', this.who.accountId).find(isHere);
  }

  /** Fetches one page, as the live stream would push it. */
  async pull(): Promise<boolean> {
    const page = await this.fetchPage(this.store.getState().cursor, false);
    if (!page) return false;
    if (page.reset) {
      // the stream ends, and everything is fetched anew
      this.handlers?.behind();
      await this.settleFollowing();
      return false;
    }
    this.handlers?.page(page);
    return page.more;
  }

  /** Runs whatever waits for its time: retries. */
  async runTasks(): Promise<void> {
    const due = [...this.tasks];
    this.tasks.clear();
    for (const task of due) task();
    await this.settleSending();
  }

  private async settleFollowing(): Promise<void> {
    while ((this.engine as unknown as { following: boolean }).following) await new Promise((resolve) => setImmediate(resolve));
  }

  async settleSending(): Promise<void> {
    while ((this.engine as unknown as { sending: boolean }).sending) await new Promise((resolve) => setImmediate(resolve));
  }

  /** Everything sent, everything received. */
  async catchUp(): Promise<void> {
    this.faults = { unsent: 0, lostAck: 0, reordered: 0 };
    for (let round = 0; round < 50; round++) {
      await this.settleSending();
      await this.runTasks();
      await this.engine.flush();
      await this.settleSending();
      while (await this.pull());
      if (this.ended || this.store.getState().pending.length === 0) return;
    }
    throw new Error(`${this.name} still has ${this.store.getState().pending.length} commands waiting`);
  }

  confirmed(): Map<string, Row> {
    const { confirmed } = this.store.getState();
    return new Map(NOUNS.flatMap((noun: Noun) => confirmed.rows.all(noun).map((row) => [`${noun}:${row.id}`, row] as const)));
  }

  stop(): void {
    this.engine.stop();
  }

  private transport(): Transport {
    return {
      send: async (commands) => {
        if (this.cut || this.random.chance(this.faults.unsent)) throw new TransportError('offline');
        const answer = await this.post(commands);
        if (this.random.chance(this.faults.lostAck)) throw new TransportError('offline');
        return { ...answer, outcomes: this.reorder(answer.outcomes) };
      },
      changes: async (since, fresh) => {
        if (this.cut) throw new TransportError('offline');
        return (await this.fetchPage(since, fresh)) ?? Promise.reject(new TransportError('not-a-member'));
      },
      beyond: async (query) => {
        const response = await this.server.fetch(`/api/houses/${this.houseId}/beyond?${query}`, { headers: { cookie: this.who.cookie } });
        if (!response.ok) throw new TransportError('offline');
        return (await response.json()) as ChangePage;
      },
      live: (_since, handlers) => {
        this.handlers = handlers;
        return () => (this.handlers = null);
      },
    };
  }

  /** Acknowledgements may come in another order, and some only with the next ones. */
  private reorder(outcomes: CommandOutcome[]): CommandOutcome[] {
    const all = [...(this.held ?? []), ...outcomes];
    this.held = null;
    if (!this.random.chance(this.faults.reordered)) return all;
    this.held = all.splice(this.random.below(all.length), 1);
    return all.reverse();
  }

  private async post(commands: readonly Command[]): Promise<{ outcomes: CommandOutcome[]; now: string }> {
    const headers = { 'content-type': 'application/json', cookie: this.who.cookie };
    const response = await this.server.fetch('/api/commands', { method: 'POST', headers, body: JSON.stringify({ commands }) }).catch(() => {
      throw new TransportError('offline');
    });
    if (!response.ok) throw new Error(`${response.status} ${await response.text()}`);
    return (await response.json()) as { outcomes: CommandOutcome[]; now: string };
  }

  private async fetchPage(since: number, fresh: boolean) {
    const response = await this.server.fetch(`/api/houses/${this.houseId}/changes?since=${since}&limit=${this.pageRows}${fresh ? '&fresh=1' : ''}`, {
      headers: { cookie: this.who.cookie },
    });
    if (response.status === 403) {
      this.ended = 'not-a-member';
      return null;
    }
    if (!response.ok) throw new Error(`${response.status} ${await response.text()}`);
    return (await response.json()) as {
      seq: number;
      more: boolean;
      from: number;
      reset?: boolean;
      put: { noun: Noun; row: Row }[];
      evict: { noun: Noun; id: string }[];
      now: string;
    };
  }
}
