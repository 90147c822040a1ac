import { shareOut, type Carrier, type Load, type SharedOut } from '@kotiva/core/planning/share-out';
import { useEffect, useState } from 'react';

export interface Asked {
  carriers: readonly Carrier[];
  loads: readonly Load[];
}

/** Beside the application, in a worker: the screen stays awake meanwhile. Null until it is known. */
export function useSharedOut({ carriers, loads }: Asked): SharedOut | null {
  const [answer, setAnswer] = useState<{ question: string; shared: SharedOut } | null>(null);
  // a change elsewhere brings new rows every time; only another question is worked out anew
  const question = JSON.stringify({ carriers, loads });
  useEffect(() => work(JSON.parse(question) as Asked, (shared) => setAnswer({ question, shared })), [question]);
  return answer?.question === question ? answer.shared : null;
}

/** Returns how to give up. Where there is no worker to be had it is worked out here. */
function work(asked: Asked, onAnswer: (answer: SharedOut) => void): () => void {
  const here = () => onAnswer(shareOut(asked.carriers, asked.loads));
  if (typeof Worker === 'undefined') {
    here();
    return () => undefined;
  }
  const worker = new Worker('/share-out-worker.js', { type: 'module' });
  worker.onmessage = ({ data }: MessageEvent<SharedOut>) => onAnswer(data);
  worker.onerror = here;
  worker.postMessage(asked);
  return () => worker.terminate();
}
