import { fieldOfKey, type FieldKey, type Reader, type OwnField, type RawValue } from '@kotiva/core';
import { shortDay } from './dates.ts';
import { locale, t } from './index.ts';

/** What a field is called where it is named alone; one that is gone says so. */
export function nameOfField(key: FieldKey, rows: Reader): string {
  const field = rows.find('ownField', fieldOfKey(key));
  return field === undefined || field.removedAt !== null ? t('field.gone') : field.name;
}

/** What stands in a field, as it is read: “2.5 m”, “Larch”, “28 March 2027”. */
export function sayFieldValue(value: RawValue, { kind, unit, options }: OwnField, rows: Reader): string {
  switch (kind) {
    case 'number': {
      const number = new Intl.NumberFormat(locale(), { maximumFractionDigits: 6 }).format(Number(value));
      return unit === '' ? number : `${number} ${unit}`;
    }
    case 'choice':
      return options.find(({ id }) => id === value)?.name ?? '';
    case 'person': {
      const person = rows.find('person', String(value));
      return person === undefined ? t('field.gone') : person.name;
    }
    case 'date':
      return `${shortDay(String(value))} ${String(value).slice(0, 4)}`;
    case 'tick':
      return t('field.yes');
    case 'link':
      return String(value)
        .replace(/^https?:\/\/(www\.)?/, '')
        .replace(/\/$/, '');
    case 'text':
      return String(value);
  }
}
