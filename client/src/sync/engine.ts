import type { Command, CommandName, Note, Payload, Reason } from '@kotiva/core';
import { houseSlice, noRows, type HouseState, type ChangePage } from '../store/house.ts';
import { decideNext, recordHere } from '../store/rows.ts';
import { Collected } from './collected.ts';
import { HeldRows } from './held-rows.ts';
import { commandsOf, KeptCommands } from './kept-commands.ts';
import { TransportError, type Cache, type CommandOutcome, type Transport } from './ports.ts';

const { actions } = houseSlice;

export interface EngineStore {
  getState(): HouseState;
  dispatch(action: { type: string }): unknown;
}

export interface EnginePorts {
  store: EngineStore;
  transport: Transport;
  cache: Cache;
  accountId: string;
  houseId: string;
  newId(): string;
  /** Domain time on this device: its clock and the last known offset to the server. */
  now(): string;
  /** The server told the time. */
  serverTime(now: string): void;
  /** Something to say about a command that was accepted. */
  noted(id: string, notes: Note[]): void;
  /** Resolves once commands can be decided on this device; `soon`: not before the screen is drawn. Rejects where it can't be fetched now. */
  fetchDeciding(when: 'now' | 'soon'): Promise<unknown>;
  /** Signed out here, or no longer in the house. */
  ended(why: 'signed-out' | 'not-a-member'): void;
  schedule(task: () => void, afterMs: number): () => void;
}

const FIRST_WAIT_MS = 500;
const LONGEST_WAIT_MS = 30_000;
const AT_ONCE = 50;
/** So long a house is not shown for what is still to be fetched. */
const LONGEST_HELD_MS = 3_000;
/** As many rows as a house usually has: pages that follow each other are shown together up to here, since each of them draws the screen anew. */
const ROWS_AT_ONCE = 4_000;

export type Submission = { id: string; refused: null; notes: Note[] } | { id: null; refused: Reason };

interface Beginning {
  collected: Collected;
  since: number;
  /** What was held before goes once all of it has come. */
  isAnew: boolean;
}

/**
 * Keeps one house of one account in step with the server: commands are decided here at once, queued until acknowledged,
 * sent in order and as often as it takes; changes come down the live stream.
 */
export class SyncEngine {
  private sending = false;
  private closeLive: (() => void) | null = null;
  private cancelRetry: (() => void) | null = null;
  private cancelReopen: (() => void) | null = null;
  /** What has come so far to a device that begins; null: it has what it is to hold. */
  private beginning: Beginning | null = null;
  /** How many commands go in one request: fewer after one was too large. */
  private most = AT_ONCE;
  private sendWait = FIRST_WAIT_MS;
  private liveWait = FIRST_WAIT_MS;
  private stopped = false;
  private following = false;
  private wasGone = false;
  private readonly kept = new KeptCommands();
  private keeping: Promise<void> = Promise.resolve();
  private readonly settling = new Map<string, (outcome: CommandOutcome) => void>();

  private readonly held: HeldRows;

  constructor(private readonly ports: EnginePorts) {
    this.held = new HeldRows(ports);
  }

  async start(): Promise<void> {
    const { store, cache, accountId, houseId } = this.ports;
    const kept = await cache.load().catch(() => null);
    if (kept && kept.commands.length > 0) await this.withinReason(this.decidesHere('now'));
    if (this.stopped) return;
    const { confirmed, cursor, commands } = kept ?? { confirmed: noRows(), cursor: 0, commands: [] };
    this.kept.begin(commands);
    store.dispatch(actions.opened({ houseId, accountId, confirmed, cursor, ...commandsOf(commands, cursor), loaded: cursor > 0 }));
    void this.keepCommands();
    void this.follow();
    void this.flush();
    void this.decidesHere('soon');
  }

  /** A network that neither answers nor fails keeps nobody from what is on the device. */
  private async withinReason(task: Promise<void>): Promise<void> {
    let cancel = (): void => undefined;
    const late = new Promise<void>((go) => (cancel = this.ports.schedule(go, LONGEST_HELD_MS)));
    await Promise.race([task, late]);
    cancel();
  }

  /** What waits shows in the rows from then on. Without a line it is tried again when there is one. */
  private async decidesHere(when: 'now' | 'soon'): Promise<void> {
    const { store, fetchDeciding } = this.ports;
    const isHere = await fetchDeciding(when).then(
      () => true,
      () => false,
    );
    if (isHere && !store.getState().decides) store.dispatch(actions.decidesNow());
  }

  stop(): void {
    this.stopped = true;
    this.closeLive?.();
    this.cancelRetry?.();
    this.cancelReopen?.();
    this.held.stop();
  }

