import { epochOf } from '@kotiva/core';
import { eq } from 'drizzle-orm';
import { Temporal } from 'temporal-polyfill';
import type { Db } from './db/open.ts';
import { setting } from './db/schema.ts';

/** Domain time: what is due, late and checked off is judged by it. Sessions, limits and ids use the machine's own. */
export interface Clock {
  /** UTC instant with milliseconds. */
  now(): string;
}

export const realClock: Clock = { now: () => new Date().toISOString() };

const KEY = 'clock-ahead-ms';

/** A clock that can be set forward, never back, and keeps its lead over a restart. */
export class SimulatedClock implements Clock {
  private aheadMs: number;

  constructor(private readonly db: Db) {
    this.aheadMs = Number(db.select().from(setting).where(eq(setting.key, KEY)).get()?.value ?? 0);
  }

  now(): string {
    return new Date(Date.now() + this.aheadMs).toISOString();
  }

  /** Moves to an instant. Returns false, and does nothing, if that lies in the past. */
  moveTo(instant: string): boolean {
    const ahead = epochOf(instant) - Date.now();
    if (ahead < this.aheadMs) return false;
    this.aheadMs = ahead;
    this.db
      .insert(setting)
      .values({ key: KEY, value: String(ahead) })
      .onConflictDoUpdate({ target: setting.key, set: { value: String(ahead) } })
      .run();
    return true;
  }

  /** The instant an ISO 8601 duration from now, days counted in UTC. */
  after(duration: string): string {
    const step = Temporal.Duration.from(duration);
    const moved = Temporal.Instant.from(this.now()).toZonedDateTimeISO('UTC').add(step);
    return moved.toInstant().toString({ fractionalSecondDigits: 3 });
  }
}
