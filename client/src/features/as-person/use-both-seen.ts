import { MemoryRows, type Noun, type Row } from '@kotiva/core';
import { useEffect, useState } from 'react';
import { ask, type ProblemDetails } from '@/store/api.ts';
import { useHouseState } from '@/store/store.ts';

/** What both may see, or why it can't be shown; null: it is on its way. Never kept on the device. */
type BothSeen = { rows: MemoryRows; more: boolean } | { problem: ProblemDetails } | null;

interface Answered {
  put: { noun: Noun; row: Row }[];
  more: boolean;
}

/** `again`: asks once more, where it came to nothing; with a connection it is asked by itself. */
export function useBothSeen(houseId: string, personId: string): { seen: BothSeen; again: () => void } {
  const [seen, setSeen] = useState<BothSeen>(null);
  const [asked, setAsked] = useState(0);
  const isOffline = useHouseState(({ line }) => line === 'offline');
  const isThere = seen !== null && 'rows' in seen;
  useEffect(() => {
    if (isThere || isOffline) return;
    let isWanted = true;
    // each asking is written into the history: it is asked once, and again only where there was no connection
    void ask<Answered>('POST', `/houses/${houseId}/as/${encodeURIComponent(personId)}`).then((answer) => {
      if (isWanted) setSeen(answer.ok ? { rows: rowsOf(answer.value), more: answer.value.more } : { problem: answer.problem });
    });
    return () => {
      isWanted = false;
    };
  }, [houseId, personId, isOffline, isThere, asked]);
  const failed = seen !== null && 'problem' in seen;
  useEffect(() => {
    if (!failed) return;
    const again = () => setAsked((times) => times + 1);
    window.addEventListener('online', again);
    return () => window.removeEventListener('online', again);
  }, [failed]);
  return { seen, again: () => setAsked(asked + 1) };
}

function rowsOf({ put }: Answered): MemoryRows {
  const rows = new MemoryRows('all');
  for (const { noun, row } of put) rows.put(noun, row);
  return rows;
}
