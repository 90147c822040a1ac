interface Window {
  attempts: number;
  until: number;
}

/** Keys remembered at a time: beyond, those whose window has ended go first, then the oldest. */
const MOST_KEYS = 10_000;

/** Counts attempts in windows of real time, per key: sign-ins, look-ups. What is counted is forgotten at a restart. */
export class AttemptLimit {
  private readonly windows = new Map<string, Window>();

  constructor(
    private readonly most: number,
    private readonly minutes: number,
    private readonly nowMs: () => number = Date.now,
  ) {}

  /** Minutes to wait before the next attempt; 0 when one is allowed. */
  wait(key: string): number {
    const window = this.windows.get(key);
    if (!window || window.until <= this.nowMs() || window.attempts < this.most) return 0;
    return Math.max(1, Math.ceil((window.until - this.nowMs()) / 60_000));
  }

  count(key: string): void {
    const now = this.nowMs();
    const window = this.windows.get(key);
    if (window && window.until > now) window.attempts += 1;
    else this.windows.set(key, { attempts: 1, until: now + this.minutes * 60_000 });
    if (this.windows.size > MOST_KEYS) this.thin(now);
  }

  /** An attempt that was counted beforehand and went well. */
  refund(key: string): void {
    const window = this.windows.get(key);
    if (window && window.attempts > 0) window.attempts -= 1;
  }

  succeeded(key: string): void {
    this.windows.delete(key);
  }

  private thin(now: number): void {
    for (const [old, { until }] of this.windows) if (until <= now) this.windows.delete(old);
    for (const old of this.windows.keys()) {
      if (this.windows.size <= MOST_KEYS) return;
      this.windows.delete(old);
    }
  }
}
