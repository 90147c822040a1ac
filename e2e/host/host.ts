import { fork, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import type { Answer, Ask } from './asked.ts';

/** Where the process is bundled to: beside the server’s own files, which it finds its way from. */
export const BUNDLE = join(import.meta.dirname, '../../server/out/journeys.mjs');

/** The process in which a worker’s servers run. */
export class Host {
  private readonly child: ChildProcess = fork(BUNDLE, { stdio: ['ignore', 'ignore', 'inherit', 'ipc'] });
  private readonly waiting = new Map<number, (error: string | null) => void>();
  private asked = 0;

  constructor() {
    this.child.on('message', ({ nth, error }: Answer) => this.waiting.get(nth)?.(error));
    this.child.on('exit', () => {
      for (const answer of this.waiting.values()) answer('the process of the servers ended');
    });
  }

  /** Opens or closes a server. Throws with what stood in the way. */
  async ask(what: Ask): Promise<void> {
    const nth = this.asked++;
    const error = await new Promise<string | null>((resolve) => {
      this.waiting.set(nth, resolve);
      this.child.send({ ...what, nth });
    });
    this.waiting.delete(nth);
    if (error !== null) throw new Error(error);
  }

  end(): void {
    this.child.disconnect();
  }
}
