import type { Item } from '@kotiva/core';
import { useDispatch } from 'react-redux';
import { useLiveHouse } from '@/store/live-house.tsx';
import { toastShown, useNow, useOpenHouse } from '@/store/store.ts';
import { t } from '@/words';
import { sayMoment } from '@/words/dates.ts';
import { sayReason } from '@/words/problems.ts';

/** Gives an item another importance, another deadline, or both: one action with one way back. */
export function usePriorityMove(): (item: Item, to: { importance: number; due: string | null }) => void {
  const house = useLiveHouse();
  const { house: here } = useOpenHouse();
  const now = useNow();
  const dispatch = useDispatch();
  return (item, { importance, due }) => {
    const given = [
      importance === item.importance ? null : house.submit('item.change', { item: item.id, importance }),
      due === item.due ? null : house.submit('item.setDue', { item: item.id, due }),
    ].filter((one) => one !== null);
    if (given.length === 0) return;
    const refused = given.find((one) => one.refused)?.refused;
    const undo = given.filter((one) => !one.refused).map(({ id }) => ({ name: 'undo' as const, payload: { command: id } })).reverse(); // prettier-ignore
    const when = due === null ? t('band.none') : sayMoment(due, now, here.zone);
    const words = t('priorities.moved', { title: item.title, importance: t(`importance.${importance as 0 | 1 | 2 | 3}`), when });
    dispatch(
      toastShown({
        words: refused ? sayReason(refused) : words,
        offer: undo.length > 0 ? { words: t('common.undo'), commands: undo } : null,
        tone: refused ? 'refused' : 'plain',
      }),
    );
  };
}