  /** Gives a command: decided here (if that can be done yet), shown at once, sent as soon as there is a line. What is refused here is not sent. */
  submit<N extends CommandName>(name: N, payload: Payload<N>, batchId?: string): Submission {
    const { store, houseId } = this.ports;
    const state = store.getState();
    const command = { id: this.ports.newId(), houseId, name, payload, at: this.ports.now(), seen: state.cursor, batchId } as Command;
    const { decision, rows } = decideNext(command, state);
    if (decision.outcome === 'refused') return { id: null, refused: decision.reason };
    store.dispatch(actions.given({ command, recorded: recordHere(command, decision, rows) }));
    void this.keepCommands();
    void this.flush();
    if (!state.decides) void this.decidesHere('now');
    return { id: command.id, refused: null, notes: decision.outcome === 'accepted' ? decision.notes : [] };
  }

  /** What the server said to a command; waits as long as it takes. */
  outcome(id: string): Promise<CommandOutcome> {
    return new Promise((resolve) => this.settling.set(id, resolve));
  }

  /** The network may be back: no need to wait any longer. */
  wake(): void {
    this.sendWait = FIRST_WAIT_MS;
    this.liveWait = FIRST_WAIT_MS;
    if (this.cancelRetry) {
      this.cancelRetry();
      this.cancelRetry = null;
      void this.flush();
    }
    if (this.cancelReopen) {
      this.cancelReopen();
      this.cancelReopen = null;
      void this.follow();
    }
  }

  /** Fetches what somebody looks at beyond what the device holds. Throws where there is no line. */
  readonly reach = (query: string): Promise<void> => this.held.reach(query);

  putAwayRefusal(id: string): void {
    this.ports.store.dispatch(actions.refusalPutAway(id));
    void this.keepCommands();
  }

  /** Sends what waits, oldest first, until nothing does. */
  async flush(): Promise<void> {
    if (this.sending || this.stopped) return;
    this.sending = true;
    try {
      for (let waiting = this.waiting(); waiting.length > 0 && !this.stopped; waiting = this.waiting()) {
        await this.send(waiting.slice(0, this.most));
        await this.keepCommands();
      }
    } catch (error) {
      this.failed(error);
    } finally {
      this.sending = false;
    }
  }

  private async send(commands: Command[]): Promise<void> {
    try {
      const { outcomes, now } = await this.ports.transport.send(commands);
      this.sendWait = FIRST_WAIT_MS;
      this.most = AT_ONCE;
      this.ports.serverTime(now);
      this.heldUpBy(null);
      for (const outcome of outcomes) this.settle(outcome);
    } catch (error) {
      if (!(error instanceof TransportError) || error.kind !== 'too-large') throw error;
      // sent in smaller parts; what is too large by itself will never go
      if (commands.length > 1) this.most = Math.ceil(commands.length / 2);
      else this.settle({ id: commands[0]!.id, outcome: 'refused', reason: { code: 'too-large', params: {} } });
    }
  }

  private waiting(): Command[] {
    return this.ports.store
      .getState()
      .pending.filter(({ ackSeq }) => ackSeq === null)
      .map(({ command }) => command);
  }

  private settle(outcome: CommandOutcome): void {
    const { store } = this.ports;
    if (outcome.outcome === 'accepted') {
      store.dispatch(actions.acknowledged({ id: outcome.id, seq: outcome.seq }));
      if (outcome.notes.length > 0) this.ports.noted(outcome.id, outcome.notes);
    } else {
      store.dispatch(actions.refused({ id: outcome.id, reason: outcome.reason }));
    }
    this.settling.get(outcome.id)?.(outcome);
    this.settling.delete(outcome.id);
  }

  private failed(error: unknown): void {
    if (this.stopped) return;
    if (error instanceof TransportError && (error.kind === 'signed-out' || error.kind === 'not-a-member')) return this.end(error.kind);
    // there is a line, but what waits is not taken for now
    const heldUp = error instanceof TransportError && error.kind === 'not-now' ? (error.code ?? 'not-now') : null;
    this.heldUpBy(heldUp);
    if (heldUp === null) this.ports.store.dispatch(actions.lineChanged('offline'));
    this.cancelRetry = this.ports.schedule(() => {
      this.cancelRetry = null;
      void this.flush();
    }, this.sendWait);
    this.sendWait = Math.min(this.sendWait * 2, LONGEST_WAIT_MS);
  }

  /** Fetches what was missed, then opens the stream where that ends. A stream does not say why it failed; a plain request does. */
  private async follow(): Promise<void> {
    if (this.following || this.stopped) return;
    this.following = true;
    try {
      await this.catchUp();
      if (!this.stopped) this.openLive();
    } catch (error) {
      if (this.stopped) return;
      if (error instanceof TransportError && (error.kind === 'signed-out' || error.kind === 'not-a-member')) this.end(error.kind);
      else this.reopenLater();
    } finally {
      this.following = false;
    }
  }

