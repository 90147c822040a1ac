import * as z from 'zod/mini';
import { fieldsOf, nameKey, readField, valueIn } from '../followup/fields.ts';
import type { Item } from '../model/item.ts';
import { FIELD_TEXT_MAX, fieldValueId, MOST_FIELDS, MOST_OPTIONS, type FieldKind, type FieldOption, type OwnField, type RawValue } from '../model/own-field.ts';
import { FieldKind as Kind, FieldName, Unit } from '../model/own-field-schema.ts';
import { isHere } from '../model/person.ts';
import { Colour } from '../model/person-schema.ts';
import { keyAtEnd, keyBeside } from '../model/position.ts';
import { Id } from '../model/row-schema.ts';
import type { Deciding } from './deciding.ts';
import { commandKind } from './kind.ts';
import { refuse } from './reasons.ts';
import type { CommandRequest } from './required-permissions.ts';

const options = z.array(z.object({ id: z.optional(Id), name: FieldName, colour: Colour })).check(z.maxLength(MOST_OPTIONS));

/** Whoever gives a list its sections gives it fields; the house’s are its managers’. */
const shaping = (list: string | null): CommandRequest => (list === null ? { permission: 'manage' } : { permission: 'share', list });

export const makeField = commandKind({
  name: 'field.make',
  payload: z.object({ list: z.nullable(Id), name: FieldName, kind: Kind, unit: z._default(Unit, ''), options: z._default(options, []) }),
  asks: ({ list }) => [shaping(list)],
  decide({ list, name, kind, unit, options: given }, d) {
    if (list !== null) d.need('list', list);
    const others = siblingsOf(list, d);
    if (others.length >= MOST_FIELDS) refuse('too-many', { max: MOST_FIELDS }, 'name');
    const field = { listId: list, name, kind, unit: kind === 'number' ? unit : '', options: withIds(given, d), position: keyAtEnd(others) };
    settle(field, others);
    d.insert('ownField', d.newId(), { ...field, createdAt: d.now, removedAt: null });
  },
});

/** `after`: comes right after this one; null: at the top. Of options, one without an id is new, one that is left out is gone. */
export const changeField = commandKind({
  name: 'field.change',
  payload: z.object({
    field: Id,
    name: z.optional(FieldName),
    kind: z.optional(Kind),
    unit: z.optional(Unit),
    options: z.optional(options),
    after: z.optional(z.nullable(Id)),
    removed: z.optional(z.boolean()),
  }),
  asks: ({ field }, d) => [shaping(d.find('ownField', field)?.listId ?? null)],
  decide({ field: fieldId, options: given, after, removed, ...changes }, d) {
    const field = d.need('ownField', fieldId);
    const others = siblingsOf(field.listId, d).filter(({ id }) => id !== fieldId);
    const fields = { ...changes, ...(given ? { options: withIds(given, d) } : {}) };
    if (removed === false && field.removedAt !== null && others.length >= MOST_FIELDS) refuse('too-many', { max: MOST_FIELDS }, 'name');
    if (removed !== true) settle({ ...field, ...defined(fields) }, others);
    d.set('ownField', fieldId, { ...fields, removedAt: removed === undefined ? undefined : removed ? (field.removedAt ?? d.now) : null });
    if (after !== undefined) place(fieldId, after, others, d);
  },
});

const defined = <T extends object>(fields: T): Partial<T> =>
  Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as Partial<T>;

/** Those beside which it stands, the house’s or the list’s. */
const siblingsOf = (list: string | null, d: Deciding): OwnField[] => fieldsOf(list, d).filter(({ listId }) => listId === list);

const withIds = (given: readonly (Omit<FieldOption, 'id'> & { id?: string })[], d: Deciding): FieldOption[] =>
  given.map(({ id, ...option }) => ({ id: id ?? d.newId(), ...option }));

/** Told apart by their names, and a choice has something to choose. */
function settle({ name, kind, options: all }: Pick<OwnField, 'name' | 'kind' | 'options'>, others: readonly OwnField[]): void {
  const taken = others.find((other) => nameKey(other.name) === nameKey(name));
  if (taken) refuse('name-taken', { name: taken.name }, 'name');
  if (kind !== 'choice') return;
  if (all.length === 0) refuse('field-options-needed', {}, 'options');
  const twice = all.find((one, nth) => all.findIndex((other) => nameKey(other.name) === nameKey(one.name)) !== nth);
  if (twice) refuse('name-taken', { name: twice.name }, 'options');
}

