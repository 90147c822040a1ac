import { groupsOf, isAwayOn, isHere, membersOf, wallClockOf, type Reader, type PeopleGroup } from '@kotiva/core';
import type { CaptureContext as ReadingContext } from '@kotiva/core/capture';
import { useMemo } from 'react';
import { later } from './later.ts';
import { dateOrder } from '@/words/customs.ts';
import { useNow, useOpenHouse } from './store.ts';

/** Reading what is typed brings patterns and dates with it: nobody waits for them before something is typed. */
export const lineReader = later(() => import('@kotiva/core/capture/read-line').then(({ readLine }) => readLine));

/** What typed words are read against: today, and the names of the house. */
export function useReadingContext(): ReadingContext {
  const { rows, house } = useOpenHouse();
  const [today, time] = wallClockOf(useNow(), house.zone).split('T') as [string, string];
  const names = useMemo(() => knownNames(rows, today), [rows, today]);
  return useMemo(() => ({ today, time, dayParts: house.dayParts, isMonthFirst: dateOrder() === 'month', ...names }), [today, time, house.dayParts, names]);
}

function knownNames(rows: Reader, today: string): Pick<ReadingContext, 'people' | 'places' | 'lists'> {
  // it stands for who is there
  const asGroup = (group: PeopleGroup) => {
    const members = membersOf(group, rows).flatMap(({ id }) => (isAwayOn(id, today, rows) ? [] : [id]));
    return members.length === 0 ? [] : [{ id: group.id, name: group.name, mark: '', members }];
  };
  return {
    people: [...rows.all('person').filter(isHere), ...groupsOf(rows).flatMap(asGroup)],
    places: rows.all('place').filter((place) => !place.removedAt),
    lists: rows
      .all('list')
      .filter((list) => !list.removedAt && !list.filedAt)
      .map((list) => ({ ...list, sections: rows.by('section', 'listId', list.id).filter((section) => !section.removedAt) })),
  };
}
