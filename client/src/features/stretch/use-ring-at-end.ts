import { doneInStretch, epochOf, stretchEnds, type Stretch } from '@kotiva/core';
import { useEffect } from 'react';
import { useStore } from 'react-redux';
import { playRing } from '@/features/item';
import { selectRows } from '@/store/rows.ts';
import { nowOf, toastShown, type Store } from '@/store/store.ts';
import { t } from '@/words';

/** Says that it is over when it is, to the second and without a network; where it was ended, or another begun, nothing is said. */
export function useRingAtEnd(stretch: Stretch): void {
  const store = useStore() as Store;
  const { id } = stretch;
  const end = stretchEnds(stretch);
  useEffect(() => {
    const left = epochOf(end) - epochOf(nowOf(store.getState()));
    const timer = setTimeout(
      () => {
        const rows = selectRows(store.getState().house);
        const over = rows.find('stretch', id);
        if (over === undefined || (over.endedAt !== null && over.endedAt < end)) return;
        const { minutes } = over;
        const again = { words: t('stretch.again', { minutes }), commands: [{ name: 'stretch.begin' as const, payload: { minutes } }] };
        store.dispatch(toastShown({ words: t('notice.stretch-over', { minutes, count: doneInStretch(over, rows).length }), offer: again, tone: 'plain' }));
        playRing();
        navigator.vibrate?.([200, 100, 200]);
      },
      Math.max(0, left),
    );
    return () => clearTimeout(timer);
  }, [store, id, end]);
}
