import { calendarDateOf, isHere } from '@kotiva/core';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { t } from '@/words';
import { sayMoment } from '@/words/dates.ts';
import type { CaptureContext } from './context.tsx';

/** What the line can do where one is: what is typed goes to this list, to this person, on this day; else it can be handed over in the same breath. */
export function usePlaceholder({ list, person, plan }: CaptureContext): string {
  const { rows, me, house } = useOpenHouse();
  const now = useNow();
  const named = (noun: 'list' | 'person', id: string | undefined) => {
    const row = id === undefined ? null : rows.find(noun, id);
    return row?.name ?? null;
  };
  const to = named('person', person);
  if (to !== null) return t('capture.hint.person', { name: to });
  const into = named('list', list);
  if (into !== null) return t('capture.hint.list', { name: into });
  if (plan !== undefined && plan.slice(0, 10) !== calendarDateOf(now, house.zone)) return t('capture.hint.day', { day: sayMoment(plan, now, house.zone) });
  const other = rows
    .all('person')
    .filter((one) => isHere(one) && one.id !== me.id && one.accountId !== null)
    .sort((a, b) => a.name.localeCompare(b.name))[0];
  return other ? t('capture.hint.anywhere', { name: other.name.split(/\s+/)[0]! }) : t('capture.hint.alone');
}
