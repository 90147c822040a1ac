import { allows, addDays, calendarDateOf, type AgendaEntry } from '@kotiva/core';
import { useDispatch } from 'react-redux';
import { useOpenItem } from '@/features/item';
import { glanced } from '@/store/glance.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import type { RowWord } from '@/ui';
import { t } from '@/words';

/** What can be done to a thing of a day without opening it. */
export function useRowWords({ item, part, where }: AgendaEntry): RowWord[] {
  const { house, rows, me } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  const open = useOpenItem();
  const today = calendarDateOf(now, house.zone);
  const tomorrow = addDays(today, 1);
  const { title, id } = item;
  const word = (key: string, words: string, onPress: () => void): RowWord => ({ key, words, onPress });
  const dispatch = useDispatch();
  const glance = word('glance', t('row.glance'), () => void dispatch(glanced(id)));
  const more = word('more', t('row.moreWords'), () => open(id));
  if (where === 'done') return [glance];
  const take =
    part.standing === 'needs-action' && part.personId !== null
      ? [word('take', t('answer.take'), () => void submit('part.accept', { item: id }, { words: t('said.taken', { title }), undo: true }))]
      : [];
  const mayChange = allows({ permission: 'change', item: item.id }, me, rows);
  // putting off moves the date that brought it here, and says which; a deadline that is somebody else’s stays
  const putOff =
    part.plan || !item.due
      ? word(
          'off',
          t('row.tomorrow'),
          () => void submit('part.plan', { items: [id], plan: tomorrow }, { words: t('said.planTomorrow', { title }), undo: true }),
        )
      : mayChange
        ? word(
            'off',
            t('row.dueTomorrow'),
            () => void submit('item.setDue', { item: id, due: tomorrow }, { words: t('said.dueTomorrow', { title }), undo: true }),
          )
        : word('off', t('row.tomorrow'), () => void submit('part.plan', { items: [id], plan: tomorrow }, { words: t('said.dueStays', { title }), undo: true }));
  // what was only pulled into today has no day that brings it back
  const comesBack = [part.plan, item.due].some((moment) => moment !== null && moment.slice(0, 10) <= tomorrow);
  const saidOff = t(comesBack ? 'said.offToday' : 'said.offTodayOnly', { title });
  const offToday = word('take-off', t('row.offToday'), () => void submit('part.takeOff', { items: [id] }, { words: saidOff, undo: true }));
  const intoToday = word('pull', t('row.intoToday'), () => void submit('part.pull', { items: [id] }, { words: t('said.intoToday', { title }), undo: true }));
  const shelf = word('shelf', t('row.shelf'), () => void submit('part.shelve', { items: [id] }, { words: t('said.shelved', { title }), undo: true }));
  const unshelf = word(
    'shelf',
    t('row.offShelf'),
    () => void submit('part.shelve', { items: [id], shelved: false }, { words: t('said.offShelf', { title }), undo: true }),
  );
  if (where === 'shelf') return [unshelf, intoToday, glance, more];
  if (where === 'today') return [...take, putOff, offToday, ...(item.due ? [] : [shelf]), glance, more];
  return [...take, intoToday, ...(item.due || where === 'waiting' ? [] : [shelf]), glance, more];
}
