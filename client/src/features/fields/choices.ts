import { fieldKey, fieldsOf, type FieldKey, type Reader, type OwnField } from '@kotiva/core';
import { t } from '@/words';

/** A field a view can be sorted, grouped or laid out by, as it is called there. */
export interface FieldChoice {
  key: FieldKey;
  words: string;
  field: OwnField;
}

/** The fields of these lists and of the house. Where two lists are looked at, each list’s is called by the list too. */
export function fieldsAmong(listIds: Iterable<string | null>, rows: Reader): FieldChoice[] {
  const found = new Map<string, OwnField>();
  for (const listId of new Set([null, ...listIds])) for (const field of fieldsOf(listId, rows)) found.set(field.id, field);
  const fields = [...found.values()];
  const lists = new Set(fields.flatMap(({ listId }) => listId ?? []));
  return fields.map((field) => ({ key: fieldKey(field.id), field, words: wordsOf(field, lists.size > 1, rows) }));
}

function wordsOf({ name, listId }: OwnField, isAmongSeveral: boolean, rows: Reader): string {
  const list = listId === null || !isAmongSeveral ? undefined : rows.find('list', listId);
  return list === undefined ? name : t('field.ofList', { name, list: list.name });
}

/** What groups and columns can be made of. */
const GROUPING: readonly OwnField['kind'][] = ['choice', 'person', 'tick'];

/** What these fields offer to a view: any sorts, some group, choices are columns of a board. */
export const fieldChoices = (fields: readonly FieldChoice[]) => ({
  fields,
  groupings: fields.filter(({ field }) => GROUPING.includes(field.kind)).map(({ key }) => key),
  boardBys: fields.filter(({ field }) => field.kind === 'choice').map(({ key }) => key),
});
