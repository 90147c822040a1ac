import { epochOf, instantOf } from '@kotiva/core';
import type { Clock } from '../clock.ts';

/** What could not be done: one due, one planner of a house, or all of a house. */
export interface Setback {
  houseId: string;
  kind: string;
}

interface Aside extends Setback {
  times: number;
  /** Domain time, UTC instant: not tried before. */
  until: string;
}

const FIRST_PAUSE_MS = 60_000;
const LONGEST_PAUSE_MS = 6 * 3_600_000;
/** More are not remembered: the oldest is tried again. */
const MOST = 10_000;

/**
 * What was set aside after it failed, so that it holds nothing else up: tried again after a pause that doubles each time, said once.
 * Nothing is kept over a restart: then each is tried once more.
 */
export class Setbacks {
  private readonly asides = new Map<string, Aside>();
  /** Every time something failed, since the start. */
  failures = 0;

  constructor(
    private readonly clock: Clock,
    private readonly log: (line: string, error: unknown) => void = (line, error) => console.error(line, error),
  ) {}

  add(key: string, what: Setback, error: unknown): void {
    this.failures += 1;
    const times = (this.asides.get(key)?.times ?? 0) + 1;
    if (times === 1) this.log(`${what.kind} of house ${what.houseId} was set aside:`, error);
    const pause = Math.min(FIRST_PAUSE_MS * 2 ** Math.min(times - 1, 20), LONGEST_PAUSE_MS);
    // newest last, so that the first is the oldest
    this.asides.delete(key);
    this.asides.set(key, { ...what, times, until: instantOf(epochOf(this.clock.now()) + pause) });
    if (this.asides.size > MOST) this.asides.delete(this.asides.keys().next().value!);
  }

  /** When it may be tried again; null: it is not set aside. */
  until(key: string): string | null {
    const aside = this.asides.get(key);
    return aside && aside.until > this.clock.now() ? aside.until : null;
  }

  /** It went well, or is not asked for any more. */
  clear(key: string): void {
    this.asides.delete(key);
  }

  /** How many wait to be tried again, by kind. */
  counts(): Record<string, number> {
    const counts: Record<string, number> = {};
    for (const { kind } of this.asides.values()) counts[kind] = (counts[kind] ?? 0) + 1;
    return counts;
  }
}

export const dueKey = (id: string): string => `due ${id}`;
export const plannerKey = (houseId: string, planner: string): string => `planner ${houseId} ${planner}`;
export const houseKey = (houseId: string): string => `house ${houseId}`;
