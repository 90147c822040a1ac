import { useEffect } from 'react';
import { useHouseState } from '@/store/store.ts';
import { Txt } from '@/ui';
import { t } from '@/words';
import { sayHeldUp } from '@/words/problems.ts';
import { NotApplied } from './not-applied.tsx';

/** How the device stands to the server, said quietly: what waits to be sent, and whether it would be lost. */
export function LineState() {
  const line = useHouseState((state) => state.line);
  const heldUp = useHouseState((state) => state.heldUp);
  const waiting = useHouseState((state) => state.pending.filter(({ ackSeq }) => ackSeq === null).length);
  const isUnkept = useHouseState((state) => state.isUnkept) && waiting > 0;
  useEffect(() => {
    if (!isUnkept) return;
    // the browser asks in its own words whether to leave
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [isUnkept]);
  const words = [wordsOf(line, heldUp, waiting), isUnkept ? t('line.unkept', { count: waiting }) : null].filter(Boolean).join(' ');
  return (
    <>
      {words ? (
        <Txt role="status" size={15} tone="waits" className="bg-sunk px-4 py-1.5">
          {words}
        </Txt>
      ) : null}
      <NotApplied />
    </>
  );
}

function wordsOf(line: string, heldUp: string | null, waiting: number): string | null {
  if (line === 'offline') return waiting > 0 ? t('line.offlineWaiting', { count: waiting }) : t('line.offline');
  if (!heldUp) return null;
  return [sayHeldUp(heldUp), waiting > 0 ? t('line.waiting', { count: waiting }) : null].filter(Boolean).join(' ');
}
