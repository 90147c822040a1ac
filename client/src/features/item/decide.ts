import { calendarDateOf, openParts } from '@kotiva/core';
import { useDispatch } from 'react-redux';
import { toastShown, useNow, useOpenHouse } from '@/store/store.ts';
import { t, together } from '@/words';
import { sayMoment } from '@/words/dates.ts';
import { useGiveAll } from './give-all.ts';
import { nameOf } from './knot-of.ts';
import { stepsBelow } from './say-removed.ts';

export type Decision = 'today' | 'day' | 'later' | 'shelf' | 'list' | 'person' | 'nobody' | 'copy' | 'start' | 'time' | 'remove';
export const ALL_DECISIONS: readonly Decision[] = ['today', 'day', 'later', 'shelf', 'list', 'person', 'start', 'time', 'remove'];
/** With copying: where things lie in lists. */
export const IN_LISTS: readonly Decision[] = ['today', 'day', 'list', 'copy', 'person', 'nobody', 'later', 'shelf', 'start', 'time', 'remove'];

type Immediate = 'today' | 'later' | 'shelf' | 'nobody' | 'remove';
export const needsMore = (decision: Decision): decision is Exclude<Decision, Immediate> =>
  ['day', 'list', 'copy', 'person', 'start', 'time'].includes(decision);

/** What each decision does. */
export function useDecide(items: readonly string[], done: () => void) {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const dispatch = useDispatch();
  const giveAll = useGiveAll();
  const what = sayWhat();
  const all = [...items];
  const steps = items.reduce((sum, id) => {
    const item = rows.find('item', id);
    return item === undefined ? sum : sum + stepsBelow(item, rows);
  }, 0);
  const settle = (reason: unknown) => {
    if (!reason) done();
  };
  function sayWhat(): string {
    const only = items.length === 1 ? rows.find('item', items[0]!) : undefined;
    return only === undefined ? t('decide.several', { count: items.length }) : t('decide.one', { title: only.title });
  }
  /** Whoever still has it to do. */
  const holdersOf = (id: string): string[] => openParts(rows.by('part', 'itemId', id)).flatMap(({ personId }) => personId ?? []);
  const onDay = (plan: string) =>
    settle(giveAll('part.plan', all, (some) => ({ items: some, plan }), t('decided.day', { what, when: sayMoment(plan, now, house.zone) })));
  return {
    today: () => onDay(calendarDateOf(now, house.zone)),
    onDay,
    later: () => settle(giveAll('part.later', all, (some) => ({ items: some }), t('decided.later', { what }))),
    shelf: () => settle(giveAll('part.shelve', all, (some) => ({ items: some }), t('decided.shelf', { what }))),
    remove: () =>
      settle(
        giveAll(
          'item.remove',
          all,
          (some) => ({ items: some }),
          steps > 0 ? t('decided.removedWithSteps', { what, count: steps }) : t('decided.removed', { what }),
        ),
      ),
    intoList: (list: string, section: string | null, name: string) =>
      settle(giveAll('item.move', all, (some) => ({ items: some, list, section }), t('decided.list', { what, list: name }))),
    copyInto: (list: string, section: string | null, name: string) =>
      settle(giveAll('item.copy', all, (some) => ({ items: some, list, section }), t('decided.copied', { what, list: name }))),
    toPersons: (persons: string[], message: string) =>
      settle(
        giveAll(
          'part.handOver',
          all,
          (some) => ({ items: some, persons, message, policy: persons.length > 1 ? ('each' as const) : undefined }),
          t('decided.person', { what, names: together(persons.map((id) => nameOf(rows, id))) }),
        ),
      ),
    nobody: () => {
      const held = all.filter((id) => holdersOf(id).length > 0);
      if (held.length === 0) return void dispatch(toastShown({ words: t('decided.nobodyAlready', { what }), offer: null, tone: 'plain' }));
      settle(giveAll('part.takeBack', held, ([item]) => ({ item: item!, persons: holdersOf(item!) }), t('decided.nobody', { what }), 1));
    },
    notBefore: (start: string) =>
      settle(giveAll('item.change', all, ([item]) => ({ item: item!, start }), t('decided.start', { what, when: sayMoment(start, now, house.zone) }), 1)),
  };
}
