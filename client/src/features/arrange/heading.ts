import { calendarDateOf, stageNamed, type Group } from '@kotiva/core';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { t } from '@/words';
import { headDay } from '@/words/dates.ts';

/** What stands above a group, in words. */
export function useHeading(): (group: Group<unknown>) => string {
  const { rows, house } = useOpenHouse();
  const today = calendarDateOf(useNow(), house.zone);
  return ({ by, key }) => {
    if (key === null) return t(`group.without.${by}`);
    if (by === 'date') return headDay(key, today);
    if (by === 'stage') return stageNamed(key, rows)?.name ?? t('group.without.stage');
    const row = rows.get(by, key);
    return typeof row === 'string' ? t(`group.without.${by}`) : by === 'tag' ? `#${row.name}` : row.name;
  };
}