  /**
   * Page by page. Where everything begins anew it is shown once all of it is there; else what has come is shown once it is enough for a
   * screen that doesn't build up before one's eyes, or as far as it came when the line broke. What came before the line broke is not
   * asked for again.
   */
  private async catchUp(): Promise<void> {
    const { store, transport } = this.ports;
    const { cursor } = store.getState();
    let beginning = this.goesOn(cursor);
    const { collected } = beginning ?? { collected: new Collected() };
    let since = beginning?.since ?? cursor;
    try {
      for (let more = true; more && !this.stopped;) {
        const { put, evict, seq, reset, now, from, ...page } = await transport.changes(since, beginning !== null);
        if (reset) {
          collected.forget();
          beginning = this.beginning = { collected, since: 0, isAnew: true };
        }
        more = page.more;
        since = seq;
        if (beginning) beginning.since = seq;
        this.ports.serverTime(now);
        collected.take({ put, evict });
        if (more && (beginning?.isAnew || collected.size < ROWS_AT_ONCE)) continue;
        // of what came in part it can't be said yet whether it is to be held
        this.applyPage({ ...collected.given(), seq, from: more ? 0 : from, ...(beginning?.isAnew ? { reset: true } : {}) });
      }
      this.beginning = null;
    } catch (error) {
      if (!beginning?.isAnew && collected.size > 0) this.applyPage({ ...collected.given(), seq: since, from: 0 });
      throw error;
    }
  }

  /** A device that has nothing yet, or had not had all of it when the line broke. */
  private goesOn(cursor: number): Beginning | null {
    if (this.beginning && !this.beginning.isAnew && this.beginning.since !== cursor) this.beginning = null;
    if (cursor === 0) this.beginning ??= { collected: new Collected(), since: 0, isAnew: false };
    return this.beginning;
  }

  private applyPage(page: ChangePage): void {
    if (this.stopped) return;
    const since = this.ports.store.getState().cursor;
    this.ports.store.dispatch(actions.pageApplied(page));
    void this.ports.cache.page(page, since).catch(() => undefined);
    void this.keepCommands();
    this.held.windowBegins(page.from);
  }

  private openLive(): void {
    const { store, transport } = this.ports;
    this.closeLive?.();
    this.closeLive = transport.live(store.getState().cursor, {
      page: (page) => {
        this.liveWait = FIRST_WAIT_MS;
        this.applyPage(page);
        this.lineIs('live');
      },
      clock: (now) => {
        this.ports.serverTime(now);
        this.wasGone = false;
        if (this.ports.store.getState().heldUp === 'too-many-streams') this.heldUpBy(null);
        this.lineIs('live');
      },
      behind: () => void this.follow(),
      // what changes is fetched every while instead
      full: () => {
        this.heldUpBy('too-many-streams');
        this.liveWait = LONGEST_WAIT_MS;
        this.reopenLater();
      },
      // asked at once what it means; a server that stops says so again, and is asked more rarely
      gone: () => {
        if (this.wasGone) return this.reopenLater();
        this.wasGone = true;
        void this.follow();
      },
      broken: () => this.reopenLater(),
    });
  }

  private heldUpBy(code: string | null): void {
    if (this.ports.store.getState().heldUp !== code) this.ports.store.dispatch(actions.heldUp(code));
  }

  private lineIs(line: HouseState['line']): void {
    if (this.ports.store.getState().line === line) return;
    this.ports.store.dispatch(actions.lineChanged(line));
    if (line === 'live') {
      this.wake();
      if (!this.ports.store.getState().decides) void this.decidesHere('soon');
    }
  }

  private reopenLater(): void {
    this.closeLive?.();
    this.closeLive = null;
    if (this.stopped || this.cancelReopen) return;
    if (this.ports.store.getState().heldUp !== 'too-many-streams') this.ports.store.dispatch(actions.lineChanged('offline'));
    this.cancelReopen = this.ports.schedule(() => {
      this.cancelReopen = null;
      void this.follow();
    }, this.liveWait);
    this.liveWait = Math.min(this.liveWait * 2, LONGEST_WAIT_MS);
  }

  private end(why: 'signed-out' | 'not-a-member'): void {
    this.stop();
    this.ports.ended(why);
  }

  /** One after the other, each what has changed by then: a tap is on the disk as soon as the one before is. */
  private keepCommands(): Promise<void> {
    this.keeping = this.keeping.then(async () => {
      const { pending, refused, isUnkept } = this.ports.store.getState();
      const { put, drop, done } = this.kept.changesTo({ pending, refused });
      if (put.length === 0 && drop.length === 0) return;
      const isKept = await this.ports.cache.commands(put, drop).then(
        () => true,
        () => false,
      );
      if (isKept) done();
      if (isKept === isUnkept && !this.stopped) this.ports.store.dispatch(actions.keptBeyondTab(isKept));
    });
    return this.keeping;
  }
}
