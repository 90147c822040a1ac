import type { Command, Note, Reason } from '@kotiva/core';
import type { ChangePage, RowsByNoun } from '../store/house.ts';

export type CommandOutcome = { id: string; outcome: 'accepted'; seq: number; notes: Note[] } | { id: string; outcome: 'refused'; reason: Reason };

/**
 * Why the server would not talk: no network or `not-now` (worth trying again), or it will not have this device or person. `code`: what it
 * said stands in the way for now.
 */
export class TransportError extends Error {
  constructor(
    readonly kind: 'offline' | 'not-now' | 'signed-out' | 'not-a-member' | 'too-large',
    readonly code: string | null = null,
  ) {
    super(kind);
  }
}

export interface LiveHandlers {
  page(page: ChangePage): void;
  clock(now: string): void;
  /** The stream said that this device or person is out, or that the server stops. */
  gone(): void;
  /** What has changed meanwhile has to be fetched before another is opened. */
  behind(): void;
  /** The account has as many open as it may. */
  full(): void;
  /** The stream broke, or fell silent. */
  broken(): void;
}

/** The wire. Failures are thrown as `TransportError`. */
export interface Transport {
  send(commands: readonly Command[]): Promise<{ outcomes: CommandOutcome[]; now: string }>;
  /**
   * A page of changes: also tells whether this device is still let in. A page with `reset` begins everything anew: those after it are
   * asked for as `fresh`, as are those of a device that has nothing yet.
   */
  changes(since: number, fresh: boolean): Promise<ChangePage & { more: boolean; now: string }>;
  /** What somebody looks at beyond what the device holds, by the query of its address: whole clusters, as of `seq`. */
  beyond(query: string): Promise<Pick<ChangePage, 'seq' | 'put'>>;
  /** Opens the live stream at a cursor, which is where the house is; returns how to close it. */
  live(since: number, handlers: LiveHandlers): () => void;
}

export interface Kept {
  confirmed: RowsByNoun;
  cursor: number;
  commands: KeptCommand[];
}

/** A command as the device keeps it, one record each: it waits to be sent, is acknowledged, or was refused. */
export interface KeptCommand {
  /** They are sent in this order; several tabs may give two the same. */
  order: number;
  command: Command;
  ackSeq: number | null;
  reason: Reason | null;
}

/**
 * What the device keeps of one account × house, for all its tabs. It never goes back: a page the kept cursor has passed is in it already,
 * and a command whose acknowledgement it has passed is none any more.
 */
export interface Cache {
  load(): Promise<Kept | null>;
  /** Keeps a page of what came after `since`; one that would leave a gap is not kept. */
  page(page: ChangePage, since: number): Promise<void>;
  /** Lets go of rows that needn't be held, unless what is kept has gone on since `cursor`: one of them may have come back. */
  letGo(rows: ChangePage['evict'], cursor: number): Promise<void>;
  /** Keeps some commands as they now stand, and others no longer. Rejects where they are not kept beyond this tab. */
  commands(put: readonly KeptCommand[], drop: readonly string[]): Promise<void>;
  forget(): Promise<void>;
}
