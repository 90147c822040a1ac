import * as z from 'zod/mini';
import { FIELD_KINDS, FIELD_NAME_MAX, FIELD_NUMBER_MAX, FIELD_TEXT_MAX, MOST_OPTIONS, UNIT_MAX } from './own-field.ts';
import { Colour } from './person-schema.ts';
import { Id, Instant, oneLine, shared } from './row-schema.ts';

export const FieldKind = z.enum(FIELD_KINDS);
export type FieldKind = z.infer<typeof FieldKind>;
export const FieldName = oneLine(FIELD_NAME_MAX);
export const Unit = z.string().check(z.trim(), z.maxLength(UNIT_MAX));

/** One of the choices a field has. */
export const FieldOption = z.object({ id: Id, name: FieldName, colour: Colour });
export type FieldOption = z.infer<typeof FieldOption>;

/** What a list, or the house, wants said of its items beside what every item says. */
export const OwnField = z.object({
  ...shared,
  /** Null: the house’s, on every item. */
  listId: z.nullable(Id),
  name: FieldName,
  kind: FieldKind,
  /** Of a number; empty: none. */
  unit: Unit,
  /** Of a choice, in their order; they stay while the field is of another kind. */
  options: z.array(FieldOption).check(z.maxLength(MOST_OPTIONS)),
  position: z.string(),
  createdAt: Instant,
  removedAt: z.nullable(Instant),
});
export type OwnField = z.infer<typeof OwnField>;

/** As it was written: of a choice or a person the id, of a day its calendar date, of a tick `true`. */
export const RawValue = z.union([
  z.string().check(z.maxLength(FIELD_TEXT_MAX)),
  z.number().check(z.gte(-FIELD_NUMBER_MAX), z.lte(FIELD_NUMBER_MAX)),
  z.boolean(),
]);
export type RawValue = z.infer<typeof RawValue>;

/** What an item says in a field. A row for each, so that two fields set at once stand beside each other. */
export const FieldValue = z.object({
  ...shared,
  itemId: Id,
  fieldId: Id,
  /** What the field was when it was written: it is read as what the field is now. */
  kind: FieldKind,
  value: z.nullable(RawValue),
  /** Emptied by hand: what it had in a list it came from stays away too. */
  isCleared: z.boolean(),
});
export type FieldValue = z.infer<typeof FieldValue>;

/** A field where a view names what it sorts, groups or shows by: `field:` and its id. */
export const FieldKey = z.templateLiteral(['field:', z.uuid()]);
