import { v5 } from 'uuid';

export type { FieldKind, FieldOption, FieldValue, OwnField, RawValue } from './own-field-schema.ts';

/** What a field holds: words, a number with its unit, one of some choices, a day, somebody of the house, a tick, or an address. */
export const FIELD_KINDS = ['text', 'number', 'choice', 'date', 'person', 'tick', 'link'] as const;

/** Of a list, and as many of the house. */
export const MOST_FIELDS = 20;
export const MOST_OPTIONS = 30;
export const FIELD_NAME_MAX = 40;
export const UNIT_MAX = 12;
export const FIELD_TEXT_MAX = 500;
/** Either way of zero. */
export const FIELD_NUMBER_MAX = 1_000_000_000_000;

/** One for each pair, whoever sets it: two who set the same at once write one row. */
export const fieldValueId = (fieldId: string, itemId: string): string => v5(`field:${fieldId}`, itemId);

/** A field where a view names what it sorts, groups or shows by. */
export type FieldKey = `field:${string}`;
export const fieldKey = (fieldId: string): FieldKey => `field:${fieldId}`;
export const isFieldKey = (key: string): key is FieldKey => key.startsWith('field:');
export const fieldOfKey = (key: FieldKey): string => key.slice('field:'.length);
