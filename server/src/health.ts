import type { Services } from './context.ts';

/** What the machine says of itself, to whoever looks after it. */
export class Health {
  /** Since when nothing can be saved, real time; null: it can. */
  private fullSince: string | null = null;

  /** The disk is full, or the file can't be written. Said once, until it goes on. */
  noRoom(error: unknown): void {
    if (this.fullSince !== null) return;
    this.fullSince = new Date().toISOString();
    console.error('Nothing can be saved:', (error as Error).message);
  }

  /** Something was saved. */
  saved(): void {
    if (this.fullSince === null) return;
    console.warn(`Saving goes on; nothing could be saved since ${this.fullSince}.`);
    this.fullSince = null;
  }

  get storage(): 'ok' | 'full' {
    return this.fullSince === null ? 'ok' : 'full';
  }
}

/** What `/api/health` answers. `degraded`: something is set aside or can't be saved, the rest goes on. */
export function healthOf({ health, timers, hub }: Pick<Services, 'health' | 'timers' | 'hub'>, version: string, seq: number) {
  const setAside = timers.setbacks.counts();
  const isWell = health.storage === 'ok' && Object.keys(setAside).length === 0;
  return { status: isWell ? 'ok' : 'degraded', version, seq, storage: health.storage, setAside, streams: hub.size };
}
