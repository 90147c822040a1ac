import type { Reader, Person } from '@kotiva/core';
import { t } from './index.ts';

export function personOf(rows: Reader, id: string | null): Person | null {
  const person = id ? rows.find('person', id) : undefined;
  return person ?? null;
}

/** What somebody is called; of whom nothing is known here: somebody. */
export const nameOf = (rows: Reader, id: string | null): string => personOf(rows, id)?.name ?? t('person.someone');