function place(fieldId: string, after: string | null, others: readonly OwnField[], d: Deciding): void {
  const { position, respaced } = keyBeside(others, { after });
  for (const [id, key] of respaced) d.set('ownField', id, { position: key });
  d.set('ownField', fieldId, { position });
}

/** A value a field may be given; null empties it. */
const Given = z.nullable(z.union([z.string().check(z.maxLength(FIELD_TEXT_MAX)), z.number(), z.boolean()]));

/** What an item says in some of its fields, as one action. A refusal names the field by its id. */
export const setFields = commandKind({
  name: 'item.setFields',
  payload: z.object({ item: Id, values: z.array(z.object({ field: Id, value: Given })).check(z.minLength(1), z.maxLength(2 * MOST_FIELDS)) }),
  asks: ({ item }) => [{ permission: 'change', item }],
  decide({ item: itemId, values }, d) {
    const item = d.need('item', itemId);
    for (const { field: fieldId, value } of values) {
      const field = d.need('ownField', fieldId);
      if (value === null) clear(item, field, d);
      else set(item, field, value, d);
    }
  },
});

function set(item: Item, field: OwnField, value: RawValue, d: Deciding): void {
  if (item.parentId !== null || !fieldsOf(item.listId, d).some(({ id }) => id === field.id)) refuse('field-elsewhere', { name: field.name }, field.id);
  const said = asKind(value, field, d);
  if (valueIn(item, field, d) === said) return;
  write(item.id, field, { value: said, isCleared: false }, d);
  d.enter('item.setField', { itemId: item.id }, { field: field.name, value: inWords(said, field, d) });
}

function clear(item: Item, field: OwnField, d: Deciding): void {
  if (valueIn(item, field, d) === null && !d.find('fieldValue', fieldValueId(field.id, item.id))) return;
  write(item.id, field, { value: null, isCleared: true }, d);
  d.enter('item.clearField', { itemId: item.id }, { field: field.name });
}

function write(itemId: string, { id: fieldId, kind }: OwnField, fields: { value: RawValue | null; isCleared: boolean }, d: Deciding): void {
  const id = fieldValueId(fieldId, itemId);
  if (d.find('fieldValue', id)) d.set('fieldValue', id, { ...fields, kind });
  else d.insert('fieldValue', id, { itemId, fieldId, kind, ...fields });
}

const NONE: Record<FieldKind, Parameters<typeof refuse>[0]> = {
  text: 'malformed',
  number: 'field-number',
  choice: 'field-choice',
  date: 'field-date',
  person: 'unknown-person',
  tick: 'malformed',
  link: 'bad-address',
};

/** What was given, as the field’s kind has it; refused with what would do. */
function asKind(given: RawValue, field: OwnField, d: Deciding): RawValue {
  const no = (): never => refuse(NONE[field.kind], { name: field.name, field: field.name }, field.id);
  if (field.kind === 'tick') return given === true ? given : no();
  if (field.kind === 'person') {
    const person = d.find('person', String(given));
    return person && isHere(person) ? person.id : no();
  }
  return readField(String(given), field) ?? no();
}

/** As it is read later: what is chosen may be called something else then. */
function inWords(value: RawValue, { kind, unit, options: all }: OwnField, d: Deciding): string {
  if (kind === 'choice') return all.find(({ id }) => id === value)?.name ?? '';
  if (kind === 'person') return d.find('person', String(value))?.name ?? '';
  if (kind === 'tick') return '✓';
  return unit === '' ? String(value) : `${value} ${unit}`;
}

/** A second item says what the first says. */
export function copyFieldValues(fromId: string, toId: string, d: Deciding): void {
  for (const { fieldId, kind, value, isCleared } of d.by('fieldValue', 'itemId', fromId))
    d.insert('fieldValue', fieldValueId(fieldId, toId), { itemId: toId, fieldId, kind, value, isCleared });
}
