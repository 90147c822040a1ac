import { addDays, calendarDateOf, type Placed } from '@kotiva/core';
import { useOpenItem } from '@/features/item';
import { useGive } from '@/store/live-house.tsx';
import { useNow, usePlace } from '@/store/store.ts';
import type { RowWord } from '@/ui';
import { t } from '@/words';

/** What can be done to a thing of a day without opening it. */
export function useRowWords({ item, part, where }: Placed): RowWord[] {
  const { house } = usePlace();
  const now = useNow();
  const give = useGive();
  const open = useOpenItem();
  const today = calendarDateOf(now, house.zone);
  const tomorrow = addDays(today, 1);
  const { title, id } = item;
  const word = (key: string, words: string, onPress: () => void): RowWord => ({ key, words, onPress });
  const more = word('more', t('row.moreWords'), () => open(id));
  if (where === 'done') return [];
  const take =
    part.standing === 'needs-action' && part.personId !== null
      ? [word('take', t('answer.take'), () => void give('part.accept', { item: id }, { words: t('said.taken', { title }), undo: true }))]
      : [];
  // putting off moves the date that brought it here, and says which
  const putOff =
    part.plan || !item.due
      ? word('off', t('row.tomorrow'), () => void give('part.plan', { items: [id], plan: tomorrow }, { words: t('said.planTomorrow', { title }), undo: true }))
      : word('off', t('row.dueTomorrow'), () => void give('item.setDue', { item: id, due: tomorrow }, { words: t('said.dueTomorrow', { title }), undo: true }));
  const offToday = word('take-off', t('row.offToday'), () => void give('part.takeOff', { items: [id] }, { words: t('said.offToday', { title }), undo: true }));
  const intoToday = word('pull', t('row.intoToday'), () => void give('part.pull', { items: [id] }, { words: t('said.intoToday', { title }), undo: true }));
  const shelf = word('shelf', t('row.shelf'), () => void give('part.shelve', { items: [id] }, { words: t('said.shelved', { title }), undo: true }));
  const unshelf = word(
    'shelf',
    t('row.offShelf'),
    () => void give('part.shelve', { items: [id], shelved: false }, { words: t('said.offShelf', { title }), undo: true }),
  );
  if (where === 'shelf') return [unshelf, intoToday, more];
  if (where === 'today') return [...take, putOff, offToday, ...(item.due ? [] : [shelf]), more];
  return [...take, intoToday, ...(item.due || where === 'waiting' ? [] : [shelf]), more];
}
