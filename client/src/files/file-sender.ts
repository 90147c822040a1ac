import type { Attachment } from '@kotiva/core';
import type { Sending } from '../store/sending.ts';
import type { WaitingFile, WaitingFiles } from './waiting-files.ts';

/** What became of sending: it is there; it is not wanted any more; or the server says what stands in the way. */
export type Sent = { as: 'arrived' | 'gone' } | { as: 'refused'; code: string; params: Sending['params'] };

/** One try. Rejects where the line broke. */
export interface Try {
  done: Promise<Sent>;
  stop(): void;
}

export interface Progress {
  /** The server knows of it. */
  onBegun(): void;
  /** Bytes. */
  onProgress(sent: number): void;
}

/** What the device knows of a file: its row as the server has it, that it is still to be announced, or that there is none. */
export type Known = Pick<Attachment, 'arrivedAt' | 'removedAt'> | 'unannounced' | 'none';

export interface SenderPorts {
  files: WaitingFiles;
  known(file: WaitingFile): Known;
  begin(file: WaitingFile, progress: Progress): Try;
  show(id: string, sending: Sending | null): void;
  schedule(task: () => void, afterMs: number): () => void;
  /** Runs it while no other tab does. */
  alone(task: () => Promise<void>): Promise<void>;
}

const FIRST_WAIT_MS = 1_000;
const LONGEST_WAIT_MS = 60_000;

/** Sends the files of this device, one after the other, as often as it takes; each is there once. */
export class FileSender {
  private readonly waiting = new Map<string, WaitingFile>();
  private readonly refused = new Set<string>();
  private current: { id: string; stop(): void } | null = null;
  private cancelRetry: (() => void) | null = null;
  private wait = FIRST_WAIT_MS;
  private stopped = false;
  private readonly previews = new Map<string, string>();

  constructor(private readonly ports: SenderPorts) {}

  async start(): Promise<void> {
    for (const file of await this.ports.files.all()) this.take(file);
    this.look();
  }

  stop(): void {
    this.stopped = true;
    this.cancelRetry?.();
    this.current?.stop();
    for (const url of this.previews.values()) URL.revokeObjectURL(url);
  }

  /** A file was chosen and announced; what is shown of it as kept is on the device. */
  async add(file: WaitingFile): Promise<void> {
    this.take(file);
    await this.ports.files.put(file);
    this.look();
  }

  /** What a picture that is still coming looks like; null: it is none, or was chosen elsewhere. */
  previewOf(id: string): string | null {
    const known = this.previews.get(id);
    if (known) return known;
    const blob = this.waiting.get(id)?.blob;
    if (!blob?.type.startsWith('image/') || blob.type === 'image/svg+xml') return null;
    const url = URL.createObjectURL(blob);
    this.previews.set(id, url);
    return url;
  }

  /** Paused, or gone on with: also what the server would not take before. */
  pause(id: string, paused: boolean): void {
    const file = this.waiting.get(id);
    if (!file) return;
    file.paused = paused;
    this.refused.delete(id);
    void this.ports.files.put(file);
    if (paused && this.current?.id === id) this.current.stop();
    this.say(file, { state: paused ? 'paused' : 'waiting' });
    if (!paused) this.wake();
  }

  /** The line may be back, or something changed: no need to wait any longer. */
  wake(): void {
    this.wait = FIRST_WAIT_MS;
    this.look();
  }

  /** Lets go of what has come or is not wanted any more, and goes on with the next. */
  look(): void {
    if (this.stopped) return;
    for (const file of [...this.waiting.values()]) {
      const known = this.ports.known(file);
      if (known === 'none' || (typeof known !== 'string' && (known.arrivedAt !== null || known.removedAt !== null))) this.drop(file.id);
    }
    if (this.current || this.cancelRetry) return;
    const next = [...this.waiting.values()].find((file) => !file.paused && !this.refused.has(file.id) && typeof this.ports.known(file) !== 'string');
    if (next) void this.send(next);
  }

  private take(file: WaitingFile): void {
    this.waiting.set(file.id, file);
    this.say(file, { state: file.paused ? 'paused' : 'waiting' });
  }

  private async send(file: WaitingFile): Promise<void> {
    const holder = { id: file.id, stop: () => undefined as void };
    this.current = holder;
    let fault = false;
    await this.ports
      .alone(async () => {
        // another tab may have sent it while this one waited
        if (this.stopped || !this.waiting.has(file.id) || file.paused) return;
        this.say(file, { state: 'sending' });
        const attempt = this.ports.begin(file, {
          onBegun: () => this.begun(file),
          onProgress: (sent) => this.say(file, { state: 'sending', sent }),
        });
        holder.stop = () => attempt.stop();
        this.settle(file, await attempt.done);
      })
      .catch(() => (fault = true));
    this.current = null;
    if (fault && this.waiting.has(file.id) && !this.stopped) this.retryLater(file);
    else this.look();
  }

  private begun(file: WaitingFile): void {
    if (file.begun || !this.waiting.has(file.id)) return;
    file.begun = true;
    void this.ports.files.put(file);
  }

  private settle(file: WaitingFile, sent: Sent): void {
    this.wait = FIRST_WAIT_MS;
    if (sent.as !== 'refused') return this.drop(file.id);
    this.refused.add(file.id);
    this.say(file, { state: 'failed', code: sent.code, params: sent.params });
  }

  private retryLater(file: WaitingFile): void {
    this.say(file, { state: file.paused ? 'paused' : 'waiting' });
    this.cancelRetry = this.ports.schedule(() => {
      this.cancelRetry = null;
      this.look();
    }, this.wait);
    this.wait = Math.min(this.wait * 2, LONGEST_WAIT_MS);
  }

  private drop(id: string): void {
    this.waiting.delete(id);
    this.refused.delete(id);
    if (this.current?.id === id) this.current.stop();
    void this.ports.files.drop(id);
    this.ports.show(id, null);
  }

  private say({ id, blob }: WaitingFile, more: Partial<Sending> & Pick<Sending, 'state'>): void {
    if (!this.waiting.has(id)) return;
    this.ports.show(id, { sent: 0, size: blob.size, code: null, params: {}, ...more });
  }
}
