import type { Filter, Reader, Person } from '@kotiva/core';
import { demandsOf } from '@kotiva/core/filtering';
import type { CaptureContext } from '@/features/capture';
import { useOpenHouse } from '@/store/store.ts';
import { t, together } from '@/words';
import { sayCondition } from '@/words/filters.ts';

/** What is typed in a narrowed view takes over what the filter demands; what it can't is said below the line before Enter. */
export function useDemands(filter: Filter): CaptureContext {
  const { rows, me } = useOpenHouse();
  return takenOver(filter, me, rows);
}

export function takenOver(filter: Filter, me: Person, rows: Reader): CaptureContext {
  const { demands, open } = demandsOf(filter);
  const tags = demands.tagIds.flatMap((id) => nameOf('tag', id, rows));
  const person = demands.personId === 'me' ? me.id : demands.personId === 'nobody' ? undefined : demands.personId;
  const taken = [
    ...tags.map((name) => `#${name}`),
    ...(demands.listId ? nameOf('list', demands.listId, rows) : []),
    ...(person ? (person === me.id ? [t('filter.mine')] : nameOf('person', person, rows)) : []),
  ];
  return {
    list: demands.listId,
    section: demands.sectionId,
    person,
    tags,
    words:
      [
        taken.length > 0 ? t('capture.filtered', { what: together(taken) }) : null,
        open.length > 0 || filter.state === 'done'
          ? t('capture.wontStand', {
              what: together([...(filter.state === 'done' ? [t('filter.state.done')] : []), ...open.map((one) => sayCondition(one, rows))]),
            })
          : null,
      ]
        .filter(Boolean)
        .join(' ') || undefined,
  };
}

function nameOf(noun: 'tag' | 'list' | 'person', id: string, rows: Reader): string[] {
  const row = rows.find(noun, id);
  return row === undefined ? [] : [row.name];
}
