import { arrangementId, USUAL_ARRANGEMENT, type Arrangement } from '@kotiva/core';
import { useSubmit } from './live-house.tsx';
import { useOpenHouse } from './store.ts';

export type Arranging = Pick<Arrangement, keyof typeof USUAL_ARRANGEMENT>;

/** How I have a view arranged, and the way to change it: remembered for me, on every device. `usual`: how it is for who has not changed it. */
export function useArrangement(view: string, usual: Partial<Arranging> = {}): { arranged: Arranging; arrange: (some: Partial<Arranging>) => void } {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  const kept = rows.find('arrangement', arrangementId(view, me.id));
  return {
    // a device may hold one from before there was more to choose
    arranged: kept === undefined ? { ...USUAL_ARRANGEMENT, ...usual } : { ...USUAL_ARRANGEMENT, ...kept },
    // what the view begins with is kept along with the first thing that is changed
    arrange: (some) => void submit('view.arrange', { view, ...(kept === undefined ? usual : {}), ...some }),
  };
}
