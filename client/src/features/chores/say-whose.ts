import type { Reader, Series } from '@kotiva/core';
import { t, together } from '@/words';

/** "in turns: Petri, Oona and Eetu"; null: nobody in particular. */
export function sayWhose({ turn, personIds }: Series, rows: Reader): string | null {
  const names = personIds.flatMap((id) => {
    const person = rows.find('person', id);
    return person === undefined ? [] : [person.name];
  });
  return names.length === 0 ? null : t(`chores.whose.${turn}`, { names: together(names) });
}
