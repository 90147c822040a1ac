import { arrangementId, USUAL_ARRANGEMENT, type Arrangement } from '@kotiva/core';
import { useSubmit } from './live-house.tsx';
import { useOpenHouse } from './store.ts';

export type Arranging = Pick<Arrangement, 'group' | 'sort' | 'detail' | 'cap' | 'isOnToday'>;

/** How I have a view arranged, and the way to change it: remembered for me, on every device. `usual`: how it is for who has not changed it. */
export function useArrangement(view: string, usual: Partial<Arranging> = {}): { arranged: Arranging; arrange: (some: Partial<Arranging>) => void } {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  const kept = rows.get('arrangement', arrangementId(view, me.id));
  return {
    arranged: typeof kept === 'string' ? { ...USUAL_ARRANGEMENT, ...usual } : kept,
    // what the view begins with is kept along with the first thing that is changed
    arrange: (some) => void submit('view.arrange', { view, ...(typeof kept === 'string' ? usual : {}), ...some }),
  };
}
