import type { FieldKey } from '@kotiva/core';
import type { FieldChoice } from '@/features/fields';
import { t } from '@/words';

/** A field as the view calls it; one it no longer offers is gone. */
export const wordOfField = (key: FieldKey, fields: readonly FieldChoice[] = []): string => fields.find((one) => one.key === key)?.words ?? t('field.gone');
