import { calendarDateOf, fieldOfKey, isFieldKey, stageNamed, type FieldKey, type Reader, type Group } from '@kotiva/core';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { t } from '@/words';
import { nameOfField, sayFieldValue } from '@/words/fields.ts';
import { headDay } from '@/words/dates.ts';

/** What stands above a group, in words. */
export function useHeading(): (group: Group<unknown>) => string {
  const { rows, house } = useOpenHouse();
  const today = calendarDateOf(useNow(), house.zone);
  return ({ by, key }) => {
    if (isFieldKey(by)) return headField(by, key, rows);
    if (key === null) return t(`group.without.${by}`);
    if (by === 'date') return headDay(key, today);
    if (by === 'stage') return stageNamed(key, rows)?.name ?? t('group.without.stage');
    const row = rows.find(by, key);
    return row === undefined ? t(`group.without.${by}`) : by === 'tag' ? `#${row.name}` : row.name;
  };
}

/** A group by a field: what the field says there. */
export function headField(by: FieldKey, key: string | null, rows: Reader): string {
  const field = rows.find('ownField', fieldOfKey(by));
  if (key === null || field === undefined) return t('group.without.field', { name: nameOfField(by, rows) });
  // a tick says nothing but that it is there
  return field.kind === 'tick' ? field.name : sayFieldValue(key, field, rows);
}
