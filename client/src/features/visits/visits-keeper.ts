import { NO_VISITS, type Fix, type Judged, type Geofence, type Visits } from '@kotiva/core';
import { answerVisits, type VisitsAsked } from './visits-question.ts';

/** Answers one question after the other. */
export type Judge = (asked: VisitsAsked) => Promise<Judged>;

/** Beside the application, in a worker that begins with the first question; where there is none to be had, here. */
export function workerJudge(): { judge: Judge; end: () => void } {
  if (typeof Worker === 'undefined') return { judge: (asked) => Promise.resolve(answerVisits(asked)), end: () => undefined };
  let begun: Worker | null = null;
  const judge: Judge = (asked) =>
    new Promise((resolve) => {
      const worker = (begun ??= new Worker('/visits-worker.js', { type: 'module' }));
      worker.onmessage = ({ data }: MessageEvent<Judged>) => resolve(data);
      worker.onerror = () => resolve(answerVisits(asked));
      worker.postMessage(asked);
    });
  return { judge, end: () => begun?.terminate() };
}

/** What is known of one person's comings and goings on this device: kept over a reload, judged one look at a time. */
export class VisitsKeeper {
  private visits: Visits;
  private last: Promise<unknown> = Promise.resolve();
  spots: readonly Geofence[] = [];

  constructor(
    private readonly key: string,
    private readonly judge: Judge,
    private readonly onJudged: (judged: Judged) => void,
    private readonly storage: Pick<Storage, 'getItem' | 'setItem'> = localStorage,
  ) {
    this.visits = kept(storage.getItem(key));
  }

  /** One more look: what was crossed by it is told on. */
  look(fix: Fix): Promise<void> {
    return this.next(() => ({ visits: this.visits, spots: this.spots, fix }), this.onJudged);
  }

  /** Said by hand, which its sayer tells on: from here it goes on. */
  say(place: string | null, at: number): Promise<void> {
    return this.next(
      () => ({ visits: this.visits, spots: this.spots, place, at }),
      () => undefined,
    );
  }

  private next(question: () => VisitsAsked, onJudged: (judged: Judged) => void): Promise<void> {
    const next = this.last.then(async () => {
      const judged = await this.judge(question());
      this.visits = judged.visits;
      this.storage.setItem(this.key, JSON.stringify(judged.visits));
      onJudged(judged);
    });
    this.last = next.catch(() => undefined);
    return next;
  }
}

function kept(text: string | null): Visits {
  try {
    const known = JSON.parse(text ?? 'null') as Visits | null;
    return known && typeof known.places === 'object' ? known : NO_VISITS;
  } catch {
    return NO_VISITS;
  }
}
