import type { Command, Note, Reason } from '@kotiva/core';
import type { HouseState, Page } from '../store/house.ts';

export type Outcome = { id: string; outcome: 'accepted'; seq: number; notes: Note[] } | { id: string; outcome: 'refused'; reason: Reason };

/** Why the server would not talk: no network (worth trying again), or it will not have this device or person. */
export class TransportError extends Error {
  constructor(readonly kind: 'offline' | 'signed-out' | 'not-a-member' | 'too-large') {
    super(kind);
  }
}

export interface LiveHandlers {
  page(page: Page): void;
  clock(now: string): void;
  /** The stream said that this device or person is out. */
  gone(): void;
  /** The stream broke, or fell silent. */
  broken(): void;
}

/** The wire. Failures are thrown as `TransportError`. */
export interface Transport {
  send(commands: readonly Command[]): Promise<{ outcomes: Outcome[]; now: string }>;
  /** A page of changes: also tells whether this device is still let in. */
  changes(since: number): Promise<Page & { more: boolean; now: string }>;
  /** Opens the live stream at a cursor; returns how to close it. */
  live(since: number, handlers: LiveHandlers): () => void;
}

export type Kept = Pick<HouseState, 'confirmed' | 'cursor' | 'pending' | 'refused'>;

/** What the device keeps of one account × house. */
export interface Cache {
  load(): Promise<Kept | null>;
  page(page: Page): Promise<void>;
  pending(pending: HouseState['pending'], refused: HouseState['refused']): Promise<void>;
  forget(): Promise<void>;
}
