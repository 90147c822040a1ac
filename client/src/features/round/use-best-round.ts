import { bestRound, type Errand, type Round } from '@kotiva/core';
import { useEffect, useState } from 'react';
import { errandsWorker } from '@/features/places';

/** The best round, worked out beside the application; null until it is known. */
export function useBestRound(errand: Errand | null): Round | null {
  const [answer, setAnswer] = useState<{ question: string; round: Round } | null>(null);
  // a change elsewhere brings new rows every time; only another question is worked out anew
  const question = JSON.stringify(errand);
  useEffect(() => {
    const asked = JSON.parse(question) as Errand | null;
    if (!asked) return;
    let wanted = true;
    const take = (round: Round) => wanted && setAnswer({ question, round });
    const worker = errandsWorker();
    if (worker) void worker.bestRound(asked).then(take);
    else void Promise.resolve(bestRound(asked)).then(take);
    return () => {
      wanted = false;
    };
  }, [question]);
  return answer?.question === question ? answer.round : null;
}
