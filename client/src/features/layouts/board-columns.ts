import {
  byArrival,
  byPosition,
  fieldOfKey,
  isFieldKey,
  isHere,
  stageNamed,
  stagesOf,
  type Arrangeable,
  type BoardBy,
  type BoardColumn,
  type Reader,
} from '@kotiva/core';
import { headField } from '@/features/arrange';
import { t } from '@/words';

/** The columns of a board before any item is in them, in their order. */
export function columnsOf(by: BoardBy, entries: readonly Arrangeable[], rows: Reader): (string | null)[] {
  const lists = new Set(entries.map(({ item }) => item.listId));
  if (isFieldKey(by)) {
    const field = rows.find('ownField', fieldOfKey(by));
    return [null, ...(field === undefined ? [] : field.options.map(({ id }) => id))];
  }
  switch (by) {
    case 'importance':
      return ['3', '2', '1', '0'];
    case 'person': {
      const people = rows.all('person').filter((one) => isHere(one) && one.role !== 'outside');
      return [null, ...people.sort(byArrival).map(({ id }) => id)];
    }
    case 'list': {
      const named = rows.all('list').filter(({ id }) => lists.has(id));
      return [...(lists.has(null) ? [null] : []), ...named.sort(byPosition).map(({ id }) => id)];
    }
    case 'stage': {
      const staged = rows.all('list').filter(({ id }) => lists.has(id));
      return staged.sort(byPosition).flatMap((list) => stagesOf(list).map(({ id }) => id));
    }
    case 'section': {
      const sections = rows.all('section').filter(({ listId, removedAt }) => removedAt === null && lists.has(listId));
      return [null, ...sections.sort(byPosition).map(({ id }) => id)];
    }
  }
}

/** What stands above a column. */
export function sayColumn({ key }: Pick<BoardColumn<unknown>, 'key'>, by: BoardBy, rows: Reader): string {
  if (isFieldKey(by)) return headField(by, key, rows);
  if (by === 'importance') return t(`board.importance.${(key ?? '0') as '0' | '1' | '2' | '3'}`);
  if (key === null) return t(`board.without.${by}`);
  if (by === 'stage') return stageNamed(key, rows)?.name ?? t('board.without.stage');
  const row = rows.find(by, key);
  return row === undefined ? t(`board.without.${by}`) : row.name;
}
