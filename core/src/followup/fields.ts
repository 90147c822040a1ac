import type { Rows } from '../reader/finding.ts';
import { isCalendarDate } from '../model/calendar-date.ts';
import type { Item } from '../model/item.ts';
import { FIELD_NUMBER_MAX, FIELD_TEXT_MAX, type FieldKind, type FieldOption, type FieldValue, type OwnField, type RawValue } from '../model/own-field.ts';
import { byPosition } from '../model/position.ts';
import { addressOf } from '../model/web-address.ts';

/** A field of an item with what is in it. */
export interface FieldReading {
  field: OwnField;
  /** By the field’s kind: words, a number, an option’s or a person’s id, a calendar date, `true`. */
  value: RawValue | null;
  /** It came along from another list, which has this field; the one it is in has none like it. */
  isFaint: boolean;
}

const isLive = ({ removedAt }: OwnField): boolean => removedAt === null;

/** Those of the house first, then the list’s, each in their order. */
export function fieldsOf(listId: string | null, rows: Pick<Rows, 'all' | 'by'>): OwnField[] {
  const houses = rows.all('ownField').filter((field) => field.listId === null && isLive(field));
  const lists = listId === null ? [] : rows.by('ownField', 'listId', listId).filter(isLive);
  return [...houses.sort(byPosition), ...lists.sort(byPosition)];
}

/** A step has none: what is said of an item is said of the whole. */
const isIn = ({ listId, parentId }: Pick<Item, 'listId' | 'parentId'>, field: OwnField): boolean =>
  parentId === null && isLive(field) && (field.listId === null || field.listId === listId);

/** What an item says in one field; null: nothing, or nothing that its kind can say. */
export function valueIn(item: Pick<Item, 'id' | 'listId' | 'parentId'>, field: OwnField, rows: Rows): RawValue | null {
  return isIn(item, field) ? found(field, item, rows.by('fieldValue', 'itemId', item.id), rows).value : null;
}

/** Everything an item says in fields: those of where it is, also the empty ones, and after them what it brought from elsewhere. */
export function readingsOf(item: Pick<Item, 'id' | 'listId' | 'parentId'>, rows: Rows): FieldReading[] {
  const held = rows.by('fieldValue', 'itemId', item.id);
  const used = new Set<string>();
  const here = (item.parentId === null ? fieldsOf(item.listId, rows) : []).map((field): FieldReading => {
    const { from, value } = found(field, item, held, rows);
    if (from) used.add(from.id);
    used.add(field.id);
    return { field, value, isFaint: false };
  });
  const brought = held.flatMap((row): FieldReading[] => {
    const field = rows.find('ownField', row.fieldId);
    if (used.has(row.id) || used.has(row.fieldId) || field === undefined || !isLive(field)) return [];
    const value = read(row, field, rows);
    return value === null ? [] : [{ field, value, isFaint: true }];
  });
  return [...here, ...brought.sort((a, b) => byPosition(a.field, b.field))];
}

/** Its own, or else what it brought from a list that has a field of the same name and kind. */
function found(
  field: OwnField,
  { listId }: Pick<Item, 'listId'>,
  held: readonly FieldValue[],
  rows: Rows,
): { from: FieldValue | null; value: RawValue | null } {
  const own = held.find(({ fieldId }) => fieldId === field.id);
  if (own && (own.value !== null || own.isCleared)) return { from: own, value: read(own, field, rows) };
  let newest: FieldValue | null = null;
  for (const row of held) if (row.value !== null && row !== own && (newest === null || row.seq > newest.seq) && isAlike(row, field, listId, rows)) newest = row;
  return newest === null ? { from: null, value: null } : { from: newest, value: read(newest, field, rows) };
}

/** A field that was removed where the item is now is gone; one that was removed elsewhere doesn’t empty what was carried over. */
function isAlike({ fieldId }: FieldValue, field: OwnField, listId: string | null, rows: Rows): boolean {
  const other = rows.find('ownField', fieldId);
  if (other === undefined || other.kind !== field.kind || nameKey(other.name) !== nameKey(field.name)) return false;
  return isLive(other) || other.listId !== listId;
}

/** What two fields of one name have in common. */
export const nameKey = (name: string): string => name.trim().toLowerCase();

/** As what the field is now: where it was of another kind, through the words it would be said with. */
function read(row: FieldValue, field: OwnField, rows: Pick<Rows, 'find'>): RawValue | null {
  if (row.value === null) return null;
  const written = row.fieldId === field.id ? field : rows.find('ownField', row.fieldId);
  const options = written === undefined ? [] : written.options;
  if (row.kind === field.kind && (row.kind !== 'choice' || row.fieldId === field.id)) return fits(row.value, field.kind, field.options) ? row.value : null;
  const words = inWords(row.value, row.kind, options, rows);
  return words === null ? null : readField(words, field);
}

/** How many of these would have nothing to say if the field were of another kind. */
export function countLost(field: OwnField, to: Pick<OwnField, 'kind' | 'options'>, values: readonly FieldValue[], rows: Pick<Rows, 'find'>): number {
  return values.filter((row) => read(row, field, rows) !== null && read(row, { ...field, ...to }, rows) === null).length;
}

const fits = (value: RawValue, kind: FieldKind, options: readonly FieldOption[]): boolean => {
  if (kind === 'number') return typeof value === 'number';
  if (kind === 'tick') return value === true;
  return typeof value === 'string' && (kind !== 'choice' || options.some(({ id }) => id === value));
};

/** What is written in words: a person by name, a choice by its own; null: it is gone. */
function inWords(value: RawValue, kind: FieldKind, options: readonly FieldOption[], rows: Pick<Rows, 'find'>): string | null {
  if (kind === 'choice') return options.find(({ id }) => id === value)?.name ?? null;
  if (kind === 'person') {
    const person = rows.find('person', String(value));
    return person?.name ?? null;
  }
  return kind === 'tick' ? null : String(value);
}

/** A number as people type it, with a point or a comma. */
const NUMBER = /^[-−]?\d{1,13}([.,]\d{1,6})?$/;

/** What somebody typed as a field of this kind has it; null: it is none. Of a choice its name or id, of a person the id. */
export function readField(typed: string, { kind, options }: Pick<OwnField, 'kind' | 'options'>): RawValue | null {
  const words = typed.trim();
  if (words === '' || words.length > FIELD_TEXT_MAX) return null;
  switch (kind) {
    case 'number': {
      const bare = words.replaceAll(/[\s\u00a0]/g, '');
      const number = NUMBER.test(bare) ? Number(bare.replace('−', '-').replace(',', '.')) : NaN;
      return Math.abs(number) <= FIELD_NUMBER_MAX ? number : null;
    }
    case 'choice':
      return options.find(({ id, name }) => id === words || nameKey(name) === nameKey(words))?.id ?? null;
    case 'date':
      return isCalendarDate(words) ? words : null;
    case 'link':
      return addressOf(words)?.href ?? null;
    case 'tick':
    case 'person':
      return null;
    case 'text':
      return words;
  }
}
